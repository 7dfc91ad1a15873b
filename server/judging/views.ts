/** What the opening screens and the bench read. */
import type { BodyInput } from '@/core/body/body';
import type { PieceCount } from '@/core/catalog/pieces';
import type { ProfileId, ProfileSettings } from '@/core/catalog/profiles';
import { measuredRanges } from '@/core/readiness/ranges';
import type { KeptDistance } from '@/core/setups/kept';
import type { Ranges } from '@/core/setups/setup';
import { getStageIn, type School } from '@/core/catalog/school';
import type { StageKey } from '@/core/catalog/stage';
import { comingMeeting } from '@/core/units/course';
import { byName } from '@/core/units/byName';
import { addDays, daysBetween, type Day } from '@/core/units/day';
import {
  findFirstCourse,
  getSettings,
  listCourses,
  listCoursesOf,
  listMeetings,
  type CourseRow,
  type Settings,
} from '@/db/courses';
import { listPieces } from '@/db/cupboards';
import { listFloorClasses } from '@/db/floor';
import type { Db } from '@/db/open';
import { findPerson, listCoursePeople, listPeople, type PersonRow } from '@/db/people';
import { listRecords, type StoredRecord } from '@/db/records';
import { listSetups, type SavedSetup } from '@/db/setups';
import { today } from '../clock';
import { database } from '../database';
import type { OpenedCase } from '@/core/ladder/case';
import { ruleOnShape, type ShapeRuling } from '@/core/ladder/shapeRuling';
import { shapeIds } from '@/core/shapes/registry';
import { readCase, readCases } from './cases';
import { judgePerson, type Judgement } from './judgement';
import { readSchool } from './schools';

export type { SavedSetup, StoredRecord };

/** The evening a course is about to have. */
export interface ComingMeeting {
  readonly date: Day;
  /** 1 for the first week. */
  readonly week: number;
  readonly startsAt: string;
  readonly minutes: number;
  readonly room: string;
  /** The stage everyone is judged for. */
  readonly stage: StageKey;
}

/** An evening that was held and ended is over: what comes is sought from the day after it. */
function fromDay(db: Db, courseId: number, day: Day): Day {
  const isOver = listFloorClasses(db, courseId).some(
    (held) => held.day === day && held.endedMs !== null,
  );
  return isOver ? addDays(day, 1) : day;
}

/**
 * The next planned meeting on or after a day that has not ended yet; the weekly rhythm where none
 * is planned.
 */
export function findComing(db: Db, course: CourseRow, school: School, day: Day): ComingMeeting {
  const from = fromDay(db, course.id, day);
  const planned = listMeetings(db, course.id);
  const index = planned.findIndex(({ date }) => date >= from);
  const next = planned[index];
  const stageOf = (peak: StageKey | null | undefined) =>
    peak && school.stages.has(peak)
      ? peak
      : school.stages.has(course.stage)
        ? course.stage
        : 'FS10';
  if (next === undefined) {
    const { startsAt, minutes, place } = course;
    const rhythm = comingMeeting(course.startsOn, from);
    return { ...rhythm, startsAt, minutes, room: place, stage: stageOf(null) };
  }
  return {
    date: next.date,
    week: index + 1,
    startsAt: next.startsAt,
    minutes: next.minutes,
    room: next.room === '' ? course.place : next.room,
    stage: stageOf(next.peak),
  };
}

export interface CourseView {
  readonly course: CourseRow;
  readonly meeting: ComingMeeting;
  readonly school: School;
  readonly stageLabel: string;
  readonly settings: Settings;
  readonly today: Day;
  readonly people: readonly Judgement[];
}

export function readSettings(): Settings {
  return getSettings(database());
}

/** The course that meets next; the first one where none is planned. */
export function findNextCourse(db: Db, day: Day): CourseRow | null {
  const courses = listCourses(db);
  const dated = courses.map((course) => {
    const from = fromDay(db, course.id, day);
    const next = listMeetings(db, course.id).find(({ date }) => date >= from);
    return { course, away: next ? daysBetween(day, next.date) : Infinity };
  });
  dated.sort((a, b) => a.away - b.away);
  return dated[0]?.course ?? null;
}

/**
 * Everybody who comes to something: who is in a course with an evening to come, or in the newest one
 * where none is planned; everybody there is while there is no course. Over the years hundreds more
 * stay on the list, whom no evening judges any more, and judging all of them takes seconds.
 */
export function listComing(db: Db, day: Day): readonly PersonRow[] {
  const courses = listCourses(db);
  const ahead = courses.filter(({ id }) => listMeetings(db, id).some(({ date }) => date >= day));
  const newest = courses.toSorted((a, b) => (a.startsOn < b.startsOn ? 1 : -1)).slice(0, 1);
  const people = (ahead.length > 0 ? ahead : newest).flatMap(({ id }) => listCoursePeople(db, id));
  if (people.length === 0) return listPeople(db);
  return [...new Map(people.map((one) => [one.id, one])).values()].sort(byName);
}

