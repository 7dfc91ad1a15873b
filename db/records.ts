import { and, asc, eq, inArray } from 'drizzle-orm';
import type { BaseId, CheckId, FaultId } from '@/core/catalog/checks';
import type { Evidence } from '@/core/ladder/gate';
import type { CheckRecord, Side } from '@/core/readiness/record';
import type { Day } from '@/core/units/day';
import type { Db } from './open';
import { checkRecord } from './schema';

export interface StoredRecord extends CheckRecord {
  readonly id: number;
  readonly personId: number;
  readonly check: CheckId;
  /** Set when breaths were counted. */
  readonly breaths: number | null;
}

export interface NewRecord {
  readonly personId: number;
  readonly check: CheckId;
  readonly date: Day;
  readonly value: number;
  readonly breaths: number | null;
  readonly stoppedByTeacher: boolean;
  readonly faults: readonly FaultId[];
  readonly pain: boolean;
  readonly side: Side | null;
  readonly base: BaseId | null;
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
    ...(row.side === null ? {} : { side: row.side }),
    ...(row.base === null ? {} : { base: row.base }),
  };
}

/** Records of several people, oldest first, those of a day in the order entered. */
export function listRecords(db: Db, personIds: readonly number[]): StoredRecord[] {
  if (personIds.length === 0) return [];
  return db
    .select()
    .from(checkRecord)
    .where(inArray(checkRecord.personId, [...personIds]))
    .orderBy(asc(checkRecord.date), asc(checkRecord.id))
    .all()
    .map(toStored);
}

/** One person's records by check, as the ladder reads them. */
export function toEvidence(records: readonly StoredRecord[]): Evidence {
  const evidence: Partial<Record<CheckId, StoredRecord[]>> = {};
  for (const record of records) (evidence[record.check] ??= []).push(record);
  return evidence;
}

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
