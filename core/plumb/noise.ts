/**
 * Errors of what is read from a picture: every mark, line and length is a number with a standard
 * deviation, and what follows from them carries their errors through the full Jacobian. A mark that
 * is used twice is one number, so it counts once. Source: handbook 13 "Errors".
 */
import type { Pixel } from './marks';

/** Places of a point's two numbers. */
export interface PointRef {
  readonly x: number;
  readonly y: number;
}

export class Noise {
  readonly values: number[] = [];
  readonly sds: number[] = [];

  /** @returns the place of the number */
  add(value: number, sd: number): number {
    this.values.push(value);
    this.sds.push(sd);
    return this.values.length - 1;
  }

  addPoint([x, y]: Pixel, sd: number): PointRef {
    return { x: this.add(x, sd), y: this.add(y, sd) };
  }
}

export interface Spread {
  readonly value: number;
  /** One standard deviation. */
  readonly sd: number;
}

/** The short way round from one angle to another, degrees. */
const turnBetween = (from: number, to: number): number => {
  const turn = (((to - from) % 360) + 540) % 360;
  return turn - 180;
};

/** As a share of a number's own deviation: small enough to be a derivative. */
const step = 1e-3;

/**
 * Every figure with its deviation.
 *
 * @param evaluate all figures from all numbers; what cannot be had is left out
 * @param isAngle figures in degrees, which go round
 */
export function spreadOf<Id extends string>(
  { values, sds }: Noise,
  evaluate: (values: readonly number[]) => ReadonlyMap<Id, number>,
  isAngle: (id: Id) => boolean,
): Map<Id, Spread> {
  const nominal = evaluate(values);
  const variance = new Map<Id, number>();
  const moved = [...values];
  for (const [index, sd] of sds.entries()) {
    if (sd <= 0) continue;
    const by = sd * step;
    moved[index] = values[index]! + by;
    const above = evaluate(moved);
    moved[index] = values[index]! - by;
    const below = evaluate(moved);
    moved[index] = values[index]!;
    for (const id of nominal.keys()) {
      const [high, low] = [above.get(id), below.get(id)];
      if (high === undefined || low === undefined) continue;
      const change = isAngle(id) ? turnBetween(low, high) : high - low;
      const part = change / (2 * step);
      variance.set(id, (variance.get(id) ?? 0) + part * part);
    }
  }
  return new Map(
    [...nominal].map(([id, value]) => [id, { value, sd: Math.sqrt(variance.get(id) ?? 0) }]),
  );
}
