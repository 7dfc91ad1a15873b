/** The file that holds everything into the tables: what is here stays, what restricts is united. */
import { eq } from 'drizzle-orm';
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
  classPlan,
  clearance,
  course,
  cupboard,
  floorClass,
  floorTap,
  meeting,
  ownEntry,
  ownPiece,
  person,
  personCaution,
  personLength,
  personPicture,
  personPlacing,
  personRung,
  profileVersion,
  room,
  savedSetup,
} from './schema';
import type { StudioCounts } from './studioCounts';
import { readNames, type Names } from './studioNames';
import { writeStory } from './studioStory';

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
