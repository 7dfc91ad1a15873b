/**
 * What to get next: for the coming class and for the course as a whole, which pieces would serve
 * how many students, found by composing each class again with more of them.
 */
import type { Highs } from 'highs';
import { withMore } from './binding';
import { poseClass } from './pose';
import type { PreparedClass, Wishes } from './prepared';
import { bestWorth, labelled, shareOf, type RoundsProblem } from './problem';
import { listPatterns } from './plainPatterns';
import { solveRounds, usualSolve, type RoundsPlan } from './solve';
import { moreLabel, rowLabel } from '../pieces/rows';
import { firstUp } from '../units/words';

/** One kind of evening, and how many of the weeks to come are like it. */
export interface CourseClass {
  readonly prepared: PreparedClass;
  readonly wishes: Wishes;
  readonly weeks: number;
}

export interface Purchase {
  readonly row: string;
  /** What a piece of one's own is called. */
  readonly label?: string;
  readonly count: number;
  /** What it adds over the weeks to come. */
  readonly gain: number;
  /** Students who would have more of what they could have, in some week. */
  readonly serves: readonly string[];
  readonly weeks: number;
}

/** Amounts that are tried; the smallest with nearly all of the gain is named. */
const amounts = [1, 2, 3, 4, 6, 8] as const;
const nearlyAll = 0.9;
const most = amounts[amounts.length - 1]!;
/** A share that rises by less than this is no service. */
const leastShareGain = 0.03;
const shortSolve = { ...usualSolve, mostNodes: 60, mostColumns: 800 };

interface Base {
  readonly problem: RoundsProblem;
  readonly plan: RoundsPlan;
  readonly bests: readonly number[];
  readonly weeks: number;
}

interface Gain {
  readonly gain: number;
  readonly serves: ReadonlySet<string>;
  readonly weeks: number;
}

function tryRow(highs: Highs, bases: readonly Base[], row: string, more: number): Gain {
  let gain = 0;
  let weeks = 0;
  const serves = new Set<string>();
  for (const { problem, plan, bests, weeks: own } of bases) {
    const wants = problem.people.some(({ options }) =>
      options.some(({ pieces }) => pieces.some(({ piece }) => piece === row)),
    );
    if (!wants) continue;
    const other = solveRounds(
      highs,
      withMore(problem, [{ what: 'piece', id: row, more }]),
      shortSolve,
    );
    const added = other.objective - plan.objective;
    // Within what is not proved, nothing is claimed.
    if (added <= plan.bound - plan.objective + 1e-6) continue;
    gain += added * own;
    weeks += own;
    problem.people.forEach(({ id }, index) => {
      const rise =
        shareOf(other.assignment[index]!, bests[index]!) -
        shareOf(plan.assignment[index]!, bests[index]!);
      if (rise > leastShareGain) serves.add(id);
    });
  }
  return { gain, serves, weeks };
}

/** The cupboard is the same in all of them. */
const nameOf = ([first]: readonly Base[], row: string) =>
  first === undefined ? {} : labelled(first.problem, row);

/**
 * What to get, the most telling first: gain over the weeks to come for each piece.
 *
 * @param onStep told after each row of the cupboard
 */
export function findPurchases(
  highs: Highs,
  classes: readonly CourseClass[],
  onStep?: (done: number, of: number) => void,
): Purchase[] {
  const bases = classes.map(({ prepared, wishes, weeks }): Base => {
    const { problem } = poseClass(highs, prepared, wishes);
    return {
      problem,
      plan: solveRounds(highs, problem, { ...shortSolve, seed: wishes.seed }),
      bests: problem.people.map((person) => bestWorth(listPatterns(person, problem))),
      weeks,
    };
  });
  const rows = new Set(
    bases.flatMap(({ problem }) =>
      problem.people.flatMap(({ options }) =>
        options.flatMap(({ pieces }) => pieces.map(({ piece }) => piece as string)),
      ),
    ),
  );
  const purchases: Purchase[] = [];
  [...rows].forEach((row, index) => {
    const all = tryRow(highs, bases, row, most);
    if (all.gain > 0) {
      for (const count of amounts) {
        const found = count === most ? all : tryRow(highs, bases, row, count);
        if (found.gain < nearlyAll * all.gain) continue;
        const { gain, serves, weeks } = found;
        purchases.push({ row, ...nameOf(bases, row), count, gain, weeks, serves: [...serves] });
        break;
      }
    }
    onStep?.(index + 1, rows.size);
  });
  return purchases.sort((a, b) => b.gain / b.count - a.gain / a.count);
}

/** `6 more blocks would serve 11 students; the next best buy is 2 straps.` */
export function purchaseWords(purchases: readonly Purchase[]): string {
  if (purchases.length === 0) return 'The cupboard holds what these classes can use.';
  const [first, second] = purchases;
  const who = first!.serves.length;
  const serves =
    who === 0
      ? 'would serve the class a little'
      : `would serve ${who} ${who === 1 ? 'student' : 'students'}`;
  const next =
    second === undefined
      ? ''
      : `; the next best buy is ${rowLabel(second.row, second.count, second.label)}`;
  const { row, count, label } = first!;
  return `${firstUp(moreLabel(row, count, label))} ${serves}${next}.`;
}
