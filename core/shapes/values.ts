/** From dials and set-ups to the numbers a shape is solved from. */
import type { Body } from '../body/body';
import type { Distance } from '../setups/distance';
import type { Dial, DialValues } from './dials';
import type { Posture, ShapeId } from './postures';
import { getShape } from './registry';

export const getDials = (shape: ShapeId): readonly Dial[] => getShape(shape).dials;

const steps = { m: 0.01, deg: 1, share: 0.01 } as const satisfies Record<Dial['unit'], number>;

function usualOf(dial: Dial, body: Body): number {
  const value = Math.min(dial.high, Math.max(dial.low, dial.usual(body)));
  const step = steps[dial.unit];
  return Math.round(value / step) * step;
}

/** The usual values of these dials, rounded to whole centimetres and degrees. */
export const usualOfDials = (dials: readonly Dial[], body: Body): DialValues =>
  Object.fromEntries(dials.map((dial) => [dial.parameter, usualOf(dial, body)]));

export const usualValues = (shape: ShapeId, body: Body): DialValues =>
  usualOfDials(getDials(shape), body);

/**
 * The values a set-up gives its shape, exactly as it lists them; usual ones where it measures
 * nothing.
 */
export function valuesFrom(
  dials: readonly Dial[],
  body: Body,
  distances: readonly Pick<Distance, 'id' | 'metres'>[],
): DialValues {
  const solved = dials.flatMap(({ parameter, is }) => {
    const found = is === undefined ? undefined : distances.find(({ id }) => id === is);
    return found === undefined ? [] : [[parameter, found.metres] as const];
  });
  return { ...usualOfDials(dials, body), ...Object.fromEntries(solved) };
}

/** A posture from dial values; the values' names are the shape's own. */
export const toPosture = (shape: ShapeId, values: DialValues, oneLeg = false): Posture =>
  ({ family: shape, ...values, ...(oneLeg ? { oneLeg } : {}) }) as unknown as Posture;
