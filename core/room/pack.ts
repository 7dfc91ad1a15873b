/** Who stands where: lanes along the usable stretches, clear circles on the floor. */
import type { Span } from './room';

export interface Lane {
  readonly id: string;
  readonly alongM: number;
  readonly heightM: number;
}

export interface PlacedLane {
  readonly id: string;
  readonly spanId: string;
  /** From the left end of the wall, as one faces it. */
  readonly fromM: number;
  readonly toM: number;
}

export type Packing =
  | { readonly status: 'packed'; readonly lanes: readonly PlacedLane[] }
  /** The widest that could not be placed, and the metres that are missing at the least. */
  | { readonly status: 'full'; readonly missingM: number; readonly tooLow: readonly string[] };

const tolerance = 1e-9;

/**
 * Puts every lane on some span, exactly: if there is a way, one is found. Widths add up along a
 * span, so it is a bin packing; widest first with equal rooms tried once is enough for a class.
 *
 * @returns `full` with what is missing when there is no way
 */
export function packLanes(spans: readonly Span[], lanes: readonly Lane[]): Packing {
  const tooLow = lanes
    .filter(({ heightM }) => spans.every(({ lowestM }) => lowestM < heightM - tolerance))
    .map(({ id }) => id);
  const sorted = [...lanes].sort((a, b) => b.alongM - a.alongM || a.heightM - b.heightM);
  const left = spans.map(({ fromM, toM }) => toM - fromM);
  const chosen: number[] = [];
  const totalLeft = () => left.reduce((sum, room) => sum + room, 0);
  const needed = sorted.map((_, index) =>
    sorted.slice(index).reduce((sum, { alongM }) => sum + alongM, 0),
  );

  const place = (index: number): boolean => {
    if (index === sorted.length) return true;
    if (needed[index]! > totalLeft() + tolerance) return false;
    const { alongM, heightM } = sorted[index]!;
    const tried = new Set<string>();
    for (const [at, { lowestM }] of spans.entries()) {
      const roomM = left[at]!;
      if (roomM < alongM - tolerance || lowestM < heightM - tolerance) continue;
      // Two stretches with the same room and height are the same choice.
      const key = `${roomM.toFixed(6)}/${lowestM}`;
      if (tried.has(key)) continue;
      tried.add(key);
      left[at] = roomM - alongM;
      chosen[index] = at;
      if (place(index + 1)) return true;
      left[at] = roomM;
    }
    return false;
  };

  if (tooLow.length > 0 || !place(0)) {
    const room = spans.reduce((sum, { fromM, toM }) => sum + toM - fromM, 0);
    const all = lanes.reduce((sum, { alongM }) => sum + alongM, 0);
    const widest = Math.max(0, ...spans.map(({ fromM, toM }) => toM - fromM));
    const missing = Math.max(all - room, (sorted[0]?.alongM ?? 0) - widest, 0.01);
    return { status: 'full', missingM: missing, tooLow };
  }
  const at = spans.map(({ fromM }) => fromM);
  const placed = sorted.map(({ id, alongM }, index): PlacedLane => {
    const span = chosen[index]!;
    const fromM = at[span]!;
    at[span] = fromM + alongM;
    return { id, spanId: spans[span]!.id, fromM, toM: fromM + alongM };
  });
  return { status: 'packed', lanes: lanes.map(({ id }) => placed.find((one) => one.id === id)!) };
}

export interface Rectangle {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

export interface Circle {
  readonly id: string;
  readonly radiusM: number;
}

export interface PlacedCircle extends Circle {
  readonly x: number;
  readonly y: number;
}

/** Places are tried this far apart; exact to the half of it. */
const gridM = 0.25;
/** Enough for any class; a search that ends here says so by finding nothing. */
const mostSteps = 6_000;

/** Does a circle reach over a part of the floor? */
const isOver = (x: number, y: number, r: number, { left, right, bottom, top }: Rectangle) =>
  Math.hypot(x - Math.min(Math.max(x, left), right), y - Math.min(Math.max(y, bottom), top)) <
  r - tolerance;

/** Where the middle of a circle may lie, row by row. */
function listMiddles(
  floor: Rectangle,
  r: number,
  closed: readonly Rectangle[],
): (readonly [x: number, y: number])[] {
  const middles: [number, number][] = [];
  for (let y = floor.bottom + r; y <= floor.top - r + tolerance; y += gridM) {
    for (let x = floor.left + r; x <= floor.right - r + tolerance; x += gridM) {
      if (!closed.some((one) => isOver(x, y, r, one))) middles.push([x, y]);
    }
  }
  return middles;
}

/**
 * Places clear circles on free floor, whole and without overlap, largest first from the corners
 * inwards.
 *
 * @param closed parts of the floor that none of them may reach over
 * @returns `null` when no way was found
 */
export function placeCircles(
  floor: Rectangle,
  circles: readonly Circle[],
  closed: readonly Rectangle[] = [],
): PlacedCircle[] | null {
  const sorted = [...circles].sort((a, b) => b.radiusM - a.radiusM);
  const middles = new Map<number, readonly (readonly [x: number, y: number])[]>();
  const middlesOf = (r: number) => {
    const known = middles.get(r) ?? listMiddles(floor, r, closed);
    middles.set(r, known);
    return known;
  };
  const placed: PlacedCircle[] = [];
  let steps = 0;
  const place = (index: number, from: number): boolean => {
    if (index === sorted.length) return true;
    const circle = sorted[index]!;
    const r = circle.radiusM;
    const there = middlesOf(r);
    for (let at = from; at < there.length; at += 1) {
      steps += 1;
      if (steps > mostSteps) return false;
      const [x, y] = there[at]!;
      let isFree = true;
      for (const other of placed) {
        const apart = Math.max(0, r + other.radiusM - tolerance);
        if ((x - other.x) ** 2 + (y - other.y) ** 2 < apart ** 2) {
          isFree = false;
          break;
        }
      }
      if (!isFree) continue;
      placed.push({ ...circle, x, y });
      // Which of two of one size lies where is all the same: the next lies further on.
      if (place(index + 1, sorted[index + 1]?.radiusM === r ? at + 1 : 0)) return true;
      placed.pop();
    }
    return false;
  };
  if (!place(0, 0)) return null;
  return circles.map(({ id }) => placed.find((one) => one.id === id)!);
}
