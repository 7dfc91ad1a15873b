/** What a round is worth after those before it: one table, and how it adds up. Source: handbook 08. */
import type { RoundOption } from './problem';

/** Weights in one table (handbook 08). */
export const composeWeights = {
  /** Taken off for each change of option between rounds that is no step up. */
  change: 0.05,
  /** Taken off for going back down a rung that was worked up to: rounds build. */
  fall: 0.1,
  /** A round that is a step up from the one before. */
  climb: 0.1,
  /** The same thing once more, and every time after that, as shares of the first. */
  again: {
    hold: { once: 0.15, more: 0.05 },
    /** Tries are learned by trying. */
    attempt: { once: 0.85, more: 0.6 },
  },
  /** The share that is left of a rung which all have just done as a drill. */
  drilled: 0.35,
  /** For the least served, whose share of their own best counts this much for every student. */
  fairness: 0.6,
  /** Taking turns at one station halves the time at it, not the worth. */
  shared: 0.8,
  /** For a round that is not as it stood before a re-plan. */
  keep: 0.3,
  keepWall: 0.15,
  /** A pin gives way only to a hard rule. */
  pin: 20,
  /** The second drill for the same weak check is worth this share of the first. */
  drill: 0.12,
} as const;

/** What something is a version of: however it is made, it is the same thing again. */
export const kindOf = ({ same, id }: Pick<RoundOption, 'same' | 'id'>): string => same ?? id;

/** The share of its worth that something has when it was done so often before. */
export function shareAgain(isAttempt: boolean, isRest: boolean, times: number): number {
  if (times === 0 || isRest) return 1;
  const { once, more } = composeWeights.again[isAttempt ? 'attempt' : 'hold'];
  return times === 1 ? once : more;
}

/** What going from one thing to another adds, or takes. */
export function stepAdds(before: RoundOption | null | undefined, option: RoundOption): number {
  if (!before || before === option) return 0;
  const kind = kindOf(before);
  if (option.above?.includes(kind)) return composeWeights.climb;
  if (before.from?.includes(kindOf(option))) return -composeWeights.fall;
  return -composeWeights.change;
}

/**
 * What one more round adds to those before it.
 *
 * @param rounds so many of `before` are looked at; all of them where not given
 */
export function roundWorth(
  option: RoundOption | null,
  before: readonly (RoundOption | null)[],
  rounds: number = before.length,
): number {
  if (option === null) return 0;
  const kind = kindOf(option);
  let times = 0;
  for (let round = 0; round < rounds; round += 1) {
    const one = before[round];
    if (one && kindOf(one) === kind) times += 1;
  }
  return (
    option.value * shareAgain(option.isAttempt === true, option.isRest === true, times) +
    stepAdds(before[rounds - 1], option)
  );
}

/** A whole evening of one student. */
export function worthOf(options: readonly (RoundOption | null)[]): number {
  let worth = 0;
  options.forEach((option, round) => {
    worth += roundWorth(option, options, round);
  });
  return worth;
}
