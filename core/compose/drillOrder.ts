/**
 * The order of the drills: general to specific, wrists early, no region worked twice running
 * without a rest, child's pose between pushing drills. Source: handbook 08.
 */
import { drillTable, type DrillSpec } from '../catalog/drills';
import { regions } from '../catalog/regions';
import type { PlannedDrill } from './drillTask';
import { propsOf } from './drillWorth';

/** One step of the running order before the checks. */
export type DrillStep =
  | ({ readonly kind: 'drill' } & PlannedDrill)
  | { readonly kind: 'pause'; readonly minutes: number };

export const pauseMinutes = drillTable['childs-pose'].minutes;

/** A region counts as worked from this share of full load on. */
const workedFrom = 0.45;
/** Pushing: strength work with this much on the shoulders or the wrists. */
const pushFrom = 0.5;

/** 0 wrists, 1 warming, 2 strength, 3 skill. */
function phaseOf({ purpose, loads, serves }: DrillSpec): number {
  if (purpose === 'warms' && loads.wrist !== undefined) return 0;
  if (serves.includes('wrist-extension')) return 0;
  return purpose === 'warms' ? 1 : purpose === 'strengthens' ? 2 : 3;
}

const isPush = ({ purpose, loads }: DrillSpec) => {
  const { shoulder = 0, wrist = 0 } = loads;
  return purpose === 'strengthens' && Math.max(shoulder, wrist) >= pushFrom;
};

/** Must something lie between these two? */
function needsPause(before: DrillSpec, after: DrillSpec): boolean {
  if (isPush(before) && isPush(after)) return true;
  return regions.some(
    (region) =>
      (before.loads[region] ?? 0) >= workedFrom && (after.loads[region] ?? 0) >= workedFrom,
  );
}

/** What it costs to go from one drill to the next, in pauses. */
const stepCosts = {
  /** Going back from the specific to the general, for each phase. */
  backwards: 1.2,
  /** From the hands to the back, from the back to the knees: everybody moves. */
  position: 1,
  /** For each thing fetched or put away. */
  prop: 0.25,
  pause: 0.6,
} as const;
/** Beyond this many, subsets are too many to try; the phases and positions alone decide. */
const mostExact = 12;

/** Do these two leave everybody where they are? */
const keepsPosition = (before: DrillSpec, after: DrillSpec): boolean =>
  before.position !== undefined && before.position === after.position;

/** What is fetched for the second and put away after the first. */
function propMoves(before: DrillSpec | undefined, after: DrillSpec | undefined) {
  const out = before === undefined ? [] : propsOf(before);
  const now = after === undefined ? [] : propsOf(after);
  return {
    fetched: now.filter((prop) => !out.includes(prop)),
    putAway: out.filter((prop) => !now.includes(prop)),
  };
}

function stepCost(a: PlannedDrill, b: PlannedDrill): number {
  const { fetched, putAway } = propMoves(a.spec, b.spec);
  return (
    stepCosts.backwards * Math.max(0, phaseOf(a.spec) - phaseOf(b.spec)) +
    (keepsPosition(a.spec, b.spec) ? 0 : stepCosts.position) +
    stepCosts.prop * (fetched.length + putAway.length) +
    (needsPause(a.spec, b.spec) ? stepCosts.pause : 0)
  );
}

/** The drills in their order: the best of all orders, set by set. */
export function orderDrills(drills: readonly PlannedDrill[]): PlannedDrill[] {
  const count = drills.length;
  const phases = drills.map(({ spec }) => phaseOf(spec));
  if (count === 0) return [];
  if (count > mostExact) {
    const placeOf = ({ spec }: PlannedDrill) => spec.position ?? '';
    return [...drills].sort(
      (a, b) => phaseOf(a.spec) - phaseOf(b.spec) || placeOf(a).localeCompare(placeOf(b)),
    );
  }
  const step = drills.map((a) => drills.map((b) => stepCost(a, b)));
  // Cheapest way through each set of drills that ends with each of them, and where it came from.
  const sets = 1 << count;
  const cost = new Float64Array(sets * count).fill(Infinity);
  const from = new Int8Array(sets * count).fill(-1);
  for (let index = 0; index < count; index += 1) {
    cost[(1 << index) * count + index] = phases[index]!;
  }
  for (let set = 1; set < sets; set += 1) {
    for (let last = 0; last < count; last += 1) {
      const now = cost[set * count + last]!;
      if (now === Infinity) continue;
      for (let next = 0; next < count; next += 1) {
        if (set & (1 << next)) continue;
        const at = (set | (1 << next)) * count + next;
        const total = now + step[last]![next]!;
        if (total < cost[at]! - 1e-9) {
          cost[at] = total;
          from[at] = last;
        }
      }
    }
  }
  let set = sets - 1;
  let last = 0;
  for (let index = 1; index < count; index += 1) {
    if (cost[set * count + index]! < cost[set * count + last]! - 1e-9) last = index;
  }
  const order: PlannedDrill[] = [];
  while (last >= 0) {
    order.unshift(drills[last]!);
    const before = from[set * count + last]!;
    set &= ~(1 << last);
    last = before;
  }
  return order;
}

/** Steps until everybody is warm: those before the first that strengthens or teaches. */
export function warmUntil(steps: readonly DrillStep[]): number {
  const at = steps.findIndex((step) => step.kind === 'drill' && phaseOf(step.spec) > 1);
  return at === -1 ? steps.length : at;
}

/** With the rests between those that need one. */
export function withPauses(drills: readonly PlannedDrill[]): DrillStep[] {
  return drills.flatMap((drill, index): DrillStep[] => {
    const before = drills[index - 1];
    const step = { kind: 'drill', ...drill } as const;
    return before !== undefined && needsPause(before.spec, drill.spec)
      ? [{ kind: 'pause', minutes: pauseMinutes }, step]
      : [step];
  });
}
