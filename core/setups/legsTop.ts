/** How high a stage takes the legs: what hangs there is hit. */
import { getMove, type MoveId } from '../atlas/moves';
import { openMove, poseMoment } from '../atlas/open';
import { resolveBody } from '../body/body';
import { UnreachableProblem } from '../posture/geometry';
import { legPointsOf, type FigureJoints } from '../posture/joints';
import { poseShape, type ShapeRef } from '../shapes/posed';
import { rememberFor } from '../units/remember';
import { solveStage, type StageOfSetup } from './solveStage';

export interface Raising extends StageOfSetup {
  readonly move?: MoveId | undefined;
  readonly leave?: MoveId | undefined;
}

/** Furniture is the larger share of whoever is small. */
const body = resolveBody({ heightM: 1.5 });

const topOf = (joints: FigureJoints): number => Math.max(...legPointsOf(joints).map(([, y]) => y));

function shapeTop(stage: Raising, shape: ShapeRef): number {
  if (shape.moment !== undefined) {
    return topOf(poseMoment(body, getMove(shape.moment.move), shape.moment.key).joints);
  }
  const result = solveStage({ body, profile: 'prop-led', pieces: [] }, stage);
  return topOf(poseShape({ body }, shape, stage.recipe, result).joints);
}

/** A shape that this body cannot be in says nothing; others do. */
function reached(top: () => number): number {
  try {
    return top();
  } catch (error) {
    if (error instanceof UnreachableProblem) return 0;
    throw error;
  }
}

const known = rememberFor<object, number>();

/**
 * The highest that knees, ankles and feet come in a stage, on the way in and on the way out, as a
 * share of body height; 0 for a stage without shape and movement.
 */
export const legsTopShare = (stage: Raising): number =>
  known(stage, '', () => {
    const { shape, move, leave } = stage;
    const tops = [
      ...(shape === undefined ? [] : [reached(() => shapeTop(stage, shape))]),
      ...[move, leave].flatMap((id) =>
        id === undefined
          ? []
          : [reached(() => Math.max(...openMove(body, getMove(id)).figures.map(topOf)))],
      ),
    ];
    return Math.max(0, ...tops) / body.heightM;
  });
