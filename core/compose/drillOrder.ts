/**
 * The order of the drills: general to specific, wrists early, no region worked twice running
 * without a rest, child's pose between pushing drills. Source: handbook 08.
 */
import { drillTable, type DrillSpec } from '../catalog/drills';
import { regions } from '../catalog/regions';
import type { PlannedDrill } from './drillChoice';

/** One step of the running order before the checks. */
export type DrillStep =
  | ({ readonly kind: 'drill' } & PlannedDrill)
  | { readonly kind: 'pause'; readonly minutes: number };

export const pauseMinutes = drillTable['childs-pose'].minutes;

/** A region counts as worked from this share of full load on. */
const workedFrom = 0.3;
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
export function needsPause(before: DrillSpec, after: DrillSpec): boolean {
  if (isPush(before) && isPush(after)) return true;
  return regions.some(
    (region) =>
      (before.loads[region] ?? 0) >= workedFrom && (after.loads[region] ?? 0) >= workedFrom,
  );
}

/** Going back from the specific to the general costs more than a pause. */
const backwards = 1.5;
/** Beyond this many, subsets are too many to try; the phases alone decide. */
const mostExact = 14;

/** The drills in their order: the best of all orders, set by set. */
export function orderDrills(drills: readonly PlannedDrill[]): PlannedDrill[] {
  const count = drills.length;
  const phases = drills.map(({ spec }) => phaseOf(spec));
  if (count === 0) return [];
  if (count > mostExact) {
    return [...drills].sort((a, b) => phaseOf(a.spec) - phaseOf(b.spec));
  }
  const step = drills.map((a, from) =>
    drills.map(
      (b, to) =>
        (needsPause(a.spec, b.spec) ? 1 : 0) + backwards * Math.max(0, phases[from]! - phases[to]!),
    ),
  );
  // Cheapest way through each set of drills that ends with each of them, and where it came from.
  const sets = 1 << count;
  const cost = new Float64Array(sets * count).fill(Infinity);
  const from = new Int8Array(sets * count).fill(-1);
  for (let index = 0; index < count; index += 1) {
    cost[(1 << index) * count + index] = phases[index]! * 0.01;
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
