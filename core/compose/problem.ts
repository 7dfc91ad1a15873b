/**
 * The round part of a class as an assignment with shared resources: what each student may do, what
 * it takes, and what there is. Source: handbook 08 "What the composer decides" and "Hard rules".
 * Options arrive judged: nothing that a verdict, a caution, consent or the ceiling closes is here.
 */
import type { RowId } from './resources';

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
  readonly isBearable?: (options: readonly (RoundOption | null)[]) => boolean;
  readonly pins?: readonly PersonPin[];
  /** Comes late: nothing before this round (0 is the first). */
  readonly fromRound?: number;
  readonly before?: Before;
}

export interface WallSpace {
  readonly id: string;
  readonly lengthM: number;
  readonly lowestM: number;
  /** How far the room goes out from it, metres; absent: far enough. */
  readonly deepM?: number;
}

export interface RoundsProblem {
  readonly rounds: number;
  readonly walls: readonly WallSpace[];
  /** Clear circles that fit the floor at the size of the largest in use. */
  readonly circles: number;
  readonly pieces: Readonly<Record<string, number>>;
  /** Assistants in each round, besides the teacher. */
  readonly helpers: readonly number[];
  readonly people: readonly ComposePerson[];
  /** Rounds that are over: nobody's change any more. */
  readonly done?: number;
}

/** Weights in one table (handbook 08). */
export const composeWeights = {
  /** Taken off for each change of option between rounds. */
  change: 0.15,
  /** For the least served, whose share of their own best counts this much for every student. */
  fairness: 0.6,
  /** Taking turns at one station halves the time at it, not the worth. */
  shared: 0.8,
  /** For a round that is not as it stood before a re-plan. */
  keep: 0.3,
  keepWall: 0.15,
  /** A pin gives way only to a hard rule. */
  pin: 20,
  /** The second drill for the same weak check is worth this share of the first. */
  drill: 0.12,
} as const;

/** Students get at least so many attempts where they get any (handbook 08). */
export const leastAttempts = 2;

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

const isLow = (option: RoundOption, wall: WallSpace) =>
  wall.lowestM < option.heightM - 1e-9 ||
  wall.lengthM < (option.alongM ?? 0) - 1e-9 ||
  (wall.deepM ?? Infinity) < (option.outM ?? 0) - 1e-9;

type Sequence = readonly (RoundOption | null)[];

function listSequences({ options: all }: ComposePerson, rounds: number): Sequence[] {
  const sequences: Sequence[] = [];
  const options = all.filter(({ isPast }) => !isPast);
  for (const first of options) {
    sequences.push(Array<RoundOption>(rounds).fill(first));
    for (const then of options) {
      if (then === first) continue;
      for (let at = 1; at < rounds; at += 1) {
        sequences.push(Array.from({ length: rounds }, (_, round) => (round < at ? first : then)));
      }
    }
    for (let out = 0; out < rounds && rounds > 1; out += 1) {
      sequences.push(Array.from({ length: rounds }, (_, round) => (round === out ? null : first)));
    }
  }
  return sequences;
}

const keyOf = (options: Sequence) => options.map((option) => option?.id ?? '').join('|');

/** The sequences again with what is settled already: rounds done, a late start, pins. */
function settle(sequences: readonly Sequence[], person: ComposePerson, done: number): Sequence[] {
  const { pins = [], fromRound = 0, before, options } = person;
  // What was open in a round behind may be closed now: it is found for that round alone.
  const find = (id: string | null | undefined, round: number) =>
    options.find((one) => one.id === id && (round < done || one.isPast !== true)) ?? null;
  const change = (withPins: boolean) =>
    sequences.map((sequence) =>
      sequence.map((option, round) => {
        if (before !== undefined && round < done) return find(before.options[round], round);
        if (round < fromRound) return null;
        if (!withPins) return option;
        const pinned = pins.find(
          (pin) => pin.option !== undefined && (pin.round ?? round) === round,
        );
        const wanted = pinned === undefined ? null : find(pinned.option, round);
        return wanted ?? option;
      }),
    );
  const all = pins.length === 0 ? change(false) : [...change(true), ...change(false)];
  const stood = before?.options.map((id, round) =>
    round >= done && round < fromRound ? null : find(id, round),
  );
  const kept = stood?.length === sequences[0]?.length ? [stood as Sequence] : [];
  const seen = new Set<string>();
  return [...kept, ...all].filter((sequence) => {
    const key = keyOf(sequence);
    return !seen.has(key) && seen.add(key);
  });
}

/** Do the tries of a sequence last, and are there enough of them to be worth a warm-up? */
export function isFeasibleSequence(
  options: Sequence,
  person: ComposePerson,
  { done = 0 }: Pick<RoundsProblem, 'done'>,
): boolean {
  const { fromRound = 0, before, mostAttempts, isBearable } = person;
  if (!keepsRest(options, person, done)) return false;
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

/**
 * The plain patterns of one student: stay throughout, move on once, sit one round out, take turns
 * with somebody. Those that tire beyond what is left, or try only once, are left out beforehand.
 */
export function listPatterns(person: ComposePerson, problem: RoundsProblem): Pattern[] {
  const { rounds, walls, done = 0 } = problem;
  const { fromRound = 0, before } = person;
  const isUnsettled = done === 0 && fromRound === 0 && before === undefined;
  const sequences = settle(listSequences(person, rounds), person, done);
  const patterns: Pattern[] = [];
  for (const options of sequences) {
    if (!isFeasibleSequence(options, person, problem)) continue;
    const worth = worthOf(options);
    const atWall = options.filter((option) => option?.alongM !== undefined) as RoundOption[];
    const places =
      atWall.length === 0
        ? [null]
        : walls.filter((wall) => !atWall.some((option) => isLow(option, wall))).map(({ id }) => id);
    const [first] = options;
    const isOne = options.every((option) => option === first);
    const mayShare = isUnsettled && isOne && first?.canShare === true && rounds > 0;
    for (const wall of places) {
      patterns.push(weigh({ options, wall, worth }, person, done));
      if (mayShare) {
        const shared = {
          options,
          wall,
          worth: worth * composeWeights.shared,
          shares: true,
        } as const;
        patterns.push(weigh(shared, person, done));
      }
    }
  }
  return patterns;
}

function weigh(
  pattern: Pick<Pattern, 'options' | 'wall' | 'worth' | 'shares'>,
  person: ComposePerson,
  done: number,
): Pattern {
  const { pins = [], before } = person;
  const { options, wall, worth } = pattern;
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
  return { ...pattern, brokenPins: broken, value: worth - moved - composeWeights.pin * broken };
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

function worthOf(options: Sequence): number {
  let worth = 0;
  options.forEach((option, round) => {
    worth += option?.value ?? 0;
    const before = options[round - 1];
    if (round > 0 && option && before && option !== before) worth -= composeWeights.change;
  });
  return worth;
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
  shares && options[0] ? `${options[0].id}@${wall ?? 'floor'}` : null;
