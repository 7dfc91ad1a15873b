/** Somebody new in a class that is running. */
import { z } from 'zod';
import { enrol } from '@/db/courses';
import { findFloorClass } from '@/db/floor';
import { findPerson, listPeople } from '@/db/people';
import { database } from '@/server/database';
import type { FloorBundle } from '@/server/running/floorBundle';
import { judgeAgain } from '@/server/running/floorJudge';
import { createPerson } from '@/features/people/change';
import { done, refuse, type Outcome } from '@/server/result';
import { change } from '@/server/useCase';

const goneClass = 'This class is no longer here.';
const aClass = z.string(goneClass).max(80, goneClass);

const joinForm = z.union(
  [
    z.strictObject({ person: z.int().positive() }),
    z.strictObject({ name: z.string(), height: z.string() }),
  ],
  'Write a name and a height, or choose somebody.',
);

/**
 * Lets somebody into a class that is running: somebody known, or somebody new by name and height.
 * They are added to the course as well.
 *
 * @returns their id, as the plan has it
 */
export const joinClass = change([aClass, joinForm], ({ db: tx }, uid, form): Outcome<string> => {
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
  enrol(tx, row.courseId, id);
  judgeAgain(tx, row, [id]);
  return done(String(id));
});

/** Who could still be let in: everybody of the studio who is not in the class yet. */
export function listOthers({ members }: FloorBundle): { id: number; name: string }[] {
  const here = new Set(members.map(({ id }) => id));
  return listPeople(database())
    .filter(({ id }) => !here.has(String(id)))
    .map(({ id, name }) => ({ id, name }));
}
