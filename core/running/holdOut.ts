/** Who takes no part in a hold for the group: closed when the class was judged, or by tonight's taps. */
import type { BaseId, CheckKey } from '../catalog/checks';
import { closedRegions, type BodyRegion } from '../catalog/regions';
import type { PreparedPerson } from '../compose/prepared';
import type { PlanFile } from '../files/planFile';
import { closedKey } from './closedKey';
import { hasSign, type FloorState } from './replay';

/** What the floor knows of a check's shape. */
export interface HeldShape {
  readonly check: CheckKey;
  readonly byBase: boolean;
  /** Every region that it loads or strains. */
  readonly regions?: readonly BodyRegion[];
  /** On which bases a foot leaves the floor; `null`: whatever the base. */
  readonly feetUp?: readonly (BaseId | null)[];
}

/** Closed to whoever keeps the feet down tonight. */
export const isUpFor = ({ feetUp = [] }: HeldShape, base: BaseId | null): boolean =>
  feetUp.includes(null) || feetUp.includes(base);

/**
 * What was said tonight, on the floor and before the class.
 *
 * @param isTold whether this device is told why somebody was stopped; where it is not, a stop closes as
 *   much as a place that nobody can name
 */
export const saidTonight = (
  { halts }: Pick<FloorState, 'halts'>,
  { sore }: Pick<PlanFile['wishes'], 'sore'>,
  isTold = true,
): Pick<FloorState, 'halts'> => ({
  halts: [
    ...halts.map((halt) =>
      isTold || halt.place !== undefined || halt.sign !== undefined
        ? halt
        : { ...halt, place: 'elsewhere' as const },
    ),
    ...sore.map((one) => ({ ...one, id: '', atMs: 0 })),
  ],
});

/**
 * Did somebody say something tonight that closes what everybody does? A stop sign closes all of it,
 * a sore place what loads it; the plan made before knows nothing of either.
 *
 * @param regions that it loads or strains; a class begun before they were said names none
 */
export const isOutTonight = (
  id: string,
  regions: readonly BodyRegion[] = [],
  state: Pick<FloorState, 'halts'>,
): boolean =>
  hasSign(state, id) ||
  state.halts.some(
    ({ person, place }) =>
      person === id &&
      place !== undefined &&
      closedRegions(place).some((region) => regions.includes(region)),
  );

/**
 * Is this hold closed to somebody tonight? After a stop sign every hold is; what is sore closes what
 * loads it; the rest was judged before.
 *
 * @param shape `null`: time in the shape that the plan gives, which is judged by itself
 * @param keepsFeetDown they asked for it tonight
 */
export function isOutOfHold(
  { id, closedChecks = [] }: Pick<PreparedPerson, 'id' | 'closedChecks'>,
  shape: HeldShape | null,
  base: BaseId | null,
  state: Pick<FloorState, 'halts'>,
  keepsFeetDown = false,
): boolean {
  if (isOutTonight(id, shape?.regions, state)) return true;
  if (keepsFeetDown && shape !== null && isUpFor(shape, base)) return true;
  return (
    shape !== null && closedChecks.includes(closedKey(shape.check, shape.byBase ? base : null))
  );
}
