/** The running order and what it does to everybody before the first round. Source: handbook 08. */
import { drillTable, type DrillKey, type DrillSpec } from '../catalog/drills';
import { ladderTable, type LadderId } from '../catalog/stage';
import type { RegionLoads } from '../catalog/regions';
import { freshState, rest, type Capacities, type FatigueState } from '../fatigue/reserve';
import { passCheck, passDrill } from './pace';
import type { DrillStep } from './drillOrder';

export const itemKinds = [
  'arrive',
  'drill',
  'pause',
  'checks',
  'settle',
  'round',
  'reset',
  'counter',
  'rest',
] as const;
export type ItemKind = (typeof itemKinds)[number];

/** One line of the running order. */
export interface TimelineItem {
  readonly id: string;
  readonly kind: ItemKind;
  readonly label: string;
  readonly minutes: number;
  /** Minutes after the class begins. */
  readonly startsAt: number;
  readonly drill?: DrillKey;
  /** What that drill is. */
  readonly spec?: DrillSpec;
  /** Two turns where the pieces go round only half. */
  readonly waves?: 1 | 2;
  /** 0 is the first. */
  readonly round?: number;
  readonly family?: LadderId;
  /** What to say or do. */
  readonly how?: string;
}

export interface BudgetInput {
  readonly minutes: number;
  readonly rounds: number;
  readonly roundMinutes: number;
  readonly resetMinutes: number;
  readonly families: readonly LadderId[];
}

/** How the minutes are shared out. */
export interface Budget {
  readonly arrive: number;
  readonly drills: number;
  readonly checks: number;
  /** To get to the places before the first round. */
  readonly settle: number;
  readonly rounds: number;
  readonly counter: number;
  readonly rest: number;
  /** Minutes from which on two rounds with a warm-up fit; for the sentence that says so. */
  readonly leastMinutes: number;
}

/** Bounds of handbook 08 "Shape of a class", minutes, and the share of the class that suits. */
const parts = {
  arrive: { low: 3, high: 5, share: 0.055 },
  checks: { low: 4, high: 8, share: 0.08 },
  counter: { low: 4, high: 6 },
  rest: { low: 5, high: 10, share: 0.09 },
  /** Under this nobody is warm enough to try anything. */
  leastDrills: 8,
  mostDrills: 45,
  settle: 1,
  /** More than two rounds are given up for a warm-up before two are. */
  leastRounds: 2,
} as const;

const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));
const half = (value: number) => Math.round(value * 2) / 2;

const roundsTake = (rounds: number, { roundMinutes, resetMinutes }: BudgetInput) =>
  rounds === 0 ? 0 : rounds * roundMinutes + (rounds - 1) * resetMinutes;

/** Shares out the minutes: rests and counterposes are never cut; rounds, checks and drills are. */
export function shareOut(input: BudgetInput): Budget {
  const { minutes, families } = input;
  const arrive = half(clamp(minutes * parts.arrive.share, parts.arrive.low, parts.arrive.high));
  const resting = half(clamp(minutes * parts.rest.share, parts.rest.low, parts.rest.high));
  const counter = clamp(2 + 2 * families.length, parts.counter.low, parts.counter.high);
  const fixed = arrive + resting + counter;
  const leastMinutes =
    fixed + parts.leastDrills + parts.settle + roundsTake(parts.leastRounds, input);
  let left = minutes - fixed - parts.settle;
  let rounds = input.rounds;
  while (rounds > 0 && left - roundsTake(rounds, input) < parts.leastDrills) rounds -= 1;
  // One round alone is no practice: then the minutes go to the drills.
  if (rounds < parts.leastRounds) rounds = 0;
  left -= roundsTake(rounds, input);
  const wanted = half(clamp(minutes * parts.checks.share, parts.checks.low, parts.checks.high));
  const checks = left - parts.leastDrills >= wanted ? wanted : 0;
  // Never rounded up: the lines add up to the class.
  const drills = clamp(Math.floor(2 * (left - checks)) / 2, 0, parts.mostDrills);
  return {
    arrive,
    rest: resting,
    counter,
    rounds,
    checks,
    drills,
    settle: rounds === 0 ? 0 : parts.settle,
    leastMinutes,
  };
}

const mostSettle = 4;

export interface TimelineInput extends BudgetInput {
  readonly budget: Budget;
  readonly steps: readonly DrillStep[];
  /** Minutes of checks that were chosen; 0: none. */
  readonly checkMinutes: number;
  /** Minutes to get to the places and, where tries need it, to recover. */
  readonly settleMinutes: number;
}

const minutesOf = (items: readonly Pick<TimelineItem, 'minutes'>[]) =>
  items.reduce((sum, { minutes }) => sum + minutes, 0);

