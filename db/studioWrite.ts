/** The file that holds everything into the tables: what is here stays, what restricts is united. */
import { and, eq } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { StudioCourse, StudioFile, StudioHead, StudioPerson } from '@/core/files/studioFile';
import type { Sheet } from '@/core/plumb/marks';
import { aboutPeople } from '@/core/running/taps';
import { withOtherPeople } from './classPeople';
import { saveSettings } from './courses';
import type { Db } from './open';
import { pickCarried, unitePeople } from './personRegistry';
import { isRemoved } from './removal';
import {
  attempt,
  attendance,
  checkRecord,
  classPlan,
  clearance,
  course,
  cupboard,
  decision,
  enrolment,
  floorClass,
  floorTap,
  meeting,
  ownEntry,
  ownPiece,
  homeReport,
  painReport,
  person,
  personCaution,
  personLength,
  personPicture,
  personPlacing,
  personRung,
  profileVersion,
  review,
  room,
  savedSetup,
  stopSign,
  upsideTime,
} from './schema';
import { mapKey, readNames, type Names } from './studioNames';
import { readStudioPerson } from './studioRead';

/** What a file brought, or would bring. */
export interface StudioCounts {
  peopleNew: number;
  /** Here already: what is here stays, restrictions and records that are missing are added. */
  peopleKnown: number;
  /** Deleted here on request; they stay deleted. */
  peopleRemoved: number;
  recordsNew: number;
  recordsKnown: number;
  coursesNew: number;
  coursesKnown: number;
  classesNew: number;
  profilesNew: number;
  entriesNew: number;
}

/** Writes a file piece by piece, within one transaction; people first, then courses, then what people did. */
export class StudioWriter {
  readonly counts: StudioCounts = {
    peopleNew: 0,
    peopleKnown: 0,
    peopleRemoved: 0,
    recordsNew: 0,
    recordsKnown: 0,
    coursesNew: 0,
    coursesKnown: 0,
    classesNew: 0,
    profilesNew: 0,
    entriesNew: 0,
  };
  private readonly people = new Map<string, number>();
  private readonly others = new Map<string, string>();
  private readonly classes = new Map<string, number>();
  private readonly courses = new Map<number, number>();
  private pieces: ReadonlyMap<string, string> = new Map();
  private names: Names | null = null;

  constructor(private readonly db: Db) {}

  /** Settings only into an empty studio. */
  head({ settings, profiles, entries, ownPieces }: StudioHead): void {
    const { db, counts } = this;
    const isEmpty = db.select({ id: person.id }).from(person).limit(1).get() === undefined;
    if (isEmpty) saveSettings(db, settings);
    for (const profile of profiles) {
      const { changes } = db
        .insert(profileVersion)
        .values(profile as never)
        .onConflictDoNothing()
        .run();
      counts.profilesNew += changes;
    }
    for (const entry of entries) {
      counts.entriesNew += db.insert(ownEntry).values(entry).onConflictDoNothing().run().changes;
    }
    this.pieces = writePieces(db, ownPieces);
  }

  person(one: StudioPerson): void {
    const id = writePerson(this.db, one, this.counts);
    if (id === null) return;
    this.people.set(one.uid, id);
    this.others.set(one.uid, String(id));
  }

  /** After everybody's `person`. */
  course(one: StudioCourse): void {
    const { db, counts, others } = this;
    const twin = db
      .select()
      .from(course)
      .all()
      .find(({ name, startsOn }) => name === one.name && startsOn === one.startsOn);
    counts[twin === undefined ? 'coursesNew' : 'coursesKnown'] += 1;
    const id = twin?.id ?? addStudioCourse(db, one, this.pieces);
    this.courses.set(one.ref, id);
    for (const evening of one.meetings) {
      db.insert(meeting)
        .values({ courseId: id, ...evening })
        .onConflictDoNothing()
        .run();
    }
    for (const { day, wishes, plan } of one.plans) {
      db.insert(classPlan)
        .values({
          courseId: id,
          day,
          wishes: withOtherPeople(wishes, others),
          plan: plan === null ? null : withOtherPeople(plan, others),
        })
        .onConflictDoNothing()
        .run();
    }
    for (const held of one.classes) this.heldClass(id, held);
  }

