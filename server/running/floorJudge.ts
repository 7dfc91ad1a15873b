/** People of a class that is running, judged anew when something about them changes meanwhile. */
import { isDeepStrictEqual } from 'node:util';
import { putPerson } from '@/core/compose/prepared';
import { findCourse } from '@/db/courses';
import { listPieces } from '@/db/cupboards';
import { listRunningClasses, saveBundle, type FloorClassRow } from '@/db/floor';
import type { Db } from '@/db/open';
import { listPeopleById } from '@/db/people';
import { readCases } from '../judging/cases';
import { prepareCourse, toMember } from '../judging/classViews';
import { today } from '../clock';
import { atDoor, bundleOf, stagesOf, type FloorBundle, type FloorMember } from './floorBundle';
import { readSchool } from '../judging/schools';

const hasMember = (row: FloorClassRow, person: number) =>
  bundleOf(row).members.some(({ id }) => id === String(person));

/** Is somebody in a class of today that has not ended? */
export const isInRunningClass = (db: Db, person: number): boolean =>
  listRunningClasses(db, today()).some((row) => hasMember(row, person));

/** To be called wherever something changes that decides what somebody may do. */
export function judgeInRunningClasses(db: Db, person: number): void {
  for (const row of listRunningClasses(db, today())) {
    if (hasMember(row, person)) judgeAgain(db, row, [person]);
  }
}

/** The same for everybody: after a file that may restrict any of them. */
export function judgeAllInRunningClasses(db: Db): void {
  for (const row of listRunningClasses(db, today())) {
    judgeAgain(
      db,
      row,
      bundleOf(row).members.map(({ id }) => Number(id)),
    );
  }
}

/**
 * Judges people as they are now and puts them into what the class goes by. Where that says the same
 * as before nothing is written: a class that has not changed is not planned anew.
 */
export function judgeAgain(db: Db, row: FloorClassRow, ids: readonly number[]): void {
  const course = findCourse(db, row.courseId);
  if (course === null) return;
  const before = bundleOf(row);
  let bundle = before;
  const { plan, prepared, members } = bundle;
  // Those of the class, whether or not they are still enrolled.
  const people = listPeopleById(db, [...new Set([...members.map(({ id }) => Number(id)), ...ids])]);
  const school = readSchool(db, prepared.profile.key);
  const wishes = { ...plan.wishes, families: [...prepared.families] };
  const now = prepareCourse(db, { course, school, day: row.day, people }, wishes);
  const changed = people.filter((one) => ids.includes(one.id));
  const pieces = listPieces(db, course.id);
  const cases = readCases(db, changed, () => ({ school, day: row.day, pieces }));
  const say = atDoor(db, changed, row.day, cases);
  for (const person of changed) {
    const judged = now.people.find((one) => one.id === String(person.id))!;
    const member: FloorMember = {
      ...toMember(person, cases.get(person.id)!),
      ...say(person),
    };
    const isIn = bundle.members.some((one) => one.id === member.id);
    bundle = {
      ...bundle,
      prepared: putPerson(bundle.prepared, judged),
      stages: { ...bundle.stages, ...stagesOf(school, [judged]) },
      members: isIn
        ? bundle.members.map((one) => (one.id === member.id ? member : one))
        : [...bundle.members, member],
    };
  }
  if (isDeepStrictEqual(asKept(bundle), asKept(before))) return;
  const revision = bundle.revision + 1;
  const isOpened = ids.some((id) => hasOpened(String(id), before, bundle));
  saveBundle(db, row.id, { ...bundle, revision, ...(isOpened ? { openedAt: revision } : {}) });
}

/** Did care let go of something: pain that is gone, a word that was noted, a caution taken back? */
function hasOpened(id: string, before: FloorBundle, now: FloorBundle): boolean {
  const isSore = ({ members }: FloorBundle) =>
    members.some((one) => one.id === id && one.isSoreBefore === true);
  const closed = ({ prepared }: FloorBundle) =>
    (prepared.people.find((one) => one.id === id)?.refused ?? []).flatMap(
      ({ stage, opensWith: { word, gone } }) =>
        word === undefined && gone !== true ? [] : [stage],
    );
  const still = new Set(closed(now));
  return (isSore(before) && !isSore(now)) || closed(before).some((stage) => !still.has(stage));
}

/** As it is read back: what is not there and what is undefined are one. */
const asKept = (bundle: FloorBundle): unknown => JSON.parse(JSON.stringify(bundle));
