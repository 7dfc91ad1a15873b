/** Who takes no part in a hold for the group: closed when the class was judged, or by tonight's taps. */
import type { BaseId, CheckKey } from '../catalog/checks';
import { closedRegions, type BodyRegion } from '../catalog/regions';
import type { PreparedPerson } from '../compose/prepared';
import { closedKey } from './closedKey';
import { hasSign, type FloorState } from './replay';

/** What the floor knows of a check's shape. */
export interface HeldShape {
  readonly check: CheckKey;
  readonly byBase: boolean;
  /** Every region that it loads or strains. */
  readonly regions?: readonly BodyRegion[];
}

/**
 * Is this hold closed to somebody tonight? After a stop sign every hold is; what is sore closes what
 * loads it; the rest was judged before.
 *
 * @param shape `null`: time in the shape that the plan gives, which is judged by itself
 */
export function isOutOfHold(
  { id, closedChecks = [] }: Pick<PreparedPerson, 'id' | 'closedChecks'>,
  shape: HeldShape | null,
  base: BaseId | null,
  state: Pick<FloorState, 'halts'>,
): boolean {
  if (hasSign(state, id)) return true;
  if (shape === null) return false;
  if (closedChecks.includes(closedKey(shape.check, shape.byBase ? base : null))) return true;
  return state.halts.some(
    ({ person, place }) =>
      person === id &&
      place !== undefined &&
      // A class that was begun before shapes said their regions names none.
      closedRegions(place).some((region) => (shape.regions ?? []).includes(region)),
  );
}
