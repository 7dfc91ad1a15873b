import { comingMeeting, type Meeting } from '@/core/units/course';
import {
  findFirstCourse,
  getSettings,
  listPieces,
  type CourseRow,
  type Settings,
} from '@/db/courses';
import { findPerson, listCoursePeople } from '@/db/people';
import { listSetups, type SavedSetup } from '@/db/setups';
import { listRecords, type StoredRecord } from '@/db/records';
import { today } from './clock';
import { database } from './database';
import { judgePerson, type Judgement } from './judgement';
import type { BodyInput } from '@/core/body/body';
import type { PieceCount } from '@/core/catalog/pieces';
import type { ProfileId } from '@/core/catalog/profiles';
import type { Day } from '@/core/units/day';

export type { SavedSetup, StoredRecord };

export interface CourseView {
  readonly course: CourseRow;
  readonly meeting: Meeting;
  readonly settings: Settings;
  readonly today: Day;
  readonly people: readonly Judgement[];
}

export function readSettings(): Settings {
  return getSettings(database());
}

/** The course with everyone judged for its stage; `null` before there is a course. */
export function readCourse(): CourseView | null {
  const db = database();
  const course = findFirstCourse(db);
  if (course === null) return null;
  const day = today();
  const pieces = listPieces(db, course.id);
  const people = listCoursePeople(db, course.id);
  const byPerson = new Map<number, StoredRecord[]>(people.map(({ id }) => [id, []]));
  const setups = listSetups(db, [...byPerson.keys()]);
  for (const record of listRecords(db, [...byPerson.keys()])) {
    byPerson.get(record.personId)?.push(record);
  }
  return {
    course,
    meeting: comingMeeting(course.startsOn, day),
    settings: getSettings(db),
    today: day,
    people: people.map((person) =>
      judgePerson(person, byPerson.get(person.id) ?? [], {
        course,
        stage: course.stage,
        pieces,
        today: day,
        setups: setups.filter(({ personId }) => personId === person.id),
      }),
    ),
  };
}

export interface PersonView extends Judgement {
  readonly course: CourseRow;
  readonly meeting: Meeting;
  readonly records: readonly StoredRecord[];
  readonly settings: Settings;
  readonly today: Day;
}

/** One person judged for the course's stage; `null` when there is no such person or course. */
export function readPerson(id: number): PersonView | null {
  const db = database();
  const course = findFirstCourse(db);
  const person = findPerson(db, id);
  if (course === null || person === null) return null;
  const day = today();
  const records = listRecords(db, [id]);
  const pieces = listPieces(db, course.id);
  return {
    ...judgePerson(person, records, {
      course,
      stage: course.stage,
      pieces,
      today: day,
      setups: listSetups(db, [id]),
    }),
    course,
    meeting: comingMeeting(course.startsOn, day),
    records,
    settings: getSettings(db),
    today: day,
  };
}

export interface BenchPerson {
  readonly id: number;
  readonly name: string;
  readonly body: BodyInput;
  readonly setups: readonly SavedSetup[];
}

export interface BenchView {
  readonly people: readonly BenchPerson[];
  readonly settings: Settings;
  readonly pieces: readonly PieceCount[];
  readonly profile: ProfileId;
}

/** Bodies, cupboard and saved set-ups for the bench; the computing happens in the browser. */
export function readBench(): BenchView | null {
  const db = database();
  const course = findFirstCourse(db);
  if (course === null) return null;
  const people = listCoursePeople(db, course.id);
  const setups = listSetups(
    db,
    people.map(({ id }) => id),
  );
  return {
    people: people.map(({ id, name, body }) => ({
      id,
      name,
      body,
      setups: setups.filter(({ personId }) => personId === id),
    })),
    settings: getSettings(db),
    pieces: listPieces(db, course.id),
    profile: course.profile,
  };
}
