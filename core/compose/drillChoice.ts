/**
 * Which drills serve this group's weakest checks inside the minutes, and in which order. A small
 * programme of its own: drills are few, and what they leave of the reserves is looked at afterwards
 * by living through them. Source: handbook 08 "Drills", 03.
 */
import { entriesOf } from '../units/keyed';
import type { Highs } from 'highs';
import type { DrillKey } from '../catalog/drills';
import { isOnTheme } from '../catalog/themes';
import { isEverywhere } from '../catalog/pieces';
import type { Region } from '../catalog/regions';
import { fatigueRule } from '../fatigue/reserve';
import { usualMinutes, type DrillTask, type PlannedDrill } from './drillTask';
import {
  coverage,
  extraWorth,
  listParts,
  mostWorth,
  perStudent,
  propsOf,
  rushed,
  secondShare,
  valueOf,
} from './drillWorth';
import { stretches } from './budget';
import { drillSeconds } from './pace';
import { countRows, rowsTaken } from '../pieces/rows';
import { ProgrammeDraft, type Term } from './programme';
import { usualSolve, withSolver } from './solve';

export interface DrillChoice {
  /** In the order in which they are done. */
  readonly drills: readonly PlannedDrill[];
  readonly value: number;
  readonly bound: number;
  /** Main regions that no drill at hand warms. */
  readonly cold: readonly Region[];
}

/** Drills the cupboard allows, with the minutes they take; in two waves where needed. */
export function listDrills({
  drills,
  people,
  pieces,
  circles = Infinity,
}: Pick<DrillTask, 'drills' | 'people' | 'pieces'> &
  Partial<Pick<DrillTask, 'circles'>>): PlannedDrill[] {
  const rows = countRows(pieces);
  return entriesOf(drills).flatMap(([drill, spec]): PlannedDrill[] => {
    // Resets and releases are put in by the order, not chosen.
    if (spec.purpose === 'releases') return [];
    const doing = people.filter(({ closedDrills }) => !closedDrills.includes(drill)).length;
    if (doing === 0) return [];
    const needs = rowsTaken(spec.pieces.filter((one) => !isEverywhere(one)));
    const turns = needs.map(({ piece, count }) => Math.ceil((doing * count) / (rows[piece] ?? 0)));
    // What leaves the floor wants the same clear space as a try.
    const leaps = spec.leavesFloor ? Math.ceil(doing / circles) : 1;
    const waves = Math.max(1, leaps, ...turns);
    if (waves > 2) return [];
    const minutes = usualMinutes(spec, waves === 2 ? 2 : 1);
    return [{ drill, spec, minutes, waves: waves === 2 ? 2 : 1, doing }];
  });
}

const warms = ({ spec }: PlannedDrill, region: Region) =>
  (spec.loads[region] ?? 0) > 0 ? drillSeconds(spec) : 0;

/** Seconds of work that a region needs before the rounds. */
const neededSeconds = (task: DrillTask, region: Region) =>
  task.mainRegions.includes(region) ? fatigueRule.warmSeconds : 1;

/** Regions that these drills can warm at all, and those they cannot. */
function splitRegions(task: DrillTask, drills: readonly PlannedDrill[]) {
  const wanted = [...new Set([...task.mainRegions, ...task.usedRegions])];
  const canWarm = wanted.filter(
    (region) =>
      drills.reduce((sum, drill) => sum + warms(drill, region), 0) >= neededSeconds(task, region),
  );
  return { canWarm, cold: task.mainRegions.filter((region) => !canWarm.includes(region)) };
}

/** The best set by the solver; where the minutes do not hold every region, the main ones first. */
export function chooseDrills(highs: Highs | null, task: DrillTask): DrillChoice {
  const drills = listDrills(task);
  const { canWarm, cold } = splitRegions(task, drills);
  if (highs === null) return chooseGreedily(task, drills, canWarm, cold);
  for (const regions of [
    canWarm,
    canWarm.filter((region) => task.mainRegions.includes(region)),
    [],
  ]) {
    const solved = solve(highs, task, drills, regions);
    if (solved !== null) {
      const missed = task.mainRegions.filter((region) => !regions.includes(region));
      return { ...solved, cold: missed };
    }
  }
  return chooseGreedily(task, drills, canWarm, cold);
}

