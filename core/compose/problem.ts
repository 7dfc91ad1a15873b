/**
 * The round part of a class as an assignment with shared resources: what each student may do, what
 * it takes, and what there is. Source: handbook 08 "What the composer decides" and "Hard rules".
 * Options arrive judged: nothing that a verdict, a caution, consent or the ceiling closes is here.
 */
import type { RowFacts, RowId } from '../pieces/rows';
import type { WallId } from '../room/room';
import { composeWeights, kindOf, worthOf } from './worth';

export interface RoundOption {
  readonly id: string;
  /** What one round of it is worth to this student. */
  readonly value: number;
  /** Wall it takes, metres; absent: none. */
  readonly alongM?: number;
  /** How far out from the wall, metres. */
  readonly outM?: number;
  /** A clear circle on the floor. */
  readonly needsCircle?: true;
  /** Height it takes, metres. */
  readonly heightM: number;
  /** Rows of the cupboard it takes. */
  readonly pieces: readonly { readonly piece: RowId; readonly count: number }[];
  /** A helper's hands. */
  readonly needsHand?: true;
  /** A hop or kick; counted, and limited by what the student has left. May fall sideways. */
  readonly isAttempt?: true;
  /** Two may take turns at one station with one set of pieces. */
  readonly canShare?: true;
  /** Was done in a round that is over, and is shut from now on. */
  readonly isPast?: true;
  /** Stays out: lies, sits or watches. */
  readonly isRest?: true;
  /** What it is a version of: the same thing again, however it is made. Absent: its id. */
  readonly same?: string;
  /** What it is a step up from. */
  readonly above?: readonly string[];
  /** All that lies below it on the ladder, however far. */
  readonly from?: readonly string[];
  /** Only after one of those on the same evening: nobody skips a rung. */
  readonly needsFirst?: true;
}

/** A choice of the teacher's for one student; without a round: for all of them. */
export interface PersonPin {
  readonly option?: string;
  readonly wall?: string;
  readonly round?: number;
}

/** What stood before a re-plan. */
export interface Before {
  readonly options: readonly (string | null)[];
  readonly wall: string | null;
}

export interface ComposePerson {
  readonly id: string;
  /** At least one that takes nothing, so that there is always a plan. */
  readonly options: readonly RoundOption[];
  /** Rounds of attempts that this student may have at most. */
  readonly mostAttempts: number;
  /** Does this sequence leave enough reserve for each attempt? Absent: the count alone decides. */
  readonly isBearable?: (options: Sequence) => boolean;
  readonly pins?: readonly PersonPin[];
  /** Comes late: nothing before this round (0 is the first). */
  readonly fromRound?: number;
  readonly before?: Before;
}

export interface WallSpace {
  readonly id: string;
  /** The wall of the room that this is a stretch of; absent: of none that a circle could meet. */
  readonly side?: WallId;
  readonly lengthM: number;
  readonly lowestM: number;
  /** How far the room goes out from it, metres; absent: far enough. */
  readonly deepM?: number;
}

/** Beside lanes at all of these walls, however short, the floor takes so many clear circles. */
export interface CircleRule {
  readonly walls: readonly WallId[];
  readonly most: number;
}

export interface RoundsProblem {
  readonly rounds: number;
  readonly walls: readonly WallSpace[];
  /** Clear circles that fit the floor at the size of the largest in use, nobody being at a wall. */
  readonly circles: number;
  /** Where lanes take floor from them: fewer. */
  readonly circleRules?: readonly CircleRule[];
  readonly pieces: Readonly<Record<string, number>>;
  /** What is called otherwise, or counts for another row as well. */
  readonly rowFacts?: Readonly<Record<string, RowFacts>>;
  /** Assistants in each round, besides the teacher. */
  readonly helpers: readonly number[];
  readonly people: readonly ComposePerson[];
  /** Rounds that are over: nobody's change any more. */
  readonly done?: number;
}

/** Clear circles beside whoever stands at these walls in the same round. */
export const circlesBeside = (
  { circles, circleRules = [] }: Pick<RoundsProblem, 'circles' | 'circleRules'>,
  isUsed: (wall: WallId) => boolean,
): number =>
  circleRules.reduce(
    (most, rule) => (rule.walls.every(isUsed) ? Math.min(most, rule.most) : most),
    circles,
  );

/** What a row of one's own is called, to go along with it. */
export function labelled({ rowFacts }: Pick<RoundsProblem, 'rowFacts'>, row: string) {
  const label = rowFacts?.[row]?.label;
  return label === undefined ? {} : { label };
}

/** Students get at least so many attempts where they get any (handbook 08). */
const leastAttempts = 2;

