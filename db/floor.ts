/** Classes on the floor, their taps, and what is read from them into the record. */
import { and, asc, desc, eq, gt, inArray, isNull, max, notInArray, sql } from 'drizzle-orm';
import type { FloorPain, FloorRecord, FloorSign } from '@/core/floor/records';
import type { Try } from '@/core/floor/replay';
import type { Tap } from '@/core/floor/tap';
import type { Day } from '@/core/units/day';
import type { Db } from './open';
import {
  attempt,
  checkRecord,
  floorClass,
  floorTap,
  painReport,
  review,
  stopSign,
  upsideTime,
} from './schema';

export type FloorClassRow = typeof floorClass.$inferSelect;
export type AttemptRow = typeof attempt.$inferSelect;

export function findFloorClass(db: Db, uid: string): FloorClassRow | null {
  return db.select().from(floorClass).where(eq(floorClass.uid, uid)).get() ?? null;
}

export function findFloorClassOn(db: Db, courseId: number, day: Day): FloorClassRow | null {
  return (
    db
      .select()
      .from(floorClass)
      .where(and(eq(floorClass.courseId, courseId), eq(floorClass.day, day)))
      .get() ?? null
  );
}

/** Newest first, without what each began with. */
export function listFloorClasses(db: Db, courseId: number) {
  const { id, uid, day, startedMs, endedMs } = floorClass;
  return db
    .select({ id, uid, day, startedMs, endedMs })
    .from(floorClass)
    .where(eq(floorClass.courseId, courseId))
    .orderBy(desc(floorClass.day))
    .all();
}

/** Classes of a day that were begun and have not ended. */
export function listRunningClasses(db: Db, day: Day): FloorClassRow[] {
  return db
    .select()
    .from(floorClass)
    .where(and(eq(floorClass.day, day), isNull(floorClass.endedMs)))
    .all();
}

export function saveBundle(db: Db, id: number, bundle: unknown): void {
  db.update(floorClass).set({ bundle }).where(eq(floorClass.id, id)).run();
}

export function addFloorClass(
  db: Db,
  values: { courseId: number; day: Day; startedMs: number; bundle: unknown },
): FloorClassRow {
  return db.insert(floorClass).values(values).returning().get();
}

export function removeFloorClass(db: Db, id: number): void {
  db.delete(floorClass).where(eq(floorClass.id, id)).run();
}

export function saveEnded(db: Db, id: number, endedMs: number | null): void {
  db.update(floorClass).set({ endedMs }).where(eq(floorClass.id, id)).run();
}

/** Newest sequence number kept of a device, 0 for none. */
export function newestSeq(db: Db, classId: number, device: string): number {
  const row = db
    .select({ seq: max(floorTap.seq) })
    .from(floorTap)
    .where(and(eq(floorTap.classId, classId), eq(floorTap.device, device)))
    .get();
  return row?.seq ?? 0;
}

/** The tap that is kept under a number of a device. */
export function findTap(db: Db, classId: number, device: string, seq: number): Tap | undefined {
  const row = db
    .select({ payload: floorTap.payload })
    .from(floorTap)
    .where(and(eq(floorTap.classId, classId), eq(floorTap.device, device), eq(floorTap.seq, seq)))
    .get();
  return row?.payload as Tap | undefined;
}

export function addTaps(db: Db, classId: number, taps: readonly Tap[]): void {
  for (const one of taps) {
    db.insert(floorTap)
      .values({ classId, device: one.device, seq: one.seq, kind: one.act.kind, payload: one })
      .onConflictDoNothing()
      .run();
  }
}

/** Taps that arrived after a place in the row, in the order they arrived. */
export function listTaps(db: Db, classId: number, after = 0): { id: number; tap: Tap }[] {
  return db
    .select({ id: floorTap.id, payload: floorTap.payload })
    .from(floorTap)
    .where(and(eq(floorTap.classId, classId), gt(floorTap.id, after)))
    .orderBy(asc(floorTap.id))
    .all()
    .map(({ id, payload }) => ({ id, tap: payload as Tap }));
}

export interface ClassResult {
  readonly date: Day;
  readonly records: readonly (FloorRecord & { readonly personId: number })[];
  readonly tries: readonly (Try & { readonly personId: number })[];
  readonly signs: readonly (FloorSign & { readonly personId: number })[];
  readonly pains: readonly (FloorPain & { readonly personId: number })[];
  readonly upside: readonly { readonly personId: number; readonly seconds: number }[];
}

