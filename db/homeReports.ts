/** What people reported from home. */
import { and, asc, eq, inArray, isNotNull, or } from 'drizzle-orm';
import type { DiaryEntry, HomeReport } from '@/core/home/diary';
import type { Day } from '@/core/units/day';
import type { Db } from './open';
import { homeReport, painReport, person, stopSign } from './schema';

/** Oldest first. */
export const listHomeReports = (db: Db, personId: number): HomeReport[] =>
  db
    .select()
    .from(homeReport)
    .where(eq(homeReport.personId, personId))
    .orderBy(asc(homeReport.on), asc(homeReport.id))
    .all()
    .map(({ on, item, felt, pain, sign }) => ({ on, item, felt, pain, sign }));

const keyOf = ({ on, item, felt, pain, sign }: HomeReport) =>
  JSON.stringify([on, item, felt, pain, sign]);

/**
 * Takes a diary in. What was taken in before is known again, so that a diary handed back every week
 * grows and repeats nothing. Pain and stop signs close what they close anywhere.
 *
 * @returns how many entries are new
 */
export function addDiary(db: Db, personId: number, entries: readonly DiaryEntry[]): number {
  const known = new Map<string, number>();
  for (const one of listHomeReports(db, personId)) {
    known.set(keyOf(one), (known.get(keyOf(one)) ?? 0) + 1);
  }
  let added = 0;
  for (const { pain = null, sign = null, ...entry } of entries) {
    const row = { ...entry, pain, sign };
    const left = known.get(keyOf(row)) ?? 0;
    if (left > 0) {
      known.set(keyOf(row), left - 1);
      continue;
    }
    db.insert(homeReport)
      .values({ personId, ...row })
      .run();
    if (pain !== null) db.insert(painReport).values({ personId, place: pain, date: row.on }).run();
    if (sign !== null && !isNoted(db, personId, sign, row.on)) {
      db.insert(stopSign).values({ personId, sign, date: row.on }).run();
    }
    added += 1;
  }
  return added;
}

const isNoted = (db: Db, personId: number, sign: NonNullable<HomeReport['sign']>, date: string) =>
  db
    .select({ id: stopSign.id })
    .from(stopSign)
    .where(and(eq(stopSign.personId, personId), eq(stopSign.sign, sign), eq(stopSign.date, date)))
    .get() !== undefined;

/**
 * Who reported from home that something hurt, or a sign to stop, and has not been asked about it
 * since: until the teacher notes that it is gone, or the day's screening was later.
 */
export function listToAsk(db: Db, people: readonly number[]): number[] {
  const rows = db
    .select({
      id: person.id,
      on: homeReport.on,
      clearedOn: person.painClearedOn,
      screenedOn: person.screenedOn,
    })
    .from(homeReport)
    .innerJoin(person, eq(person.id, homeReport.personId))
    .where(
      and(
        inArray(homeReport.personId, [...people]),
        or(isNotNull(homeReport.pain), isNotNull(homeReport.sign)),
      ),
    )
    .all();
  const isAsked = (on: Day, since: Day | null) => since !== null && since > on;
  return [
    ...new Set(
      rows
        .filter(
          ({ on, clearedOn, screenedOn }) => !isAsked(on, clearedOn) && !isAsked(on, screenedOn),
        )
        .map(({ id }) => id),
    ),
  ];
}
