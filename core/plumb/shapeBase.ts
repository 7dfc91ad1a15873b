/** What carries in each shape, in the words of Plumb: read off the shape's own contacts. */
import { guessedHeight, resolveBody } from '../body/body';
import type { ShapeId } from '../shapes/postures';
import type { PlumbBase } from './marks';
import { figureOf, type ComputedFigure } from './practice';

const figures = new Map<ShapeId, ComputedFigure>();

/** The figure of somebody of usual size: which way it stands and on what, whoever it is of. */
export function usualFigure(shape: ShapeId): ComputedFigure {
  let figure = figures.get(shape);
  if (figure === undefined) {
    figure = figureOf(resolveBody({ heightM: guessedHeight.heightM }), shape);
    figures.set(shape, figure);
  }
  return figure;
}

/** On the shoulders the head carries next to nothing: of what Plumb knows only lying is left. */
export function baseOfShape(shape: ShapeId): PlumbBase {
  const { base, isOnShoulders } = usualFigure(shape);
  return isOnShoulders ? 'feet' : base;
}
