/**
 * The plain patterns of one student, which a quick plan chooses from: what the search gives without
 * prices, and what stood before.
 */
import {
  isFeasibleSequence,
  listWalls,
  weigh,
  weighSequence,
  type ComposePerson,
  type Pattern,
  type RoundOption,
  type RoundsProblem,
  type Sequence,
} from './problem';
import { isBare, mayBeGiven, searchSequences, type SearchTask } from './sequences';
import { composeWeights } from './worth';

/** Sequences kept for each place and for each way of asking for less. */
const plainRules = { each: 8, mostSteps: 1500, shared: 4 } as const;

/**
 * The plain patterns of one student: the best that can be done at each wall and at none, with and
 * without props and hands, alone or taking turns; what stood before; what is asked for by pins.
 * Those that tire beyond what is left, or try only once, are left out beforehand.
 */
export function listPatterns(person: ComposePerson, problem: RoundsProblem): Pattern[] {
  const { done = 0 } = problem;
  const { fromRound = 0, before, pins = [] } = person;
  const isUnsettled = done === 0 && fromRound === 0 && before === undefined;
  const patterns = new Map<string, Pattern>();
  const add = (pattern: Pattern) => {
    const key = `${keyOfPattern(pattern)}${pattern.shares ? '+' : ''}`;
    if (!patterns.has(key)) patterns.set(key, pattern);
  };
  const finish = (wall: string | null) => (options: Sequence) => {
    if (wall !== null && options.every((option) => option?.alongM === undefined)) return null;
    if (!isFeasibleSequence(options, person, problem)) return null;
    return weighSequence(options, wall, person, problem);
  };
  const stood = findStood(person, problem);
  // Where nothing is asked for and nothing stood, a wall is only where: what can be done at one can
  // be done at each that is as high.
  const isAnyWall = pins.length === 0 && before === undefined;
  const searched = new Map<string, readonly Pattern[]>();
  for (const { wall, options } of listWalls(person, problem)) {
    const given = mayBeGiven(person, options);
    // What is sure to find a place, or asks for the wall alone: for whoever comes last.
    const modest = given.filter((one) => one === null || isBare({ ...one, alongM: undefined }));
    const lists = modest.length === given.length ? [given] : [given, modest];
    for (const choices of lists) {
      const search = (asked: boolean) => {
        const task: SearchTask = {
          person,
          problem,
          wall,
          choices,
          factor: 1,
          extra: (option, round) =>
            keepCost(option, round, person) + (asked ? pinnedOut(option, round, person, done) : 0),
          base: 0,
          finish: finish(wall),
          surplusOf: ({ value }) => value,
        };
        const { each, mostSteps } = plainRules;
        return searchSequences(task, -Infinity, each, mostSteps).found.map((one) => one.pattern);
      };
      const key = `${wall === null ? '' : '@'}${choices.map((one) => one?.id ?? '').join('|')}`;
      const known = isAnyWall ? searched.get(key) : undefined;
      const found = known?.map((pattern) => atWall(pattern, wall)) ?? [
        ...(pins.length === 0 ? [] : search(true)),
        ...search(false),
      ];
      searched.set(key, found);
      found.forEach(add);
    }
    if (stood !== null) {
      const kept = finish(wall)(stood);
      const fits =
        wall === null
          ? stood.every((option) => option?.alongM === undefined)
          : stood.every((option) => option?.alongM === undefined || options.includes(option));
      if (kept !== null && fits) add(kept);
    }
  }
  if (isUnsettled && problem.rounds > 0) {
    const alone = [...patterns.values()].filter(({ options }) =>
      options.every((option) => option?.canShare === true),
    );
    for (const place of new Set(alone.map(({ wall }) => wall))) {
      const list = alone.filter(({ wall }) => wall === place);
      list.sort((a, b) => b.value - a.value);
      for (const { options, wall, worth } of list.slice(0, plainRules.shared)) {
        const shared = {
          options,
          wall,
          worth: worth * composeWeights.shared,
          shares: true,
        } as const;
        add(weigh(shared, person, done));
      }
    }
  }
  return [...patterns.values()];
}

/** The same sequence somewhere else. */
const atWall = ({ options, worth, value, brokenPins }: Pattern, wall: string | null): Pattern => ({
  options,
  wall,
  worth,
  value,
  brokenPins,
});

/** What a sequence is known by. */
export const keyOfPattern = ({ options, wall }: Pick<Pattern, 'options' | 'wall'>): string =>
  `${options.map((option) => option?.id ?? '').join('|')}@${wall ?? ''}`;

/** What it costs to do otherwise than before. */
function keepCost(
  option: RoundOption | null,
  round: number,
  { before }: Pick<ComposePerson, 'before'>,
): number {
  if (before === undefined) return 0;
  return (option?.id ?? null) === (before.options[round] ?? null) ? 0 : -composeWeights.keep;
}

/** Against everything that is not what a pin asks for in this round. */
function pinnedOut(
  option: RoundOption | null,
  round: number,
  { pins = [], options }: ComposePerson,
  done: number,
): number {
  const asked = pins.find((pin) => pin.option !== undefined && (pin.round ?? round) === round);
  const isThere = options.some(
    ({ id, isPast }) => id === asked?.option && (round < done || isPast !== true),
  );
  return asked === undefined || !isThere || option?.id === asked.option ? 0 : -composeWeights.pin;
}

/** What was planned before, as far as it is still open. */
function findStood({ before, options, fromRound = 0 }: ComposePerson, problem: RoundsProblem) {
  const { rounds, done = 0 } = problem;
  if (before?.options.length !== rounds) return null;
  return before.options.map((id, round) =>
    round >= done && round < fromRound
      ? null
      : (options.find((one) => one.id === id && (round < done || one.isPast !== true)) ?? null),
  );
}
