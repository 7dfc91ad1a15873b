/**
 * Which drills serve this group's weakest checks inside the minutes, and in which order. A small
 * programme of its own: drills are few, and what they leave of the reserves is looked at afterwards
 * by living through them. Source: handbook 08 "Drills", 03.
 */
import type { Highs } from 'highs';
import type { DrillBook, DrillKey, DrillSpec } from '../catalog/drills';
import { isEverywhere } from '../catalog/pieces';
import type { Region } from '../catalog/regions';
import { fatigueRule } from '../fatigue/reserve';
import { composeWeights } from './problem';
import { drillSeconds } from './pace';
import { countRows, rowsTaken } from './resources';
import { usualSolve, withSolver } from './solve';
import type { PieceCount } from '../catalog/pieces';

export interface DrillPerson {
  readonly id: string;
  readonly weak: readonly { readonly check: string; readonly weight: number }[];
  readonly closedDrills: readonly DrillKey[];
}

export interface DrillTask {
  /** What the school has to choose from. */
  readonly drills: DrillBook;
  readonly people: readonly DrillPerson[];
  readonly pieces: readonly PieceCount[];
  readonly minutes: number;
  /** Regions that tries will load, and those that anything in the rounds loads. */
  readonly mainRegions: readonly Region[];
  readonly usedRegions: readonly Region[];
  /** The teacher's word: in, or out. */
  readonly pins: readonly { readonly drill: DrillKey; readonly use: boolean }[];
  /** Sets that were found to tire too much: not all of one of them together. */
  readonly barred?: readonly (readonly DrillKey[])[];
}

export interface DrillChoice {
  /** In the order in which they are done. */
  readonly drills: readonly PlannedDrill[];
  readonly value: number;
  readonly bound: number;
  /** Main regions that no drill at hand warms. */
  readonly cold: readonly Region[];
}

export interface PlannedDrill {
  readonly drill: DrillKey;
  readonly spec: DrillSpec;
  readonly minutes: number;
  /** Two turns where the pieces go round only half. */
  readonly waves: 1 | 2;
}

/** The second for the same check counts this share of the first. */
const secondShare = 0.3;
/** Filling the minutes counts a little by itself. */
const minuteWorth = 0.004;
/** Drills the cupboard allows, with the minutes they take; in two waves where needed. */
export function listDrills({
  drills,
  people,
  pieces,
}: Pick<DrillTask, 'drills' | 'people' | 'pieces'>): PlannedDrill[] {
  const rows = countRows(pieces);
  return Object.entries(drills).flatMap(([drill, spec]): PlannedDrill[] => {
    // Resets and releases are put in by the order, not chosen.
    if (spec.purpose === 'releases') return [];
    const doing = people.filter(({ closedDrills }) => !closedDrills.includes(drill)).length;
    if (doing === 0) return [];
    const needs = rowsTaken(spec.pieces.filter((one) => !isEverywhere(one)));
    const turns = needs.map(({ piece, count }) => Math.ceil((doing * count) / (rows[piece] ?? 0)));
    const waves = Math.max(1, ...turns);
    if (waves > 2) return [];
    const minutes = spec.minutes * (waves === 2 ? 1.5 : 1);
    return [{ drill, spec, minutes, waves: waves === 2 ? 2 : 1 }];
  });
}

/** What one drill is worth to the group, and each further one for the same weak check. */
function coverage({ people }: DrillTask, drills: readonly PlannedDrill[]) {
  return people.flatMap(({ weak, closedDrills }, person) =>
    weak.map(({ check, weight }) => ({
      key: `${person}_${check.replaceAll('-', '_')}`,
      weight: composeWeights.drill * weight,
      serving: drills.flatMap(({ drill, spec }, index) =>
        !closedDrills.includes(drill) && spec.serves.includes(check) ? index : [],
      ),
    })),
  );
}

type Coverage = ReturnType<typeof coverage>;