/** One student's whole evening: an option, or none, in each round, and the wall it stands at. */
export interface Pattern {
  readonly options: readonly (RoundOption | null)[];
  readonly wall: string | null;
  /** What it is worth to the student, changes taken off. */
  readonly worth: number;
  /** What it counts for in the plan: its worth less what pins and an earlier plan ask. */
  readonly value: number;
  readonly brokenPins: number;
  /** Takes turns at the station with one other who does the same. */
  readonly shares?: true;
}

export const isLow = (option: RoundOption, wall: WallSpace) =>
  wall.lowestM < option.heightM - 1e-9 ||
  wall.lengthM < (option.alongM ?? 0) - 1e-9 ||
  (wall.deepM ?? Infinity) < (option.outM ?? 0) - 1e-9;

export type Sequence = readonly (RoundOption | null)[];

/** Do the tries of a sequence last, and are there enough of them to be worth a warm-up? */
export function isFeasibleSequence(
  options: Sequence,
  person: ComposePerson,
  { done = 0 }: Pick<RoundsProblem, 'done'>,
): boolean {
  const { fromRound = 0, before, mostAttempts, isBearable } = person;
  if (!keepsRest(options, person, done)) return false;
  if (!climbsInOrder(options, Math.max(done, fromRound), person)) return false;
  // Somebody late or with rounds behind them may have room for one try alone.
  const isUnsettled = done === 0 && fromRound === 0 && before === undefined;
  const least = isUnsettled ? leastAttempts : 1;
  const attempts = options.filter((option) => option?.isAttempt).length;
  // What is behind cannot be asked for otherwise any more: only tries to come are weighed.
  const isTrying = options.some((option, round) => round >= done && option?.isAttempt);
  if (!isTrying) return true;
  if (attempts > mostAttempts || attempts < least) return false;
  return isBearable === undefined || isBearable(options);
}

/** Did the teacher ask for this very thing? */
export const isAsked = ({ id }: RoundOption, { pins = [] }: Pick<ComposePerson, 'pins'>): boolean =>
  pins.some(({ option }) => option === id);

/**
 * Nobody skips a rung: what asks for the one before has it in a round before. Where the teacher
 * asks for it by name, the verdict that opens it is enough.
 */
const climbsInOrder = (options: Sequence, from: number, person: ComposePerson): boolean =>
  options.every(
    (option, round) =>
      round < from ||
      option?.needsFirst === undefined ||
      isAsked(option, person) ||
      options
        .slice(0, round)
        .some((before) => before !== null && option.above?.includes(kindOf(before))),
  );

/** A sequence at a wall (or none) as a pattern with what it counts for. */
export const weighSequence = (
  options: Sequence,
  wall: string | null,
  person: ComposePerson,
  { done = 0 }: Pick<RoundsProblem, 'done'>,
): Pattern => weigh({ options, wall, worth: worthOf(options) }, person, done);

/** Rounds of one student that are still to be planned. */
export const openRounds = (
  { fromRound = 0 }: Pick<ComposePerson, 'fromRound'>,
  { rounds, done = 0 }: Pick<RoundsProblem, 'rounds' | 'done'>,
): number[] =>
  Array.from({ length: rounds }, (_, round) => round).filter(
    (round) => round >= Math.max(done, fromRound),
  );

/** A choice for the open rounds, with what is settled before them. */
export function settleSequence(
  chosen: Sequence,
  open: readonly number[],
  { before, options }: ComposePerson,
  { rounds, done = 0 }: Pick<RoundsProblem, 'rounds' | 'done'>,
): Sequence {
  return Array.from({ length: rounds }, (_, round) => {
    const at = open.indexOf(round);
    if (at >= 0) return chosen[at]!;
    if (before === undefined || round >= done) return null;
    return options.find(({ id }) => id === before.options[round]) ?? null;
  });
}

/**
 * Where one student may stand: nowhere in particular, or at one of the walls, with what may be done
 * there. `at` counts the walls of the problem; -1: none.
 */
export function listWalls(
  { options }: Pick<ComposePerson, 'options'>,
  { walls }: Pick<RoundsProblem, 'walls'>,
): { wall: string | null; at: number; options: RoundOption[] }[] {
  const open = options.filter(({ isPast }) => isPast !== true);
  const free = open.filter(({ alongM }) => alongM === undefined);
  return [
    { wall: null, at: -1, options: free },
    ...walls.flatMap((wall, at) => {
      const here = open.filter((one) => one.alongM === undefined || !isLow(one, wall));
      return here.length === free.length ? [] : [{ wall: wall.id, at, options: here }];
    }),
  ];
}

