/** Courses, their evenings, who is enrolled and who came. */
import { stageKey } from '@/core/catalog/keys';
import { exact } from '@/core/exact';
import { z } from 'zod';
import { lineOf, wordsOf } from '@/core/units/text';
import { getStageIn } from '@/core/catalog/school';
import { ladderIds } from '@/core/catalog/stage';
import { addDays, findDayNumber, type Day } from '@/core/units/day';
import {
  addCourse,
  addMeeting,
  enrol,
  listAttendance,
  listMeetings,
  removeCourse,
  removeMeeting,
  saveAttendance,
  saveCourse,
  saveMeeting,
  withdraw,
} from '@/db/courses';
import type { Db } from '@/db/open';
import { findPerson } from '@/db/people';
import { done, refuse, type Outcome } from '@/server/result';
import { aCourse, aMeeting, aPerson, change } from '@/server/useCase';
import { listProfileChoices, readSchool } from '@/server/judging/schools';

const day = z.string().refine((text) => findDayNumber(text) !== null, 'Write a date.');
const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write a time such as 18:30.');
const minutes = z.int('Whole minutes.').min(10, 'At least 10 min.').max(300, 'At most 300 min.');

const courseForm = z.strictObject({
  name: z.string().overwrite(lineOf).min(1, 'Write a name.').max(80, 'At most 80 signs.'),
  place: z.string().overwrite(lineOf).max(80, 'At most 80 signs.'),
  startsOn: day,
  startsAt: clock,
  minutes,
  weeks: z.int('Whole weeks.').min(1, 'At least one.').max(60, 'At most 60.'),
  profile: z.string().max(60),
  /** What the evenings are about; absent: as the peak of the course says. */
  family: z.enum(ladderIds).nullable().optional(),
});

function checkProfile(db: Db, key: string): string | null {
  return listProfileChoices(db).some((choice) => choice.key === key)
    ? null
    : 'This profile is not in your list.';
}

/** A course with its weekly evenings, one for each week. */
export const createCourse = change([courseForm], ({ db }, form): Outcome<number> => {
  const wrong = checkProfile(db, form.profile);
  if (wrong !== null) return refuse({ profile: wrong });
  const { startsOn, startsAt, place, weeks, family: _, ...rest } = form;
  const course = addCourse(db, { ...rest, startsOn, startsAt, place, weeks, stage: 'FS10' });
  for (let week = 0; week < weeks; week += 1) {
    addMeeting(db, {
      courseId: course,
      date: addDays(startsOn, 7 * week),
      startsAt,
      minutes: form.minutes,
      room: place,
      family: form.family ?? null,
      peak: null,
    });
  }
  return done(course);
});

/** Name, place, profile. Dates belong to the evenings. */
export const changeCourse = change(
  [aCourse, courseForm.pick({ name: true, place: true, profile: true })],
  ({ db }, course, form): Outcome => {
    const wrong = checkProfile(db, form.profile);
    if (wrong !== null) return refuse({ profile: wrong });
    saveCourse(db, course.id, form);
    return done(undefined);
  },
);

export const dropCourse = change([aCourse], ({ db }, course) => {
  removeCourse(db, course.id);
  return done(undefined);
});

export const changeEnrolment = change(
  [aCourse, aPerson, z.boolean()],
  ({ db }, course, person, isIn) => {
    if (isIn) enrol(db, course.id, person.id);
    else withdraw(db, course.id, person.id);
    return done(undefined);
  },
);

const meetingForm = z.strictObject({
  date: day,
  startsAt: clock,
  minutes,
  room: z.string().overwrite(lineOf).max(80, 'At most 80 signs.'),
  family: z.enum(ladderIds).nullable(),
  peak: stageKey.nullable(),
});

function checkPeak(db: Db, form: z.infer<typeof meetingForm>): Outcome {
  if (form.peak === null) return done(undefined);
  const school = readSchool(db, 'prop-led');
  if (!school.stages.has(form.peak)) return refuse({ peak: 'This stage is not in the catalog.' });
  if (getStageIn(school, form.peak).spec.family !== form.family) {
    return refuse({ peak: 'This stage is on another ladder.' });
  }
  return done(undefined);
}

/** Two evenings of a course on one day would be one. */
const isTaken = (db: Db, courseId: number, date: Day, own?: number) =>
  listMeetings(db, courseId).some((one) => one.date === date && one.id !== own);

const taken = { date: 'The course already meets on this day.' };

/** @returns the id of the new evening */
export const createMeeting = change(
  [aCourse, meetingForm],
  ({ db }, course, form): Outcome<number> => {
    if (isTaken(db, course.id, form.date)) return refuse(taken);
    const peak = checkPeak(db, form);
    if (!peak.ok) return peak;
    return done(addMeeting(db, { courseId: course.id, ...form }));
  },
);

export const changeMeeting = change([aMeeting, meetingForm], ({ db }, meeting, form): Outcome => {
  if (isTaken(db, meeting.courseId, form.date, meeting.id)) return refuse(taken);
  const peak = checkPeak(db, form);
  if (!peak.ok) return peak;
  saveMeeting(db, meeting.id, form);
  return done(undefined);
});

const droppedMeeting = z.strictObject({
  form: meetingForm,
  came: z
    .array(
      z.strictObject({
        personId: z.int().positive(),
        came: z.boolean(),
        note: z.string().max(1000),
      }),
    )
    .max(500),
});

/** An evening that was dropped, as it is needed to bring it back. */
export type DroppedMeeting = z.infer<typeof droppedMeeting>;

/** @returns what it takes to bring it back: who came goes with the evening */
export const dropMeeting = change([aMeeting], ({ db }, meeting): Outcome<DroppedMeeting> => {
  const { date, startsAt, minutes: length, room, family, peak } = meeting;
  const came = listAttendance(db, [meeting.id]).map(({ meetingId: _, ...one }) => one);
  removeMeeting(db, meeting.id);
  return done({ form: { date, startsAt, minutes: length, room, family, peak }, came });
});

/** An evening that was dropped, back in its course with who came. */
export const bringMeetingBack = change(
  [aCourse, droppedMeeting],
  ({ db }, course, { form, came }): Outcome => {
    if (isTaken(db, course.id, form.date)) return refuse({ form: taken.date });
    const added = addMeeting(db, { courseId: course.id, ...form });
    for (const { personId, ...one } of came) {
      // Whoever was deleted meanwhile stays so.
      if (findPerson(db, personId) !== null) saveAttendance(db, added, personId, one);
    }
    return done(undefined);
  },
);

const attendanceForm = z.strictObject({
  came: z.boolean().optional(),
  note: z.string().overwrite(wordsOf).max(200, 'At most 200 signs.').optional(),
});

export const changeAttendance = change(
  [aMeeting, aPerson, attendanceForm],
  ({ db }, meeting, person, form) => {
    saveAttendance(db, meeting.id, person.id, exact(form));
    return done(undefined);
  },
);