const valueOf = (cover: Coverage, drills: readonly PlannedDrill[], chosen: ReadonlySet<number>) => {
  const served = cover.reduce((sum, { weight, serving }) => {
    const count = serving.filter((index) => chosen.has(index)).length;
    return sum + weight * (Math.min(1, count) + secondShare * Math.min(1, Math.max(0, count - 1)));
  }, 0);
  return [...chosen].reduce((sum, index) => sum + minuteWorth * drills[index]!.minutes, served);
};

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
  const y = (index: number) => `y${index}`;
  const cover = coverage(task, drills);
  const rows: string[] = [];
  const objective = drills.map(({ minutes }, index) => `+ ${minuteWorth * minutes} ${y(index)}`);
  const bounds: string[] = [];
  const plus = (list: readonly string[]) => list.join('\n  ');
  rows.push(
    `minutes: ${plus(drills.map(({ minutes }, index) => `+ ${minutes} ${y(index)}`))} <= ${task.minutes}`,
  );
  for (const { key, weight, serving } of cover) {
    if (serving.length === 0) continue;
    objective.push(`+ ${weight} a${key}`, `+ ${weight * secondShare} b${key}`);
    bounds.push(` 0 <= a${key} <= 1`, ` 0 <= b${key} <= 1`);
    rows.push(
      `serve_${key}: ${plus(serving.map((index) => `+ 1 ${y(index)}`))} - 1 a${key} - 1 b${key} >= 0`,
    );
  }
  for (const region of regions) {
    const terms = drills
      .map((drill, index) => [warms(drill, region), y(index)] as const)
      .filter(([seconds]) => seconds > 0);
    rows.push(
      `warm_${region}: ${plus(terms.map(([seconds, name]) => `+ ${seconds} ${name}`))} >= ${neededSeconds(task, region)}`,
    );
  }
  task.pins.forEach(({ drill, use }, at) => {
    const index = drills.findIndex((one) => one.drill === drill);
    if (index >= 0) rows.push(`pin_${at}: ${y(index)} = ${use ? 1 : 0}`);
  });
  task.barred?.forEach((set, at) => {
    const inside = drills.flatMap(({ drill }, index) => (set.includes(drill) ? [y(index)] : []));
    if (inside.length > 0) {
      rows.push(
        `barred_${at}: ${plus(inside.map((name) => `+ 1 ${name}`))} <= ${inside.length - 1}`,
      );
    }
  });
  const lp = [
    'Maximize',
    ` value: ${plus(objective)}`,
    'Subject To',
    ...rows.map((row) => ` ${row}`),
    ...(bounds.length === 0 ? [] : ['Bounds', ...bounds]),
    'Binary',
    ...drills.map((_, index) => ` ${y(index)}`),
    'End',
  ].join('\n');
  return withSolver(highs, lp, { ...usualSolve, gap: 0, mostNodes: 500 }, (solver) => {
    const { colValue } = solver.getSolution();
    if (solver.getModelStatus() !== highs.constants.modelStatus.optimal) return null;
    const chosen = new Set(
      drills.flatMap((_, index) =>
        (colValue[solver.getColByName(y(index))] ?? 0) > 0.5 ? [index] : [],
      ),
    );
    const value = valueOf(cover, drills, chosen);
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
  const best = (fits: (index: number) => boolean) => {
    const now = valueOf(cover, drills, chosen);
    const gains = drills.map(
      ({ minutes }, index) => (valueOf(cover, drills, new Set([...chosen, index])) - now) / minutes,
    );
    return drills
      .map((_, index) => index)
      .filter(
        (index) => !chosen.has(index) && drills[index]!.minutes <= left + 1e-9 && !isOut(index),
      )
      .filter(fits)
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
    if (index === undefined) break;
    take(index);
  }
  const value = valueOf(cover, drills, chosen);
  return {
    drills: drills.filter((_, index) => chosen.has(index)),
    value,
    bound: Math.max(value, valueOf(cover, drills, new Set(drills.map((_, index) => index)))),
    cold: [
      ...cold,
      ...canWarm.filter(
        (region) => task.mainRegions.includes(region) && worked(region) < fatigueRule.warmSeconds,
      ),
    ],
  };
}
