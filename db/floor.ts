/** Classes on the floor, their taps, and what is read from them into the record. */
import { and, asc, desc, eq, gt, inArray, isNotNull, isNull, max } from 'drizzle-orm';
import type { FloorPain, FloorRecord, FloorSign } from '@/core/running/records';
import type { Try } from '@/core/running/replay';
import type { Tap } from '@/core/running/tap';
import type { Day } from '@/core/units/day';
import { whileUnwritten } from './changes';
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
export type FloorClassHead = Pick<FloorClassRow, 'id' | 'uid' | 'day' | 'startedMs' | 'endedMs'>;
export type AttemptRow = typeof attempt.$inferSelect;
type CheckRecordRow = typeof checkRecord.$inferSelect;

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
export const listFloorClasses = whileUnwritten(
  (db, courseId: number): readonly FloorClassHead[] => {
    const { id, uid, day, startedMs, endedMs } = floorClass;
    return db
      .select({ id, uid, day, startedMs, endedMs })
      .from(floorClass)
      .where(eq(floorClass.courseId, courseId))
      .orderBy(desc(floorClass.day))
      .all();
  },
);

/** Classes that were begun on a day. */
export function listFloorClassesOn(db: Db, day: Day): FloorClassRow[] {
  return db.select().from(floorClass).where(eq(floorClass.day, day)).all();
}

/** Classes of a day that were begun and have not ended. */
export function listRunningClasses(db: Db, day: Day): FloorClassRow[] {
  return db
    .select()
    .from(floorClass)
    .where(and(eq(floorClass.day, day), isNull(floorClass.endedMs)))
    .all();
}

/** The class that ended last; one that still runs is not looked through yet. */
export const newestEnded = (db: Db): FloorClassRow | undefined =>
  db
    .select()
    .from(floorClass)
    .where(isNotNull(floorClass.endedMs))
    .orderBy(desc(floorClass.endedMs), desc(floorClass.id))
    .get();

export function saveBundle(db: Db, id: number, bundle: unknown): void {
  db.update(floorClass).set({ bundle }).where(eq(floorClass.id, id)).run();
}

export function addFloorClass(
  db: Db,
  values: { courseId: number; day: Day; startedMs: number; bundle: unknown },
): FloorClassRow {
  return db.insert(floorClass).values(values).returning().get();
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

/**
 * A row is written only where it says something new: a record keeps its place in its day, and a tap
 * late in a long evening costs no more than one at its beginning.
 */
export function saveClassResult(db: Db, classId: number, result: ClassResult): void {
  const { date } = result;
  const records = missingAfter(
    db,
    checkRecord,
    classId,
    result.records,
    ({ key }) => key,
    sameRecord,
  );
  for (const { key, personId, person: _, faults, ...record } of records) {
    const values = { ...record, faults: [...faults] };
    db.insert(checkRecord)
      .values({ classId, originKey: key, personId, date, breaths: null, pain: false, ...values })
      .onConflictDoUpdate({ target: [checkRecord.classId, checkRecord.originKey], set: values })
      .run();
  }
  for (const one of missingAfter(db, attempt, classId, result.tries, ({ id }) => id)) {
    const { id, personId, person: _p, atMs: _a, round: _r, aim: _aim, ...values } = one;
    db.insert(attempt)
      .values({ classId, originKey: id, personId, date, ...values })
      .run();
  }
  for (const one of missingAfter(db, stopSign, classId, result.signs, ({ key }) => key)) {
    const { key, personId, sign } = one;
    db.insert(stopSign).values({ classId, originKey: key, personId, sign, date }).run();
  }
  for (const one of missingAfter(db, painReport, classId, result.pains, ({ key }) => key)) {
    const { key, personId, place } = one;
    db.insert(painReport).values({ classId, originKey: key, personId, place, date }).run();
  }
  saveUpside(db, classId, date, result.upside);
}

type OriginTable = typeof checkRecord | typeof attempt | typeof stopSign | typeof painReport;
type RecordOf = ClassResult['records'][number];

const sameRecord = (row: CheckRecordRow, { value, stoppedByTeacher, faults }: RecordOf): boolean =>
  row.value === value &&
  row.stoppedByTeacher === stoppedByTeacher &&
  row.faults.join() === faults.join();

/**
 * Takes out what is no longer so: taken back in the meantime.
 *
 * @returns what is not stored yet, or not as it is now
 */
function missingAfter<Table extends OriginTable, Wanted>(
  db: Db,
  table: Table,
  classId: number,
  wanted: readonly Wanted[],
  keyOf: (one: Wanted) => string,
  isSame: (row: Table['$inferSelect'], one: Wanted) => boolean = () => true,
): Wanted[] {
  const kept = new Set(wanted.map(keyOf));
  const stored = new Map<string, Table['$inferSelect']>();
  const rows: Table['$inferSelect'][] = db
    .select()
    .from(table as OriginTable)
    .where(eq(table.classId, classId))
    .all();
  for (const row of rows) {
    if (row.originKey === null) continue;
    if (kept.has(row.originKey)) stored.set(row.originKey, row);
    else
      db.delete(table as OriginTable)
        .where(eq(table.id, row.id))
        .run();
  }
  return wanted.filter((one) => {
    const row = stored.get(keyOf(one));
    return row === undefined || !isSame(row, one);
  });
}

function saveUpside(db: Db, classId: number, date: Day, upside: ClassResult['upside']): void {
  const stored = new Map(
    db
      .select()
      .from(upsideTime)
      .where(eq(upsideTime.classId, classId))
      .all()
      .map((row) => [row.personId, row]),
  );
  const kept = new Set(upside.map(({ personId }) => personId));
  for (const { id, personId } of stored.values()) {
    if (!kept.has(personId)) db.delete(upsideTime).where(eq(upsideTime.id, id)).run();
  }
  for (const { personId, seconds } of upside) {
    if (stored.get(personId)?.seconds === seconds) continue;
    db.insert(upsideTime)
      .values({ classId, personId, date, seconds })
      .onConflictDoUpdate({ target: [upsideTime.classId, upsideTime.personId], set: { seconds } })
      .run();
  }
}

export function listReviews(db: Db, classId: number) {
  return db.select().from(review).where(eq(review.classId, classId)).all();
}

export function saveReview(
  db: Db,
  values: {
    classId: number;
    personId: number;
    doneOn: Day;
    decisionId: number | null;
    besideIds: readonly number[];
  },
): void {
  const { doneOn, decisionId, besideIds } = values;
  db.insert(review)
    .values(values)
    .onConflictDoUpdate({
      target: [review.classId, review.personId],
      set: { doneOn, decisionId, besideIds },
    })
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
