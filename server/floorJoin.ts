/** Somebody new in a class that is running. */
import { z } from 'zod';
import { enrol } from '@/db/courses';
import { findFloorClass } from '@/db/floor';
import { findPerson, listPeople } from '@/db/people';
import { database } from './database';
import type { FloorBundle } from './floorBundle';
import { judgeAgain } from './floorJudge';
import { createPerson } from './peopleChanges';
import { done, refuse, type Outcome } from './result';

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

/** Who could still be let in: everybody of the studio who is not in the class yet. */
export function listOthers({ members }: FloorBundle): { id: number; name: string }[] {
  const here = new Set(members.map(({ id }) => id));
  return listPeople(database())
    .filter(({ id }) => !here.has(String(id)))
    .map(({ id, name }) => ({ id, name }));
}
