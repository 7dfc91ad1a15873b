/** What somebody did, from a file into the tables: what is missing here is added, nothing is changed. */
import { and, eq } from 'drizzle-orm';
import type { StudioPerson } from '@/core/files/studioFile';
import type { Db } from './open';
import {
  attempt,
  attendance,
  checkRecord,
  decision,
  enrolment,
  homeReport,
  meeting,
  painReport,
  person,
  review,
  stopSign,
  upsideTime,
} from './schema';
import type { StudioCounts } from './studioCounts';
import { mapKey, type Names } from './studioNames';
import { readStudioPerson } from './studioRead';

interface Story {
  readonly classes: ReadonlyMap<string, number>;
  readonly courses: ReadonlyMap<number, number>;
  readonly others: ReadonlyMap<string, string>;
  readonly counts: StudioCounts;
  readonly names: Names;
}

/** What is the same thing seen: the place in a list does not count. */
const nameOf = (row: object) =>
  JSON.stringify(Object.entries(row).sort(([a], [b]) => (a < b ? -1 : 1)));

/** Rows that the table does not have yet, each as often as the file has it more. */
function missing<T extends object>(rows: readonly T[], here: readonly object[]): T[] {
  const left = new Map<string, number>();
  for (const row of here) left.set(nameOf(row), (left.get(nameOf(row)) ?? 0) + 1);
  return rows.filter((row) => {
    const count = left.get(nameOf(row)) ?? 0;
    left.set(nameOf(row), count - 1);
    return count <= 0;
  });
}

interface Origin {
  readonly class: string;
  readonly key: string;
}

type StoryTable =
  | typeof checkRecord
  | typeof attempt
  | typeof upsideTime
  | typeof stopSign
  | typeof painReport
  | typeof homeReport;

/** Rows in one statement: well under the most values that one may have. */
const mostAtOnce = 400;

/** Many rows in few statements: making a statement costs more than a row. */
function insertAll<Table extends StoryTable>(
  db: Db,
  table: Table,
  rows: readonly Table['$inferInsert'][],
): void {
  for (let from = 0; from < rows.length; from += mostAtOnce) {
    db.insert(table as StoryTable)
      .values(rows.slice(from, from + mostAtOnce) as (typeof attempt.$inferInsert)[])
      .onConflictDoNothing()
      .run();
  }
}

export function writeStory(
  db: Db,
  id: number,
  one: StudioPerson,
  { classes, courses, others, counts, names }: Story,
): void {
  const now = readStudioPerson(db, db.select().from(person).where(eq(person.id, id)).get()!, names);
  const own = { personId: id };
  const place = (from: Origin | undefined) => {
    const classId = from === undefined ? undefined : classes.get(from.class);
    return classId === undefined || from === undefined
      ? {}
      : { classId, originKey: mapKey(from.key, others) };
  };
  const records = missing(one.records, now.records);
  counts.recordsNew += records.length;
  counts.recordsKnown += one.records.length - records.length;
  insertAll(
    db,
    checkRecord,
    records.map(({ from, faults = [], ...row }) => ({ ...own, ...row, faults, ...place(from) })),
  );
  const placed = <Row extends { readonly from?: Origin | undefined }>(rows: readonly Row[]) =>
    rows.map(({ from, ...row }) => ({ ...own, ...row, ...place(from) }));
  insertAll(db, attempt, placed(missing(one.attempts, now.attempts)));
  insertAll(
    db,
    upsideTime,
    missing(one.upside, now.upside).map(({ class: from, ...row }) => ({
      ...own,
      ...row,
      classId: from === undefined ? null : (classes.get(from) ?? null),
    })),
  );
  insertAll(db, stopSign, placed(missing(one.signs, now.signs)));
  insertAll(db, painReport, placed(missing(one.pains, now.pains)));
  insertAll(
    db,
    homeReport,
    missing(one.homeReports, now.homeReports).map((row) => ({ ...own, ...row })),
  );
  const written: (number | null)[] = [];
  const strange = new Set(missing(one.decisions, now.decisions));
  for (const row of one.decisions) {
    const { corrects, grounds: told, ...values } = row;
    const { stoodAt, ...stoodOn } = told;
    const grounds = { ...stoodOn, ...(stoodAt === undefined ? {} : { stoodAt }) };
    const earlier = corrects === null ? null : (written[corrects] ?? null);
    written.push(
      strange.has(row)
        ? db
            .insert(decision)
            .values({ ...own, ...values, grounds, corrects: earlier })
            .returning({ id: decision.id })
            .get().id
        : null,
    );
  }
  for (const ref of one.enrolled) {
    const courseId = courses.get(ref);
    if (courseId === undefined) continue;
    db.insert(enrolment)
      .values({ ...own, courseId })
      .onConflictDoNothing()
      .run();
  }
  for (const { course: ref, date, came, note } of one.attendance) {
    const courseId = courses.get(ref);
    if (courseId === undefined) continue;
    const evening = db
      .select({ id: meeting.id })
      .from(meeting)
      .where(and(eq(meeting.courseId, courseId), eq(meeting.date, date)))
      .get();
    if (evening === undefined) continue;
    db.insert(attendance)
      .values({ ...own, meetingId: evening.id, came, note })
      .onConflictDoNothing()
      .run();
  }
  for (const { class: uid, doneOn, decision: at, besides = [] } of one.reviews) {
    const classId = classes.get(uid);
    if (classId === undefined) continue;
    const decisionId = at === null ? null : (written[at] ?? null);
    const besideIds = besides.flatMap((beside) => written[beside] ?? []);
    db.insert(review)
      .values({ ...own, classId, doneOn, decisionId, besideIds })
      .onConflictDoNothing()
      .run();
  }
}
