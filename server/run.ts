import { revalidatePath } from 'next/cache';
import { headers } from 'next/headers';
import { toTrouble, StudioTrouble } from '@/db/trouble';
import { readAsker } from './network/asker';
import { askingAs } from './network/asking';
import { databaseFile, noteTrouble } from './database';
import { isFor } from './network/guarded';
import { whenIdle } from './files/importing';
import { refuse, type Outcome } from './result';

const notYours = {
  form: 'This is the teacher’s. Sign in at the desk, or ask for the device to be let in.',
};

/** Words for what went wrong; what the driver says of the file itself is remembered for the next page. */
function wordsFor(error: unknown, usual: string): string {
  // The name alone: messages may quote what was typed, and that may be about somebody's health.
  console.error('A change failed:', error instanceof Error ? error.name : 'unknown');
  const trouble = toTrouble(error, databaseFile());
  if (!(trouble instanceof StudioTrouble)) return usual;
  switch (trouble.kind) {
    case 'full':
      return 'The disk is full: nothing was stored. Everything kept so far can still be read; free some space and try again.';
    case 'locked':
      return 'Another program holds the studio’s file and nothing was stored. End it and try again.';
    case 'damaged':
      noteTrouble(trouble);
      return `${trouble.message} Nothing was stored.`;
    case 'missing':
    case 'empty':
    case 'read-only':
    case 'closed':
    case 'newer':
    case 'foreign':
      return `${trouble.message} Nothing was stored.`;
  }
}

type Change<T> = () => Outcome<T> | Promise<Outcome<T>>;

/** Asks, as the teacher, for something that changes nothing. */
export async function look<T>(ask: Change<T>): Promise<Outcome<T>> {
  const asker = readAsker(await headers());
  if (!isFor('teacher', asker)) return refuse(notYours);
  try {
    return await askingAs(asker, ask);
  } catch (error) {
    return refuse({ form: wordsFor(error, 'That did not work. Try again.') });
  }
}

/**
 * Runs a change of the teacher's; whatever goes wrong inside stays inside, and the screens are read
 * anew. Every action goes through here or through `look`: both refuse whoever is not the teacher.
 *
 * @param isShown the screen that asks shows the change already, and sees to what others show
 */
export async function run<T>(change: Change<T>, isShown = false): Promise<Outcome<T>> {
  const asker = readAsker(await headers());
  if (!isFor('teacher', asker)) return refuse(notYours);
  try {
    await whenIdle();
    const outcome = await askingAs(asker, change);
    if (outcome.ok && !isShown) revalidatePath('/', 'layout');
    return outcome;
  } catch (error) {
    return refuse({
      form: wordsFor(error, 'That did not work and nothing was stored. Try again.'),
    });
  }
}
