/**
 * A person in a room with every joint known to the pixel, for practising and for testing: whoever
 * paints it paints these places, and whoever reads it is compared with them.
 */
import type { Body } from '../body/body';
import { radians } from '../posture/geometry';
import type { FigureJoints, Point } from '../posture/joints';
import { computeLoads } from '../shapes/loads';
import type { ShapeId } from '../shapes/postures';
import { toPosture, usualValues } from '../shapes/values';
import type { Pixel } from './marks';

export interface ComputedFigure {
  readonly joints: FigureJoints;
  readonly wallX: number | null;
  /** 1: the person stands to the left of the wall. */
  readonly wallSide: 1 | -1;
}

/**
 * The joints of somebody's own figure in the usual set-up of a shape, metres.
 *
 * @throws UnreachableProblem when the geometry cannot close
 */
export function figureOf(body: Body, shape: ShapeId): ComputedFigure {
  const { pose } = computeLoads(body, toPosture(shape, usualValues(shape, body)));
  return {
    joints: pose.joints,
    wallX: pose.wall?.at[0] ?? null,
    wallSide: pose.wall?.side ?? 1,
  };
}

export interface PracticeWish {
  readonly shape: ShapeId;
  /** How far the legs fall past the trunk's line, degrees: an arch. Only where the feet are free. */
  readonly archDeg: number;
  /** How the camera was held, degrees. */
  readonly tiltDeg: number;
}

/** Practice pictures in their row, each taken a little otherwise; after the last comes the first. */
export const practiceTakes = [
  { archDeg: 14, tiltDeg: 2 },
  { archDeg: 0, tiltDeg: -3 },
  { archDeg: 24, tiltDeg: 5 },
  { archDeg: 6, tiltDeg: 0 },
  { archDeg: 18, tiltDeg: -5 },
] as const satisfies readonly Pick<PracticeWish, 'archDeg' | 'tiltDeg'>[];

/** The picture's size, its scale, and where its floor lies in the middle, before it is tilted. */
export const practiceSize = { width: 900, height: 1200, pxPerM: 500, floorPx: 1090 } as const;

/** Feet above this height stand on nothing, metres. */
const freeM = 0.4;
const legPoints = ['knee', 'ankle', 'heel', 'toe'] as const;

function turnAbout(centre: Point, [x, y]: Point, deg: number): Point {
  const [dx, dy] = [x - centre[0], y - centre[1]];
  const turn = radians(deg);
  return [
    centre[0] + dx * Math.cos(turn) + dy * Math.sin(turn),
    centre[1] - dx * Math.sin(turn) + dy * Math.cos(turn),
  ];
}

/** The legs turned about the hips: towards the back is positive. */
export function withArch({ otherLeg: _, ...joints }: FigureJoints, deg: number): FigureJoints {
  const legs = legPoints.map((name) => [name, turnAbout(joints.hip, joints[name], deg)] as const);
  return { ...joints, ...Object.fromEntries(legs) };
}

export interface PracticeScene extends ComputedFigure {
  /** Where the person's own nought lies along the floor, pixels, before the tilt. */
  readonly originPx: number;
  /** Metres to pixels of the picture. */
  readonly place: (point: Point) => Pixel;
}

/** @throws UnreachableProblem when the geometry cannot close */
export function practiceScene(
  body: Body,
  { shape, archDeg, tiltDeg }: PracticeWish,
): PracticeScene {
  const { joints, ...wall } = figureOf(body, shape);
  const isFree = wall.wallX === null && joints.ankle[1] > freeM;
  const figure = withArch(joints, isFree ? archDeg : 0);
  const { wrist, fingertip, shoulder, crown, hip, ankle, toe } = figure;
  const xs = [wrist, fingertip, shoulder, crown, hip, ankle, toe].map(([x]) => x);
  const { width, height, pxPerM, floorPx } = practiceSize;
  const originPx = width / 2 - ((Math.min(...xs) + Math.max(...xs)) / 2) * pxPerM;
  const turn = radians(tiltDeg);
  return {
    ...wall,
    joints: figure,
    originPx,
    place: ([x, y]) => {
      const [dx, dy] = [originPx + x * pxPerM - width / 2, floorPx - y * pxPerM - height / 2];
      return [
        width / 2 + dx * Math.cos(turn) - dy * Math.sin(turn),
        height / 2 + dx * Math.sin(turn) + dy * Math.cos(turn),
      ];
    },
  };
}
