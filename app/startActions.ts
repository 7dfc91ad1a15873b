'use server';

import { seedDemo } from '@/demo/course';
import { clearStudio } from '@/server/clearStudio';
import { copyBeforeIfPossible } from '@/server/copies/copies';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { refuse, done, type Outcome } from '@/server/result';
import { run } from '@/server/run';
import { isStudioEmpty } from '@/server/clearStudio';

/** Fills an empty studio with the made-up one; no restart. */
export async function startDemoAction(): Promise<Outcome> {
  return run(() => {
    if (!isStudioEmpty())
      return refuse({ form: 'There is something here already; clear it first.' });
    seedDemo(database(), today());
    return done(undefined);
  });
}

/** Empties the studio after its people were counted out by whoever asked. */
export async function clearStudioAction(people: number): Promise<Outcome> {
  return run(async () => {
    await copyBeforeIfPossible('deletion');
    return clearStudio(people);
  });
}
