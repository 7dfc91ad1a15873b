/** The proof: HiGHS on the programme of the rounds. The solver is handed in; the core loads none. */
import type { Highs, Model } from 'highs';
import { growPatterns, type Grown } from './grow';
import { buildModel, chosenColumns, readAssignment } from './model';
import { composeQuickly } from './quick';
import {
  bestWorth,
  leastShare,
  scoreAssignment,
  type Assignment,
  type RoundsProblem,
} from './problem';
import { listPatterns } from './sequences';
import { composeWeights } from './worth';

export interface SolveOptions {
  readonly seed: number;
  /** Stop when the plan is within so much of the best possible, 0.01 is one percent. */
  readonly gap: number;
  /** Stop after so many nodes of the search: the same on every machine. */
  readonly mostNodes: number;
  /** Only a net: where it ends the search, the plan says so. */
  readonly timeLimitSeconds: number;
  /** Columns that may come in when the prices alone do not prove enough; fewer are quicker. */
  readonly mostColumns: number;
  /** Told now and then how far the proof has come; called while the solver runs. */
  readonly onProgress?: (progress: Progress) => void;
}

/** How far a proof has come. */
export interface Progress {
  /** How far the best plan known is from what no plan can exceed; null before anything is known. */
  readonly gapPercent: number | null;
}

export const usualSolve: SolveOptions = {
  seed: 1,
  gap: 0.01,
  mostNodes: 2000,
  timeLimitSeconds: 20,
  mostColumns: 40_000,
};

export interface RoundsPlan {
  readonly assignment: Assignment;
  /** What the plan is worth. */
  readonly objective: number;
  /** What no plan can exceed, as far as it was proved. */
  readonly bound: number;
  readonly gapPercent: number;
  /** The share of their own best that the least served student has. */
  readonly leastShare: number;
  readonly stoppedBy: 'gap' | 'nodes' | 'time' | 'quick';
}

const gapOf = (objective: number, bound: number) =>
  bound - objective <= 1e-9 ? 0 : (100 * (bound - objective)) / Math.max(Math.abs(objective), 1e-9);

/** Nobody can have more than their own best, all of them: true before anything is proved. */
const trivialBound = (bests: readonly number[]): number =>
  bests.reduce((sum, best) => sum + best, 0) + composeWeights.fairness * bests.length;

/** The quick plan alone, with the bound that costs nothing. */
export function solveQuickly(problem: RoundsProblem, seed: number): RoundsPlan {
  const patterns = problem.people.map((person) => listPatterns(person, problem));
  // The plain search has the best of each student; the proof looks once more.
  const bests = patterns.map(bestWorth);
  const assignment = composeQuickly(problem, seed, patterns);
  const objective = scoreAssignment(assignment, bests);
  const bound = Math.max(objective, trivialBound(bests));
  return {
    assignment,
    objective,
    bound,
    gapPercent: gapOf(objective, bound),
    leastShare: leastShare(assignment, bests),
    stoppedBy: 'quick',
  };
}

/**
 * The best plan that can be proved within the limits, over every sequence of rounds at one place.
 * Where the solver finds none better in time, the quick one stands.
 */
