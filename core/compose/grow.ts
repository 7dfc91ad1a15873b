/** The programme of the rounds with whatever sequences could better it: see pricing. */
import type { Highs } from 'highs';
import { dropDominated } from './dominance';
import { buildModel, columnOf, wholeBand, type Band } from './model';
import { priceSequences, type Duals } from './pricing';
import { goOnFrom, stoodAt, toModelData, type StoodAt } from './programme';
import { bestWorth, type Pattern, type RoundsProblem } from './problem';
import { keyOfPattern, listPatterns } from './plainPatterns';

export interface Grown {
  /** Where the least share lies in the plans it speaks of. */
  readonly band: Band;
  /** By student: plain patterns, and those that were found worth having so far. */
  readonly patterns: () => readonly (readonly Pattern[])[];
  readonly bests: readonly number[];
  /** No plan of any sequences can be worth more, shares of them allowed. */
  readonly bound: number;
  /** Of the patterns, those that could be in a plan worth `goal` or more, by what the prices say. */
  readonly near: (goal: number) => readonly (readonly Pattern[])[];
  /**
   * Takes in whatever could still be in a plan worth `goal` or more.
   *
   * @param most columns of all students together
   * @returns what no plan that uses anything left out can exceed
   */
  readonly extend: (
    goal: number,
    most: number,
  ) => { readonly added: number; readonly leftBound: number };
}

const rules = {
  /** New columns for one student in one turn. */
  eachTurn: 12,
  /** Turns before what is left out is bounded as it is. */
  turns: 12,
  /** Less than this betters nothing. */
  slack: 1e-7,
} as const;

const noDuals: Duals = () => 0;

/** The most that each student could have if the room were theirs alone, over every sequence. */
export function findBests(
  problem: RoundsProblem,
  plain: readonly (readonly Pattern[])[] = problem.people.map((person) =>
    listPatterns(person, problem),
  ),
): number[] {
  return problem.people.map((person, index) => {
    const most = bestWorth(plain[index]!);
    // Without prices, what a sequence adds is what it is worth.
    const { columns } = priceSequences(
      { person, index, best: 0, scoreOf: ({ worth }) => worth },
      problem,
      noDuals,
      most,
      1,
      () => false,
    );
    return Math.max(most, columns[0]?.pattern.worth ?? 0);
  });
}

/** Adds sequences to the plain ones until no other betters the programme with shares allowed. */
export function growPatterns(
  highs: Highs,
  problem: RoundsProblem,
  plain: readonly (readonly Pattern[])[] = problem.people.map((person) =>
    listPatterns(person, problem),
  ),
): Grown {
  return growWithin(highs, problem, plain.map(dropDominated), findBests(problem, plain), wholeBand);
}

/**
 * Of the plans of `grown`, those whose least share lies in a band, with the sequences it needs.
 *
 * @param enough a bound that needs no more looking
 */
export const growInBand = (
  highs: Highs,
  problem: RoundsProblem,
  { patterns, bests }: Grown,
  band: Band,
  enough: number,
): Grown =>
  growWithin(
    highs,
    problem,
    patterns().map((list, index) =>
      list.filter(({ worth }) => worth > worthAbove(band, bests[index]!)),
    ),
    bests,
    band,
    enough,
  );

/** Whoever could have nothing is served as well by anything. */
const worthAbove = ({ above }: Band, best: number): number =>
  best > 0 && above > -Infinity ? above * best : -Infinity;

