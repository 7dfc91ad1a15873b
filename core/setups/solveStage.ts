import type { ShapeRef } from '../shapes/posed';
import { distanceWords } from './distanceWords';
import { getSetup, type SetupId } from './registry';
import type { SetupInput, SetupResult } from './setup';

/** What decides about the set-up of a stage. */
export interface StageOfSetup {
  readonly recipe?: SetupId | undefined;
  readonly shape?: ShapeRef | undefined;
  readonly needsWall?: boolean | undefined;
}

/**
 * Without what belongs to another shape of the same set-up: no foot height for feet on the floor, and
 * nothing from the wall where none is needed.
 */
export function forStage(
  setup: SetupId,
  { shape, needsWall }: StageOfSetup,
  result: SetupResult,
): SetupResult {
  const { onlyFor = {} } = getSetup(setup);
  const distances = result.distances.filter(
    ({ id }) =>
      (needsWall === true || !distanceWords[id].isAtWall) &&
      (shape === undefined ||
        onlyFor[id] === undefined ||
        ('family' in shape && onlyFor[id].includes(shape.family))),
  );
  return distances.length === result.distances.length ? result : { ...result, distances };
}

/** The set-up of a stage solved for one person; `null` where the stage has none. */
export const solveStage = (input: SetupInput, stage: StageOfSetup): SetupResult | null =>
  stage.recipe === undefined
    ? null
    : forStage(stage.recipe, stage, getSetup(stage.recipe).solve(input));