/** A longer way to the places is taken from the longest drills, half a minute at a time. */
function fitDrills(items: { kind: ItemKind; minutes: number }[], most: number): void {
  while (minutesOf(items) > most + 1e-9) {
    const drills = items.filter(({ kind, minutes }) => kind === 'drill' && minutes > 1);
    if (drills.length === 0) return;
    const longest = drills.reduce((a, b) => (b.minutes > a.minutes ? b : a));
    longest.minutes -= 0.5;
  }
}

/** The running order with its times; what is left over goes to the rest at the end. */
export function layOutTime(input: TimelineInput): TimelineItem[] {
  const { budget, steps, families, roundMinutes, resetMinutes } = input;
  const items: (Omit<TimelineItem, 'startsAt' | 'minutes'> & { minutes: number })[] = [
    {
      id: 'arrive',
      kind: 'arrive',
      label: 'Arrive',
      minutes: budget.arrive,
      how: 'Anything new or sore today?',
    },
  ];
  let pauses = 0;
  for (const step of steps) {
    if (step.kind === 'drill') {
      const { drill, spec, minutes, waves } = step;
      const { label, how } = spec;
      items.push({ id: drill, kind: 'drill', label, minutes, drill, spec, waves, how });
    } else {
      pauses += 1;
      items.push({
        id: `pause-${pauses}`,
        kind: 'pause',
        label: drillTable['childs-pose'].label,
        minutes: step.minutes,
      });
    }
  }
  if (input.checkMinutes > 0) {
    items.push({ id: 'checks', kind: 'checks', label: 'Checks', minutes: input.checkMinutes });
  }
  if (budget.rounds > 0) {
    items.push({
      id: 'settle',
      kind: 'settle',
      label: 'To the places',
      minutes: input.settleMinutes,
      how: input.settleMinutes > parts.settle ? 'Long enough for arms and trunk to recover.' : '',
    });
  }
  for (let round = 0; round < budget.rounds; round += 1) {
    items.push({
      id: `round-${round + 1}`,
      kind: 'round',
      label: `Round ${round + 1}`,
      minutes: roundMinutes,
      round,
    });
    if (round < budget.rounds - 1 && resetMinutes > 0) {
      items.push({
        id: `reset-${round + 1}`,
        kind: 'reset',
        label: 'Reset',
        minutes: resetMinutes,
        round,
      });
    }
  }
  for (const family of families) {
    items.push({
      id: `counter-${family}`,
      kind: 'counter',
      label: ladderTable[family].counter.label,
      minutes: budget.counter / families.length,
      family,
    });
  }
  const leastRest = Math.min(budget.rest, parts.rest.low, input.minutes);
  fitDrills(items, input.minutes - leastRest);
  const left = Math.max(input.minutes - minutesOf(items), leastRest);
  items.push({ id: 'rest', kind: 'rest', label: 'Rest', minutes: left });
  let startsAt = 0;
  return items.map((item) => {
    const placed = { ...item, startsAt };
    startsAt += item.minutes;
    return placed;
  });
}

/** What one person brings to the running order. */
export interface TiredPerson {
  readonly capacities: Capacities;
  readonly closedDrills: readonly DrillKey[];
  /** Loads of the hold checks this person is asked for, one after the other. */
  readonly checkLoads: readonly RegionLoads[];
}

/** Everybody's reserves after one item that is no round. */
export function passItem(
  state: FatigueState,
  item: Pick<TimelineItem, 'kind' | 'drill' | 'spec' | 'minutes'>,
  { capacities, closedDrills, checkLoads }: TiredPerson,
): FatigueState {
  if (item.kind === 'drill' && item.drill !== undefined && item.spec !== undefined) {
    const isClosed = closedDrills.includes(item.drill);
    return passDrill(state, isClosed ? null : item.spec, item.minutes, capacities);
  }
  if (item.kind === 'checks' && checkLoads.length > 0) {
    return checkLoads.reduce(
      (now, loads) => passCheck(now, loads, item.minutes / checkLoads.length, capacities),
      state,
    );
  }
  return rest(state, 60 * item.minutes);
}

/** Reserves when the first round begins. */
export function stateAtRounds(items: readonly TimelineItem[], person: TiredPerson): FatigueState {
  const first = items.findIndex(({ kind }) => kind === 'round');
  return items
    .slice(0, first === -1 ? items.length : first)
    .reduce((state, item) => passItem(state, item, person), freshState);
}

/** Half minutes of settling worth trying, so that as many as can are fit for the first round. */
export const settleSteps: readonly number[] = Array.from(
  { length: (mostSettle - parts.settle) * 2 + 1 },
  (_, index) => parts.settle + index / 2,
);
