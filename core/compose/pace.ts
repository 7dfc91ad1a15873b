/** How a class tires the people in it: drills, checks, holds and tries. Source: handbook 07. */
import { workOf, type DrillSpec, type DrillWork } from '../catalog/drills';
import { regions, type RegionLoads } from '../catalog/regions';
import {
  attempt,
  findRefusals,
  freshState,
  mainRegions,
  rest,
  secondsToSpent,
  work,
  type AttemptRefusal,
  type Capacities,
  type FatigueState,
} from '../fatigue/reserve';

export const pace = {
  /** Spread over the round, where the stage does not say; each of them must find enough left. */
  attemptsEachRound: 2,
  /** A usual round with its reset, seconds: for how many tries of one somebody has enough left. */
  usualRoundSeconds: 330,
  /** A hold is left at this share of what the student can hold (handbook 08: 60-70 %). */
  shareOfCapacity: 0.65,
  /** Holds in a round, and the longest of them, seconds. */
  holdsEachRound: 2,
  longestHoldSeconds: 60,
  /** A check is held to the end of what the student can, or until the bar and a little more is seen. */
  checkSeconds: 60,
  /** Where no running order is known: the regions are warm and somewhat used. */
  warmUpSeconds: 90,
  warmUpLoad: 0.5,
} as const;

/** Seconds of work in a drill of so many minutes; longer drills get more sets, not longer ones. */
export function drillSeconds(drill: DrillSpec, minutes = drill.minutes): number {
  const { sets, seconds } = workOf(drill);
  return scaledSets(sets, minutes / drill.minutes) * seconds;
}

const scaledSets = (sets: number, times: number) =>
  sets === 0 ? 0 : Math.max(1, Math.round(sets * times));

/** The seconds a student stays in a hold of these loads. */
function holdSeconds(loads: RegionLoads, most: number, capacities: Capacities, share: number) {
  const spent = regions
    .filter((region) => (loads[region] ?? 0) > 0)
    .map((region) => share * secondsToSpent(capacities, region, loads[region]!));
  return Math.min(most, ...spent);
}

/** The longest that a student should stay in these loads at once, seconds; Infinity: no matter. */
export const borneSeconds = (loads: RegionLoads, capacities: Capacities): number =>
  holdSeconds(loads, Infinity, capacities, pace.shareOfCapacity);

interface Sets {
  readonly sets: number;
  readonly seconds: number;
  readonly share?: number;
}

/** Sets of work spread evenly over a stretch of time, with rest in between and at the end. */
function workSets(
  state: FatigueState,
  loads: RegionLoads,
  { sets, seconds, share = pace.shareOfCapacity }: Sets,
  totalSeconds: number,
  capacities: Capacities,
): FatigueState {
  if (sets === 0) return rest(state, totalSeconds);
  const held = holdSeconds(loads, seconds, capacities, share);
  const between = Math.max(0, totalSeconds / sets - held);
  let now = state;
  for (let set = 0; set < sets; set += 1) {
    now = rest(work(now, loads, held, capacities), between);
  }
  return now;
}

/** A drill of so many minutes; `null` for whoever sits this one out. */
export function passDrill(
  state: FatigueState,
  drill: DrillSpec | null,
  minutes: number,
  capacities: Capacities,
): FatigueState {
  if (drill === null) return rest(state, 60 * minutes);
  const { sets, seconds } = workOf(drill);
  return workSets(
    state,
    drill.loads,
    { sets: scaledSets(sets, minutes / drill.minutes), seconds },
    60 * minutes,
    capacities,
  );
}

/** A hold taken as a check, to the end of what the student has, then the rest of the time. */
export function passCheck(
  state: FatigueState,
  loads: RegionLoads,
  minutes: number,
  capacities: Capacities,
): FatigueState {
  return workSets(
    state,
    loads,
    { sets: 1, seconds: pace.checkSeconds, share: 1 },
    60 * minutes,
    capacities,
  );
}