  private heldClass(courseId: number, held: StudioCourse['classes'][number]): void {
    const { db, counts, others, classes } = this;
    const here = db.select().from(floorClass).where(eq(floorClass.uid, held.uid)).get();
    if (here !== undefined) {
      classes.set(held.uid, here.id);
      return;
    }
    const row = db
      .insert(floorClass)
      .values({
        uid: held.uid,
        courseId,
        day: held.day,
        startedMs: held.startedMs,
        endedMs: held.endedMs,
        bundle: withOtherPeople(held.bundle, others),
      })
      .onConflictDoNothing()
      .returning({ id: floorClass.id })
      .get();
    // Another class of this course on the same day is here already: what is here stays.
    if (row === undefined) return;
    counts.classesNew += 1;
    classes.set(held.uid, row.id);
    for (const one of held.taps) {
      const kept = others.size > 0 ? aboutPeople(one, others) : one;
      if (kept === null) continue;
      const payload = withOtherPeople(kept, others);
      const { device, seq } = one;
      db.insert(floorTap)
        .values({ classId: row.id, device, seq, kind: one.act.kind, payload })
        .onConflictDoNothing()
        .run();
    }
  }

  /** After every course. */
  story(one: StudioPerson): void {
    const id = this.people.get(one.uid);
    if (id === undefined) return;
    const { classes, courses, others, counts } = this;
    this.names ??= readNames(this.db);
    writeStory(this.db, id, one, { classes, courses, others, counts, names: this.names });
  }
}

function writePieces(db: Db, pieces: StudioFile['ownPieces']): ReadonlyMap<string, string> {
  const here = db.select().from(ownPiece).all();
  return new Map(
    pieces.map(({ id, ...piece }) => {
      const twin = here.find(
        (one) =>
          one.label === piece.label && one.loadedM === piece.loadedM && one.kind === piece.kind,
      );
      const own =
        twin?.id ?? db.insert(ownPiece).values(piece).returning({ id: ownPiece.id }).get().id;
      return [`own-${id}`, `own-${own}`];
    }),
  );
}

function addStudioCourse(
  db: Db,
  {
    ref: _,
    meetings: _m,
    cupboard: shelf,
    room: file,
    plans: _p,
    classes: _c,
    ...row
  }: StudioCourse,
  pieces: ReadonlyMap<string, string>,
): number {
  const { id } = db.insert(course).values(row).returning({ id: course.id }).get();
  for (const line of shelf) {
    const piece = (pieces.get(line.piece) ?? line.piece) as never;
    db.insert(cupboard)
      .values({ ...line, courseId: id, piece })
      .run();
  }
  if (file !== null) db.insert(room).values({ courseId: id, file }).run();
  return id;
}

/** @returns the id of who is, or now is, here; `null` for who was deleted on request */
function writePerson(db: Db, one: StudioPerson, counts: StudioCounts): number | null {
  if (isRemoved(db, one.uid)) {
    counts.peopleRemoved += 1;
    return null;
  }
  const here = db.select().from(person).where(eq(person.uid, one.uid)).get();
  if (here !== undefined) {
    counts.peopleKnown += 1;
    // What restricts is united, never dropped (handbook 07).
    for (const caution of one.cautions) {
      db.insert(personCaution)
        .values({ personId: here.id, ...caution })
        .onConflictDoNothing()
        .run();
    }
    db.update(person)
      .set(unitePeople('imported', here, one))
      .where(eq(person.id, here.id))
      .run();
    writePictures(db, here.id, one);
    return here.id;
  }
  counts.peopleNew += 1;
  const { id } = db.insert(person).values(pickCarried(one)).returning({ id: person.id }).get();
  const own = { personId: id };
  const add = (table: SQLiteTable, rows: readonly object[]) => {
    for (const row of rows) {
      db.insert(table)
        .values({ ...own, ...row })
        .run();
    }
  };
  add(personLength, one.lengths);
  add(personCaution, one.cautions);
  add(clearance, one.clearances);
  add(personRung, one.rungs);
  add(personPlacing, one.placings);
  add(savedSetup, one.setups);
  writePictures(db, id, one);
  return id;
}

/** Pictures by their own name; what the consent does not carry is left out by the table itself. */
function writePictures(db: Db, personId: number, { pictures }: StudioPerson): void {
  for (const { jpeg, ...row } of pictures) {
    db.insert(personPicture)
      .values({
        ...row,
        personId,
        sheet: row.sheet as Sheet,
        jpeg: jpeg === null ? null : Buffer.from(jpeg, 'base64'),
      })
      .onConflictDoNothing()
      .run();
  }
}

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

function writeStory(
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
    const { corrects, ...values } = row;
    const earlier = corrects === null ? null : (written[corrects] ?? null);
    written.push(
      strange.has(row)
        ? db
            .insert(decision)
            .values({ ...own, ...values, corrects: earlier })
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
  for (const { class: uid, doneOn, decision: at } of one.reviews) {
    const classId = classes.get(uid);
    if (classId === undefined) continue;
    db.insert(review)
      .values({ ...own, classId, doneOn, decisionId: at === null ? null : (written[at] ?? null) })
      .onConflictDoNothing()
      .run();
  }
}