/** The course with everyone judged for the evening's stage; `null` before there is a course. */
export function readCourse(): CourseView | null {
  const db = database();
  const day = today();
  const course = findNextCourse(db, day);
  if (course === null) return null;
  const school = readSchool(db, course.profile);
  const meeting = findComing(db, course, school, day);
  const pieces = listPieces(db, course.id);
  const people = listCoursePeople(db, course.id);
  const cases = readCases(db, people, () => ({ school, day, pieces }));
  return {
    course,
    meeting,
    school,
    stageLabel: getStageIn(school, meeting.stage).spec.label,
    settings: getSettings(db),
    today: day,
    people: people.map((person) =>
      judgePerson(person, cases.get(person.id)!, { stage: meeting.stage, pieces }),
    ),
  };
}

export interface PersonView extends Judgement {
  /** The course the person is judged with: their own next one, or any. */
  readonly course: CourseRow | null;
  /** The evening judged for; today for who is in no course. */
  readonly date: Day;
  readonly stage: StageKey;
  readonly school: School;
  readonly records: readonly StoredRecord[];
  readonly setups: readonly SavedSetup[];
  readonly settings: Settings;
  readonly today: Day;
}

/** One person judged for their course's next evening; `null` when there is no such person. */
export function readPerson(id: number, asked?: StageKey): PersonView | null {
  const db = database();
  const person = findPerson(db, id);
  if (person === null) return null;
  const day = today();
  const course = findCourseOf(db, id, day);
  const school = readSchool(db, course?.profile ?? 'prop-led');
  const coming = course === null ? null : findComing(db, course, school, day);
  const stage = asked !== undefined && school.stages.has(asked) ? asked : (coming?.stage ?? 'FS10');
  const setups = listSetups(db, [id]);
  const pieces = course === null ? [] : listPieces(db, course.id);
  const opened = readCase(db, person, { school, day, pieces });
  return {
    ...judgePerson(person, opened, { stage, pieces }),
    course,
    date: coming?.date ?? day,
    stage,
    school,
    records: listRecords(db, [id]),
    setups,
    settings: getSettings(db),
    today: day,
  };
}

/** The course of a person that meets next; the studio's next one for who is in none. */
export function findCourseOf(db: Db, personId: number, day: Day): CourseRow | null {
  const own = listCoursesOf(db, personId);
  if (own.length === 0) return findNextCourse(db, day);
  const away = (course: CourseRow) =>
    listMeetings(db, course.id).find(({ date }) => date >= day)?.date ?? '9999-12-31';
  return [...own].sort((a, b) => (away(a) < away(b) ? -1 : 1))[0]!;
}

/** Somebody's case as their own course judges it, which meets next. */
export function readOwnCase(db: Db, person: PersonRow, day: Day) {
  const course = findCourseOf(db, person.id, day);
  const school = readSchool(db, course?.profile ?? 'prop-led');
  const pieces = course === null ? [] : listPieces(db, course.id);
  return { school, opened: readCase(db, person, { school, day, pieces }) };
}

export interface BenchPerson {
  readonly id: number;
  readonly name: string;
  readonly body: BodyInput;
  readonly setups: readonly SavedSetup[];
  readonly kept: readonly KeptDistance[];
  /** By shape, where care closes it today or asks for something. */
  readonly rulings: Readonly<Partial<Record<string, ShapeRuling>>>;
  readonly ranges: Ranges;
}

export interface BenchView {
  readonly people: readonly BenchPerson[];
  readonly settings: Settings;
  readonly pieces: readonly PieceCount[];
  readonly profile: ProfileId;
  readonly profileSettings: ProfileSettings;
  readonly today: Day;
}

/** Bodies, cupboard and saved set-ups for the bench; the computing happens in the browser. */
export function readBench(): BenchView | null {
  const db = database();
  const course = findNextCourse(db, today()) ?? findFirstCourse(db);
  const enrolled = course === null ? [] : listCoursePeople(db, course.id);
  const people = enrolled.length > 0 ? enrolled : listPeople(db);
  if (people.length === 0) return null;
  const ids = people.map(({ id }) => id);
  const setups = listSetups(db, ids);
  const school = readSchool(db, course?.profile ?? 'prop-led');
  const pieces = course === null ? [] : listPieces(db, course.id);
  const cases = readCases(db, people, () => ({ school, day: today(), pieces }));
  const rulingsOf = (opened: OpenedCase) => {
    return Object.fromEntries(
      shapeIds.flatMap((shape) => {
        const ruling = ruleOnShape(opened, shape);
        return ruling === null || (ruling.isOpen && ruling.watch.length === 0)
          ? []
          : [[shape, ruling] as const];
      }),
    );
  };
  return {
    people: people.map((person) => ({
      id: person.id,
      name: person.name,
      body: person.body,
      kept: person.kept,
      rulings: rulingsOf(cases.get(person.id)!),
      ranges: measuredRanges(cases.get(person.id)!.evidence, school, today()),
      setups: setups.filter(({ personId }) => personId === person.id),
    })),
    settings: getSettings(db),
    pieces,
    profile: school.profile.origin,
    profileSettings: school.settings,
    today: today(),
  };
}
