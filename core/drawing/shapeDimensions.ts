/** The measures of a shape, written beside it; the same on the bench, a card and a row. */
import type { Distance } from '../setups/distance';
import type { ShapeDimension } from '../shapes/shape';
import { formatFigure, type LengthUnits } from '../units/length';
import { levelDimension, uprightDimension, type DimensionText } from './dimensions';
import type { Frame, Shape } from './scene';

/** Shorter than this nothing is written, metres. */
const leastM = 0.005;

export interface DimensionStyle {
  readonly units: LengthUnits;
  readonly textPx: number;
  /** The first row of level dimensions, and each further one. */
  readonly rowY: number;
  readonly rowStepPx: number;
  /** Where witness lines begin above a row. */
  readonly witnessPx: number;
  /** What the set-up lists: says which figures rest on estimates. */
  readonly distances?: readonly Pick<Distance, 'id' | 'basis'>[];
}

export const metresAcross = (dimension: ShapeDimension): number =>
  dimension.kind === 'level'
    ? Math.abs(dimension.toX - dimension.fromX)
    : Math.abs(dimension.toY - dimension.fromY);

export const isWritten = (dimension: ShapeDimension): boolean => metresAcross(dimension) >= leastM;

export const countLevels = (dimensions: readonly ShapeDimension[]): number =>
  dimensions.filter((one) => one.kind === 'level' && isWritten(one)).length;

/** Level ones in rows under the floor, one below the other; upright ones where they stand. */
export function drawShapeDimensions(
  frame: Frame,
  dimensions: readonly ShapeDimension[],
  { units, textPx, rowY, rowStepPx, witnessPx, distances = [] }: DimensionStyle,
): Shape[] {
  let row = 0;
  return dimensions.filter(isWritten).flatMap((dimension): Shape[] => {
    const basis = distances.find(({ id }) => id === dimension.distance)?.basis;
    const text: DimensionText = {
      text: formatFigure(metresAcross(dimension), units),
      sizePx: textPx,
      isEstimated: basis === 'estimated',
    };
    if (dimension.kind === 'level') {
      const [a, b] = [frame.x(dimension.fromX), frame.x(dimension.toX)];
      const y = rowY + rowStepPx * row;
      row += 1;
      return levelDimension(Math.min(a, b), Math.max(a, b), y, rowY - witnessPx, text);
    }
    const x = frame.x(dimension.x);
    return uprightDimension(x, frame.y(dimension.fromY), frame.y(dimension.toY), x + 14, text);
  });
}
