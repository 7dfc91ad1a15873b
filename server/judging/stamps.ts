/** By what judged things are known again: everything they rest on, as a short text. */
import type { PieceCount } from '@/core/catalog/pieces';
import type { School } from '@/core/catalog/school';
import type { Day } from '@/core/units/day';
import type { PersonRow } from '@/db/people';

/** What somebody is judged with besides what is stored about them. */
export interface CaseContext {
  readonly school: School;
  readonly day: Day;
  readonly pieces: readonly PieceCount[];
}

const schoolStamps = new WeakMap<School, number>();
let nextStamp = 1;

/** Schools are built anew when anything in them changes, so that being the same one is enough. */
function stampOf(school: School): number {
  const known = schoolStamps.get(school);
  if (known !== undefined) return known;
  schoolStamps.set(school, nextStamp);
  nextStamp += 1;
  return nextStamp - 1;
}

/**
 * Changes with anything stored about the person (their revision counts it, by triggers of the
 * database; ids are never given twice in one file), with the day, the school and the cupboard.
 */
export const stampCase = (
  { id, uid, revision }: PersonRow,
  { school, day, pieces }: CaseContext,
): string => `${id}/${uid}/${revision}/${day}/${stampOf(school)}/${JSON.stringify(pieces)}`;
