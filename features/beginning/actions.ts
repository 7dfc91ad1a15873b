'use server';

import { seedDemo } from '@/demo/course';
import { clearStudio, isStudioEmpty } from './clearStudio';
import { action } from '@/server/action';
import { copyBeforeIfPossible } from '@/server/copies/copies';
import { done, refuse, type Outcome } from '@/server/result';
import { change } from '@/server/useCase';

/** Fills an empty studio with the made-up one; no restart. */
export const startDemoAction = action(
  change([], ({ db, today }): Outcome => {
    if (!isStudioEmpty()) {
      return refuse({ form: 'There is something here already; clear it first.' });
    }
    seedDemo(db, today);
    return done(undefined);
  }),
);

/** Empties the studio after its people were counted out by whoever asked. */
export const clearStudioAction = action(clearStudio, () => copyBeforeIfPossible('deletion'));
