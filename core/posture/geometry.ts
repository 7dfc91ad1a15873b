import { InputProblem } from '../problem';
import { tolerance } from '../tolerance';
import type { Point } from './joints';

/** Small plane geometry for the chain. Metres and degrees; angles from the upright, towards +x. */

export const degrees = (radians: number) => (radians * 180) / Math.PI;
export const radians = (deg: number) => (deg * Math.PI) / 180;

/** The place `length` away from a point, `deg` from the upright. */
export function turned([x, y]: Point, deg: number, length: number): Point {
  return [x + length * Math.sin(radians(deg)), y + length * Math.cos(radians(deg))];
}

export function between([ax, ay]: Point, [bx, by]: Point, share: number): Point {
  return [ax + (bx - ax) * share, ay + (by - ay) * share];
}

export function distanceOf([ax, ay]: Point, [bx, by]: Point): number {
  return Math.hypot(bx - ax, by - ay);
}

/** Direction from one point to another, degrees from the upright. */
export function bearing([ax, ay]: Point, [bx, by]: Point): number {
  return degrees(Math.atan2(bx - ax, by - ay));
}

/** Angle at `corner` between the ways to two points, 0 to 180 degrees. */
export function angleAt(corner: Point, a: Point, b: Point): number {
  const [ax, ay] = [a[0] - corner[0], a[1] - corner[1]];
  const [bx, by] = [b[0] - corner[0], b[1] - corner[1]];
  return degrees(Math.atan2(Math.abs(ax * by - ay * bx), ax * bx + ay * by));
}

/** A geometry that cannot close: which limb is too short or too long, and by how many metres. */
export class UnreachableProblem extends InputProblem {
  constructor(
    readonly limb: string,
    /** How much is missing (or too much), always positive. */
    readonly missingM: number,
    message: string,
    path: readonly (string | number)[] = ['posture'],
  ) {
    super('unreachable', message, path);
    this.name = 'UnreachableProblem';
  }
}

const cm = (metres: number) => `${Math.max(1, Math.ceil(metres * 100 - 1e-6))} cm`;

interface Link {
  readonly from: Point;
  readonly lengthM: number;
  /** In a sentence: "arms and trunk", "the legs". */
  readonly limb: string;
}

/**
 * Where two links meet, taking the meeting place that lies to the given side.
 *
 * @throws UnreachableProblem when the links are too short to meet, or one too long for the other
 */
export function meet(a: Link, b: Link, side: 'higher' | 'lower' | 'nearHead'): Point {
  const apart = distanceOf(a.from, b.from);
  const stretch = a.lengthM + b.lengthM;
  if (apart > stretch + tolerance.roundingM) {
    const missing = apart - stretch;
    throw new UnreachableProblem(
      `${a.limb} and ${b.limb}`,
      missing,
      `Out of reach: ${a.limb} and ${b.limb} together are ${cm(missing)} too short.`,
    );
  }
  const over = Math.abs(a.lengthM - b.lengthM) - apart;
  if (over > tolerance.roundingM) {
    const long = a.lengthM > b.lengthM ? a.limb : b.limb;
    throw new UnreachableProblem(
      long,
      over,
      `The two ends are too close together: ${long} would have to be ${cm(over)} shorter.`,
    );
  }
  const along = (a.lengthM ** 2 - b.lengthM ** 2 + apart ** 2) / (2 * apart);
  const aside = Math.sqrt(Math.max(0, a.lengthM ** 2 - along ** 2));
  const [ux, uy] = [(b.from[0] - a.from[0]) / apart, (b.from[1] - a.from[1]) / apart];
  const foot: Point = [a.from[0] + ux * along, a.from[1] + uy * along];
  const one: Point = [foot[0] - uy * aside, foot[1] + ux * aside];
  const two: Point = [foot[0] + uy * aside, foot[1] - ux * aside];
  switch (side) {
    case 'higher':
      return one[1] >= two[1] ? one : two;
    case 'lower':
      return one[1] < two[1] ? one : two;
    case 'nearHead':
      return one[0] >= two[0] ? one : two;
    default:
      return side satisfies never;
  }
}

/**
 * The place on a limb of length `lengthM` from `from` that lies `offsetX` ahead of it.
 *
 * @throws UnreachableProblem when the limb is shorter than that
 */
export function ahead(from: Point, lengthM: number, offsetX: number, limb: string): Point {
  const over = Math.abs(offsetX) - lengthM;
  if (over > 0) {
    throw new UnreachableProblem(
      limb,
      over,
      `Out of reach: ${limb} would have to be ${cm(over)} longer.`,
    );
  }
  return [from[0] + offsetX, from[1] + Math.sqrt(lengthM ** 2 - offsetX ** 2)];
}

/** A root is found when its bracket is this narrow; degrees, radians or shares alike. */
const rootWidth = 1e-10;
const mostSteps = 80;

/**
 * A root of a continuous function between two places where its sign differs, by the Illinois
 * variant of false position: it keeps the bracket, so it cannot miss, and mostly needs under ten
 * evaluations where halving needs forty.
 *
 * @returns `null` when the sign is the same at both ends
 */
export function findRoot(f: (x: number) => number, low: number, high: number): number | null {
  let [a, b] = [low, high];
  let [atA, atB] = [f(a), f(b)];
  if (atA === 0) return a;
  if (atB === 0) return b;
  if (Math.sign(atA) === Math.sign(atB)) return null;
  let side = 0;
  for (let step = 0; step < mostSteps && Math.abs(b - a) > rootWidth; step += 1) {
    const x = (a * atB - b * atA) / (atB - atA);
    const at = f(x);
    if (Math.abs(at) < rootWidth) return x;
    if (Math.sign(at) === Math.sign(atB)) {
      [b, atB] = [x, at];
      // The same end twice running: halve the other's weight, so that it moves too.
      if (side === -1) atA /= 2;
      side = -1;
    } else {
      [a, atA] = [x, at];
      if (side === 1) atB /= 2;
      side = 1;
    }
  }
  return (a + b) / 2;
}
