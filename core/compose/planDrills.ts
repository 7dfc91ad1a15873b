/** The drills of a class inside their minutes: chosen, or the teacher's own order. */
import type { Highs } from 'highs';
import { regions, type Region } from '../catalog/regions';
import { mainRegions } from '../fatigue/reserve';
import { parts, type Budget } from './budget';
import { countBeside, listLeaps, spaceToHop } from './clearFloor';
import { chooseDrills, listDrills, type DrillChoice } from './drillChoice';
import { orderDrills, pauseMinutes, withPauses, type DrillStep } from './drillOrder';
import { drillsOf } from './drillsOf';
import type { DrillTask, PlannedDrill } from './drillTask';
import type { PlannedOption } from './option';
import type { PreparedClass, PreparedPerson, Wishes } from './prepared';

/** Circles the empty floor takes for hops away from a wall, before anybody stands at one. */
function countHopCircles(prepared: PreparedClass, people: readonly PreparedPerson[]): number {
  const leaps = listLeaps(drillsOf(prepared));
  const leaping = people.filter(({ closedDrills }) =>
    leaps.some((drill) => !closedDrills.includes(drill)),
  );
  const tallest = Math.max(0, ...leaping.map(({ heightM }) => heightM));
  const wanted = { ...spaceToHop(tallest), depthM: 0, most: leaping.length };
  return countBeside(prepared.room, [], wanted).most;
}

const loadedRegions = (options: readonly PlannedOption[]): Region[] =>
  regions.filter((region) => options.some(({ loads }) => (loads[region] ?? 0) > 0));

/** How often drills are chosen anew because the order needs rests or the reserves do not last. */
const mostChoices = 6;

export interface DrillPlan {
  readonly choice: DrillChoice;
  readonly steps: readonly DrillStep[];
}

/** Drills inside their minutes, the rests between them included. */
export function planDrills(
  highs: Highs | null,
  prepared: PreparedClass,
  wishes: Wishes,
  people: readonly PreparedPerson[],
  budget: Budget,
): DrillPlan {
  const all = people.flatMap(({ options }) => options);
  const tries = all.filter(({ isAttempt }) => isAttempt);
  const pins = wishes.pins.filter((pin) => pin.kind === 'drill');
  const task = {
    drills: drillsOf(prepared),
    people,
    pieces: prepared.pieces,
    mainRegions:
      budget.rounds === 0 ? [] : [...new Set(tries.flatMap(({ loads }) => mainRegions(loads)))],
    usedRegions: loadedRegions(
      budget.rounds === 0
        ? []
        : all.filter(({ role }) => role !== 'alternative' && role !== 'rest'),
    ),
    families: budget.rounds === 0 ? [] : prepared.families,
    ...(wishes.theme === undefined ? {} : { theme: wishes.theme }),
    circles: countHopCircles(prepared, people),
    isToFill: wishes.spare !== 'rest',
    pins,
  };
  if (wishes.order !== undefined) {
    const known = listDrills(task);
    // A drill that was deleted since leaves the order.
    const drills = wishes.order.flatMap(({ drill, minutes }) => {
      const spec = task.drills[drill];
      const waves = known.find((one) => one.drill === drill)?.waves ?? (1 as const);
      return spec === undefined ? [] : [{ drill, spec, minutes, waves }];
    });
    const kept = fitOrder(drills, budget.drills);
    return { choice: { drills: kept, value: 0, bound: 0, cold: [] }, steps: withPauses(kept) };
  }
  const planned = fitDrills(highs, task, budget.drills);
  if (highs === null) return planned;
  // Rests between them may cost the proved choice more than the quick one: the better of the two.
  const quick = fitDrills(null, task, budget.drills);
  return quick.choice.value > planned.choice.value
    ? {
        ...quick,
        choice: { ...quick.choice, bound: Math.max(quick.choice.value, planned.choice.bound) },
      }
    : planned;
}

/** Of an order of the teacher's own, what fits however short its drills become; the rest is said. */
function fitOrder(drills: readonly PlannedDrill[], most: number): readonly PlannedDrill[] {
  const least = (kept: readonly PlannedDrill[]) =>
    withPauses(kept).reduce(
      (sum, step) =>
        sum + (step.kind === 'pause' ? step.minutes : Math.min(parts.leastDrill, step.minutes)),
      0,
    );
  let count = drills.length;
  while (count > 0 && least(drills.slice(0, count)) > most + 1e-9) count -= 1;
  return drills.slice(0, count);
}

/** Drills and the rests they ask for, inside so many minutes. */
function fitDrills(highs: Highs | null, task: Omit<DrillTask, 'minutes'>, most: number): DrillPlan {
  let minutes = most;
  let best: DrillPlan | null = null;
  for (let tried = 0; tried < mostChoices && minutes > 0; tried += 1) {
    const choice = chooseDrills(highs, { ...task, minutes });
    const ordered = orderDrills(choice.drills);
    const steps = withPauses(ordered);
    const used = steps.reduce((sum, step) => sum + step.minutes, 0);
    best = { choice: { ...choice, drills: ordered }, steps };
    if (used <= most + 1e-9) return best;
    minutes -= Math.max(0.5, Math.min(pauseMinutes, used - most));
  }
  // Rests are never cut: then the last drills go.
  const steps = [...(best?.steps ?? [])];
  while (steps.reduce((sum, step) => sum + step.minutes, 0) > most + 1e-9) steps.pop();
  while (steps[steps.length - 1]?.kind === 'pause') steps.pop();
  const drills = steps.flatMap((step) => (step.kind === 'drill' ? [step] : []));
  return { choice: { ...(best?.choice ?? { value: 0, bound: 0, cold: [] }), drills }, steps };
}
