/** The way back, the same on every screen that has one: what was, oldest first, and what is now. */
export interface History<T> {
  readonly past: readonly T[];
  readonly now: T;
}

/** Further back than anybody goes step by step. */
const mostSteps = 60;

export const beginHistory = <T>(now: T): History<T> => ({ past: [], now });

export const canGoBack = ({ past }: History<unknown>): boolean => past.length > 0;

export const goOn = <T>({ past, now }: History<T>, next: T): History<T> => ({
  past: [...past.slice(1 - mostSteps), now],
  now: next,
});

/** One step back; the same when there is none. */
export function goBack<T>(history: History<T>): History<T> {
  const last = history.past.at(-1);
  return last === undefined ? history : { past: history.past.slice(0, -1), now: last };
}
