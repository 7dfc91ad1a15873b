import type { Body } from '../../body/body';
import { girthFactor } from '../../body/girths';
import type { Station } from './outline';

/**
 * The flesh on the chain, drawn after average adults seen from the side. These shares shape the
 * picture only; no figure on the card rests on them.
 */
export const flesh = {
  trunk: [
    [0, 0.036, 0.044],
    [0.14, 0.056, 0.052],
    [0.36, 0.064, 0.056],
    [0.62, 0.052, 0.043],
    [0.84, 0.056, 0.06],
    [1, 0.048, 0.068],
  ],
  thigh: [
    [0, 0.048, 0.066],
    [0.12, 0.053, 0.064],
    [0.35, 0.052, 0.047],
    [0.7, 0.041, 0.036],
    [1, 0.033, 0.03],
  ],
  shank: [
    [0, 0.032, 0.029],
    [0.12, 0.029, 0.034],
    [0.3, 0.024, 0.041],
    [0.6, 0.02, 0.028],
    [0.85, 0.018, 0.019],
    [1, 0.018, 0.02],
  ],
  upperArm: [
    [0, 0.022, 0.022],
    [0.4, 0.026, 0.026],
    [0.75, 0.029, 0.028],
    [1, 0.027, 0.027],
  ],
  forearm: [
    [0, 0.014, 0.014],
    [0.45, 0.019, 0.019],
    [0.8, 0.023, 0.022],
    [1, 0.021, 0.021],
  ],
} as const satisfies Record<string, readonly Station[]>;

type Stations = readonly Station[];

/** Where along the trunk chest and belly are measured: shares from the shoulder. */
const measuredAt = { chest: 0.14, belly: 0.62 } as const;

/** No wider or thinner than a build may show. */
export const buildWithin = (factor: number) =>
  Math.min(buildLimits.high, Math.max(buildLimits.low, factor));

/** Bones told thicker or thinner by what was measured round them, over the build as a whole. */
const scaled = (stations: Stations, factorAt: (t: number) => number): Station[] =>
  stations.map(([t, front, back]) => [t, front * factorAt(t), back * factorAt(t)]);

/** The trunk's outline: chest and belly as deep as they were measured, what lies between between. */
export function trunkFlesh(body: Body): Stations {
  const build = buildFactor(body);
  const [chest, belly] = [girthFactor(body, 'chestGirth'), girthFactor(body, 'bellyGirth')];
  if (chest === null && belly === null) return flesh.trunk;
  const atChest = chest === null ? 1 : buildWithin(chest) / build;
  const atBelly = belly === null ? 1 : buildWithin(belly) / build;
  const share = (t: number) =>
    Math.min(1, Math.max(0, (t - measuredAt.chest) / (measuredAt.belly - measuredAt.chest)));
  return scaled(flesh.trunk, (t) => atChest + (atBelly - atChest) * share(t));
}

/** The thigh's outline, thick as measured under the seat and as built at the knee. */
export function thighFlesh(body: Body): Stations {
  const thigh = girthFactor(body, 'thighGirth');
  if (thigh === null) return flesh.thigh;
  const atSeat = buildWithin(thigh) / buildFactor(body);
  return scaled(flesh.thigh, (t) => atSeat + (1 - atSeat) * t);
}

/** Body mass index the flesh above was drawn for, and how far a build may show (kg per m2). */
const drawnIndex = 22;
const buildLimits = { low: 0.86, high: 1.5 } as const;

/** How much wider than the drawn average this person is, from mass and height; 1 where unknown. */
export function buildFactor(body: Body): number {
  if (body.massKg === undefined) return 1;
  const factor = Math.sqrt(body.massKg / body.heightM ** 2 / drawnIndex);
  return Math.min(buildLimits.high, Math.max(buildLimits.low, factor));
}
