/**
 * The search over everything one student may do, round by round: the sequences that add most come
 * out, what cannot be among them is left out by a bound. Without prices it gives the plain patterns
 * that a quick plan chooses from; with prices, the columns a proof needs.
 */
import {
  isAsked,
  openRounds,
  settleSequence,
  type ComposePerson,
  type Pattern,
  type RoundOption,
  type RoundsProblem,
  type Sequence,
} from './problem';
import { composeWeights, kindOf, roundWorth, shareAgain, stepAdds } from './worth';

export interface SearchTask {
  readonly person: ComposePerson;
  readonly problem: RoundsProblem;
  /** Where: a wall of the problem, or nowhere in particular. */
  readonly wall: string | null;
  /** What there is to choose from there. */
  readonly choices: readonly (RoundOption | null)[];
  /** How much one unit of worth counts. */
  readonly factor: number;
  /** What an option adds or takes in a round besides its worth. */
  readonly extra: (option: RoundOption | null, round: number) => number;
  /** Added to every sequence. */
  readonly base: number;
  /** What a finished sequence counts for; `null`: it is none. */
  readonly finish: (options: Sequence) => Pattern | null;
  readonly surplusOf: (pattern: Pattern) => number;
}

export interface Found {
  readonly pattern: Pattern;
  readonly surplus: number;
}

export interface Search {
  /** The best first. */
  readonly found: readonly Found[];
  /** No other sequence adds more than this. */
  readonly leftAtMost: number;
  readonly steps: number;
}

/**
 * The sequences that add more than `over`, the `most` best of them.
 *
 * @param mostSteps looked at before the search gives up; then `leftAtMost` says so
 */
export function searchSequences(
  task: SearchTask,
  over: number,
  most: number,
  mostSteps: number,
): Search {
  const { person, problem, choices, factor, extra, base } = task;
  const open = openRounds(person, problem);
  const behind = settleSequence([], [], person, problem);
  const past = behind.slice(0, open[0] ?? behind.length);
  const pastWorth = past.reduce(
    (sum, option, round) => sum + factor * roundWorth(option, past, round),
    0,
  );
  const table = tabulate(past, choices, person);
  const { kinds, values, steps: stepTable, isAttempt, isRest, mustClimb, climbsFrom } = table;
  const times = new Int32Array(table.kindsInAll);
  for (const kind of table.pastKinds) if (kind >= 0) times[kind]! += 1;
  const extras = open.map((round) => choices.map((option) => extra(option, round)));
  const ahead = boundAhead(table, extras, factor);
  // What counts most in a round is looked at first: a pin and a price count more than a worth.
  const orders = extras.map((extra) =>
    choices
      .map((option, index) => ({ index, value: factor * (option?.value ?? 0) + extra[index]! }))
      .sort((a, b) => b.value - a.value)
      .map(({ index }) => index),
  );
  const found: Found[] = [];
  const chosen: (RoundOption | null)[] = [...past];
  let bar = over;
  let leftAtMost = -Infinity;
  let steps = 0;
  const leave = (atMost: number) => {
    leftAtMost = Math.max(leftAtMost, atMost);
  };
  const keep = (pattern: Pattern, surplus: number) => {
    if (surplus <= bar) {
      leave(surplus);
      return;
    }
    let at = found.length;
    while (at > 0 && found[at - 1]!.surplus < surplus) at -= 1;
    found.splice(at, 0, { pattern, surplus });
    if (found.length > most) leave(found.pop()!.surplus);
    if (found.length === most) bar = Math.max(over, found[most - 1]!.surplus);
  };
  const count = choices.length;
  const visit = (depth: number, last: number, sum: number, tries: number): void => {
    const atMost = sum + ahead[depth]![last + 1]!;
    if (atMost <= bar + 1e-12 || steps > mostSteps) {
      leave(atMost);
      return;
    }
    steps += 1;
    if (depth === open.length) {
      // What is behind comes first: all of the evening, in its order.
      const pattern = task.finish([...chosen]);
      if (pattern !== null) keep(pattern, task.surplusOf(pattern));
      return;
    }
    for (const choice of orders[depth]!) {
      const now = tries + isAttempt[choice]!;
      if (isAttempt[choice] === 1 && now > person.mostAttempts) continue;
      if (mustClimb[choice] === 1 && !climbsFrom[choice]!.some((kind) => times[kind]! > 0))
        continue;
      const kind = kinds[choice]!;
      const share = shareAgain(isAttempt[choice] === 1, isRest[choice] === 1, times[kind]!);
      // The same sum, in the same order, as `roundWorth` makes of the options themselves.
      const worth =
        kind < 0 ? 0 : values[choice]! * share + stepTable[(last + 1) * count + choice]!;
      const next = sum + factor * worth + extras[depth]![choice]!;
      // What comes to nothing, and says nothing new of what is left, is not looked at any closer.
      const atMost = next + ahead[depth + 1]![choice + 1]!;
      if (atMost <= bar + 1e-12 && atMost <= leftAtMost) continue;
      chosen.push(choices[choice]!);
      // What is too much so far is too much whatever follows.
      if (isAttempt[choice] === 0 || (person.isBearable?.(chosen) ?? true)) {
        if (kind >= 0) times[kind]! += 1;
        visit(depth + 1, choice, next, now);
        if (kind >= 0) times[kind]! -= 1;
      }
      chosen.pop();
    }
  };
  visit(0, -1, base + pastWorth, past.filter((option) => option?.isAttempt).length);
  return { found, leftAtMost: Math.max(over, leftAtMost), steps };
}

