import type { ShapeRef } from '../shapes/posed';
import { getSetup, type SetupId } from './registry';
import type { SetupInput, SetupResult } from './setup';

/** What decides about the set-up of a stage. */
export interface StageOfSetup {
  readonly recipe?: SetupId | undefined;
  readonly shape?: ShapeRef | undefined;
}

/** Without what belongs to another shape of the same set-up: no foot height for feet on the floor. */
export function forShape(
  setup: SetupId,
  shape: ShapeRef | undefined,
  result: SetupResult,
): SetupResult {
  const { onlyFor } = getSetup(setup);
  if (onlyFor === undefined || shape === undefined || !('family' in shape)) return result;
  const distances = result.distances.filter(
    ({ id }) => onlyFor[id]?.includes(shape.family) ?? true,
  );
  return { ...result, distances };
}

/** The set-up of a stage solved for one person; `null` where the stage has none. */
export const solveStage = (
  input: SetupInput,
  { recipe, shape }: StageOfSetup,
): SetupResult | null =>
  recipe === undefined ? null : forShape(recipe, shape, getSetup(recipe).solve(input));
