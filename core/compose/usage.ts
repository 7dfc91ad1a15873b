/** What a set of patterns takes in each round, and what it takes too much of. */
import type { RowId } from '../pieces/rows';
import { roomRules, type WallId } from '../room/room';
import { tolerance } from '../tolerance';
import {
  circlesBeside,
  roundsForTeacher,
  stationKey,
  type Pattern,
  type RoundOption,
  type RoundsProblem,
} from './problem';

export interface Usage {
  /** By round and wall: who may fall there, less those who stand between them. */
  readonly falling: ReadonlyMap<string, number>[];
  /** By round and wall, metres, with what lies between two who may fall. */
  readonly walls: ReadonlyMap<string, number>[];
  readonly pieces: ReadonlyMap<RowId, number>[];
  readonly hands: readonly number[];
  readonly circles: readonly number[];
}

/** A rule that a set of patterns breaks, and by how much. */
export interface Excess {
  readonly round: number;
  readonly what: 'wall' | 'piece' | 'hands' | 'circles' | 'watching';
  readonly id: string;
  readonly over: number;
}

/** What one or two at a station take: the wider lane, the larger set. */
interface Station {
  readonly option: RoundOption;
  readonly wall: string | null;
  readonly alongM: number | null;
  readonly pieces: ReadonlyMap<RowId, number>;
}

/** The stations of a round: those who take turns two by two, the others alone. */
function stationsIn(patterns: readonly Pattern[], round: number): Station[] {
  const alone: Station[] = [];
  const pairs = new Map<string, Pattern[]>();
  for (const pattern of patterns) {
    const key = stationKey(pattern);
    const option = pattern.options[round]!;
    if (option === null) continue;
    if (key === null) {
      const pieces = new Map<RowId, number>();
      for (const { piece, count } of option.pieces) pieces.set(piece, count);
      alone.push({ option: option!, wall: pattern.wall, alongM: option.alongM ?? null, pieces });
    } else pairs.set(key, [...(pairs.get(key) ?? []), pattern]);
  }
  for (const group of pairs.values()) {
    const options = group.map(({ options: own }) => own[round]!);
    // Everybody's largest, so that any two of them can take turns.
    const pieces = new Map<RowId, number>();
    for (const { pieces: own } of options) {
      for (const { piece, count } of own) {
        pieces.set(piece, Math.max(pieces.get(piece) ?? 0, count));
      }
    }
    const widths = options.flatMap(({ alongM }) => alongM ?? []);
    const alongM = widths.length === 0 ? null : Math.max(...widths);
    for (let pair = 0; pair < Math.ceil(group.length / 2); pair += 1) {
      alone.push({ option: options[0]!, wall: group[0]!.wall, alongM, pieces });
    }
  }
  return alone;
}

/** The mat's widths between so many who may fall beyond those that others can stand between. */
const gapsFor = (falling: number): number => Math.max(0, falling - 1) * roomRules.sidewaysM;

export function addUp(patterns: readonly Pattern[], rounds: number): Usage {
  const walls = Array.from({ length: rounds }, () => new Map<string, number>());
  const pieces = Array.from({ length: rounds }, () => new Map<RowId, number>());
  const hands = Array<number>(rounds).fill(0);
  const circles = Array<number>(rounds).fill(0);
  const fallers: ReadonlyMap<string, number>[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const falling = new Map<string, number>();
    fallers.push(falling);
    for (const { option, wall, alongM, pieces: own } of stationsIn(patterns, round)) {
      if (alongM !== null && wall !== null) {
        walls[round]!.set(wall, (walls[round]!.get(wall) ?? 0) + alongM);
        falling.set(wall, (falling.get(wall) ?? 0) + (option.isAttempt ? 1 : -1));
      }
      for (const [piece, count] of own) {
        pieces[round]!.set(piece, (pieces[round]!.get(piece) ?? 0) + count);
      }
      if (option.needsHand) hands[round]! += 1;
      if (option.needsCircle) circles[round]! += 1;
    }
    // Others stand between those who may fall; where there are too few, a mat's width does.
    for (const [wall, more] of falling) {
      const gaps = gapsFor(more);
      if (gaps > 0) walls[round]!.set(wall, walls[round]!.get(wall)! + gaps);
    }
  }
  return { falling: fallers, walls, pieces, hands, circles };
}

