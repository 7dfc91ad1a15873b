/** The running order and what it does to everybody before the first round. Source: handbook 08. */
import { drillTable, type DrillKey, type DrillSpec } from '../catalog/drills';
import { ladderTable, type LadderId } from '../catalog/stage';
import type { RegionLoads } from '../catalog/regions';
import { freshState, rest, type Capacities, type FatigueState } from '../fatigue/reserve';
import { passCheck, passDrill } from './pace';
import { clamp, parts, spareOrders, stretches, type Budget, type BudgetInput } from './budget';
import { warmUntil, type DrillStep } from './drillOrder';

export const itemKinds = [
  'arrive',
  'drill',
  'pause',
  'checks',
  'settle',
  'round',
  'reset',
  'counter',
  'release',
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

export interface TimelineInput extends BudgetInput {
  readonly budget: Budget;
  readonly steps: readonly DrillStep[];
  /** Minutes of checks that were chosen; 0: none. */
  readonly checkMinutes: number;
  /** Minutes to get to the places and, where tries need it, to recover. */
  readonly settleMinutes: number;
  /** The teacher's own order and lengths: nothing is made longer. */
  readonly isOwnOrder?: boolean;
}

const minutesOf = (items: readonly Pick<TimelineItem, 'minutes'>[]) =>
  items.reduce((sum, { minutes }) => sum + minutes, 0);

/** A longer way to the places is taken from the longest drills, half a minute at a time. */
function fitDrills(items: { kind: ItemKind; minutes: number }[], most: number): void {
  while (minutesOf(items) > most + 1e-9) {
    const drills = items.filter(
      ({ kind, minutes }) => kind === 'drill' && minutes > parts.leastDrill,
    );
    if (drills.length === 0) return;
    const longest = drills.reduce((a, b) => (b.minutes > a.minutes ? b : a));
    longest.minutes -= 0.5;
  }
}

type Draft = Omit<TimelineItem, 'startsAt' | 'minutes'> & { minutes: number };

/** The running order with its times; what is left over goes where the teacher wants it. */
export function layOutTime(input: TimelineInput): TimelineItem[] {
  const { budget, steps, roundMinutes, resetMinutes } = input;
  const items: Draft[] = [
    {
      id: 'arrive',
      kind: 'arrive',
      label: 'Arrive',
      minutes: budget.arrive,
      how: 'Anything new or sore today?',
    },
  ];
  const checks: Draft[] =
    input.checkMinutes > 0
      ? [{ id: 'checks', kind: 'checks', label: 'Checks', minutes: input.checkMinutes }]
      : [];
  // An evening for looking looks as soon as people are warm: the rounds rest on it.
  const checksAt = input.isLooking === true ? warmUntil(steps) : steps.length;
  let pauses = 0;
  steps.forEach((step, at) => {
    if (at === checksAt) items.push(...checks);
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
  });
  if (checksAt >= steps.length) items.push(...checks);
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
  const families = budget.rounds === 0 ? [] : input.families;
  const most = input.minutes - Math.min(budget.rest, parts.rest.low, input.minutes);
  const closing = closeOf(input, families);
  fitDrills(items, most - minutesOf(closing));
  spread(items, input.minutes - budget.rest - minutesOf(closing), input, stretches);
  // Longer still only where the cool-down and the longest rest do not take what is left.
  const atLongest = input.minutes - parts.rest.high - minutesOf(stretched(closing, longest));
  spread(items, input.minutes - parts.rest.high - minutesOf(stretched(closing)), input, longest);
  // Before a longer rest than anybody asked for, whatever may grow does.
  if (input.spare !== 'rest') spread(items, atLongest, { ...input, spare: 'rounds' }, longest);
  return timed(close(items, families, input));
}

/** What comes after the last round, at its least. */
function closeOf(
  { budget }: Pick<TimelineInput, 'budget'>,
  families: readonly LadderId[],
): Draft[] {
  const counters = families.map((family): Draft => {
    const { label, minutes } = ladderTable[family].counter;
    return { id: `counter-${family}`, kind: 'counter', label, minutes, family };
  });
  const spec = drillTable['cool-down'];
  const cool: Draft[] =
    budget.release > 0
      ? [
          {
            id: 'cool-down',
            kind: 'release',
            label: spec.label,
            minutes: budget.release,
            drill: 'cool-down',
            spec,
            how: spec.how,
          },
        ]
      : [];
  return [...counters, ...cool];
}

/** The counterposes of these families, the cool-down and the rest, filling the minutes there are. */
function close(
  items: readonly Draft[],
  families: readonly LadderId[],
  { budget, minutes, spare }: Pick<TimelineInput, 'budget' | 'minutes' | 'spare'>,
  limits: ClosingLimits = stretches,
): Draft[] {
  const closing = closeOf({ budget }, families);
  let left = minutes - minutesOf(items) - minutesOf(closing);
  const rest = Math.max(left, Math.min(budget.rest, parts.rest.low, minutes));
  const wanted = spare === 'rest' ? rest : clamp(rest, 0, parts.rest.high);
  left -= wanted;
  // A longer cool-down and longer counterposes before a rest that nobody asked for.
  stretched(closing, limits).forEach(({ minutes: most }, at) => {
    const item = closing[at]!;
    const more = clamp(most - item.minutes, 0, Math.max(0, left));
    item.minutes += more;
    left -= more;
  });
  return [
    ...items,
    ...closing,
    { id: 'rest', kind: 'rest', label: 'Rest', minutes: wanted + Math.max(0, left) },
  ];
}

/** Longer still, before a rest that nobody asked for. */
const longest = { drill: 2.5, round: 1.5, release: 2.5, counter: 1.5 } as const;
const halfMinute = 0.5;

interface ClosingLimits {
  readonly release: number;
  readonly counter: number;
}

const stretched = (closing: readonly Draft[], limits: ClosingLimits = stretches): Draft[] =>
  closing.map((item) => ({
    ...item,
    minutes: half(item.minutes * (item.kind === 'release' ? limits.release : limits.counter)),
  }));
const half = (value: number) => Math.floor(value * 2) / 2;

/** Leftover minutes, half a minute at a time: to what was stretched least so far. */
function spread(
  items: readonly Draft[],
  most: number,
  { spare = 'drills', isOwnOrder, steps, roundMinutes }: TimelineInput,
  limits: { readonly drill: number; readonly round: number },
): void {
  let left = most - minutesOf(items);
  const planned = (item: Draft) =>
    steps.find((step) => step.kind === 'drill' && step.drill === item.drill)?.minutes ?? 0;
  for (const kind of spareOrders[spare]) {
    if (kind === 'rounds') {
      // Rounds stay as long as each other.
      const rounds = items.filter((item) => item.kind === 'round');
      const step = halfMinute * rounds.length;
      while (
        rounds.length > 0 &&
        left >= step - 1e-9 &&
        rounds[0]!.minutes + halfMinute <= roundMinutes * limits.round + 1e-9
      ) {
        for (const item of rounds) item.minutes += halfMinute;
        left -= step;
      }
      continue;
    }
    const drills = isOwnOrder ? [] : items.filter((item) => item.kind === 'drill');
    while (left >= halfMinute - 1e-9) {
      const open = drills.filter(
        (item) => item.minutes + halfMinute <= planned(item) * limits.drill + 1e-9,
      );
      if (open.length === 0) break;
      const ratio = (item: Draft) => item.minutes / planned(item);
      open.reduce((a, b) => (ratio(b) < ratio(a) ? b : a)).minutes += halfMinute;
      left -= halfMinute;
    }
  }
}

function timed(items: readonly Draft[]): TimelineItem[] {
  let startsAt = 0;
  return items.map((item) => {
    const placed = { ...item, startsAt };
    startsAt += item.minutes;
    return placed;
  });
}

/**
 * The same order once it is known what is done: counterposes of what is held tonight and of nothing
 * else, and the minutes of the others given to the cool-down and the rest.
 */
export function closeTime(
  items: readonly TimelineItem[],
  held: readonly LadderId[],
  input: Pick<TimelineInput, 'budget' | 'minutes' | 'spare'>,
): TimelineItem[] {
  const before = items.filter(
    ({ kind }) => kind !== 'counter' && kind !== 'release' && kind !== 'rest',
  );
  const closed = close(before, held, input, longest);
  return timed(input.spare === 'rest' ? closed : withoutLongRest(closed));
}

/** Half minutes that nobody wants go where they only rest people before what is to come. */
function withoutLongRest(items: readonly Draft[]): Draft[] {
  let over = Math.max(0, items.at(-1)!.minutes - parts.rest.high);
  const most = { settle: parts.mostSettle, arrive: parts.arrive.high } as const;
  const taken = items.map((item) => {
    if (item.kind !== 'settle' && item.kind !== 'arrive') return item;
    const more = clamp(most[item.kind] - item.minutes, 0, over);
    over -= more;
    return { ...item, minutes: item.minutes + more };
  });
  return taken.map((item, at) =>
    at === taken.length - 1
      ? { ...item, minutes: Math.min(item.minutes, parts.rest.high) + over }
      : item,
  );
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
  const isDrill = item.kind === 'drill' || item.kind === 'release';
  if (isDrill && item.drill !== undefined && item.spec !== undefined) {
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
