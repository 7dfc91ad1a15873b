/** The running order as the plan file has it: what is done, how much, with what, and who sits it out. */
import { sayDose } from '../catalog/dose';
import type { DrillSpec } from '../catalog/drills';
import type { LadderId } from '../catalog/stage';
import { timesOver } from '../compose/drillTask';
import { propsOf } from '../compose/drillWorth';
import { asksCounter, type PlannedOption } from '../compose/option';
import type { PreparedClass, Wishes } from '../compose/prepared';
import { drillsOf } from '../compose/drillsOf';
import { outAsWished, thereFor } from '../compose/saidBefore';
import { listSittingOut } from '../compose/sittingOut';
import type { TimelineItem } from '../compose/timeline';
import type { ClassPlan } from '../compose/writePlan';
import type { PlanFile } from './planFile';

type Line = PlanFile['timeline'][number];

/** Lines in their order, with what changes from one drill to the next. */
export function writeLines(
  items: readonly TimelineItem[],
  prepared: PreparedClass,
  wishes: Wishes,
  rounds: ClassPlan['rounds'] = [],
): Line[] {
  const drills = drillsOf(prepared);
  return items.map((item, at): Line => {
    const here = thereFor(item, prepared.people, wishes);
    const { id, kind, label, startsAt, minutes, drill, family, waves, spec } = item;
    const [before] = listNear(items, at, -1);
    // What comes into use again before the room is needed for a round stays out, and is fetched once.
    const earlier = listNear(items, at, -1).flatMap(propsOf);
    const later = listNear(items, at, 1).flatMap(propsOf);
    const used = spec === undefined ? [] : propsOf(spec);
    const fetched = used.filter((prop) => !earlier.includes(prop));
    const putAway = used.filter((prop) => !later.includes(prop));
    const own = kind === 'counter' && family !== undefined ? ownAfter(family, rounds) : [];
    const line = own.length === 0 ? item : { ...item, own };
    const out = listSittingOut(line, here, outAsWished(item, wishes, drills));
    const isMove = spec !== undefined && before !== undefined && before.position !== spec.position;
    return {
      id,
      kind,
      // Where nobody takes the pause in its own shape it is named after nobody's.
      label: kind === 'pause' && isByNobody(out, here) ? 'Short rest' : label,
      startsAt,
      minutes,
      ...(drill === undefined ? {} : { drill }),
      ...(family === undefined ? {} : { family }),
      ...(waves === undefined ? {} : { waves }),
      ...(spec === undefined ? {} : { dose: doseOfLine(spec, minutes, waves) }),
      ...(spec?.position === undefined ? {} : { position: spec.position }),
      ...(isMove ? { isMove: true as const } : {}),
      ...(spec === undefined || fetched.length === 0 ? {} : { fetch: asRows(fetched) }),
      ...(spec === undefined || putAway.length === 0 ? {} : { putAway: asRows(putAway) }),
      ...(own.length === 0 ? {} : { own }),
      ...(out.length === 0 ? {} : { sitOut: out.map((one) => ({ ...one })) }),
    };
  });
}

const isByNobody = (out: readonly unknown[], here: readonly unknown[]): boolean =>
  here.length > 0 && out.length === here.length;

/** Whose last hold of a family has a counterpose of its own: the body answers what it held last. */
function ownAfter(family: LadderId, rounds: ClassPlan['rounds']): NonNullable<Line['own']> {
  const last = new Map<string, PlannedOption>();
  for (const { people } of rounds) {
    for (const { id, option } of people) {
      if (asksCounter(option, family)) last.set(id, option);
    }
  }
  return [...last].flatMap(([id, { counter }]) =>
    counter === undefined ? [] : [{ id, instead: counter }],
  );
}

/** A line much longer than its drill holds the dose more than once. */
function doseOfLine(spec: DrillSpec, minutes: number, waves: 1 | 2 | undefined): string {
  const times = timesOver(spec, minutes, waves);
  const dose = sayDose(spec.dose);
  return times < 2 ? dose : `${dose}; ${times} times over`;
}

const asRows = (rows: readonly string[]) => [...rows] as NonNullable<Line['fetch']>;

/**
 * The drills before or after a line, the nearest first, as far as nothing is cleared away between them: a
 * pause or the checks leave things where they lie, a round wants the floor.
 */
function listNear(items: readonly TimelineItem[], at: number, step: 1 | -1): DrillSpec[] {
  const near: DrillSpec[] = [];
  for (let index = at + step; index >= 0 && index < items.length; index += step) {
    const { kind, spec } = items[index]!;
    if (kind === 'round' || kind === 'settle' || kind === 'arrive') break;
    if (spec !== undefined) near.push(spec);
  }
  return near;
}

/** How often everybody moves, and how often something is fetched or put away, before the rounds. */
export function countMoves(lines: readonly Line[]): NonNullable<PlanFile['moves']> {
  return {
    positions: lines.filter(({ isMove }) => isMove).length,
    props: lines.reduce(
      (sum, { fetch = [], putAway = [] }) => sum + fetch.length + putAway.length,
      0,
    ),
  };
}
