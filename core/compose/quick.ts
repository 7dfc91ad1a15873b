/** A good plan at once, to stand on the screen while the proof runs. */
import { seededRandom } from '../random';
import type { WallId } from '../room/room';
import {
  bestWorth,
  circlesBeside,
  scoreAssignment,
  shareOf,
  type Assignment,
  type Pattern,
  type RoundsProblem,
} from './problem';
import { listPatterns } from './plainPatterns';
import { roomBeside } from './usage';

/** Passes over everybody; a class settles in two or three. */
const passes = 4;

/**
 * A plan that keeps every hard rule, at once. Where lanes take floor from clear circles, whoever is
 * asked first would settle it for all: it is tried with fewer walls as well.
 *
 * @param problem every student has an option that takes nothing
 */
export function composeQuickly(
  problem: RoundsProblem,
  seed: number,
  known: readonly (readonly Pattern[])[] = problem.people.map((person) =>
    listPatterns(person, problem),
  ),
): Assignment {
  const bests = known.map(bestWorth);
  const plan = fillInTurn(problem, seed, known, bests);
  const { done = 0 } = problem;
  return listFewerWalls(problem).reduce((best, { walls, more }) => {
    const isOpen = new Set<string | null>([null, ...walls]);
    const stays = ({ wall, options }: Pattern) =>
      isOpen.has(wall) ||
      options.every((option, round) => round < done || option?.alongM === undefined);
    // A circle is not worth a wall full of people.
    if (plan.filter((pattern) => !stays(pattern)).length > mostForOne * more) return best;
    const here = known.map((list) => list.filter(stays));
    // Somebody whose rounds behind them were at a wall that is given up.
    if (here.some((list) => list.length === 0)) return best;
    const other = fillInTurn(problem, seed, here, bests);
    return scoreAssignment(other, bests) > scoreAssignment(best, bests) ? other : best;
  }, plan);
}

/** So many leave a wall for one circle more. */
const mostForOne = 3;

/** What fewer walls leave room for. */
interface FewerWalls {
  readonly walls: readonly string[];
  /** Circles beyond those beside all walls. */
  readonly more: number;
}

/** For each number of circles that fewer walls leave room for: the longest of the walls that do. */
function listFewerWalls(problem: RoundsProblem): FewerWalls[] {
  const { circleRules = [], walls } = problem;
  const sides = [...new Set(circleRules.flatMap((rule) => rule.walls))];
  const beside = (used: readonly WallId[]) => circlesBeside(problem, (side) => used.includes(side));
  const longest = new Map<number, { readonly used: WallId[]; readonly metres: number }>();
  for (let bits = 0; bits < 2 ** sides.length; bits += 1) {
    const used = sides.filter((_, at) => Math.floor(bits / 2 ** at) % 2 === 1);
    const circles = beside(used);
    if (circles === beside(sides)) continue;
    const metres = walls.reduce(
      (sum, { side, lengthM }) => (used.some((one) => one === side) ? sum + lengthM : sum),
      0,
    );
    if (metres >= (longest.get(circles)?.metres ?? -1)) longest.set(circles, { used, metres });
  }
  return [...longest].map(([circles, { used }]) => ({
    more: circles - beside(sides),
    walls: walls.flatMap(({ id, side }) =>
      side === undefined || used.includes(side) || !sides.includes(side) ? id : [],
    ),
  }));
}

/**
 * Gives each student in turn the best pattern that is still there, then goes round again while
 * anybody gains. Everybody starts with nothing (or, at a re-plan, with what they had where it still
 * holds), so that the plan is sound from the first step.
 */
function fillInTurn(
  problem: RoundsProblem,
  seed: number,
  known: readonly (readonly Pattern[])[],
  bests: readonly number[],
): Assignment {
  const patterns = known.map((list) => [...list].sort((a, b) => b.value - a.value));
  const random = seededRandom(seed);
  const plan: Pattern[] = patterns.map(
    (list) =>
      [...list].reverse().find((pattern) => takesNothing(pattern, problem.done)) ??
      list[list.length - 1]!,
  );
  const order = problem.people.map((_, index) => index);
  const tryFor = (person: number): boolean => {
    const before = plan[person]!;
    let hasRoom: ReturnType<typeof roomBeside> | undefined;
    for (const pattern of patterns[person]!) {
      if (pattern.value <= before.value) break;
      hasRoom ??= roomBeside(
        plan.filter((_, other) => other !== person),
        problem,
      );
      if (!hasRoom(pattern)) continue;
      plan[person] = pattern;
      return true;
    }
    return false;
  };
  // Whoever had a place keeps it where it still holds; pins come before everything.
  const first = (index: number) => {
    const { pins = [], before } = problem.people[index]!;
    return pins.length > 0 ? 0 : before !== undefined ? 1 : 2;
  };
  for (const person of order
    .filter((index) => first(index) < 2)
    .sort((a, b) => first(a) - first(b)))
    tryFor(person);
  for (let pass = 0; pass < passes; pass += 1) {
    shuffle(order, random);
    // Who has least of what they could have goes first.
    order.sort((a, b) => shareOf(plan[a]!, bests[a]!) - shareOf(plan[b]!, bests[b]!));
    let hasGained = false;
    for (const person of order) hasGained = tryFor(person) || hasGained;
    if (!hasGained) break;
  }
  return plan;
}

/** Asks for nothing in any round that is still to come. */
export const takesNothing = ({ options }: Pattern, done = 0): boolean =>
  options.every(
    (option, round) =>
      round < done ||
      option === null ||
      (option.alongM === undefined &&
        option.pieces.length === 0 &&
        !option.needsHand &&
        !option.needsCircle),
  );

function shuffle(list: number[], random: () => number): void {
  for (let index = list.length - 1; index > 0; index -= 1) {
    const other = Math.floor(random() * (index + 1));
    [list[index], list[other]] = [list[other]!, list[index]!];
  }
}