/** A row is written only where it says something new: a record keeps its place in its day. */
export function saveClassResult(db: Db, classId: number, result: ClassResult): void {
  const { date, records, tries, signs, pains, upside } = result;
  dropMissing(
    db,
    checkRecord,
    classId,
    records.map(({ key }) => key),
  );
  dropMissing(
    db,
    attempt,
    classId,
    tries.map(({ id }) => id),
  );
  dropMissing(
    db,
    stopSign,
    classId,
    signs.map(({ key }) => key),
  );
  dropMissing(
    db,
    painReport,
    classId,
    pains.map(({ key }) => key),
  );
  for (const { key, personId, person: _, faults, ...record } of records) {
    const values = { ...record, faults: [...faults] };
    db.insert(checkRecord)
      .values({ classId, originKey: key, personId, date, breaths: null, pain: false, ...values })
      .onConflictDoUpdate({
        target: [checkRecord.classId, checkRecord.originKey],
        set: values,
        setWhere: sql`${checkRecord.value} <> excluded.value
          or ${checkRecord.stoppedByTeacher} <> excluded.stopped_by_teacher
          or ${checkRecord.faults} <> excluded.faults`,
      })
      .run();
  }
  for (const { id, personId, person: _p, atMs: _a, round: _r, ...one } of tries) {
    db.insert(attempt)
      .values({ classId, originKey: id, personId, date, ...one })
      .onConflictDoNothing()
      .run();
  }
  for (const { key, personId, sign } of signs) {
    db.insert(stopSign)
      .values({ classId, originKey: key, personId, sign, date })
      .onConflictDoNothing()
      .run();
  }
  for (const { key, personId, place } of pains) {
    db.insert(painReport)
      .values({ classId, originKey: key, personId, place, date })
      .onConflictDoNothing()
      .run();
  }
  const people = upside.map(({ personId }) => personId);
  db.delete(upsideTime)
    .where(and(eq(upsideTime.classId, classId), notInArray(upsideTime.personId, [0, ...people])))
    .run();
  for (const { personId, seconds } of upside) {
    db.insert(upsideTime)
      .values({ classId, personId, date, seconds })
      .onConflictDoUpdate({ target: [upsideTime.classId, upsideTime.personId], set: { seconds } })
      .run();
  }
}

type OriginTable = typeof checkRecord | typeof attempt | typeof stopSign | typeof painReport;

/** What is no longer so: taken back in the meantime. */
function dropMissing(db: Db, table: OriginTable, classId: number, keys: readonly string[]): void {
  const kept = new Set(keys);
  const gone = db
    .select({ id: table.id, key: table.originKey })
    .from(table)
    .where(eq(table.classId, classId))
    .all()
    .filter(({ key }) => key !== null && !kept.has(key));
  for (const { id } of gone) db.delete(table).where(eq(table.id, id)).run();
}

export function listReviews(db: Db, classId: number) {
  return db.select().from(review).where(eq(review.classId, classId)).all();
}

export function saveReview(
  db: Db,
  values: { classId: number; personId: number; doneOn: Day; decisionId: number | null },
): void {
  const { doneOn, decisionId } = values;
  db.insert(review)
    .values(values)
    .onConflictDoUpdate({ target: [review.classId, review.personId], set: { doneOn, decisionId } })
    .run();
}

export function removeReview(db: Db, classId: number, personId: number): void {
  db.delete(review)
    .where(and(eq(review.classId, classId), eq(review.personId, personId)))
    .run();
}

/** What a class left in the record of each person, by hand entries left out. */
export function listClassRecords(db: Db, classId: number) {
  return db
    .select()
    .from(checkRecord)
    .where(eq(checkRecord.classId, classId))
    .orderBy(asc(checkRecord.id))
    .all();
}

/** Tries of some people after a day, oldest first. */
export function listAttempts(db: Db, personIds: readonly number[], from?: Day): AttemptRow[] {
  if (personIds.length === 0) return [];
  return db
    .select()
    .from(attempt)
    .where(
      and(
        inArray(attempt.personId, [...personIds]),
        ...(from === undefined ? [] : [gt(attempt.date, from)]),
      ),
    )
    .orderBy(asc(attempt.date), asc(attempt.id))
    .all();
}

/** Seconds upside down of some people after a day, oldest first. */
export function listUpsideTime(db: Db, personIds: readonly number[], from?: Day) {
  if (personIds.length === 0) return [];
  return db
    .select()
    .from(upsideTime)
    .where(
      and(
        inArray(upsideTime.personId, [...personIds]),
        ...(from === undefined ? [] : [gt(upsideTime.date, from)]),
      ),
    )
    .orderBy(asc(upsideTime.date))
    .all();
}

export type NewAttempt = Omit<AttemptRow, 'id' | 'classId' | 'originKey'>;

/** Tries and time from elsewhere than a class on the floor: a file, the made-up course. */
export function addAttempts(db: Db, rows: readonly NewAttempt[]): void {
  for (const row of rows) db.insert(attempt).values(row).run();
}

export function addUpsideTime(
  db: Db,
  rows: readonly { readonly personId: number; readonly date: Day; readonly seconds: number }[],
): void {
  for (const row of rows) db.insert(upsideTime).values(row).run();
}
