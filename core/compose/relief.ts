/**
 * When what is asked cannot all be had: the least costly more of pieces, wall or hands that would
 * free it. What guards people (verdicts, cautions, consent, ceiling, clear circles, reserves) has
 * no price and is never part of the answer.
 */
import type { Highs } from 'highs';
import { getPiece, isShippedPiece } from '../catalog/pieces';
import { kindOfRow } from '../pieces/rows';
import type { More } from './bindingWords';
import { buildModel, readAssignment, readMore, type Prices } from './model';
import { valuesOf } from './programme';
import { countTurns, type Assignment, type Pattern, type RoundsProblem } from './problem';
import { listPatterns } from './plainPatterns';
import { usualSolve, withSolver } from './solve';

/** Something asked that the plan does not give. */
export interface Ask {
  readonly kind: 'pin' | 'turns';
  readonly person: string;
}

export interface Relief {
  readonly asks: readonly Ask[];
  /** The cheapest that frees all of it; empty where only the asks themselves stand in the way. */
  readonly more: readonly More[];
  /** Students whose asks no amount of props, wall or hands would free. */
  readonly beyond: readonly string[];
}

/** One more like a piece of one's own is bought or made as a rare piece is. */
const ownEffort = 2;

/** In pieces as the unit: a metre of wall is hard to find, a helper for a round less so. */
const prices: Prices = {
  piece: (row) => {
    const piece = kindOfRow(row);
    return isShippedPiece(piece) ? getPiece(piece).effort : ownEffort;
  },
  wallMetre: 4,
  helperRound: 3,
  value: 0.001,
};

/** Everybody has a turn at something in so many rounds (handbook 08: two attempts each). */
const leastTurns = 2;

const turnsAsked = (problem: RoundsProblem, fromRound = 0) =>
  Math.min(leastTurns, Math.max(0, problem.rounds - Math.max(problem.done ?? 0, fromRound)));

/** What the plan leaves unmet of what was asked. */
export function listAsks(problem: RoundsProblem, assignment: Assignment): Ask[] {
  return problem.people.flatMap(({ id, fromRound }, index): Ask[] => {
    const pattern = assignment[index]!;
    return [
      ...(pattern.brokenPins > 0 ? [{ kind: 'pin', person: id } as const] : []),
      ...(countTurns(pattern) < turnsAsked(problem, fromRound)
        ? [{ kind: 'turns', person: id } as const]
        : []),
    ];
  });
}

/**
 * The least costly relief for a plan that does not give all that was asked; `null` where it does.
 * The answer is checked by nobody here: solving with it is the caller's to do, and the tests'.
 */
export function findRelief(
  highs: Highs,
  problem: RoundsProblem,
  assignment: Assignment,
): Relief | null {
  const asks = listAsks(problem, assignment);
  if (asks.length === 0) return null;
  const beyond: string[] = [];
  const patterns = problem.people.map((person) => {
    // At walls long enough for anybody: how much longer they must be is the answer sought.
    const roomy = {
      ...problem,
      walls: problem.walls.map((wall) => ({ ...wall, lengthM: Math.max(wall.lengthM, 20) })),
    };
    const all = listPatterns(person, roomy);
    const least = all.reduce((n, { brokenPins }) => Math.min(n, brokenPins), Infinity);
    const pinned = all.filter(({ brokenPins }) => brokenPins === least);
    const turns = (pattern: Pattern) =>
      Math.min(countTurns(pattern), turnsAsked(problem, person.fromRound));
    const most = pinned.reduce((n, pattern) => Math.max(n, turns(pattern)), 0);
    const asked = asks.some(({ person: id }) => id === person.id);
    if (asked && (least > 0 || most < turnsAsked(problem, person.fromRound)))
      beyond.push(person.id);
    return pinned.filter((pattern) => turns(pattern) === most);
  });
  const model = buildModel(problem, patterns, prices);
  const more = withSolver(highs, model.programme, { ...usualSolve, gap: 0.001 }, (solver) => {
    const { colValue } = solver.getSolution();
    const valueOf = valuesOf(model.programme, colValue);
    if (colValue.length === 0 || readAssignment(model, valueOf).includes(undefined!)) return null;
    return readMore(problem, valueOf);
  });
  if (more === null) return { asks, more: [], beyond: asks.map(({ person }) => person) };
  return { asks, more, beyond };
}
