/** The measures of a shape, written beside it; the same on the bench, a card and a row. */
import type { Distance } from '../setups/distance';
import type { ShapeDimension } from '../shapes/shape';
import { formatFigure, type LengthUnits } from '../units/length';
import { levelDimension, levelExtent, uprightDimension, type DimensionText } from './dimensions';
import type { Frame, Shape } from './scene';

/** Two measures that meet at a tick stand in one row. */
const touchPx = 10;
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

const isWritten = (dimension: ShapeDimension): boolean => metresAcross(dimension) >= leastM;

export const countLevels = (dimensions: readonly ShapeDimension[]): number =>
  dimensions.filter((one) => one.kind === 'level' && isWritten(one)).length;

const textOf = (
  dimension: ShapeDimension,
  { units, textPx, distances = [] }: Pick<DimensionStyle, 'units' | 'textPx' | 'distances'>,
): DimensionText => ({
  text: formatFigure(metresAcross(dimension), units),
  sizePx: textPx,
  isEstimated: distances.find(({ id }) => id === dimension.distance)?.basis === 'estimated',
});

/** How far to the left the level dimensions reach with their figures, metres; empty without any. */
export function leftReach(
  dimensions: readonly ShapeDimension[],
  pxPerM: number,
  style: Pick<DimensionStyle, 'units' | 'textPx' | 'distances'>,
): number[] {
  return dimensions.filter(isWritten).flatMap((one) => {
    if (one.kind !== 'level') return [];
    const [left, right] = [one.fromX, one.toX].sort((a, b) => a - b);
    return [levelExtent(left! * pxPerM, right! * pxPerM, textOf(one, style))[0] / pxPerM];
  });
}

/** Level ones in rows under the floor, one below the other; upright ones where they stand. */
export function drawShapeDimensions(
  frame: Frame,
  dimensions: readonly ShapeDimension[],
  style: DimensionStyle,
): Shape[] {
  const { rowY, rowStepPx, witnessPx } = style;
  const ends: number[] = [];
  return dimensions.filter(isWritten).flatMap((dimension): Shape[] => {
    const text = textOf(dimension, style);
    if (dimension.kind === 'level') {
      const [a, b] = [frame.x(dimension.fromX), frame.x(dimension.toX)];
      const [left, right] = levelExtent(Math.min(a, b), Math.max(a, b), text);
      // The first row that is free there.
      const free = ends.findIndex((end) => left >= end - touchPx);
      const row = free === -1 ? ends.length : free;
      ends[row] = right;
      const y = rowY + rowStepPx * row;
      return levelDimension(Math.min(a, b), Math.max(a, b), y, rowY - witnessPx, text);
    }
    const x = frame.x(dimension.x);
    return uprightDimension(x, frame.y(dimension.fromY), frame.y(dimension.toY), x + 14, text);
  });
}