/**
 * What the search asks of its choices some ten thousand times, as numbers by their places: nothing
 * is compared by its name while it runs.
 */
interface ChoiceTable {
  /** What each choice is a version of, as a number; -1: nothing at all. */
  readonly kinds: readonly number[];
  /** The same of what is behind, in its order. */
  readonly pastKinds: readonly number[];
  readonly kindsInAll: number;
  readonly values: Float64Array;
  readonly isAttempt: Uint8Array;
  readonly isRest: Uint8Array;
  /** Asks for the rung before it, and the teacher did not ask for this very thing. */
  readonly mustClimb: Uint8Array;
  /** By choice: the kinds it is a step up from. */
  readonly climbsFrom: readonly (readonly number[])[];
  /** What going from one to another adds, row by row; the first row: from what is behind. */
  readonly steps: Float64Array;
}

function tabulate(
  past: Sequence,
  choices: readonly (RoundOption | null)[],
  person: Pick<ComposePerson, 'pins'>,
): ChoiceTable {
  const numbers = new Map<string, number>();
  const numberOf = (kind: string) => {
    const known = numbers.get(kind) ?? numbers.size;
    numbers.set(kind, known);
    return known;
  };
  const pastKinds = past.map((option) => (option === null ? -1 : numberOf(kindOf(option))));
  const kinds = choices.map((option) => (option === null ? -1 : numberOf(kindOf(option))));
  const climbsFrom = choices.map(
    (option) => option?.above?.flatMap((kind) => numbers.get(kind) ?? []) ?? [],
  );
  const below = choices.map((option) => {
    const has = new Uint8Array(numbers.size);
    for (const kind of option?.from ?? []) {
      const number = numbers.get(kind);
      if (number !== undefined) has[number] = 1;
    }
    return has;
  });
  const flags = (is: (option: RoundOption) => boolean) =>
    Uint8Array.from(choices, (option) => (option !== null && is(option) ? 1 : 0));
  const count = choices.length;
  const steps = new Float64Array((count + 1) * count);
  const climbs = new Uint8Array(numbers.size);
  const { climb, fall, change } = composeWeights;
  const last = past[past.length - 1];
  choices.forEach((option, choice) => {
    if (option === null) return;
    for (const kind of climbsFrom[choice]!) climbs[kind] = 1;
    steps[choice] = stepAdds(last, option);
    for (let before = 0; before < count; before += 1) {
      const kind = kinds[before]!;
      if (before === choice || kind < 0) continue;
      // The same as `stepAdds`, without comparing names.
      steps[(before + 1) * count + choice] =
        climbs[kind] === 1 ? climb : below[before]![kinds[choice]!] === 1 ? -fall : -change;
    }
    for (const kind of climbsFrom[choice]!) climbs[kind] = 0;
  });
  return {
    kinds,
    pastKinds,
    kindsInAll: numbers.size,
    values: Float64Array.from(choices, (option) => option?.value ?? 0),
    isAttempt: flags((option) => option.isAttempt === true),
    isRest: flags((option) => option.isRest === true),
    mustClimb: flags((option) => option.needsFirst === true && !isAsked(option, person)),
    climbsFrom,
    steps,
  };
}

