import { revalidatePath } from 'next/cache';
import { refuse, type Outcome } from './result';

const isDiskFull = (error: unknown) => (error as { code?: unknown } | null)?.code === 'SQLITE_FULL';
const diskFullWords =
  'The disk is full: nothing was stored. Everything kept so far can still be read; free some space and try again.';

/** Asks for something that changes nothing. */
export async function look<T>(ask: () => Outcome<T>): Promise<Outcome<T>> {
  try {
    return ask();
  } catch (error) {
    console.error('A question failed:', error instanceof Error ? error.name : 'unknown');
    return refuse({ form: 'That did not work. Try again.' });
  }
}

/** Runs a change; whatever goes wrong inside stays inside, and the screens are read anew. */
export async function run<T>(change: () => Outcome<T>): Promise<Outcome<T>> {
  try {
    const outcome = change();
    if (outcome.ok) revalidatePath('/', 'layout');
    return outcome;
  } catch (error) {
    // The name alone: messages may quote what was typed, and that may be about somebody's health.
    console.error('A change failed:', error instanceof Error ? error.name : 'unknown');
    return refuse({
      form: isDiskFull(error)
        ? diskFullWords
        : 'That did not work and nothing was stored. Try again.',
    });
  }
}
