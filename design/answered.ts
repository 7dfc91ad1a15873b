import type { Outcome } from '@/server/result';

/**
 * What was asked of the studio, answered in any case: a connection that ends is an answer too. Without
 * it the error would take the screen's place, and what was typed with it. Whether it was done before the
 * answer was lost is not known here, and not said.
 *
 * @param words what is said where none came
 */
export async function answered<Value>(
  asked: Promise<Outcome<Value>>,
  words = 'No answer came: it may be kept all the same. Look before you try again.',
): Promise<Outcome<Value>> {
  try {
    return await asked;
  } catch {
    return { ok: false, problems: { form: words } };
  }
}