export function solveRounds(
  highs: Highs,
  problem: RoundsProblem,
  options: SolveOptions = usualSolve,
): RoundsPlan {
  const all = problem.people.map((person) => listPatterns(person, problem));
  const quick = composeQuickly(problem, options.seed, all);
  const grown = growPatterns(highs, problem, all);
  const { bests } = grown;
  let best: Found = { assignment: quick, objective: scoreAssignment(quick, bests) };
  const trivial = trivialBound(bests);
  // Half of the time each for what the prices chose and for all that could be in a better plan.
  const half = { ...options, timeLimitSeconds: options.timeLimitSeconds / 2 };
  const first = solveColumns(highs, problem, grown, half);
  best = better(best, first);
  const within = (bound: number) => gapOf(best.objective, bound) <= 100 * options.gap + 1e-6;
  let { stoppedBy } = first;
  let bound = Math.min(trivial, grown.bound);
  if (!within(bound)) {
    const { added, leftBound } = grown.extend(
      best.objective * (1 + options.gap),
      options.mostColumns,
    );
    // From the plan that stands: it is there already, only how good it is has to be shown.
    const second = added === 0 ? first : solveColumns(highs, problem, grown, half, best.assignment);
    best = better(best, second);
    ({ stoppedBy } = second);
    bound = Math.min(bound, Math.max(second.bound, leftBound));
    // Too many to price them all: the plan is good, and how good stands beside it.
    if (stoppedBy === 'gap' && !within(bound)) stoppedBy = 'nodes';
  }
  const proved = Math.max(best.objective, bound);
  return {
    assignment: best.assignment,
    objective: best.objective,
    bound: proved,
    gapPercent: gapOf(best.objective, proved),
    leastShare: leastShare(best.assignment, bests),
    stoppedBy,
  };
}

interface Found {
  readonly assignment: Assignment;
  readonly objective: number;
}

const better = (a: Found, b: Found): Found => (b.objective >= a.objective ? b : a);

/** The best plan of the sequences that are in the programme, and what none of them exceeds. */
function solveColumns(
  highs: Highs,
  problem: RoundsProblem,
  { patterns, bests }: Grown,
  options: SolveOptions,
  start?: Assignment,
): Found & Pick<RoundsPlan, 'bound' | 'stoppedBy'> {
  const model = buildModel(problem, patterns(), undefined, bests);
  const begun = start === undefined ? options : { ...options, start: chosenColumns(model, start) };
  return withSolver(highs, model.lp, begun, (solver) => {
    const status = solver.getModelStatus();
    const { optimal, timeLimit } = highs.constants.modelStatus;
    const bound = Number(solver.info.get('mip_dual_bound'));
    const { colValue } = solver.getSolution();
    const valueOf = (name: string) => colValue[solver.getColByName(name)] ?? 0;
    const found = colValue.length > 0 ? readAssignment(model, valueOf) : [];
    const isWhole =
      found.length === problem.people.length && found.every((one) => one !== undefined);
    return {
      assignment: found,
      objective: isWhole ? scoreAssignment(found, bests) : -Infinity,
      bound: Number.isFinite(bound) ? bound : Infinity,
      stoppedBy: status === timeLimit ? 'time' : status === optimal ? 'gap' : 'nodes',
    };
  });
}

/**
 * Runs a programme and hands the solver over for reading; it is given back in any case.
 *
 * @param options with a plan to begin from, as values of columns by name, where there is one
 */
export function withSolver<T>(
  highs: Highs,
  lp: string,
  options: SolveOptions & { readonly start?: ReadonlyMap<string, number> | null },
  read: (solver: Model) => T,
): T {
  const solver = highs.createModel({ format: 'lp', data: lp });
  try {
    solver.options.set({
      output_flag: false,
      mip_rel_gap: options.gap,
      mip_max_nodes: options.mostNodes,
      random_seed: options.seed,
      time_limit: options.timeLimitSeconds,
    });
    const { onProgress, start } = options;
    if (start) {
      const entries = [...start].map(
        ([name, value]) => [solver.getColByName(name), value] as const,
      );
      solver.setSolution({
        indices: entries.map(([index]) => index),
        values: entries.map(([, value]) => value),
      });
    }
    if (onProgress === undefined) solver.run();
    else {
      solver.run({
        [highs.constants.callbackType.mipLogging]: ({ data }): undefined => {
          const gap = data.mip_gap;
          onProgress({
            gapPercent: gap !== undefined && Number.isFinite(gap) ? 100 * gap : null,
          });
        },
      });
    }
    return read(solver);
  } finally {
    solver.dispose();
  }
}
