/** The proof: HiGHS on the programme of the rounds. The solver is handed in; the core loads none. */
import type { Highs, Model } from 'highs';
import { growInBand, growPatterns, type Grown } from './grow';
import { buildModel, chosenColumns, readAssignment, type Band } from './model';
import { composeQuickly } from './quick';
import {
  bestWorth,
  leastShare,
  scoreAssignment,
  type Assignment,
  type RoundsProblem,
} from './problem';
import { listPatterns } from './plainPatterns';
import { toModelData, valuesOf, type Programme } from './programme';
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
  // First what the prices hold for nearly as good as the best: few enough to choose from closely.
  const near = { ...grown, patterns: () => grown.near(grown.bound - nearly) };
  const first = solveColumns(highs, problem, near, { ...options, ...closeLook(options) });
  best = better(best, first);
  const within = (bound: number) => gapOf(best.objective, bound) <= 100 * options.gap + 1e-6;
  let stoppedBy: RoundsPlan['stoppedBy'] = 'gap';
  let bound = Math.min(trivial, grown.bound);
  if (!within(bound)) {
    // The rest of the time for all that could be in a better plan.
    const left = { ...options, timeLimitSeconds: (1 - closeShare) * options.timeLimitSeconds };
    const proof = proveFurther(highs, problem, grown, best, left);
    best = proof.best;
    bound = Math.min(bound, proof.bound);
    // Too many to price them all: the plan is good, and how good stands beside it.
    if (within(bound)) stoppedBy = 'gap';
    else stoppedBy = proof.stoppedBy === 'time' ? 'time' : 'nodes';
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

/** A sequence that lacks no more than this against the prices is among those chosen from first. */
const nearly = 0.1;
/** Of the time there is, the share for choosing among them. */
const closeShare = 0.25;

/** The closer the choice among a few, the less is left to prove among all. */
const closeLook = ({ gap, timeLimitSeconds }: SolveOptions) => ({
  gap: gap / 4,
  mostNodes: 300,
  timeLimitSeconds: closeShare * timeLimitSeconds,
});

interface Proof {
  readonly best: Found;
  readonly bound: number;
  readonly stoppedBy: RoundsPlan['stoppedBy'];
}

/** So many sequences more are sooner looked at than parted, if they are all there are. */
const fewColumns = 600;
/** How often a part of all plans is parted before its sequences are looked at, many as they are. */
const mostPartings = 3;

/** Two bands: the least served get up to so much of their best, or more. */
const partAt = ({ above, upTo }: Band, share: number): Band[] =>
  share <= above || share >= upTo
    ? [{ above, upTo }]
    : [
        { above, upTo: share },
        { above: share, upTo },
      ];

/** What is near enough to the best possible, counted from the plan that stands. */
const goalOf = ({ objective }: Found, { gap }: Pick<SolveOptions, 'gap'>): number =>
  objective + gap * Math.abs(objective);

/** Of what keeps a part from being proved, how much may be left after it was parted. */
const worthParting = 0.6;

/** A part in two; `null` where that proves little: there it is something else that pretends. */
function partFurther(
  highs: Highs,
  problem: RoundsProblem,
  whole: Grown,
  goal: number,
  share: number,
): readonly Grown[] | null {
  const halves = partAt(whole.band, share).map((band) =>
    growInBand(highs, problem, whole, band, goal),
  );
  const left = Math.max(...halves.map(({ bound }) => bound)) - goal;
  return left <= worthParting * (whole.bound - goal) ? halves : null;
}

const middleOf = ({ above, upTo }: Band): number => (Math.max(0, above) + upTo) / 2;

/**
 * What no plan can exceed. Where too many sequences could be in a better plan to look at them all, the
 * plans are parted by the share of the least served: shares of sequences serve everybody a little
 * where a whole plan serves somebody less, and in neither part can they pretend.
 */
function proveFurther(
  highs: Highs,
  problem: RoundsProblem,
  grown: Grown,
  known: Found,
  options: SolveOptions,
): Proof {
  let best = known;
  let bound = -Infinity;
  let stoppedBy: RoundsPlan['stoppedBy'] = 'gap';
  const parts = [{ inside: grown, partings: 0 }];
  for (let part = parts.shift(); part !== undefined; part = parts.shift()) {
    const { inside, partings } = part;
    const goal = goalOf(best, options);
    if (inside.bound <= goal) {
      bound = Math.max(bound, inside.bound);
      continue;
    }
    const before = [...inside.patterns()];
    const { added, leftBound } = inside.extend(goal, options.mostColumns);
    const isAll = leftBound <= goal + 1e-6 * Math.max(1, Math.abs(goal));
    const halves =
      partings === mostPartings || (added <= fewColumns && isAll)
        ? null
        : partFurther(
            highs,
            problem,
            { ...inside, patterns: () => before },
            goal,
            partings === 0 ? leastShare(best.assignment, inside.bests) : middleOf(inside.band),
          );
    if (halves === null) {
      // All parts together take no more time than the whole would have.
      const limits = { ...options, timeLimitSeconds: options.timeLimitSeconds / 2 ** partings };
      // From the plan that stands, where it is one of these: how good it is has to be shown.
      // What cannot be in a plan that reaches the goal need not be looked at.
      const worthwhile = { ...inside, patterns: () => inside.near(goal) };
      const found = solveColumns(highs, problem, worthwhile, limits, best.assignment);
      best = better(best, found);
      if (found.stoppedBy !== 'gap') ({ stoppedBy } = found);
      const open = Math.max(found.bound, leftBound, goal);
      bound = Math.max(bound, Math.min(inside.bound, open));
      continue;
    }
    parts.push(...halves.map((half) => ({ inside: half, partings: partings + 1 })));
  }
  return { best, bound: Math.max(bound, best.objective), stoppedBy };
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
  { patterns, bests, band }: Grown,
  options: SolveOptions,
  start?: Assignment,
): Found & Pick<RoundsPlan, 'bound' | 'stoppedBy'> {
  const none = {
    assignment: [],
    objective: -Infinity,
    bound: -Infinity,
    stoppedBy: 'gap',
  } as const;
  if (patterns().some((list) => list.length === 0)) return none;
  const model = buildModel(problem, patterns(), undefined, bests, band);
  const begun = start === undefined ? options : { ...options, start: chosenColumns(model, start) };
  return withSolver(highs, model.programme, begun, (solver) => {
    const status = solver.getModelStatus();
    const { infeasible, optimal, timeLimit } = highs.constants.modelStatus;
    if (status === infeasible) return none;
    const bound = Number(solver.info.get('mip_dual_bound'));
    const { colValue } = solver.getSolution();
    const valueOf = valuesOf(model.programme, colValue);
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
  programme: Programme,
  options: RunOptions,
  read: (solver: Model) => T,
): T {
  const data = toModelData(highs, programme);
  const solver = highs.createModel(data);
  try {
    runSolver(highs, solver, programme, options, 'choose');
    return read(solver);
  } catch (problem) {
    if (!(problem instanceof SolverFailed)) throw problem;
  } finally {
    solver.dispose();
  }
  // What it made simpler it took for solved, and found that it is not: once more, as it stands.
  const plain = highs.createModel(data);
  try {
    runSolver(highs, plain, programme, options, 'off');
    return read(plain);
  } finally {
    plain.dispose();
  }
}

type RunOptions = SolveOptions & { readonly start?: ReadonlyMap<string, number> | null };

/** The solver gave up on a programme by itself. */
class SolverFailed extends Error {}

function runSolver(
  highs: Highs,
  solver: Model,
  { columnAt }: Programme,
  { onProgress, start, ...options }: RunOptions,
  presolve: 'choose' | 'off',
): void {
  solver.options.set({
    output_flag: false,
    presolve,
    mip_rel_gap: options.gap,
    mip_max_nodes: options.mostNodes,
    random_seed: options.seed,
    time_limit: options.timeLimitSeconds,
  });
  if (start) {
    const entries = [...start].map(([name, value]) => [columnAt.get(name)!, value] as const);
    solver.setSolution({
      indices: entries.map(([index]) => index),
      values: entries.map(([, value]) => value),
    });
  }
  const { mipLogging } = highs.constants.callbackType;
  try {
    if (onProgress === undefined) solver.run();
    else {
      solver.run({
        [mipLogging]: ({ data }): undefined => {
          const gap = data.mip_gap;
          onProgress({
            gapPercent: gap !== undefined && Number.isFinite(gap) ? 100 * gap : null,
          });
        },
      });
    }
  } catch (problem) {
    throw new SolverFailed('the solver ended without an answer', { cause: problem });
  }
}