/** What a round does to somebody. */
export interface RoundWork {
  readonly loads: RegionLoads;
  readonly isAttempt?: true | undefined;
  /** Sets and seconds of a hold in a round; absent: the usual two. */
  readonly work?: DrillWork | undefined;
  /** Tries of this student in a round; absent: the usual two. */
  readonly tries?: number | undefined;
}

export interface Passed {
  readonly state: FatigueState;
  /** Tries that found too little left, or a region not warm. */
  readonly refusals: readonly AttemptRefusal[];
}

/** One round with its reset: tries or holds, spread over it. */
export function passRound(
  state: FatigueState,
  option: RoundWork | null,
  seconds: number,
  capacities: Capacities,
  isFirstAttempt: boolean,
): Passed {
  if (option === null) return { state: rest(state, seconds), refusals: [] };
  if (!option.isAttempt) {
    const sets = option.work ?? {
      sets: pace.holdsEachRound,
      seconds: pace.longestHoldSeconds,
    };
    return { state: workSets(state, option.loads, sets, seconds, capacities), refusals: [] };
  }
  const refusals: AttemptRefusal[] = [];
  let now = state;
  const count = option.tries ?? pace.attemptsEachRound;
  for (let tries = 0; tries < count; tries += 1) {
    refusals.push(...findRefusals(now, option.loads, isFirstAttempt && tries === 0));
    now = rest(attempt(now, option.loads, 1, capacities), seconds / count);
  }
  return { state: now, refusals };
}

/**
 * As many tries of one round as leave enough for each of them, of so many as are asked; never none:
 * whether even that is borne is the round's own question.
 */
export function triesBorne(loads: RegionLoads, asked: number, capacities: Capacities): number {
  const warm = warmState(loads, pace.warmUpSeconds, capacities);
  for (let tries = asked; tries > 1; tries -= 1) {
    const round = { loads, isAttempt: true, tries } as const;
    const { refusals } = passRound(warm, round, pace.usualRoundSeconds, capacities, false);
    if (refusals.length === 0) return tries;
  }
  return 1;
}

/** Does a sequence of rounds leave enough for each of its tries? */
export function isBearable(
  start: FatigueState,
  options: readonly (RoundWork | null)[],
  seconds: number,
  capacities: Capacities,
): boolean {
  let state = start;
  let hasTried = false;
  for (const option of options) {
    const passed = passRound(state, option, seconds, capacities, !hasTried);
    if (passed.refusals.length > 0) return false;
    if (option?.isAttempt) hasTried = true;
    state = passed.state;
  }
  return true;
}

interface Lived {
  /** `null`: a try on the way found too little left. */
  readonly state: FatigueState | null;
  readonly hasTried: boolean;
  readonly then: Map<RoundWork | null, Lived>;
}

/**
 * The same question for many sequences of one student: rounds that begin alike are lived through
 * once.
 */
export function bearing<Option extends RoundWork>(
  start: FatigueState,
  seconds: number,
  capacities: Capacities,
): (options: readonly (Option | null)[]) => boolean {
  const root: Lived = { state: start, hasTried: false, then: new Map() };
  const live = ({ state, hasTried }: Lived, option: Option | null): Lived => {
    if (state === null) return { state, hasTried, then: new Map() };
    const passed = passRound(state, option, seconds, capacities, !hasTried);
    return {
      state: passed.refusals.length > 0 ? null : passed.state,
      hasTried: hasTried || option?.isAttempt === true,
      then: new Map(),
    };
  };
  return (options) => {
    let now = root;
    for (const option of options) {
      let next = now.then.get(option);
      if (next === undefined) {
        next = live(now, option);
        now.then.set(option, next);
      }
      if (next.state === null) return false;
      now = next;
    }
    return true;
  };
}

/** As if the drills had been done, where nothing is known of them. */
export function warmState(
  loads: RegionLoads,
  seconds: number,
  capacities: Capacities,
): FatigueState {
  const warmUp = Object.fromEntries(mainRegions(loads).map((region) => [region, pace.warmUpLoad]));
  return rest(work(freshState, warmUp, pace.warmUpSeconds, capacities), seconds);
}
