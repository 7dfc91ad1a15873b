import { and, asc, eq, inArray } from 'drizzle-orm';
import type { PaperInk } from '@/core/drawing/palette';
import type { LadderId, StageKey } from '@/core/catalog/stage';
import type { Day } from '@/core/units/day';
import { whileUnwritten } from './changes';
import type { Db } from './open';
import { attendance, course, enrolment, meeting, settings } from './schema';

export type CourseRow = Readonly<typeof course.$inferSelect>;
type EnrolmentRow = Readonly<typeof enrolment.$inferSelect>;
export type MeetingRow = Readonly<typeof meeting.$inferSelect>;
export type AttendanceRow = typeof attendance.$inferSelect;

/** The first course there is. */
export const findFirstCourse = (db: Db): CourseRow | null => listCourses(db)[0] ?? null;

export const findCourse = (db: Db, id: number): CourseRow | null =>
  listCourses(db).find((one) => one.id === id) ?? null;

export const listCourses = whileUnwritten((db): readonly CourseRow[] =>
  db.select().from(course).orderBy(asc(course.id)).all(),
);

export type NewCourse = Omit<CourseRow, 'id'>;

/** @returns the id of the new course */
export function addCourse(db: Db, values: NewCourse): number {
  return db.insert(course).values(values).returning({ id: course.id }).get().id;
}

export function saveCourse(db: Db, id: number, values: Partial<NewCourse>): void {
  db.update(course).set(values).where(eq(course.id, id)).run();
}

export function removeCourse(db: Db, id: number): void {
  db.delete(course).where(eq(course.id, id)).run();
}

export function enrol(db: Db, courseId: number, personId: number): void {
  db.insert(enrolment).values({ courseId, personId }).onConflictDoNothing().run();
}

export function withdraw(db: Db, courseId: number, personId: number): void {
  db.delete(enrolment)
    .where(and(eq(enrolment.courseId, courseId), eq(enrolment.personId, personId)))
    .run();
}

/** Every enrolment there is: course and person. */
export const listEnrolments = whileUnwritten((db): readonly EnrolmentRow[] =>
  db.select().from(enrolment).all(),
);

/** The courses somebody is enrolled in, in the order of all courses. */
export const listCoursesOf = whileUnwritten((db, personId: number): readonly CourseRow[] => {
  const own = new Set(
    listEnrolments(db).flatMap((row) => (row.personId === personId ? [row.courseId] : [])),
  );
  return listCourses(db).filter(({ id }) => own.has(id));
});

export const listMeetings = whileUnwritten((db, courseId: number): readonly MeetingRow[] =>
  db.select().from(meeting).where(eq(meeting.courseId, courseId)).orderBy(asc(meeting.date)).all(),
);

export function findMeeting(db: Db, id: number): MeetingRow | null {
  return db.select().from(meeting).where(eq(meeting.id, id)).get() ?? null;
}

export interface NewMeeting {
  readonly courseId: number;
  readonly date: Day;
  readonly startsAt: string;
  readonly minutes: number;
  readonly room: string;
  readonly family: LadderId | null;
  readonly peak: StageKey | null;
}

/** @returns the id of the new meeting */
export function addMeeting(db: Db, values: NewMeeting): number {
  return db.insert(meeting).values(values).returning({ id: meeting.id }).get().id;
}

export function saveMeeting(db: Db, id: number, values: Partial<NewMeeting>): void {
  db.update(meeting).set(values).where(eq(meeting.id, id)).run();
}

export function removeMeeting(db: Db, id: number): void {
  db.delete(meeting).where(eq(meeting.id, id)).run();
}

export function listAttendance(db: Db, meetingIds: readonly number[]): AttendanceRow[] {
  if (meetingIds.length === 0) return [];
  return db
    .select()
    .from(attendance)
    .where(inArray(attendance.meetingId, [...meetingIds]))
    .all();
}

/** A person's evenings, newest first, with the line about each. */
export function listPersonMeetings(db: Db, personId: number) {
  return db
    .select({
      meetingId: meeting.id,
      date: meeting.date,
      course: course.name,
      family: meeting.family,
      came: attendance.came,
      note: attendance.note,
    })
    .from(attendance)
    .innerJoin(meeting, eq(meeting.id, attendance.meetingId))
    .innerJoin(course, eq(course.id, meeting.courseId))
    .where(eq(attendance.personId, personId))
    .orderBy(asc(meeting.date))
    .all()
    .reverse();
}

export function saveAttendance(
  db: Db,
  meetingId: number,
  personId: number,
  change: { readonly came?: boolean; readonly note?: string },
): void {
  db.insert(attendance)
    .values({ meetingId, personId, came: true, note: '', ...change })
    .onConflictDoUpdate({ target: [attendance.meetingId, attendance.personId], set: change })
    .run();
}

export interface Settings {
  readonly units: 'cm' | 'in';
  readonly breathSeconds: number;
  readonly paperInk: PaperInk;
  readonly studio: string;
  /** Load scale on the studio's network that the teacher has allowed. */
  readonly scaleAddress: string | null;
  /** What the teacher at the desk is called; empty: nothing given. */
  readonly deskName: string;
  readonly deskIdleMinutes: number;
  readonly deviceIdleDays: number;
  /** Changes whenever a copy is taken back. */
  readonly era: string;
  readonly erasePending: boolean;
}

const settingsId = 1;
const defaults: Settings = {
  units: 'cm',
  breathSeconds: 5,
  paperInk: 'tones',
  studio: '',
  scaleAddress: null,
  deskName: '',
  deskIdleMinutes: 10,
  deviceIdleDays: 90,
  era: '',
  erasePending: false,
};

export const getSettings = whileUnwritten(
  (db): Settings => db.select().from(settings).where(eq(settings.id, settingsId)).get() ?? defaults,
);

export function saveSettings(db: Db, change: Partial<Settings>): void {
  db.insert(settings)
    .values({ id: settingsId, ...defaults, ...change })
    .onConflictDoUpdate({ target: settings.id, set: change })
    .run();
}
