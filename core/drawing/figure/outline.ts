import { curveCatmullRomClosed, line as lineOf } from 'd3-shape';
import type { Point } from '../../posture/joints';
import type { Frame } from '../scene';

/** 1: the back lies to the right of the way from shoulder to foot; -1: on the back, mirrored. */
export type Facing = 1 | -1;

/** Half-widths of a limb at a place along it, as shares of height; front and back of the body. */
export type Station = readonly [t: number, front: number, back: number];

/** A closed outline in metres. */
export type Outline = readonly Point[];

const smooth = lineOf<Point>().curve(curveCatmullRomClosed.alpha(0.5)).digits(2);
const straight = lineOf<Point>().digits(2);

/** Twice the area inside, positive where the outline runs against the clock. */
const turnOf = (outline: Outline) =>
  outline.reduce((sum, [x, y], index) => {
    const [nextX, nextY] = outline[(index + 1) % outline.length]!;
    return sum + x * nextY - nextX * y;
  }, 0);

/**
 * An outline as a path. All run the same way round, so that several of them in one path fill as one
 * body where they overlap and never cut holes into each other.
 */
export function toPath(frame: Frame, outline: Outline): string {
  const points = turnOf(outline) < 0 ? [...outline].reverse() : outline;
  return smooth(points.map(([x, y]) => [frame.x(x), frame.y(y)])) ?? '';
}

/** An open line; none without points. */
export function toLine(frame: Frame, points: readonly Point[]): string[] {
  const d = straight(points.map(([x, y]) => [frame.x(x), frame.y(y)]));
  return d === null ? [] : [d];
}

/** A bone's own directions: along it, and out to its back. */
export function axisOf(from: Point, to: Point, facing: Facing = 1) {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy);
  const [ux, uy] = length === 0 ? [0, 1] : [dx / length, dy / length];
  return {
    length,
    along: [ux, uy] as const,
    /** `alongM` metres along the bone and `backM` out to its back. */
    at: (alongM: number, backM: number): Point => [
      from[0] + ux * alongM + uy * backM * facing,
      from[1] + uy * alongM - ux * backM * facing,
    ],
  };
}

/** The flesh round one bone, with rounded ends. */
export function limb(
  from: Point,
  to: Point,
  stations: readonly Station[],
  scaleM: number,
  facing: Facing = 1,
): Outline {
  const { length, at } = axisOf(from, to, facing);
  // A rounded end: its tip and two shoulders, so that joints meet without a notch.
  const cap = (t: number, [, front, back]: Station, sign: 1 | -1): Point[] => {
    const half = ((front + back) / 2) * scaleM;
    const middle = ((back - front) / 2) * scaleM;
    return [0.72, 0, -0.72].map((aside, index) =>
      at(length * t + sign * half * (index === 1 ? 1 : 0.7), middle + aside * half * sign),
    );
  };
  return [
    ...cap(0, stations[0]!, -1),
    ...stations.map(([t, , back]) => at(length * t, back * scaleM)),
    ...cap(1, stations[stations.length - 1]!, 1),
    ...[...stations].reverse().map(([t, front]) => at(length * t, -front * scaleM)),
  ];
}

/** How far a joint is folded, degrees: 0 straight. */
export function foldDeg(from: Point, joint: Point, to: Point): number {
  const a = Math.atan2(joint[1] - from[1], joint[0] - from[0]);
  const b = Math.atan2(to[1] - joint[1], to[0] - joint[0]);
  const turn = Math.abs(((b - a) * 180) / Math.PI) % 360;
  return turn > 180 ? 360 - turn : turn;
}

/** Folds that are drawn: below, the outline shows them by itself. */
const leastFoldDeg = 60;

/**
 * The line that parts the two halves of a folded limb: the lower one's edge on the inner side, from
 * the joint out. Nothing where the limb is all but straight.
 */
export function foldLine(
  from: Point,
  joint: Point,
  to: Point,
  lower: readonly Station[],
  scaleM: number,
  facing: Facing = 1,
): Point[] {
  if (foldDeg(from, joint, to) < leastFoldDeg) return [];
  const { length, at } = axisOf(joint, to, facing);
  const [fx, fy] = [from[0] - joint[0], from[1] - joint[1]];
  const [bx, by] = at(0, 1);
  // The upper half lies on the back's side or on the front's.
  const isBack = fx * (bx - joint[0]) + fy * (by - joint[1]) > 0;
  const reach = Math.min(1, 0.35 + foldDeg(from, joint, to) / 240);
  return lower
    .filter(([t]) => t <= reach)
    .map(([t, front, back]) => at(length * Math.max(0.06, t), (isBack ? back : -front) * scaleM));
}
