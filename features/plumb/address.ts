/** Where Plumb is reached from a check, and what it opens with there. */
import type { BaseId, CheckId } from '@/core/catalog/checks';
import { isClipCheck, isStillCheck, isTimedCheck } from '@/core/plumb/feeds';

/** By one picture, by two of one day, by the camera's clock, by a clip. */
export type PlumbWay = 'picture' | 'pictures' | 'clock' | 'clip';

const twoPictures = 'elbow-drift' satisfies CheckId;

/** The address that opens Plumb for a check of somebody; on a base where the check has one. */
export const plumbForCheck = (person: number, check: string, base: BaseId | null): string =>
  plumbAddress(person, { check, ...(base === null ? {} : { base }) });

export const plumbAddress = (
  person: number | string,
  query: Readonly<Record<string, string>>,
): string => `/plumb?${String(new URLSearchParams({ person: String(person), ...query }))}`;

/** What of a check Plumb can answer, and by what; `null`: none of it. */
export function plumbAnswers(check: string): PlumbWay | null {
  if (isStillCheck(check)) return 'picture';
  if (isClipCheck(check)) return isTimedCheck(check) ? 'clock' : 'clip';
  return check === twoPictures ? 'pictures' : null;
}
