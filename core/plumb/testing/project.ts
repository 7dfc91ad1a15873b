/** Pictures with known joints: places in metres, taken by a camera of a given scale, tilt and side. */
import { radians } from '../../posture/geometry';
import type { Point } from '../../posture/joints';
import type { Mark, Pixel, PixelLine } from '../marks';

export interface Camera {
  readonly pxPerM: number;
  /** How far the floor is turned on the screen, degrees, clockwise. */
  readonly tiltDeg: number;
  readonly facing: 'left' | 'right';
  readonly originPx: Pixel;
}

export const level: Camera = { pxPerM: 400, tiltDeg: 0, facing: 'right', originPx: [300, 900] };

/** Metres (x ahead, y up from the floor) to pixels (x right, y down). */
export function project([x, y]: Point, camera: Camera): Pixel {
  const { pxPerM, tiltDeg, facing, originPx } = camera;
  const turn = radians(tiltDeg);
  const [px, py] = [(facing === 'left' ? -x : x) * pxPerM, -y * pxPerM];
  return [
    originPx[0] + px * Math.cos(turn) - py * Math.sin(turn),
    originPx[1] + px * Math.sin(turn) + py * Math.cos(turn),
  ];
}

export function markAt(place: Point, camera: Camera, sd?: number): Mark {
  const [x, y] = project(place, camera);
  return { x, y, ...(sd === undefined ? {} : { sd }) };
}

export const lineOf = (from: Point, to: Point, camera: Camera): PixelLine => [
  project(from, camera),
  project(to, camera),
];

/** Marks of places by name. */
export const marksOf = <Name extends string>(
  places: Readonly<Record<Name, Point>>,
  camera: Camera,
  sd?: number,
): Readonly<Record<Name, Mark>> =>
  Object.fromEntries(
    Object.entries<Point>(places).map(([name, place]) => [name, markAt(place, camera, sd)]),
  ) as Record<Name, Mark>;