/**
 * By rounds planned and the last choice (0: none yet): the most that the rounds to come can add.
 * Doing the same thing again counts as the second time; what lies further back is not looked at.
 */
function boundAhead(
  { kinds, pastKinds, values, isAttempt, isRest, steps }: ChoiceTable,
  extras: readonly (readonly number[])[],
  factor: number,
): Float64Array[] {
  const { more } = composeWeights.again.hold;
  const count = kinds.length;
  // Where worth counts against somebody, doing it again counts least.
  const shareIn = (choice: number, isAgain: boolean) =>
    factor >= 0
      ? shareAgain(isAttempt[choice] === 1, isRest[choice] === 1, isAgain ? 1 : 0)
      : isRest[choice] === 1
        ? 1
        : more;
  const anew = kinds.map((_, choice) => values[choice]! * shareIn(choice, false));
  const again = kinds.map((_, choice) => values[choice]! * shareIn(choice, true));
  const ahead = Array.from({ length: extras.length + 1 }, () => new Float64Array(count + 1));
  const lastKind = pastKinds[pastKinds.length - 1] ?? -1;
  for (let depth = extras.length - 1; depth >= 0; depth -= 1) {
    const now = ahead[depth]!;
    const then = ahead[depth + 1]!;
    const added = extras[depth]!;
    // Only from what is behind where nothing is chosen yet.
    for (let before = depth === 0 ? 0 : 1; before <= (depth === 0 ? 0 : count); before += 1) {
      const kind = before === 0 ? lastKind : kinds[before - 1]!;
      let best = -Infinity;
      for (let choice = 0; choice < count; choice += 1) {
        const own = kinds[choice]!;
        const worth = own < 0 ? 0 : own === kind ? again[choice]! : anew[choice]!;
        const all =
          factor * (worth + steps[before * count + choice]!) + added[choice]! + then[choice + 1]!;
        if (all > best) best = all;
      }
      now[before] = best;
    }
  }
  return ahead;
}

/** Asks for nothing that there could be too little of. */
export const isBare = ({
  alongM,
  pieces,
  needsHand,
  needsCircle,
}: Pick<RoundOption, 'pieces' | 'needsHand' | 'needsCircle'> & {
  readonly alongM?: number | undefined;
}): boolean => alongM === undefined && pieces.length === 0 && !needsHand && !needsCircle;

/**
 * What somebody may be given: rest, or nothing at all, only where no thing of their own is sure to
 * find a place, or where they were told to rest.
 */
export function mayBeGiven(
  { pins = [] }: Pick<ComposePerson, 'pins'>,
  options: readonly RoundOption[],
): (RoundOption | null)[] {
  const isSure = options.some(
    (option) =>
      !option.isRest &&
      // A try may be too much, or too few of it.
      !option.isAttempt &&
      isBare(option) &&
      option.needsFirst === undefined,
  );
  const isTold = pins.some(({ option }) =>
    options.some(({ id, isRest }) => isRest && id === option),
  );
  if (!isSure) return [...options, null];
  return isTold ? [...options] : options.filter(({ isRest }) => !isRest);
}