/** Does anybody stand at this wall of the room? */
const usesWall =
  (metres: ReadonlyMap<string, number>, { walls }: Pick<RoundsProblem, 'walls'>) =>
  (side: WallId): boolean =>
    walls.some((wall) => wall.side === side && metres.has(wall.id));

/** Every hard rule that is broken; empty for a plan that holds. Rounds that are over are past. */
export function findExcess(patterns: readonly Pattern[], problem: RoundsProblem): Excess[] {
  const { rounds, walls, pieces, helpers, done = 0 } = problem;
  const usage = addUp(patterns, rounds);
  const excess: Excess[] = [];
  const note = (round: number, what: Excess['what'], id: string, over: number) => {
    if (over > 1e-9) excess.push({ round, what, id, over });
  };
  let roundsWithTeacher = 0;
  for (let round = 0; round < rounds; round += 1) {
    if (round < done) continue;
    if (usage.hands[round]! > helpers[round]!) roundsWithTeacher += 1;
    for (const { id, lengthM } of walls)
      note(round, 'wall', id, (usage.walls[round]!.get(id) ?? 0) - lengthM);
    for (const [piece, count] of usage.pieces[round]!)
      note(round, 'piece', piece, count - (pieces[piece] ?? 0));
    const isUsed = usesWall(usage.walls[round]!, problem);
    note(round, 'circles', 'floor', usage.circles[round]! - circlesBeside(problem, isUsed));
    // The teacher's hands are the last to be used.
    note(round, 'hands', 'hands', usage.hands[round]! - helpers[round]! - 1);
  }
  // At least one round stays free for watching.
  if (rounds > 0)
    note(rounds - 1, 'watching', 'teacher', roundsWithTeacher - roundsForTeacher(problem));
  return excess;
}

/**
 * Is there room for one more? What the others take is added up once; each pattern that is tried is
 * then held against it alone. Answers as `findExcess` of all of them would: with a pattern that
 * takes turns, which may widen another's station, it asks that.
 */
export function roomBeside(
  others: readonly Pattern[],
  problem: RoundsProblem,
): (pattern: Pattern) => boolean {
  const { rounds, walls, pieces, helpers, done = 0 } = problem;
  const { falling, ...used } = addUp(others, rounds);
  const usedWall = used.walls.map((round) => usesWall(round, problem));
  const sideOf = new Map<string | null, WallId | undefined>(
    walls.map(({ id, side }) => [id, side]),
  );
  const mayTeach = roundsForTeacher(problem);
  // Metres of lanes alone: the gaps between them change with whoever comes.
  const lanes = used.walls.map((round, index) =>
    walls.map(({ id }) => (round.get(id) ?? 0) - gapsFor(falling[index]!.get(id) ?? 0)),
  );
  const isOver = (taken: number, there: number) => taken - there > tolerance.roundingM;
  const isSound = findExcess(others, problem).every(
    ({ what }) => what === 'wall' || what === 'watching',
  );
  return (pattern) => {
    if (pattern.shares) return findExcess([...others, pattern], problem).length === 0;
    if (!isSound) return false;
    let roundsWithTeacher = 0;
    for (let round = done; round < rounds; round += 1) {
      const option = pattern.options[round] ?? null;
      for (const [at, { id, lengthM }] of walls.entries()) {
        const isHere = option?.alongM !== undefined && pattern.wall === id;
        const fall = (falling[round]!.get(id) ?? 0) + (isHere ? (option.isAttempt ? 1 : -1) : 0);
        const metres = lanes[round]![at]! + (isHere ? option.alongM! : 0) + gapsFor(fall);
        if (isOver(metres, lengthM)) return false;
      }
      for (const { piece, count } of option?.pieces ?? []) {
        if (isOver((used.pieces[round]!.get(piece) ?? 0) + count, pieces[piece] ?? 0)) return false;
      }
      const own = option?.alongM === undefined ? undefined : sideOf.get(pattern.wall);
      const free = circlesBeside(problem, (side) => side === own || usedWall[round]!(side));
      if (isOver(used.circles[round]! + (option?.needsCircle ? 1 : 0), free)) return false;
      const hands = used.hands[round]! + (option?.needsHand ? 1 : 0);
      if (isOver(hands, helpers[round]! + 1)) return false;
      if (hands > helpers[round]!) roundsWithTeacher += 1;
    }
    return roundsWithTeacher <= mayTeach;
  };
}
