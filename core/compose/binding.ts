/** What holds the class back: found by solving again, never read off multipliers. */
import type { Highs } from 'highs';
import type { Binding, More } from './bindingWords';
import { poseClass, type BeforeById, type Posed } from './pose';
import type { PreparedClass, Wishes } from './prepared';
import { bestWorth, labelled, shareOf, type RoundsProblem } from './problem';
import { rowsUpFrom } from '../pieces/rows';
import { listPatterns } from './plainPatterns';
import { solveRounds, type RoundsPlan, type SolveOptions } from './solve';
import { addUp } from './usage';

/** A shorter search than the plan's own: where it is not enough, the answer is "cannot tell". */
const mostNodes = 40;
const mostColumns = 800;
/** From so many students on the answers are coarser, and "cannot tell" more often. */
const largeClass = 24;
const largeGap = 0.04;
/** A share that rises by less than this is no service. */
const leastShareGain = 0.03;
const triedMinutes = 6;

/** What is used up in some round, and so might bind. */
function listCandidates(problem: RoundsProblem, plan: RoundsPlan): More[] {
  const usage = addUp(plan.assignment, problem.rounds);
  const candidates: More[] = [];
  const options = problem.people.flatMap((person) => person.options);
  const rows = new Set(options.flatMap(({ pieces }) => pieces.map(({ piece }) => piece)));
  for (const row of rows) {
    const most = Math.max(0, ...usage.pieces.map((round) => round.get(row) ?? 0));
    const largest = Math.max(
      0,
      ...options
        .flatMap(({ pieces }) => pieces.filter(({ piece }) => piece === row))
        .map((p) => p.count),
    );
    // One more only helps where what is left does not make another set.
    if ((problem.pieces[row] ?? 0) - most < largest) {
      candidates.push({ what: 'piece', id: row, more: 1, ...labelled(problem, row) });
    }
  }
  if (options.some(({ alongM }) => alongM !== undefined)) {
    for (const { id } of problem.walls) candidates.push({ what: 'wall', id, more: 1 });
  }
  if (options.some(({ needsHand }) => needsHand)) {
    candidates.push({ what: 'helper', id: 'all', more: 1 });
  }
  return candidates;
}

/** The problem with so much more of each. */
export function withMore(problem: RoundsProblem, list: readonly More[]): RoundsProblem {
  return list.reduce((now, { what, id, more }): RoundsProblem => {
    switch (what) {
      case 'piece':
        return {
          ...now,
          pieces: rowsUpFrom(id, now.rowFacts ?? {}).reduce(
            (pieces, row) => ({ ...pieces, [row]: (pieces[row] ?? 0) + more }),
            now.pieces,
          ),
        };
      case 'wall':
        return {
          ...now,
          walls: now.walls.map((wall) =>
            wall.id === id ? { ...wall, lengthM: wall.lengthM + more } : wall,
          ),
        };
      case 'helper':
        return {
          ...now,
          helpers: now.helpers.map((hands, round) =>
            id === 'all' || id === String(round) ? hands + more : hands,
          ),
        };
      case 'minutes':
        return now;
    }
  }, problem);
}

interface Asked {
  readonly prepared: PreparedClass;
  readonly wishes: Wishes;
  readonly before?: BeforeById;
  /** Told after each candidate: so many of so many. */
  readonly onStep?: (done: number, of: number) => void;
}

/**
 * The worth of one more piece, wall metre, helper, or of six minutes, the most telling first. Where
 * the two plans are nearer to each other than either is to its bound, nothing can be said.
 */
export function findBinding(
  highs: Highs,
  posed: Posed,
  plan: RoundsPlan,
  options: SolveOptions,
  { prepared, wishes, before = {}, onStep }: Asked,
): Binding[] {
  const { onProgress: _, ...quiet } = options;
  const isLarge = posed.problem.people.length > largeClass;
  const shorter = {
    ...quiet,
    mostNodes: Math.min(mostNodes, options.mostNodes),
    mostColumns: Math.min(mostColumns, options.mostColumns),
    ...(isLarge ? { gap: Math.max(options.gap, largeGap) } : {}),
  };
  const candidates: More[] = [
    ...listCandidates(posed.problem, plan),
    ...(wishes.done === 0 ? [{ what: 'minutes', id: 'all', more: triedMinutes } as const] : []),
  ];
  return candidates
    .map((candidate, index): Binding => {
      const found =
        candidate.what === 'minutes'
          ? tryMinutes(highs, posed, plan, shorter, { prepared, wishes, before })
          : compare(
              posed.problem,
              plan,
              solveRounds(highs, withMore(posed.problem, [candidate]), shorter),
            );
      onStep?.(index + 1, candidates.length);
      return { ...candidate, ...found };
    })
    .sort((a, b) => (b.gain ?? 0) - (a.gain ?? 0));
}

function compare(
  problem: RoundsProblem,
  plan: RoundsPlan,
  other: RoundsPlan,
  added = 0,
): Pick<Binding, 'gain' | 'serves'> {
  const gain = other.objective - plan.objective + added;
  const unsure = plan.bound - plan.objective + 1e-6;
  if (gain > unsure) {
    const bests = problem.people.map((person) => bestWorth(listPatterns(person, problem)));
    const serves = problem.people
      .filter((_, index) => {
        const [was, is] = [plan.assignment[index], other.assignment[index]];
        return shareOf(is!, bests[index]!) - shareOf(was!, bests[index]!) > leastShareGain;
      })
      .map(({ id }) => id);
    return { gain, serves };
  }
  return { gain: other.bound - plan.objective + added <= unsure ? 0 : null, serves: [] };
}

function tryMinutes(
  highs: Highs,
  posed: Posed,
  plan: RoundsPlan,
  options: SolveOptions,
  { prepared, wishes, before }: Required<Pick<Asked, 'prepared' | 'wishes' | 'before'>>,
): Pick<Binding, 'gain' | 'serves'> {
  const longer = poseClass(
    highs,
    prepared,
    { ...wishes, minutes: wishes.minutes + triedMinutes },
    before,
  );
  const other = solveRounds(highs, longer.problem, options);
  return compare(posed.problem, plan, other, longer.drills.value - posed.drills.value);
}
