/** What people reported from home. */
import { and, asc, eq, inArray, isNotNull, or } from 'drizzle-orm';
import type { DiaryEntry, HomeReport } from '@/core/home/diary';
import type { Day } from '@/core/units/day';
import type { Db } from './open';
import { clearance, homeReport, painReport, person, stopSign } from './schema';

/** Oldest first. */
export const listHomeReports = (db: Db, personId: number): HomeReport[] =>
  db
    .select()
    .from(homeReport)
    .where(eq(homeReport.personId, personId))
    .orderBy(asc(homeReport.on), asc(homeReport.id))
    .all()
    .map(({ on, item, felt, pain, sign }) => ({ on, item, felt, pain, sign }));

/** What came in with a diary, by the numbers of its rows. */
export interface TakenDiary {
  readonly reports: readonly number[];
  readonly pains: readonly number[];
  readonly signs: readonly number[];
}

const keyOf = ({ on, item, felt, pain, sign }: HomeReport) =>
  JSON.stringify([on, item, felt, pain, sign]);

/**
 * Takes a diary in. What was taken in before is known again, so that a diary handed back every week
 * grows and repeats nothing. Pain and stop signs close what they close anywhere.
 *
 * @returns the rows that are new, for the way back
 */
export function addDiary(db: Db, personId: number, entries: readonly DiaryEntry[]): TakenDiary {
  const known = new Map<string, number>();
  for (const one of listHomeReports(db, personId)) {
    known.set(keyOf(one), (known.get(keyOf(one)) ?? 0) + 1);
  }
  const taken = { reports: [] as number[], pains: [] as number[], signs: [] as number[] };
  for (const { pain = null, sign = null, ...entry } of entries) {
    const row = { ...entry, pain, sign };
    const left = known.get(keyOf(row)) ?? 0;
    if (left > 0) {
      known.set(keyOf(row), left - 1);
      continue;
    }
    const report = db
      .insert(homeReport)
      .values({ personId, ...row })
      .returning({ id: homeReport.id })
      .get();
    taken.reports.push(report.id);
    if (pain !== null) {
      const values = { personId, place: pain, date: row.on };
      const made = db.insert(painReport).values(values).returning({ id: painReport.id }).get();
      taken.pains.push(made.id);
    }
    if (sign !== null && !isNoted(db, personId, sign, row.on)) {
      const values = { personId, sign, date: row.on };
      const made = db.insert(stopSign).values(values).returning({ id: stopSign.id }).get();
      taken.signs.push(made.id);
    }
  }
  return taken;
}

/** Takes a diary out again: what came in with it and nothing else. */
export function dropDiary(db: Db, personId: number, taken: TakenDiary): void {
  for (const [table, ids] of [
    [homeReport, taken.reports],
    [painReport, taken.pains],
    [stopSign, taken.signs],
  ] as const) {
    if (ids.length === 0) continue;
    db.delete(table)
      .where(and(eq(table.personId, personId), inArray(table.id, [...ids])))
      .run();
  }
}

const isNoted = (db: Db, personId: number, sign: NonNullable<HomeReport['sign']>, date: string) =>
  db
    .select({ id: stopSign.id })
    .from(stopSign)
    .where(and(eq(stopSign.personId, personId), eq(stopSign.sign, sign), eq(stopSign.date, date)))
    .get() !== undefined;

/**
 * Who reported from home that something hurt, or a sign to stop, and has not been asked about it
 * since. Pain: until the teacher notes that it is gone; a sign: until a clinician's word on it is
 * noted; either: until a screening on a later day.
 */
export function listToAsk(db: Db, people: readonly number[]): number[] {
  const ofThem = [...people];
  const rows = db
    .select({
      id: person.id,
      on: homeReport.on,
      pain: homeReport.pain,
      sign: homeReport.sign,
      clearedOn: person.painClearedOn,
      screenedOn: person.screenedOn,
    })
    .from(homeReport)
    .innerJoin(person, eq(person.id, homeReport.personId))
    .where(
      and(
        inArray(homeReport.personId, ofThem),
        or(isNotNull(homeReport.pain), isNotNull(homeReport.sign)),
      ),
    )
    .all();
  const words = db
    .select({ id: clearance.personId, notedOn: clearance.notedOn })
    .from(clearance)
    .where(and(inArray(clearance.personId, ofThem), eq(clearance.about, 'stop-sign')))
    .all();
  const isLater = (since: Day | null, on: Day) => since !== null && since > on;
  const isOpen = ({ id, on, pain, sign, clearedOn, screenedOn }: (typeof rows)[number]) => {
    if (isLater(screenedOn, on)) return false;
    const hasWord = words.some((word) => word.id === id && word.notedOn >= on);
    return (pain !== null && !isLater(clearedOn, on)) || (sign !== null && !hasWord);
  };
  return [...new Set(rows.filter(isOpen).map(({ id }) => id))];
}
