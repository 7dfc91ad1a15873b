/**
 * Every sequence of rounds, not only the plain ones: those that a programme's dual prices say could
 * better it are found by a search that leaves out what cannot, and come in as columns (column
 * generation). What stays out is bounded, so that "proved" speaks of all of them.
 */
import {
  composeWeights,
  isFeasibleSequence,
  listWalls,
  openRounds,
  settleSequence,
  shareOf,
  weighSequence,
  type ComposePerson,
  type Pattern,
  type RoundOption,
  type RoundsProblem,
} from './problem';

/** What one more of each thing is worth to the programme, by the name of its row; 0 where absent. */
export type Duals = (row: string) => number;

/** What a pattern adds to the programme beyond what it takes. */
interface Priced {
  readonly pattern: Pattern;
  readonly surplus: number;
}

export interface Pricing {
  /** The best first. */
  readonly columns: readonly Priced[];
  /** No sequence that is not among the columns adds more than this. */
  readonly leftAtMost: number;
}

export const pricingRules = {
  /** Sequences looked at for one person before the search gives up; then the bound says so. */
  mostSteps: 60_000,
} as const;

const columnKey = ({ options, wall }: Pick<Pattern, 'options' | 'wall'>) =>
  `${options.map((option) => option?.id ?? '').join('|')}@${wall ?? ''}`;

export const keyOfPattern = columnKey;

/** What an option takes in one round, in dual prices. */
function costOf(option: RoundOption | null, round: number, wallAt: number, duals: Duals): number {
  if (option === null) return 0;
  let cost = 0;
  if (option.alongM !== undefined && wallAt >= 0) {
    cost += option.alongM * duals(`wall${round}_${wallAt}`);
    cost += (option.isAttempt ? -1 : 1) * duals(`apart${round}_${wallAt}`);
  }
  for (const { piece, count } of option.pieces) {
    cost += count * duals(`piece${round}_${piece.replaceAll('-', '_')}`);
  }
  if (option.needsHand) cost += duals(`hands${round}`);
  if (option.needsCircle) cost += duals(`circles${round}`);
  return cost;
}

interface Priceable {
  readonly person: ComposePerson;
  readonly index: number;
  /** The most that this student could have. */
  readonly best: number;
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
  { person, index, best, scoreOf = ({ value }) => value }: Priceable,
  problem: RoundsProblem,
  duals: Duals,
  over: number,
  most: number,
  isKnown: (key: string) => boolean,
): Pricing {
  const least = duals(`least${index}`);
  const factor = 1 - (best > 0 ? least / best : 0);
  const change = composeWeights.change * factor;
  const open = openRounds(person, problem);
  const found: Priced[] = [];
  let leftAtMost = over;
  let steps = 0;
  for (const { wall, at, options } of listWalls(person, problem)) {
    const choices: readonly (RoundOption | null)[] = [...options, null];
    const worth = open.map((round) =>
      choices.map((option) => (option?.value ?? 0) * factor - costOf(option, round, at, duals)),
    );
    // The best that the rounds to come can add, whatever is chosen in them.
    const ahead = open.map((_, from) =>
      worth.slice(from).reduce((sum, row) => sum + Math.max(...row), 0),
    );
    const spare = Math.max(0, -change) * Math.max(0, open.length - 1);
    const chosen: (RoundOption | null)[] = [];
    const behind = settleSequence([], [], person, problem);
    const past = behind.reduce(
      (sum, option) => sum + Math.max(0, (option?.value ?? 0) * factor),
      0,
    );
    const tried = behind.filter((option) => option?.isAttempt).length;
    const base = -duals(`one${index}`);
    const visit = (depth: number, sum: number, tries: number): void => {
      if (steps > pricingRules.mostSteps) {
        leftAtMost = Math.max(leftAtMost, sum + (ahead[depth] ?? 0) + spare);
        return;
      }
      steps += 1;
      if (depth === open.length) {
        const options = settleSequence(chosen, open, person, problem);
        if (wall !== null && options.every((option) => option?.alongM === undefined)) return;
        if (isKnown(columnKey({ options, wall }))) return;
        if (!isFeasibleSequence(options, person, problem)) return;
        const pattern = weighSequence(options, wall, person, problem);
        const surplus =
          scoreOf(pattern) -
          (best > 0 ? shareOf(pattern, best) * least : 0) +
          base -
          options.reduce(
            (cost, option, round) =>
              round < (problem.done ?? 0) ? cost : cost + costOf(option, round, at, duals),
            0,
          );
        if (surplus > over) found.push({ pattern, surplus });
        return;
      }
      const before = chosen[depth - 1] ?? null;
      choices.forEach((option, choice) => {
        const moves =
          depth > 0 && option !== null && before !== null && option !== before ? change : 0;
        const next = sum + worth[depth]![choice]! - moves;
        if (next + (ahead[depth + 1] ?? 0) + spare <= over) return;
        const now = tries + (option?.isAttempt ? 1 : 0);
        if (option?.isAttempt && now > person.mostAttempts) return;
        chosen[depth] = option;
        visit(depth + 1, next, now);
      });
    };
    visit(0, base + past, tried);
  }
  found.sort((a, b) => b.surplus - a.surplus);
  const columns = found.slice(0, most);
  const [next] = found.slice(most);
  return { columns, leftAtMost: Math.max(leftAtMost, next?.surplus ?? -Infinity) };
}
