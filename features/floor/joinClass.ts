/** Somebody new in a class that is running. */
import { z } from 'zod';
import { enrol, withdraw } from '@/db/courses';
import { findFloorClass } from '@/db/floor';
import { findPerson, listCoursePeople, listPeople } from '@/db/people';
import { database } from '@/server/database';
import type { FloorBundle } from '@/server/running/floorBundle';
import { judgeAgain } from '@/server/running/floorJudge';
import { createPerson } from '@/features/people/change';
import { done, refuse, type Outcome } from '@/server/result';
import { aPerson, change } from '@/server/useCase';

const goneClass = 'This class is no longer here.';
const aClass = z.string(goneClass).max(80, goneClass);

const joinForm = z.union(
  [
    z.strictObject({ person: z.int().positive() }),
    z.strictObject({ name: z.string(), height: z.string() }),
  ],
  'Write a name and a height, or choose somebody.',
);

interface Joined {
  readonly person: string;
  readonly isEnrolledNow: boolean;
}

/**
 * Lets somebody into a class that is running: somebody known, or somebody new by name and height.
 * They are added to the course as well.
 *
 * @returns their id as the plan has it, and whether they are in the course only since now
 */
export const joinClass = change([aClass, joinForm], ({ db: tx }, uid, form): Outcome<Joined> => {
  const row = findFloorClass(tx, uid);
  if (row === null) return refuse({ form: goneClass });
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
  const isEnrolledNow = !listCoursePeople(tx, row.courseId).some((one) => one.id === id);
  enrol(tx, row.courseId, id);
  judgeAgain(tx, row, [id]);
  return done({ person: String(id), isEnrolledNow });
});

/** Takes a letting-in back: out of the course again. In the class they are away, as its taps say. */
export const leaveClass = change([aClass, aPerson], ({ db }, uid, person): Outcome => {
  const row = findFloorClass(db, uid);
  if (row === null) return refuse({ form: goneClass });
  withdraw(db, row.courseId, person.id);
  return done(undefined);
});

/** Who could still be let in: everybody of the studio who is not in the class yet. */
export function listOthers({ members }: FloorBundle): { id: number; name: string }[] {
  const here = new Set(members.map(({ id }) => id));
  return listPeople(database())
    .filter(({ id }) => !here.has(String(id)))
    .map(({ id, name }) => ({ id, name }));
}
