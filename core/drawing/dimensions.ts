import { line, rectangle, rounded, textWidth, type Shape } from './scene';

const sizes = {
  /** Half a tick across the dimension line. */
  tickPx: 4,
  /** Between text and line. */
  textGapPx: 4,
  /** Witness lines stop this short of what they point at, and run this far past the line. */
  witnessGapPx: 3,
  witnessPastPx: 3,
} as const;

export interface DimensionText {
  readonly text: string;
  readonly sizePx: number;
  /** Estimated: a tilde and a thinner line. */
  readonly isEstimated: boolean;
}

const dimensionLabel = ({ text, isEstimated }: DimensionText) => (isEstimated ? `~${text}` : text);

function ticks(x: number, y: number): Shape {
  const t = sizes.tickPx;
  return line('dimensionTick', x - t, y + t, x + t, y - t);
}

/** Lowest and highest drawing unit a level dimension takes up, text included. */
export function levelExtent(x1: number, x2: number, label: DimensionText): [number, number] {
  const width = textWidth(dimensionLabel(label), label.sizePx);
  return fitsInside(x1, x2, label)
    ? [x1 - sizes.tickPx, x2 + sizes.tickPx]
    : [x1 - sizes.tickPx - sizes.textGapPx * 2 - width, x2 + sizes.tickPx];
}

function fitsInside(x1: number, x2: number, label: DimensionText): boolean {
  return (
    textWidth(dimensionLabel(label), label.sizePx) + 2 * (sizes.tickPx + sizes.textGapPx) <= x2 - x1
  );
}

/**
 * A level dimension between two places, its text above the line, or before its left end where the
 * line is too short to carry it.
 *
 * @param fromY where the witness lines start, above the dimension line
 */
export function levelDimension(
  x1: number,
  x2: number,
  y: number,
  fromY: number,
  label: DimensionText,
): Shape[] {
  const isInside = fitsInside(x1, x2, label);
  const text: Shape = {
    kind: 'text',
    role: 'dimensionText',
    text: dimensionLabel(label),
    sizePx: label.sizePx,
    anchor: isInside ? 'middle' : 'end',
    x: rounded(isInside ? (x1 + x2) / 2 : x1 - sizes.tickPx - sizes.textGapPx),
    y: rounded(isInside ? y - sizes.textGapPx : y + label.sizePx * 0.35),
  };
  return [
    ...[x1, x2].map((x) =>
      line('witness', x, fromY + sizes.witnessGapPx, x, y + sizes.witnessPastPx),
    ),
    line(label.isEstimated ? 'dimensionEstimated' : 'dimension', x1, y, x2, y),
    ticks(x1, y),
    ticks(x2, y),
    text,
  ];
}

/** Leftmost drawing unit an upright dimension may take up, text included. */
export function uprightLeft(x: number, label: DimensionText): number {
  const width = textWidth(dimensionLabel(label), label.sizePx);
  return x - sizes.tickPx - sizes.textGapPx - width;
}

/**
 * An upright dimension, its text to the left of the line at half height; a dimension too short for
 * that carries it above its upper end.
 *
 * @param fromX where the witness lines start, to the right of the dimension line
 */
export function uprightDimension(
  x: number,
  y1: number,
  y2: number,
  fromX: number,
  label: DimensionText,
): Shape[] {
  const isShort = Math.abs(y2 - y1) < label.sizePx * 1.4;
  const text: Shape = {
    kind: 'text',
    role: 'dimensionText',
    text: dimensionLabel(label),
    sizePx: label.sizePx,
    anchor: isShort ? 'middle' : 'end',
    x: rounded(isShort ? x : x - sizes.tickPx - sizes.textGapPx),
    y: rounded(
      isShort
        ? Math.min(y1, y2) - sizes.tickPx - sizes.textGapPx
        : (y1 + y2) / 2 + label.sizePx * 0.35,
    ),
  };
  return [
    ...[y1, y2].map((y) =>
      line('witness', fromX - sizes.witnessGapPx, y, x - sizes.witnessPastPx, y),
    ),
    line(label.isEstimated ? 'dimensionEstimated' : 'dimension', x, y1, x, y2),
    ticks(x, y1),
    ticks(x, y2),
    text,
  ];
}

/** Diagonal strokes, clipped by construction to a strip. */
function hatching(x: number, top: number, bottom: number, widthPx: number): Shape[] {
  const step = 7;
  const shapes: Shape[] = [];
  for (let y = top; y < bottom; y += step) {
    const run = Math.min(widthPx, bottom - y);
    shapes.push(line('hatch', x + run, y, x, y + run));
  }
  return shapes;
}

/** Hatching behind a wall's face. The wall is solid: it hides what the drawing would push into it. */
export const hatchStrip = (x: number, top: number, bottom: number, widthPx: number): Shape[] => [
  rectangle('wallBody', x, top, widthPx, bottom - top),
  ...hatching(x, top, bottom, widthPx),
];

/** How far behind its face a wall hides what is drawn, beyond the hatching: heels have flesh. */
const solidPx = 14;

/**
 * A wall seen from the side: its face, and the hatching behind it.
 *
 * @param side 1 where it stands to the right of whoever is drawn
 */
export function wallFace(
  x: number,
  side: 1 | -1,
  top: number,
  floor: number,
  hatchPx: number,
): Shape[] {
  const bodyPx = hatchPx + solidPx;
  return [
    rectangle('wallBody', side === 1 ? x : x - bodyPx, top, bodyPx, floor - top),
    ...hatching(side === 1 ? x : x - hatchPx, top, floor, hatchPx),
    line('wall', x, top, x, floor),
  ];
}

/** The floor is solid too: what a heavy build would push through it stays out of sight. */
export function groundBody(widthPx: number, floorPx: number): Shape {
  return rectangle('wallBody', 0, floorPx, widthPx, 14);
}

/** A block or pad with its material marks: diagonal strokes inside the rectangle. */
export function hatchedBox(left: number, top: number, width: number, height: number): Shape[] {
  const step = 6;
  const shapes: Shape[] = [rectangle('prop', left, top, width, height)];
  for (let offset = step; offset < width + height; offset += step) {
    // From the left edge or the bottom, up to the right: a stroke at 45 degrees cut by the box.
    const startX = left + Math.max(0, offset - height);
    const startY = top + Math.min(offset, height);
    const endX = left + Math.min(offset, width);
    const endY = top + Math.max(0, offset - width);
    shapes.push(line('propMark', startX, startY, endX, endY));
  }
  return shapes;
}
