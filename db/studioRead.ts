/** The whole studio out of the tables, for the file that holds everything. */
import { asc, eq } from 'drizzle-orm';
import type { StudioCourse, StudioFile, StudioPerson } from '@/core/files/studioFile';
import type { RecordMeasureId } from '@/core/plumb/measureTable';
import type { Tap } from '@/core/running/tap';
import type { Day } from '@/core/units/day';
import { withOtherPeople } from './classPeople';
import { getSettings } from './courses';
import type { Db } from './open';
import { listHomeReports } from './homeReports';
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
import { pickCarried } from './personRegistry';
import { readNames, toOrigin, type Names } from './studioNames';

/** Everything but the people, who are read one by one. */
export function readStudioHead(db: Db, exportedOn: Day): Omit<StudioFile, 'people'> {
  const names = readNames(db);
  const { units, breathSeconds, studio } = getSettings(db);
  return {
    format: 'levitar-studio',
    version: 1,
    exportedOn,
    settings: { units, breathSeconds, studio },
    profiles: db
      .select()
      .from(profileVersion)
      .orderBy(asc(profileVersion.key), asc(profileVersion.version))
      .all() as StudioFile['profiles'],
    entries: db.select().from(ownEntry).all() as StudioFile['entries'],
    ownPieces: db.select().from(ownPiece).orderBy(asc(ownPiece.id)).all(),
    courses: db
      .select()
      .from(course)
      .orderBy(asc(course.id))
      .all()
      .map((row) => readStudioCourse(db, row, names)),
  };
}

function readStudioCourse(
  db: Db,
  { id, ...row }: typeof course.$inferSelect,
  { uids }: Names,
): StudioCourse {
  return {
    ref: id,
    ...row,
    meetings: db
      .select()
      .from(meeting)
      .where(eq(meeting.courseId, id))
      .orderBy(asc(meeting.date))
      .all()
      .map(({ id: _, courseId: _c, ...rest }) => rest),
    cupboard: db
      .select({ piece: cupboard.piece, count: cupboard.count, worn: cupboard.worn })
      .from(cupboard)
      .where(eq(cupboard.courseId, id))
      .all(),
    room: db.select().from(room).where(eq(room.courseId, id)).get()?.file ?? null,
    plans: db
      .select()
      .from(classPlan)
      .where(eq(classPlan.courseId, id))
      .orderBy(asc(classPlan.day))
      .all()
      .map(({ day, wishes, plan }) => ({
        day,
        wishes: withOtherPeople(wishes, uids),
        plan: plan === null ? null : withOtherPeople(plan, uids),
      })),
    classes: db
      .select()
      .from(floorClass)
      .where(eq(floorClass.courseId, id))
      .orderBy(asc(floorClass.id))
      .all()
      .map(({ id: classId, uid, day, startedMs, endedMs, bundle }) => ({
        uid,
        day,
        startedMs,
        endedMs,
        bundle: withOtherPeople(bundle, uids),
        taps: db
          .select()
          .from(floorTap)
          .where(eq(floorTap.classId, classId))
          .orderBy(asc(floorTap.id))
          .all()
          .map(({ payload }) => withOtherPeople(payload, uids) as Tap),
      })),
  };
}

/** People one after the other, so that a large studio never stands in memory as a whole. */
export function* readStudioPeople(db: Db): Generator<StudioPerson> {
  const names = readNames(db);
  for (const { id } of db.select({ id: person.id }).from(person).orderBy(asc(person.id)).all()) {
    const row = db.select().from(person).where(eq(person.id, id)).get();
    if (row !== undefined) yield readStudioPerson(db, row, names);
  }
}

