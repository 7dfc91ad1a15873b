import { and, asc, eq, gte, inArray, max, sql } from 'drizzle-orm';
import type { BaseId, CheckKey, FaultId } from '@/core/catalog/checks';
import type { PainPlace } from '@/core/catalog/regions';
import type { CheckRecord, Evidence, ReadBy, Side } from '@/core/readiness/record';
import type { Day } from '@/core/units/day';
import { whileUnwritten } from './changes';
import type { Db } from './open';
import { checkRecord } from './schema';

export interface StoredRecord extends CheckRecord {
  readonly id: number;
  readonly personId: number;
  readonly check: CheckKey;
  /** Set when breaths were counted. */
  readonly breaths: number | null;
}

export interface NewRecord {
  readonly personId: number;
  readonly check: CheckKey;
  readonly date: Day;
  readonly value: number;
  readonly breaths: number | null;
  readonly stoppedByTeacher: boolean;
  readonly faults: readonly FaultId[];
  readonly pain: boolean;
  readonly painPlace: PainPlace | null;
  readonly side: Side | null;
  readonly base: BaseId | null;
  /** Absent: by eye, by tape, by clock. */
  readonly readBy?: ReadBy;
  readonly measure?: string;
  readonly readingError?: number;
}

function toStored(row: typeof checkRecord.$inferSelect): StoredRecord {
  return {
    id: row.id,
    personId: row.personId,
    check: row.check,
    date: row.date,
    value: row.value,
    breaths: row.breaths,
    stoppedByTeacher: row.stoppedByTeacher,
    faults: row.faults as FaultId[],
    pain: row.pain,
    ...(row.painPlace === null ? {} : { painPlace: row.painPlace }),
    ...(row.side === null ? {} : { side: row.side }),
    ...(row.base === null ? {} : { base: row.base }),
    ...(row.readBy === null ? {} : { readBy: row.readBy }),
    ...(row.readingError === null ? {} : { readingError: row.readingError }),
  };
}

/**
 * Records of several people, oldest first, those of a day in the order entered.
 *
 * @param from the first day that is wanted; absent: all
 */
export function listRecords(db: Db, personIds: readonly number[], from?: Day): StoredRecord[] {
  if (personIds.length === 0) return [];
  return db
    .select()
    .from(checkRecord)
    .where(
      and(
        inArray(checkRecord.personId, [...personIds]),
        ...(from === undefined ? [] : [gte(checkRecord.date, from)]),
      ),
    )
    .orderBy(asc(checkRecord.date), asc(checkRecord.id))
    .all()
    .map(toStored);
}

/** The query behind a group's evidence: along the index, so that nothing is sorted. */
function evidenceQuery(db: Db, personIds: readonly number[]) {
  return db
    .select({
      personId: checkRecord.personId,
      check: checkRecord.check,
      date: checkRecord.date,
      value: checkRecord.value,
      stopped: checkRecord.stoppedByTeacher,
      faults: checkRecord.faults,
      pain: checkRecord.pain,
      painPlace: checkRecord.painPlace,
      side: checkRecord.side,
      base: checkRecord.base,
      readBy: checkRecord.readBy,
      readingError: checkRecord.readingError,
    })
    .from(checkRecord)
    .where(inArray(checkRecord.personId, [...personIds]))
    .orderBy(
      asc(checkRecord.personId),
      asc(checkRecord.check),
      asc(checkRecord.date),
      asc(checkRecord.id),
    );
}

type RawRow = [
  number,
  CheckKey,
  Day,
  number,
  number,
  string,
  number,
  PainPlace | null,
  Side | null,
  BaseId | null,
  ReadBy | null,
  number | null,
];

/**
 * What several people's verdicts stand on, by person and check. Rows come as plain arrays: a
 * studio's tens of thousands of records are read for every ladder view.
 */
export function readEvidence(db: Db, personIds: readonly number[]): Map<number, Evidence> {
  const people = new Map<number, Partial<Record<CheckKey, CheckRecord[]>>>();
  for (const id of personIds) people.set(id, {});
  if (personIds.length === 0) return people;
  const rows = evidenceQuery(db, personIds).values() as unknown as RawRow[];
  for (const row of rows) {
    const [personId, check, date, value, stopped, faults, pain, painPlace, side, base] = row;
    const [readBy, readingError] = [row[10], row[11]];
    const record: {
      -readonly [Key in keyof CheckRecord]: CheckRecord[Key];
    } = { date, value };
    if (stopped === 1) record.stoppedByTeacher = true;
    if (faults !== '[]') record.faults = JSON.parse(faults) as FaultId[];
    if (pain === 1) record.pain = true;
    if (painPlace !== null) record.painPlace = painPlace;
    if (side !== null) record.side = side;
    if (base !== null) record.base = base;
    if (readBy !== null) record.readBy = readBy;
    if (readingError !== null) record.readingError = readingError;
    const evidence = people.get(personId)!;
    const list = evidence[check];
    if (list === undefined) evidence[check] = [record];
    else list.push(record);
  }
  return people;
}

/** How SQLite goes about it: one line for each step. */
export function explainEvidence(db: Db, personIds: readonly number[]): string[] {
  const rows = db.all<{ detail: string }>(
    sql`EXPLAIN QUERY PLAN ${evidenceQuery(db, personIds).getSQL()}`,
  );
  return rows.map(({ detail }) => detail);
}

/** The newest day on which anything was seen of each person. */
export const listLastSeen = whileUnwritten((db): ReadonlyMap<number, Day> => {
  const rows = db
    .select({ personId: checkRecord.personId, last: max(checkRecord.date) })
    .from(checkRecord)
    .groupBy(checkRecord.personId)
    .all();
  return new Map(rows.flatMap(({ personId, last }) => (last === null ? [] : [[personId, last]])));
});

/** @returns the id of the new record */
export function addRecord(db: Db, record: NewRecord): number {
  const row = db
    .insert(checkRecord)
    .values({ ...record, faults: [...record.faults] })
    .returning({ id: checkRecord.id })
    .get();
  return row.id;
}

/** @returns whether there was such a record of that person */
export function removeRecord(db: Db, personId: number, id: number): boolean {
  const result = db
    .delete(checkRecord)
    .where(and(eq(checkRecord.id, id), eq(checkRecord.personId, personId)))
    .run();
  return result.changes > 0;
}
