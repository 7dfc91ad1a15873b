/** Somebody new in a class that is running, and somebody whose cautions changed meanwhile. */
import { z } from 'zod';
import { putPerson } from '@/core/compose/prepared';
import { enrol, findCourse } from '@/db/courses';
import { findFloorClass, listRunningClasses, saveBundle, type FloorClassRow } from '@/db/floor';
import type { Db } from '@/db/open';
import { findPerson, listPeople, type PersonRow } from '@/db/people';
import { prepareCourse } from './classViews';
import { today } from './clock';
import { database } from './database';
import { bundleOf } from './floor';
import { stagesOf, type FloorBundle, type FloorMember } from './floorBundle';
import { createPerson } from './peopleChanges';
import { done, refuse, type Outcome } from './result';
import { readSchool } from './schools';

const joinForm = z.union([
  z.strictObject({ person: z.int().positive() }),
  z.strictObject({ name: z.string(), height: z.string() }),
]);

/**
 * Lets somebody into a class that is running: somebody known, or somebody new by name and height.
 * They are added to the course as well.
 *
 * @returns their id, as the plan has it
 */
export function joinClass(uid: unknown, input: unknown): Outcome<string> {
  const parsed = joinForm.safeParse(input);
  if (!parsed.success) return refuse({ form: 'Write a name and a height, or choose somebody.' });
  const form = parsed.data;
  return database().transaction((tx) => {
    const row = typeof uid === 'string' ? findFloorClass(tx, uid) : null;
    if (row === null) return refuse({ form: 'This class is no longer here.' });
    if (row.endedMs !== null) return refuse({ form: 'This class has ended.' });
    let id: number;
    if ('person' in form) {
      id = form.person;
      if (findPerson(tx, id) === null) return refuse({ form: 'This person is no longer here.' });
    } else {
      const made = createPerson({ ...form, courseId: null });
      if (!made.ok) return made;
      id = made.value;
    }
    enrol(tx, row.courseId, id);
    judgeAgain(tx, row, [id]);
    return done(String(id));
  });
}

/** To be called wherever something changes that decides what somebody may do. */
export function judgeInRunningClasses(db: Db, person: number): void {
  for (const row of listRunningClasses(db, today())) {
    if (bundleOf(row).members.some(({ id }) => id === String(person)))
      judgeAgain(db, row, [person]);
  }
}

const asMember = ({ id, name, body, consent }: PersonRow): FloorMember => ({
  id: String(id),
  name,
  body,
  consent,
});

/** Judges these people as they are now and puts them into what the class goes by. */
function judgeAgain(db: Db, row: FloorClassRow, people: readonly number[]): void {
  const course = findCourse(db, row.courseId);
  if (course === null) return;
  let bundle: FloorBundle = bundleOf(row);
  const { plan, prepared } = bundle;
  const school = readSchool(db, prepared.profile.key);
  const wishes = { ...plan.wishes, families: [...prepared.families] };
  const now = prepareCourse(db, { course, school, day: row.day }, wishes);
  for (const id of people) {
    const person = findPerson(db, id);
    const judged = now.people.find((one) => one.id === String(id));
    if (person === null || judged === undefined) continue;
    const member = asMember(person);
    const { members } = bundle;
    bundle = {
      ...bundle,
      prepared: putPerson(bundle.prepared, judged),
      stages: { ...bundle.stages, ...stagesOf(school, [judged]) },
      members: members.some((one) => one.id === member.id)
        ? members.map((one) => (one.id === member.id ? member : one))
        : [...members, member],
    };
  }
  saveBundle(db, row.id, { ...bundle, revision: bundle.revision + 1 });
}

/** Who could still be let in: everybody of the studio who is not in the class yet. */
export function listOthers({ members }: FloorBundle): { id: number; name: string }[] {
  const here = new Set(members.map(({ id }) => id));
  return listPeople(database())
    .filter(({ id }) => !here.has(String(id)))
    .map(({ id, name }) => ({ id, name }));
}