export function weigh(
  pattern: Pick<Pattern, 'options' | 'wall' | 'worth' | 'shares'>,
  person: ComposePerson,
  done: number,
): Pattern {
  const { pins = [], before } = person;
  const { options, wall, worth, shares } = pattern;
  const whole = (value: number, brokenPins: number): Pattern =>
    shares === undefined
      ? { options, wall, worth, value, brokenPins }
      : { options, wall, worth, value, brokenPins, shares };
  // Nothing asked for and nothing to keep: so it is for most, thousands of times.
  if (pins.length === 0 && before === undefined) return whole(worth, 0);
  const broken = pins.filter((pin) => !keepsPin(pattern, pin, firstOpen(person, done))).length;
  let moved = 0;
  if (before !== undefined) {
    options.forEach((option, round) => {
      if (round >= done && (option?.id ?? null) !== (before.options[round] ?? null)) {
        moved += composeWeights.keep;
      }
    });
    if (wall !== before.wall) moved += composeWeights.keepWall;
  }
  return whole(worth - moved - composeWeights.pin * broken, broken);
}

/** The first round that can still be planned for somebody; 0 is the first of the evening. */
export const firstOpen = ({ fromRound = 0 }: ComposePerson, done = 0): number =>
  Math.max(done, fromRound);

/**
 * Does a pattern do what a pin asks? One for every round asks nothing of those that are over, or
 * that somebody misses.
 *
 * @param from the first round that can still be planned
 */
export function keepsPin(
  { options, wall }: Pick<Pattern, 'options' | 'wall'>,
  pin: PersonPin,
  from: number,
): boolean {
  const asked = options.filter((_, round) =>
    pin.round === undefined ? round >= from : round === pin.round,
  );
  if (asked.length === 0) return pin.round === undefined;
  if (pin.option !== undefined && asked.some((option) => option?.id !== pin.option)) return false;
  return pin.wall === undefined || (wall === pin.wall && asked.some((one) => one?.alongM));
}

/** Rest is never overruled: whoever is to lie down lies down, whatever else it costs the plan. */
function keepsRest(options: Sequence, person: ComposePerson, done: number): boolean {
  const { pins = [] } = person;
  if (pins.length === 0) return true;
  const rests = new Set(person.options.flatMap(({ id, isRest }) => (isRest === true ? [id] : [])));
  const from = firstOpen(person, done);
  return pins.every(({ option, round }) => {
    if (option === undefined || !rests.has(option)) return true;
    // A round that is over, or that there is none of, asks nothing.
    if (round !== undefined && (round < from || round >= options.length)) return true;
    return keepsPin(
      { options, wall: null },
      { option, ...(round === undefined ? {} : { round }) },
      from,
    );
  });
}

/** Rounds to come in which the teacher may lend hands: one of the evening stays free for watching. */
export function roundsForTeacher({ rounds, done = 0, people, helpers }: RoundsProblem): number {
  let used = 0;
  for (let round = 0; round < done; round += 1) {
    const hands = people.filter(({ before, options }) => {
      const id = before?.options[round];
      return options.some((option) => option.id === id && option.needsHand);
    }).length;
    if (hands > (helpers[round] ?? 0)) used += 1;
  }
  return Math.max(0, rounds - 1 - used);
}

/** Rounds in which a student does something. */
export const countTurns = ({ options }: Pattern): number =>
  options.filter((option) => option !== null && option.isRest !== true).length;

/** The most one student could have if the room were theirs alone. */
export const bestWorth = (patterns: readonly Pattern[]): number =>
  patterns.reduce((best, { worth }) => Math.max(best, worth), 0);

/** A plan: one pattern for each student, in their order. */
export type Assignment = readonly Pattern[];

/** The share of their own best that a pattern gives a student, 0 to 1. */
export const shareOf = ({ worth }: Pattern, best: number): number =>
  best > 0 ? Math.max(0, worth) / best : 1;

/** What a plan counts for: everyone's value, and the share of the least served for all of them. */
export function scoreAssignment(assignment: Assignment, bests: readonly number[]): number {
  const total = assignment.reduce((sum, { value }) => sum + value, 0);
  return total + composeWeights.fairness * assignment.length * leastShare(assignment, bests);
}

export function leastShare(assignment: Assignment, bests: readonly number[]): number {
  return assignment.reduce(
    (least, pattern, index) => Math.min(least, shareOf(pattern, bests[index]!)),
    1,
  );
}

/** What two who take turns at one station have in common: the shape and the wall. */
export const stationKey = ({ options, wall, shares }: Pattern): string | null =>
  shares ? `${options.map((option) => option?.id ?? '').join('|')}@${wall ?? 'floor'}` : null;
