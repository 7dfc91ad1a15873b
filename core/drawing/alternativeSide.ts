/** What is done in place of a stage, from the side. */
import { getAlternative, type AlternativeId } from '../catalog/alternatives';
import { getStage } from '../catalog/stages';
import type { SetupInput } from '../setups/setup';
import type { ElevationOptions } from './elevation';
import type { Scene } from './scene';
import { drawStage, type DrawnStage } from './stageSide';

/** The alternative as something that is drawn: where it is a stage, with that stage's set-up. */
export function toDrawn(alternative: AlternativeId): DrawnStage {
  const { label, how, shape, stage, needsWall } = getAlternative(alternative);
  const spec = stage === undefined ? undefined : getStage(stage);
  return {
    label,
    how,
    shape,
    recipe: spec?.recipe,
    needsWall: spec?.needsWall ?? needsWall,
  };
}

/** Another shape, to the same scale as the stage it stands in for. */
export const drawAlternative = (
  input: SetupInput,
  alternative: AlternativeId,
  options: ElevationOptions,
): Scene => drawStage(input, toDrawn(alternative), options);
