/** Courses, their evenings, who is enrolled and who came. */
import { exact } from '@/core/exact';
import { z } from 'zod';
import { lineOf, wordsOf } from '@/core/units/text';
import { getStageIn } from '@/core/catalog/school';
import { ladderIds } from '@/core/catalog/stage';
import { addDays, findDayNumber } from '@/core/units/day';
import {
  addCourse,
  addMeeting,
  enrol,
  findCourse,
  findMeeting,
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
import { database } from './database';
import { done, refuse, toProblems, type Outcome } from './result';
import { listProfileChoices, readSchool } from './schools';

const goneCourse = { form: 'This course is no longer here.' };
const goneMeeting = { form: 'This evening is no longer here.' };
const id = z.int().positive();
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
});

function checkProfile(db: Db, key: string): string | null {
  return listProfileChoices(db).some((choice) => choice.key === key)
    ? null
    : 'This profile is not in your list.';
}

/** A course with its weekly evenings, one for each week. */
export function createCourse(input: unknown): Outcome<number> {
  const parsed = courseForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  return database().transaction((tx) => {
    const wrong = checkProfile(tx, parsed.data.profile);
    if (wrong !== null) return refuse({ profile: wrong });
    const { startsOn, startsAt, place, weeks } = parsed.data;
    const course = addCourse(tx, { ...parsed.data, stage: 'FS10' });
    for (let week = 0; week < weeks; week += 1) {
      addMeeting(tx, {
        courseId: course,
        date: addDays(startsOn, 7 * week),
        startsAt,
        minutes: parsed.data.minutes,
        room: place,
        family: null,
        peak: null,
      });
    }
    return done(course);
  });
}

/** Name, place, profile. Dates belong to the evenings. */
export function changeCourse(course: unknown, input: unknown): Outcome {
  const parsed = courseForm.pick({ name: true, place: true, profile: true }).safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  return database().transaction((tx) => {
    const which = id.safeParse(course);
    if (!which.success || findCourse(tx, which.data) === null) return refuse(goneCourse);
    const wrong = checkProfile(tx, parsed.data.profile);
    if (wrong !== null) return refuse({ profile: wrong });
    saveCourse(tx, which.data, parsed.data);
    return done(undefined);
  });
}

export function dropCourse(course: unknown): Outcome {
  const which = id.safeParse(course);
  return database().transaction((tx) => {
    if (!which.success || findCourse(tx, which.data) === null) return refuse(goneCourse);
    removeCourse(tx, which.data);
    return done(undefined);
  });
}

export function changeEnrolment(course: unknown, person: unknown, isIn: unknown): Outcome {
  const [which, who, into] = [
    id.safeParse(course),
    id.safeParse(person),
    z.boolean().safeParse(isIn),
  ];
  return database().transaction((tx) => {
    if (!which.success || findCourse(tx, which.data) === null) return refuse(goneCourse);
    if (!who.success || !into.success || findPerson(tx, who.data) === null) {
      return refuse({ form: 'This person is no longer here.' });
    }
    if (into.data) enrol(tx, which.data, who.data);
    else withdraw(tx, which.data, who.data);
    return done(undefined);
  });
}

const meetingForm = z.strictObject({
  date: day,
  startsAt: clock,
  minutes,
  room: z.string().overwrite(lineOf).max(80, 'At most 80 signs.'),
  family: z.enum(ladderIds).nullable(),
  peak: z.string().max(60).nullable(),
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

/** @returns the id of the new evening */
export function createMeeting(course: unknown, input: unknown): Outcome<number> {
  const parsed = meetingForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  return database().transaction((tx) => {
    const which = id.safeParse(course);
    if (!which.success || findCourse(tx, which.data) === null) return refuse(goneCourse);
    if (listMeetings(tx, which.data).some(({ date }) => date === parsed.data.date)) {
      return refuse({ date: 'The course already meets on this day.' });
    }
    const peak = checkPeak(tx, parsed.data);
    if (!peak.ok) return peak;
    return done(addMeeting(tx, { courseId: which.data, ...parsed.data }));
  });
}

export function changeMeeting(meeting: unknown, input: unknown): Outcome {
  const parsed = meetingForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  return database().transaction((tx) => {
    const which = id.safeParse(meeting);
    const row = which.success ? findMeeting(tx, which.data) : null;
    if (row === null) return refuse(goneMeeting);
    const twin = listMeetings(tx, row.courseId).find(({ date }) => date === parsed.data.date);
    if (twin !== undefined && twin.id !== row.id) {
      return refuse({ date: 'The course already meets on this day.' });
    }
    const peak = checkPeak(tx, parsed.data);
    if (!peak.ok) return peak;
    saveMeeting(tx, row.id, parsed.data);
    return done(undefined);
  });
}

export function dropMeeting(meeting: unknown): Outcome {
  const which = id.safeParse(meeting);
  return database().transaction((tx) => {
    if (!which.success || findMeeting(tx, which.data) === null) return refuse(goneMeeting);
    removeMeeting(tx, which.data);
    return done(undefined);
  });
}

const attendanceForm = z.strictObject({
  came: z.boolean().optional(),
  note: z.string().overwrite(wordsOf).max(200, 'At most 200 signs.').optional(),
});

export function changeAttendance(meeting: unknown, person: unknown, input: unknown): Outcome {
  const parsed = attendanceForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  return database().transaction((tx) => {
    const [which, who] = [id.safeParse(meeting), id.safeParse(person)];
    if (!which.success || findMeeting(tx, which.data) === null) return refuse(goneMeeting);
    if (!who.success || findPerson(tx, who.data) === null) {
      return refuse({ form: 'This person is no longer here.' });
    }
    saveAttendance(tx, which.data, who.data, exact(parsed.data));
    return done(undefined);
  });
}
