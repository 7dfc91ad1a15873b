import type { Outcome } from '@/server/result';

const noAnswer = { ok: false, problems: { form: 'No answer came. Try again.' } } as const;

/** What was asked of the studio, answered in any case: a connection that ends is an answer too. */
export const answered = <Value>(asked: Promise<Outcome<Value>>): Promise<Outcome<Value>> =>
  asked.catch(() => noAnswer);