function solve(
  highs: Highs,
  task: DrillTask,
  drills: readonly PlannedDrill[],
  regions: readonly Region[],
): Omit<DrillChoice, 'cold'> | null {
  if (drills.length === 0) return { drills: [], value: 0, bound: 0 };
  const cover = coverage(task, drills);
  const draft = new ProgrammeDraft();
  const count = task.people.length;
  const columns = drills.map(({ minutes, spec, doing = count }, index) => {
    const own =
      count *
        (perStudent.minute * minutes +
          (isOnTheme(spec, task.theme) ? perStudent.theme : 0) -
          rushed(task) * perStudent.drill) -
      perStudent.sitsOut * (count - doing);
    return draft.column(`y${index}`, { worth: own });
  });
  /** So much of each drill. */
  const each = (amount: (drill: PlannedDrill) => number): Term[] =>
    drills.flatMap((drill, index): Term[] => {
      const value = amount(drill);
      return value === 0 ? [] : [[value, columns[index]!]];
    });
  /** So much of it, up to all. */
  const share = (name: string, worth: number) => draft.column(name, { worth, isWhole: false });
  draft.row(
    'minutes',
    each(({ minutes }) => minutes),
    { atMost: task.minutes },
  );
  if (task.isToFill === true) {
    const empty = draft.column('empty', {
      worth: -count * perStudent.empty,
      atMost: Infinity,
      isWhole: false,
    });
    draft.row('empty', [[1, empty], ...each(({ minutes }) => stretches.drill * minutes)], {
      atLeast: task.minutes,
    });
  }
  for (const { key, weight, serving } of cover) {
    if (serving.length === 0) continue;
    const [first, second] = [share(`a${key}`, weight), share(`b${key}`, weight * secondShare)];
    draft.row(
      `serve_${key}`,
      [...serving.map((index): Term => [1, columns[index]!]), [-1, first], [-1, second]],
      { atLeast: 0 },
    );
  }
  listParts(task).forEach(({ family, part }, at) => {
    const those = each(({ spec }) => Number(spec.prepares?.[family] === part));
    if (those.length === 0) return;
    const prepared = share(`p${at}`, count * perStudent.preparation);
    draft.row(`part_${at}`, [...those, [-1, prepared]], { atLeast: 0 });
  });
  /** Paid for as soon as one of them is chosen. */
  const used = (name: string, cost: number, has: (drill: PlannedDrill) => boolean) => {
    const paid = share(name, -count * rushed(task) * cost);
    each((drill) => Number(has(drill))).forEach(([, one], at) =>
      draft.row(
        `use_${name}_${at}`,
        [
          [1, paid],
          [-1, one],
        ],
        { atLeast: 0 },
      ),
    );
  };
  [...new Set(drills.map(({ spec, drill }) => spec.position ?? drill))].forEach((position, at) =>
    used(`s${at}`, perStudent.position, ({ spec, drill }) => (spec.position ?? drill) === position),
  );
  [...new Set(drills.flatMap(({ spec }) => propsOf(spec)))].forEach((prop, at) =>
    used(`t${at}`, perStudent.prop, ({ spec }) => propsOf(spec).includes(prop)),
  );
  for (const region of regions) {
    draft.row(
      `warm_${region}`,
      each((drill) => warms(drill, region)),
      { atLeast: neededSeconds(task, region) },
    );
  }
  task.pins.forEach(({ drill, use }, at) => {
    const index = drills.findIndex((one) => one.drill === drill);
    if (index < 0) return;
    const whole = use ? 1 : 0;
    draft.row(`pin_${at}`, [[1, columns[index]!]], { atLeast: whole, atMost: whole });
  });
  task.barred?.forEach((set, at) => {
    const inside = each(({ drill }) => Number(set.includes(drill)));
    if (inside.length > 0) draft.row(`barred_${at}`, inside, { atMost: inside.length - 1 });
  });
  const programme = draft.finish();
  return withSolver(highs, programme, { ...usualSolve, gap: 0, mostNodes: 500 }, (solver) => {
    const { colValue } = solver.getSolution();
    if (solver.getModelStatus() !== highs.constants.modelStatus.optimal) return null;
    const chosen = new Set(
      columns.flatMap((column, index) => ((colValue[column] ?? 0) > 0.5 ? [index] : [])),
    );
    const value = valueOf(cover, chosen) + extraWorth(task, drills, chosen);
    return {
      drills: drills.filter((_, index) => chosen.has(index)),
      value,
      bound: Math.max(value, Number(solver.info.get('mip_dual_bound'))),
    };
  });
}

/** At once: what is pinned, then what warms, then the most served for the minute. */
function chooseGreedily(
  task: DrillTask,
  drills: readonly PlannedDrill[],
  canWarm: readonly Region[],
  cold: readonly Region[],
): DrillChoice {
  const chosen = new Set<number>();
  let left = task.minutes;
  const isOut = (index: number) =>
    task.pins.some(({ drill, use }) => drill === drills[index]!.drill && !use) ||
    (task.barred ?? []).some(
      (set) =>
        set.includes(drills[index]!.drill) &&
        set.every((one) => one === drills[index]!.drill || hasDrill(one)),
    );
  const hasDrill = (drill: DrillKey) => [...chosen].some((index) => drills[index]!.drill === drill);
  const take = (index: number) => {
    if (chosen.has(index) || drills[index]!.minutes > left + 1e-9 || isOut(index)) return;
    chosen.add(index);
    left -= drills[index]!.minutes;
  };
  for (const { drill, use } of task.pins) {
    const index = drills.findIndex((one) => one.drill === drill);
    if (use && index >= 0) take(index);
  }
  const cover = coverage(task, drills);
  const worth = (set: ReadonlySet<number>) => valueOf(cover, set) + extraWorth(task, drills, set);
  const gainOf = (index: number) => worth(new Set([...chosen, index])) - worth(chosen);
  const best = (fits: (index: number) => boolean) => {
    const now = worth(chosen);
    const gains = drills.map(
      ({ minutes }, index) => (worth(new Set([...chosen, index])) - now) / minutes,
    );
    return drills
      .map((_, index) => index)
      .filter(
        (index) => !chosen.has(index) && drills[index]!.minutes <= left + 1e-9 && !isOut(index),
      )
      .filter((index) => fits(index))
      .sort((a, b) => gains[b]! - gains[a]! || a - b)[0];
  };
  const worked = (region: Region) =>
    [...chosen].reduce((sum, index) => sum + warms(drills[index]!, region), 0);
  for (const region of canWarm) {
    while (worked(region) < neededSeconds(task, region)) {
      const index = best((one) => warms(drills[one]!, region) > 0);
      if (index === undefined) break;
      take(index);
    }
  }
  for (;;) {
    const index = best(() => true);
    if (index === undefined || gainOf(index) <= 0) break;
    take(index);
  }
  const value = worth(chosen);
  return {
    drills: drills.filter((_, index) => chosen.has(index)),
    value,
    bound: Math.max(value, mostWorth(task, cover, drills)),
    cold: [
      ...cold,
      ...canWarm.filter(
        (region) => task.mainRegions.includes(region) && worked(region) < fatigueRule.warmSeconds,
      ),
    ],
  };
}
