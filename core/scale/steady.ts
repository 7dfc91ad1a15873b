/**
 * The steady part of a load curve: what a scale under the head shows while the base set is held.
 * Source: handbook 03 "head load in base set", 05 "Published figures".
 */

export interface Reading {
  /** Seconds since the curve began. */
  readonly atSeconds: number;
  /** Kilograms on the scale. */
  readonly kg: number;
}

export interface SteadyPart {
  readonly fromSeconds: number;
  readonly toSeconds: number;
  /** The middle reading of the part, kilograms: its ends, still on the ramp, do not pull at it. */
  readonly kg: number;
  /** Spread around the line through it, kilograms. */
  readonly spreadKg: number;
  /** How it creeps, kilograms a second. */
  readonly driftKgPerSecond: number;
  readonly readings: number;
}

const steadyRule = {
  /** Shorter is a moment, not a load. */
  leastSeconds: 3,
  leastReadings: 12,
  /** A longer pause means that the scale was away: the curve is broken there. */
  mostGapSeconds: 0.8,
  /** Spread that still is steady: so many kilograms, or this share of the load. */
  spreadKg: 0.5,
  spreadShare: 0.05,
  driftKgPerSecond: 0.12,
  /** Under this nobody is on it. */
  leastKg: 0.5,
  /** What no head weighs: nonsense, left out. */
  mostKg: 150,
} as const;

/** A reading that could be: finite, not far below nothing, no heavier than a body. */
export const isReading = (kg: number): boolean =>
  Number.isFinite(kg) && kg > -2 && kg <= steadyRule.mostKg;

/** Stretches without a pause, nonsense left out, in the order of time. */
function splitAtGaps(readings: readonly Reading[]): Reading[][] {
  const stretches: Reading[][] = [];
  for (const one of readings) {
    if (!isReading(one.kg) || !Number.isFinite(one.atSeconds)) continue;
    const current = stretches.at(-1);
    const last = current?.at(-1);
    if (last !== undefined && one.atSeconds <= last.atSeconds) continue;
    if (last !== undefined && one.atSeconds - last.atSeconds <= steadyRule.mostGapSeconds) {
      current!.push(one);
    } else stretches.push([one]);
  }
  return stretches;
}

/** Sums from the left, so that any window's line is found in a few steps. */
function prefixSums(stretch: readonly Reading[]) {
  const sums = [{ t: 0, y: 0, tt: 0, ty: 0, yy: 0 }];
  const origin = stretch[0]!.atSeconds;
  for (const { atSeconds, kg } of stretch) {
    const last = sums[sums.length - 1]!;
    const t = atSeconds - origin;
    sums.push({
      t: last.t + t,
      y: last.y + kg,
      tt: last.tt + t * t,
      ty: last.ty + t * kg,
      yy: last.yy + kg * kg,
    });
  }
  return sums;
}

/**
 * The longest steady part, the calmer of two as long; `null` where there is none.
 *
 * @param readings in the order they came; nonsense and pauses are dealt with here
 */
export function findSteadyPart(readings: readonly Reading[]): SteadyPart | null {
  let best: SteadyPart | null = null;
  for (const stretch of splitAtGaps(readings)) {
    if (stretch.length < steadyRule.leastReadings) continue;
    const sums = prefixSums(stretch);
    for (let from = 0; from < stretch.length; from += 1) {
      for (let to = stretch.length - 1; to > from; to -= 1) {
        const seconds = stretch[to]!.atSeconds - stretch[from]!.atSeconds;
        if (seconds < steadyRule.leastSeconds || to - from + 1 < steadyRule.leastReadings) break;
        if (best !== null && seconds < best.toSeconds - best.fromSeconds - 1e-9) break;
        const found = lineOf(stretch, sums, from, to);
        if (found === null) continue;
        const isLonger = best === null || seconds > best.toSeconds - best.fromSeconds + 1e-9;
        if (isLonger || found.spreadKg < best!.spreadKg) best = found;
        break;
      }
    }
  }
  return best === null ? null : { ...best, kg: middleOf(readings, best) };
}

function middleOf(readings: readonly Reading[], { fromSeconds, toSeconds }: SteadyPart): number {
  const kgs = readings
    .filter(
      ({ atSeconds, kg }) => atSeconds >= fromSeconds && atSeconds <= toSeconds && isReading(kg),
    )
    .map(({ kg }) => kg)
    .sort((a, b) => a - b);
  const half = Math.floor(kgs.length / 2);
  return kgs.length % 2 === 1 ? kgs[half]! : (kgs[half - 1]! + kgs[half]!) / 2;
}

function lineOf(
  stretch: readonly Reading[],
  sums: ReturnType<typeof prefixSums>,
  from: number,
  to: number,
): SteadyPart | null {
  const n = to - from + 1;
  const [a, b] = [sums[from], sums[to + 1]];
  const t = (b!.t - a!.t) / n;
  const y = (b!.y - a!.y) / n;
  const stt = b!.tt - a!.tt - n * t * t;
  const sty = b!.ty - a!.ty - n * t * y;
  const syy = b!.yy - a!.yy - n * y * y;
  const slope = stt > 0 ? sty / stt : 0;
  const spreadKg = Math.sqrt(Math.max(0, syy - slope * sty) / Math.max(1, n - 2));
  const isSteady =
    y >= steadyRule.leastKg &&
    Math.abs(slope) <= steadyRule.driftKgPerSecond &&
    spreadKg <= Math.max(steadyRule.spreadKg, steadyRule.spreadShare * y);
  if (!isSteady) return null;
  return {
    fromSeconds: stretch[from]!.atSeconds,
    toSeconds: stretch[to]!.atSeconds,
    kg: y,
    spreadKg,
    driftKgPerSecond: slope,
    readings: n,
  };
}

/** Share of body weight on the head, percent, 0 to 100. */
export const percentOfBody = (kg: number, massKg: number): number =>
  Math.min(100, Math.max(0, (100 * kg) / massKg));
