import type { Body } from '../body/body';
import type { FloorContact, WallContact } from './contacts';
import { turned } from './geometry';
import type { FigureJoints, Leg, Point } from './joints';

/** A posture solved: where the joints are and what touches what. */
export interface Pose {
  readonly joints: FigureJoints;
  readonly floor: readonly FloorContact[];
  readonly wall?: WallContact;
  /** Free stands: the edges of the base under the plumb line, x in metres. */
  readonly base?: { readonly behind: number; readonly ahead: number; readonly over: number };
  /** Which way the arms carry: from the hands, the forearms, or not at all. */
  readonly carriedBy: 'hands' | 'forearms' | 'none';
  readonly notes: readonly string[];
}

/** How far the heel reaches behind the ankle, as a share of the foot; for drawing alone. */
const heelShare = 0.22;

export const armLengthM = ({ lengths }: Body) => lengths.forearm + lengths.upperArm;
export const legLengthM = ({ lengths }: Body) => lengths.thigh + lengths.shank;

/** Pressure of flat hands with the wrist at `wristX`, fingers towards +x. */
export function handContact({ lengths }: Body, wristX = 0): FloorContact {
  return {
    name: 'hands',
    low: wristX,
    nominal: wristX + lengths.knuckle,
    high: wristX + lengths.hand,
  };
}

/** Pressure of forearms with the elbow at `elbowX`: from elbow to fist, nominal half-way. */
export function forearmContact({ lengths }: Body, elbowX = 0): FloorContact {
  return {
    name: 'forearms',
    low: elbowX,
    nominal: elbowX + lengths.forearm / 2,
    high: elbowX + lengths.forearm + lengths.knuckle,
  };
}

export const pointContact = (name: FloorContact['name'], x: number): FloorContact => ({
  name,
  low: x,
  nominal: x,
  high: x,
});

/** On the balls of the feet: the ball straight below the ankle. */
export function legOnBall(knee: Point, ankle: Point, { ankleOnBallM }: Body): Leg {
  const ball: Point = [ankle[0], ankle[1] - ankleOnBallM];
  return { knee, ankle, heel: ball, toe: ball, heelBackM: 0 };
}

/** Sole flat, toes pointing `toeDeg` from the upright. */
export function legFlat(
  body: Body,
  knee: Point,
  ankle: Point,
  soleDeg: number,
  toeDeg: number,
): Leg {
  const heel = turned(ankle, soleDeg, body.ankleM);
  const heelBackM = heelShare * body.lengths.foot;
  return { knee, ankle, heel, toe: turned(heel, toeDeg, body.lengths.foot - heelBackM), heelBackM };
}

/** A straight leg from the hip, toes pointed in line. */
export function legPointed(body: Body, hip: Point, deg: number): Leg {
  const knee = turned(hip, deg, body.lengths.thigh);
  const ankle = turned(knee, deg, body.lengths.shank);
  return {
    knee,
    ankle,
    heel: ankle,
    toe: turned(ankle, deg, body.lengths.foot * 0.75),
    heelBackM: 0,
  };
}

/** Head in line with the trunk, away from the hips. */
export function headInLine({ lengths }: Body, shoulder: Point, trunkDeg: number): Point {
  return turned(shoulder, trunkDeg + 180, lengths.shoulderToCrown);
}

/** Straight arm over the hand at the origin: everything of it, given the shoulder. */
export function straightArm({ lengths }: Body, shoulder: Point) {
  const share = lengths.forearm / (lengths.forearm + lengths.upperArm);
  return {
    wrist: [0, 0] as Point,
    fingertip: [lengths.hand, 0] as Point,
    elbow: [shoulder[0] * share, shoulder[1] * share] as Point,
  };
}

/** Forearm flat on the floor with the elbow at `elbowX`. */
export function flatForearm({ lengths }: Body, elbowX = 0) {
  return {
    elbow: [elbowX, 0] as Point,
    wrist: [elbowX + lengths.forearm, 0] as Point,
    fingertip: [elbowX + lengths.forearm + lengths.hand, 0] as Point,
  };
}
