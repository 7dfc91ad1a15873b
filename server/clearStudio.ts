import { unlinkSync } from 'node:fs';
import { listCourses } from '@/db/courses';
import { listPeople } from '@/db/people';
import { clearAll, eraseDeleted, listCopies } from '@/db/removal';
import { database, databaseFile } from './database';
import { done, refuse, type Outcome } from './result';
import { forgetStandings } from './standings';

export function isStudioEmpty(): boolean {
  const db = database();
  return listCourses(db).length === 0 && listPeople(db, true).length === 0;
}

/**
 * Empties everything, also the copies made at start-up.
 *
 * @param people how many people the caller saw; another number means that somebody was added since
 */
export function clearStudio(people: unknown): Outcome {
  const db = database();
  if (listPeople(db).length !== people) {
    return refuse({ form: 'The studio has changed meanwhile. Look again first.' });
  }
  db.transaction((tx) => clearAll(tx));
  eraseDeleted(db);
  for (const copy of listCopies(databaseFile())) unlinkSync(copy);
  forgetStandings();
  return done(undefined);
}
