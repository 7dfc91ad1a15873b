import type { Outcome } from '@/server/result';

/** Said where the connection ended: whether it was done before the answer was lost is not known here. */
const lostWords = 'No answer came: it may be kept all the same. Look before you try again.';
/** Said where the studio answered that it could not: what it had begun is not told. */
const faultWords =
  'The studio met a fault of its own. Look whether it was kept before you try again.';

/** What the framework makes of an error on the server: its words stay there, a number of it comes. */
const isFault = (error: unknown): boolean => error instanceof Error && 'digest' in error;

/**
 * What was asked of the studio, answered in any case: a connection that ends is an answer too, and so is
 * a fault of the studio. Without it the error would take the screen's place, and what was typed with it.
 *
 * @param words what is said where none came
 */
export async function answered<Value>(
  asked: Promise<Outcome<Value>>,
  words = lostWords,
): Promise<Outcome<Value>> {
  try {
    return await asked;
  } catch (error) {
    return { ok: false, problems: { form: isFault(error) ? faultWords : words } };
  }
}