export function readStudioPerson(
  db: Db,
  row: typeof person.$inferSelect,
  names: Names,
): StudioPerson {
  const { id } = row;
  const decisions = db
    .select()
    .from(decision)
    .where(eq(decision.personId, id))
    .orderBy(asc(decision.id))
    .all();
  const placeOf = (decisionId: number | null) => {
    const at = decisions.findIndex((one) => one.id === decisionId);
    return at < 0 ? null : at;
  };
  return {
    ...pickCarried(row),
    lengths: db
      .select()
      .from(personLength)
      .where(eq(personLength.personId, id))
      .all()
      .map(({ length, metres, typed }) => ({ length, metres, typed })),
    cautions: db
      .select()
      .from(personCaution)
      .where(eq(personCaution.personId, id))
      .all()
      .map(({ caution, notedOn }) => ({ caution, notedOn })),
    clearances: db
      .select()
      .from(clearance)
      .where(eq(clearance.personId, id))
      .orderBy(asc(clearance.id))
      .all()
      .map(({ about, covers, ladders, notedOn, until }) => ({
        about,
        covers,
        ladders,
        notedOn,
        until,
      })),
    signs: db
      .select()
      .from(stopSign)
      .where(eq(stopSign.personId, id))
      .orderBy(asc(stopSign.id))
      .all()
      .map((one) => ({ sign: one.sign, date: one.date, ...toOrigin(names, one) })),
    pains: db
      .select()
      .from(painReport)
      .where(eq(painReport.personId, id))
      .orderBy(asc(painReport.id))
      .all()
      .map((one) => ({ place: one.place, date: one.date, ...toOrigin(names, one) })),
    rungs: db
      .select()
      .from(personRung)
      .where(eq(personRung.personId, id))
      .all()
      .map(({ family, stage, since }) => ({ family, stage, since })),
    placings: db
      .select()
      .from(personPlacing)
      .where(eq(personPlacing.personId, id))
      .all()
      .map(({ family, stage, on }) => ({ family, stage, on })),
    homeReports: listHomeReports(db, id),
    pictures: db
      .select()
      .from(personPicture)
      .where(eq(personPicture.personId, id))
      .orderBy(asc(personPicture.id))
      .all()
      .map(({ uid, on, width, height, sheet, jpeg }) => ({
        uid,
        on,
        width,
        height,
        sheet: sheet as StudioPerson['pictures'][number]['sheet'],
        jpeg: jpeg?.toString('base64') ?? null,
      })),
    enrolled: db
      .select()
      .from(enrolment)
      .where(eq(enrolment.personId, id))
      .all()
      .map(({ courseId }) => courseId),
    attendance: db
      .select({
        course: meeting.courseId,
        date: meeting.date,
        came: attendance.came,
        note: attendance.note,
      })
      .from(attendance)
      .innerJoin(meeting, eq(meeting.id, attendance.meetingId))
      .where(eq(attendance.personId, id))
      .all(),
    records: db
      .select()
      .from(checkRecord)
      .where(eq(checkRecord.personId, id))
      .orderBy(asc(checkRecord.id))
      .all()
      .map((one) => ({
        check: one.check,
        date: one.date,
        value: one.value,
        ...(one.breaths === null ? {} : { breaths: one.breaths }),
        ...(one.stoppedByTeacher ? { stoppedByTeacher: true } : {}),
        ...(one.faults.length > 0 ? { faults: one.faults as never } : {}),
        ...(one.pain ? { pain: true } : {}),
        ...(one.painPlace === null ? {} : { painPlace: one.painPlace }),
        ...(one.side === null ? {} : { side: one.side }),
        ...(one.base === null ? {} : { base: one.base }),
        ...(one.readBy === null ? {} : { readBy: one.readBy }),
        ...(one.measure === null ? {} : { measure: one.measure as RecordMeasureId }),
        ...(one.readingError === null ? {} : { readingError: one.readingError }),
        ...toOrigin(names, one),
      })),
    attempts: db
      .select()
      .from(attempt)
      .where(eq(attempt.personId, id))
      .orderBy(asc(attempt.id))
      .all()
      .map(({ id: _, personId: _p, classId, originKey, ...one }) => ({
        ...one,
        ...toOrigin(names, { classId, originKey }),
      })),
    upside: db
      .select()
      .from(upsideTime)
      .where(eq(upsideTime.personId, id))
      .orderBy(asc(upsideTime.id))
      .all()
      .map(({ date, seconds, classId }) => {
        const own = classId === null ? undefined : names.classUids.get(classId);
        return { date, seconds, ...(own === undefined ? {} : { class: own }) };
      }),
    setups: db
      .select()
      .from(savedSetup)
      .where(eq(savedSetup.personId, id))
      .orderBy(asc(savedSetup.id))
      .all()
      .map(({ family, values, note, savedOn }) => ({ family, values, note, savedOn })),
    decisions: decisions.map(({ id: _, personId: _p, corrects, by, ...one }) => ({
      ...one,
      ...(by === '' ? {} : { by }),
      grounds: {
        ...one.grounds,
        reasons: [...one.grounds.reasons],
        figures: one.grounds.figures.map((figure) => ({ ...figure })),
      },
      corrects: placeOf(corrects),
    })),
    reviews: db
      .select()
      .from(review)
      .where(eq(review.personId, id))
      .all()
      .map((one) => ({
        class: names.classUids.get(one.classId) ?? '',
        doneOn: one.doneOn,
        decision: placeOf(one.decisionId),
        ...(one.besideIds.length === 0
          ? {}
          : { besides: one.besideIds.flatMap((beside) => placeOf(beside) ?? []) }),
      })),
  };
}
