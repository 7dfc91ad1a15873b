/** The proof: HiGHS on the programme of the rounds. The solver is handed in; the core loads none. */
import type { Highs, Model } from 'highs';
import { dropDominated } from './dominance';
import { buildModel, readAssignment } from './model';
import { composeQuickly } from './quick';
import {
  bestWorth,
  composeWeights,
  leastShare,
  listPatterns,
  scoreAssignment,
  type Assignment,
  type Pattern,
  type RoundsProblem,
} from './problem';

export interface SolveOptions {
  readonly seed: number;
  /** Stop when the plan is within so much of the best possible, 0.01 is one percent. */
  readonly gap: number;
  /** Stop after so many nodes of the search: the same on every machine. */
  readonly mostNodes: number;
  /** Only a net: where it ends the search, the plan says so. */
  readonly timeLimitSeconds: number;
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
function trivialBound(patterns: readonly (readonly Pattern[])[]): number {
  const most = patterns.reduce(
    (sum, list) => sum + list.reduce((best, { value }) => Math.max(best, value), -Infinity),
    0,
  );
  return most + composeWeights.fairness * patterns.length;
}

/** The quick plan alone, with the bound that costs nothing. */
export function solveQuickly(problem: RoundsProblem, seed: number): RoundsPlan {
  const patterns = problem.people.map((person) => listPatterns(person, problem));
  const bests = patterns.map(bestWorth);
  const assignment = composeQuickly(problem, seed, patterns);
  const objective = scoreAssignment(assignment, bests);
  const bound = Math.max(objective, trivialBound(patterns));
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
 * The best plan that can be proved within the limits. Where the solver finds none better in time,
 * the quick one stands.
 */
export function solveRounds(
  highs: Highs,
  problem: RoundsProblem,
  options: SolveOptions = usualSolve,
): RoundsPlan {
  const all = problem.people.map((person) => listPatterns(person, problem));
  const quick = composeQuickly(problem, options.seed, all);
  const patterns = all.map(dropDominated);
  const model = buildModel(problem, patterns);
  const quickScore = scoreAssignment(quick, model.bests);
  return withSolver(highs, model.lp, options, (solver) => {
    const status = solver.getModelStatus();
    const { optimal, timeLimit } = highs.constants.modelStatus;
    const bound = Number(solver.info.get('mip_dual_bound'));
    const { colValue } = solver.getSolution();
    const valueOf = (name: string) => colValue[solver.getColByName(name)] ?? 0;
    const found = colValue.length > 0 ? readAssignment(model, valueOf) : [];
    const isWhole =
      found.length === problem.people.length && found.every((one) => one !== undefined);
    const score = isWhole ? scoreAssignment(found, model.bests) : -Infinity;
    const assignment = score >= quickScore ? found : quick;
    const objective = Math.max(score, quickScore);
    const trivial = trivialBound(patterns);
    const proved = Math.max(objective, Number.isFinite(bound) ? Math.min(bound, trivial) : trivial);
    return {
      assignment,
      objective,
      bound: proved,
      gapPercent: gapOf(objective, proved),
      leastShare: leastShare(assignment, model.bests),
      stoppedBy: status === timeLimit ? 'time' : status === optimal ? 'gap' : 'nodes',
    };
  });
}

/** Runs a programme and hands the solver over for reading; it is given back in any case. */
export function withSolver<T>(
  highs: Highs,
  lp: string,
  options: SolveOptions,
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
    const { onProgress } = options;
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
