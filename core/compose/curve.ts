/** One student's reserves through a class, region by region. Source: handbook 07 "Fatigue". */
import type { PlanFile } from '../files/planFile';
import type { DrillBook } from '../catalog/drills';
import { regions, type Region } from '../catalog/regions';
import { freshState, type FatigueState } from '../fatigue/reserve';
import { passRound } from './pace';
import type { PreparedPerson } from './prepared';
import { thereFor } from './saidBefore';
import { numberRounds } from './numberRounds';
import { passItem, type TimelineItem } from './timeline';

export interface CurvePoint {
  /** Minutes after the class begins. */
  readonly minute: number;
  readonly reserves: Readonly<Record<Region, number>>;
}

/** Drills are sampled this often, so that a set and its rest can be told apart. */
const sampleMinutes = 0.5;

const toPoint = (minute: number, state: FatigueState): CurvePoint => ({
  minute,
  reserves: Object.fromEntries(regions.map((region) => [region, state[region].reserve])) as Record<
    Region,
    number
  >,
});

/** Asked for a hold tonight: who has said that something is sore may not be, though prepared for it. */
const isChecked = ({ checks }: PlanFile, { id, checkLoads }: PreparedPerson): boolean =>
  checkLoads.length > 0 && checks.some(({ people }) => people.some((one) => one.id === id));

/**
 * Reserves at the end of each item, and in between where somebody rests, from the plan file.
 *
 * @param person as prepared; what they sit out tonight stands in the plan
 * @param drills of the class, as prepared
 */
export function traceReserves(
  plan: PlanFile,
  person: PreparedPerson,
  drills: DrillBook,
): CurvePoint[] {
  let state = freshState;
  const points = [toPoint(0, state)];
  let hasTried = false;
  const rounds = numberRounds(plan.timeline);
  for (const [at, item] of plan.timeline.entries()) {
    const { startsAt, minutes } = item;
    const round = rounds[at]!;
    const mine =
      round === null ? undefined : plan.rounds[round]?.people.find(({ id }) => id === person.id);
    const option = [...person.options, ...person.fallbacks].find(({ id }) => id === mine?.option);
    if (round !== null && option !== undefined) {
      state = passRound(state, option, 60 * minutes, person.capacities, !hasTried).state;
      if (option.isAttempt) hasTried = true;
      points.push(toPoint(startsAt + minutes, state));
      continue;
    }
    const known = { kind: item.kind as TimelineItem['kind'], minutes };
    const { drill } = item;
    const spec = drill === undefined ? undefined : drills[drill];
    const isThere =
      thereFor(item, [person], plan.wishes).length > 0 &&
      item.sitOut?.some(({ id }) => id === person.id) !== true;
    const isWork =
      isThere && (spec !== undefined || (item.kind === 'checks' && isChecked(plan, person)));
    if (isWork) {
      state = passItem(
        state,
        drill === undefined || spec === undefined ? known : { ...known, drill, spec },
        person,
      );
      points.push(toPoint(startsAt + minutes, state));
      continue;
    }
    // Rest curves upwards: a few points show it.
    const steps = Math.max(1, Math.round(minutes / sampleMinutes / 2));
    for (let step = 1; step <= steps; step += 1) {
      state = passItem(state, { kind: 'rest', minutes: minutes / steps }, person);
      points.push(toPoint(startsAt + (minutes * step) / steps, state));
    }
  }
  return points;
}
