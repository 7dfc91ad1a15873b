/** What the room and the shelves as they are now change of the plan that is kept for the evening. */
import { readClass } from '@/server/judging/classViews';
import { done, type Outcome } from '@/server/result';
import { aCourse, work } from '@/server/useCase';

export interface TonightChange {
  /** Nothing is kept yet: there is nothing to change. */
  readonly hasPlan: boolean;
  /** In words; none: the plan stands. */
  readonly changes: readonly string[];
  /** What it could not know of when it was made: it stands, and may be bettered. */
  readonly gained: readonly string[];
}

export const tellTonight = work([aCourse], (_, course): Outcome<TonightChange> => {
  const view = readClass(course.id);
  return done({
    hasPlan: view !== null && view.kept !== null,
    changes: view?.outdated ?? [],
    gained: view?.gained ?? [],
  });
});
