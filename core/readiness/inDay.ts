/** What a check showed before something and after it, on one day. Source: handbook 03, 07. */
import type { Day } from '../units/day';
import type { CheckRecord, Side } from './record';

export interface InDay {
  readonly date: Day;
  readonly side: Side | null;
  /** The first and the last of the day, in the unit of the check. */
  readonly before: number;
  readonly after: number;
}

const sides: readonly (Side | null)[] = ['left', 'right', null];

/**
 * The newest day on which a side was seen twice.
 *
 * @param records of one check, oldest first, those of a day in the order entered
 * @returns a line for each such side of that day; empty where it never was
 */
export function compareInDay(records: readonly CheckRecord[]): InDay[] {
  const byDay = new Map<Day, CheckRecord[]>();
  for (const one of records) byDay.set(one.date, [...(byDay.get(one.date) ?? []), one]);
  const days = [...byDay].sort(([a], [b]) => (a < b ? 1 : -1));
  for (const [date, own] of days) {
    const pairs = sides.flatMap((side): InDay[] => {
      const seen = own.filter((one) => (one.side ?? null) === side);
      return seen.length < 2
        ? []
        : [{ date, side, before: seen[0]!.value, after: seen.at(-1)!.value }];
    });
    if (pairs.length > 0) return pairs;
  }
  return [];
}
