import { z } from 'zod';
import { listCourses } from '@/db/courses';
import { listPeople } from '@/db/people';
import { clearAll } from '@/db/removal';
import { noteInDiary } from '@/server/network/asking';
import { database } from '@/server/database';
import { finishErasing, noteErasing } from '@/server/files/erasing';
import { done, refuse, type Outcome } from '@/server/result';
import { work } from '@/server/useCase';
import { forgetJudged } from '@/server/judging/forget';

export function isStudioEmpty(): boolean {
  const db = database();
  return listCourses(db).length === 0 && listPeople(db, true).length === 0;
}

/**
 * Empties everything. The copies stay until they run out or are dropped on the Settings page.
 *
 * @param people how many people the caller saw; another number means that somebody was added since
 */
export const clearStudio = work([z.int().min(0)], ({ db }, people): Outcome => {
  if (listPeople(db).length !== people) {
    return refuse({ form: 'The studio has changed meanwhile. Look again first.' });
  }
  db.transaction((tx) => {
    clearAll(tx);
    noteErasing(tx);
    noteInDiary(tx, 'emptied');
  });
  finishErasing();
  forgetJudged();
  return done(undefined);
});