function growWithin(
  highs: Highs,
  problem: RoundsProblem,
  patterns: Pattern[][],
  bests: readonly number[],
  band: Band,
  enough = -Infinity,
): Grown {
  const known = patterns.map(
    (list) => new Set(list.filter(({ shares }) => !shares).map(keyOfPattern)),
  );
  const add = (index: number, more: readonly Pattern[]) => {
    patterns[index] = [...patterns[index]!, ...more];
    for (const pattern of more) known[index]!.add(keyOfPattern(pattern));
  };
  const asked = problem.people.map((person, index) => ({
    person,
    index,
    best: bests[index]!,
    worthAbove: worthAbove(band, bests[index]!),
  }));
  let relaxed = solveRelaxed(highs, problem, patterns, bests, band);
  let bound = Infinity;
  let surplusLeft = 0;
  for (let turn = 0; relaxed !== null; turn += 1) {
    const { duals, value } = relaxed;
    const priced = asked.map((one) =>
      priceSequences(one, problem, duals, rules.slack, rules.eachTurn, (key) =>
        known[one.index]!.has(key),
      ),
    );
    // True whatever the prices: each student could better the programme by their own best at most.
    surplusLeft = priced.reduce(
      (sum, { columns, leftAtMost }) =>
        sum + Math.max(0, columns[0]?.surplus ?? 0, leftAtMost - rules.slack),
      0,
    );
    bound = Math.min(bound, value + surplusLeft);
    if (bound <= enough || turn === rules.turns) break;
    if (priced.every(({ columns }) => columns.length === 0)) break;
    priced.forEach(({ columns }, index) => {
      add(
        index,
        columns.map(({ pattern }) => pattern),
      );
    });
    relaxed = solveRelaxed(highs, problem, patterns, bests, band, relaxed.stood);
  }
  const last = relaxed;
  return {
    band,
    patterns: () => patterns,
    bests,
    bound,
    near: (goal) => {
      if (last === null) return patterns;
      const { value, lacks } = last;
      // Prices that were not driven to the end leave a little on top.
      const most = Math.max(rules.slack, value + surplusLeft - goal);
      // What came in after the prices were found was asked for by them.
      return patterns.map((list, index) =>
        list.filter((_, at) => (lacks[index]![at] ?? 0) <= most),
      );
    },
    extend: (goal, most) => {
      if (last === null) return { added: 0, leftBound: Infinity };
      const { value, duals } = last;
      // Whatever lacks more than this against the prices is in no plan that reaches the goal.
      const over = Math.min(-rules.slack, goal - value);
      let added = 0;
      let surplus = 0;
      let leftMost = -Infinity;
      asked.forEach((one) => {
        const { index } = one;
        const { columns, leftAtMost } = priceSequences(
          one,
          problem,
          duals,
          over,
          Math.ceil(most / Math.max(1, problem.people.length)),
          (key) => known[index]!.has(key),
        );
        add(
          index,
          columns.map(({ pattern }) => pattern),
        );
        added += columns.length;
        // Prices that were not driven to the end leave a little on top.
        surplus += Math.max(0, columns[0]?.surplus ?? 0, leftAtMost);
        leftMost = Math.max(leftMost, leftAtMost);
      });
      return { added, leftBound: value + surplus + Math.min(0, leftMost) };
    },
  };
}

interface Relaxed {
  readonly value: number;
  readonly duals: Duals;
  /** By student and pattern: no plan with it is worth more than `value` less this. */
  readonly lacks: readonly (readonly number[])[];
  readonly stood: StoodAt;
}

/** @param from where the same stood with fewer patterns: it goes on from there */
function solveRelaxed(
  highs: Highs,
  problem: RoundsProblem,
  patterns: readonly (readonly Pattern[])[],
  bests: readonly number[],
  band: Band,
  from?: StoodAt,
): Relaxed | null {
  const programme = buildModel(problem, patterns, undefined, bests, band).relaxed();
  const { columns, rows, columnAt } = programme;
  const solver = highs.createModel(toModelData(highs, programme));
  try {
    solver.options.set({ output_flag: false });
    if (from !== undefined) goOnFrom(highs, solver, programme, from);
    solver.run();
    if (solver.getModelStatus() !== highs.constants.modelStatus.optimal) return null;
    const { rowDual, colDual } = solver.getSolution();
    const byName = new Map(rows.map(({ name }, row) => [name, rowDual[row] ?? 0]));
    return {
      value: Number(solver.info.get('objective_function_value')),
      duals: (name) => byName.get(name) ?? 0,
      lacks: patterns.map((list, person) =>
        list.map((_, at) => Math.max(0, -(colDual[columnAt.get(columnOf(person, at))!] ?? 0))),
      ),
      stood: stoodAt({ columns, rows }, solver.getBasis()),
    };
  } finally {
    solver.dispose();
  }
}
