/**
 * Every sequence of rounds, not only the plain ones: those that a programme's dual prices say could
 * better it are found by a search that leaves out what cannot, and come in as columns (column
 * generation). What stays out is bounded, so that "proved" speaks of all of them.
 */
import { circleRow, standRow } from './circleRows';
import { cutRow, cutsOf } from './cuts';
import {
  listWalls,
  isFeasibleSequence,
  shareOf,
  weighSequence,
  type ComposePerson,
  type Pattern,
  type RoundOption,
  type RoundsProblem,
} from './problem';
import { keyOfPattern } from './plainPatterns';
import { rowNames } from './rowNames';
import { mayBeGiven, searchSequences, type Found } from './sequences';

/** What one more of each thing is worth to the programme, by the name of its row; 0 where absent. */
export type Duals = (row: string) => number;

export interface Pricing {
  /** The best first. */
  readonly columns: readonly Found[];
  /** No sequence that is not among the columns adds more than this. */
  readonly leftAtMost: number;
}

const pricingRules = {
  /** Sequences looked at for one person before the search gives up; then the bound says so. */
  mostSteps: 60_000,
} as const;

/** What an option takes in one round, in dual prices. */
function costOf(
  option: RoundOption | null,
  round: number,
  wallAt: number,
  duals: Duals,
  problem: RoundsProblem,
  person: number,
): number {
  if (option === null) return 0;
  let cost = 0;
  for (const cut of cutsOf(problem)) {
    const taken = cut.takenBy(option, wallAt);
    if (taken > 0) cost += taken * duals(cutRow(cut, round));
  }
  if (option.alongM !== undefined && wallAt >= 0) {
    const { side } = problem.walls[wallAt]!;
    if (side !== undefined) cost += duals(standRow(side, person, round));
    cost += option.alongM * duals(rowNames.wall(round, wallAt));
    cost += (option.isAttempt ? -1 : 1) * duals(rowNames.apart(round, wallAt));
  }
  for (const { piece, count } of option.pieces) {
    cost += count * duals(rowNames.piece(round, piece));
  }
  if (option.needsHand) cost += duals(rowNames.hands(round));
  if (option.needsCircle) {
    cost += duals(rowNames.circles(round));
    (problem.circleRules ?? []).forEach((_, rule) => (cost += duals(circleRow(rule, round))));
  }
  return cost;
}

interface Priceable {
  readonly person: ComposePerson;
  readonly index: number;
  /** The most that this student could have. */
  readonly best: number;
  /** Sequences worth this much or less are not asked for; absent: all are. */
  readonly worthAbove?: number;
  /** What a pattern counts for; its value in the plan where not given. */
  readonly scoreOf?: (pattern: Pattern) => number;
}

/**
 * The sequences of one student that add more than `over`.
 *
 * @param most columns wanted at the most
 * @param isKnown columns that are in the programme already
 */
export function priceSequences(
  { person, index, best, worthAbove = -Infinity, scoreOf = ({ value }) => value }: Priceable,
  problem: RoundsProblem,
  duals: Duals,
  over: number,
  most: number,
  isKnown: (key: string) => boolean,
): Pricing {
  const { done = 0 } = problem;
  const least = duals(rowNames.least(index));
  const base = -duals(rowNames.one(index));
  const walls = listWalls(person, problem);
  const searches = walls.map(({ wall, at, options }) => {
    const costs = new Map<RoundOption | null, number[]>();
    const costIn = (option: RoundOption | null, round: number): number => {
      const known = costs.get(option) ?? [];
      costs.set(option, known);
      return (known[round] ??= costOf(option, round, at, duals, problem, index));
    };
    return searchSequences(
      {
        person,
        problem,
        wall,
        choices: mayBeGiven(person, options),
        factor: 1 - (best > 0 ? least / best : 0),
        extra: (option, round) => -costIn(option, round),
        base,
        finish: (sequence) => {
          if (wall !== null && sequence.every((option) => option?.alongM === undefined))
            return null;
          if (isKnown(keyOfPattern({ options: sequence, wall }))) return null;
          if (!isFeasibleSequence(sequence, person, problem)) return null;
          const pattern = weighSequence(sequence, wall, person, problem);
          return pattern.worth > worthAbove ? pattern : null;
        },
        surplusOf: (pattern) =>
          scoreOf(pattern) -
          (best > 0 ? shareOf(pattern, best) * least : 0) +
          base -
          pattern.options.reduce(
            (cost, option, round) => (round < done ? cost : cost + costIn(option, round)),
            0,
          ),
      },
      over,
      most,
      Math.ceil(pricingRules.mostSteps / walls.length),
    );
  });
  const found = searches.flatMap((search) => search.found).sort((a, b) => b.surplus - a.surplus);
  const [next] = found.slice(most);
  return {
    columns: found.slice(0, most),
    leftAtMost: Math.max(
      over,
      ...searches.map(({ leftAtMost }) => leftAtMost),
      next?.surplus ?? -Infinity,
    ),
  };
}
