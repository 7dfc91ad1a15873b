import type { Body, Lengths } from '../body/body';
import { InputProblem } from '../problem';
import type { FigureJoints, Point } from './joints';

export interface WallLean {
  /** One straight line from base to heel, from the upright, degrees. */
  readonly leanDeg: number;
  /** How far trunk and legs bend back if the upper arms stay upright, degrees. */
  readonly bendIfUpperArmsUprightDeg: number;
}

const toDegrees = 180 / Math.PI;

/** Shoulder to heel in one line, sole flat against nothing: ankle height included. */
export function shoulderToHeelM(lengths: Lengths, ankleM: number): number {
  return lengths.trunk + lengths.thigh + lengths.shank + ankleM;
}

/** Elbow to heel in one line. */
export function elbowToHeelM(lengths: Lengths, ankleM: number): number {
  return lengths.upperArm + shoulderToHeelM(lengths, ankleM);
}

/**
 * What a forearm stand with heels on the wall asks of the body: the wall distance alone decides the
 * lean. Source: handbook 05, "Lean is measured from base to heel, ankle height included".
 *
 * @param baseM elbow to wall, metres
 * @throws InputProblem `unreachable` when the heels cannot reach the wall
 */
export function forearmStandWallLean(body: Body, baseM: number): WallLean {
  const whole = elbowToHeelM(body.lengths, body.ankleM);
  const upper = shoulderToHeelM(body.lengths, body.ankleM);
  if (baseM > upper) {
    throw new InputProblem(
      'unreachable',
      `The elbows are ${Math.ceil((baseM - upper) * 100)} cm too far from the wall: trunk and legs do not reach it.`,
      ['posture', 'baseM'],
    );
  }
  return {
    leanDeg: Math.asin(baseM / whole) * toDegrees,
    bendIfUpperArmsUprightDeg: Math.asin(baseM / upper) * toDegrees,
  };
}

const along = ([x, y]: Point, deg: number, length: number): Point => [
  x + length * Math.sin(deg / toDegrees),
  y + length * Math.cos(deg / toDegrees),
];

/** Directions of the limbs, degrees from the upright, positive towards the wall. */
interface Tilts {
  readonly upperArmDeg: number;
  readonly bodyDeg: number;
  readonly legDeg: number;
}

function forearmFigure(body: Body, { upperArmDeg, bodyDeg, legDeg }: Tilts): FigureJoints {
  const { lengths, ankleM } = body;
  const elbow: Point = [0, 0];
  const shoulder = along(elbow, upperArmDeg, lengths.upperArm);
  const hip = along(shoulder, bodyDeg, lengths.trunk);
  const knee = along(hip, legDeg, lengths.thigh);
  const ankle = along(knee, legDeg, lengths.shank);
  const heel = along(ankle, legDeg, ankleM);
  return {
    fingertip: [lengths.forearm + lengths.hand, 0],
    wrist: [lengths.forearm, 0],
    elbow,
    shoulder,
    // The head hangs in line with the trunk, free of the floor by the clearance.
    crown: along(shoulder, bodyDeg, -lengths.shoulderToCrown),
    hip,
    knee,
    ankle,
    heel,
    // Flexed foot: the toes point away from the wall, the heel touches it.
    toe: along(heel, legDeg - 90, lengths.foot),
    // The heel itself touches the wall.
    heelBackM: 0,
  };
}

export interface ForearmStandWallPose extends WallLean {
  /** One straight line, heels on the wall. */
  readonly line: FigureJoints;
  /** The same person with one leg to the ceiling, upright from the hip. */
  readonly legUp: FigureJoints;
  /** Upper arms held upright, everything above bent back to the wall. */
  readonly upright: FigureJoints;
}

/** Joint positions of the forearm stand at the wall. @throws as `forearmStandWallLean` */
export function forearmStandWallPose(body: Body, baseM: number): ForearmStandWallPose {
  const lean = forearmStandWallLean(body, baseM);
  const { leanDeg, bendIfUpperArmsUprightDeg: bendDeg } = lean;
  return {
    ...lean,
    line: forearmFigure(body, { upperArmDeg: leanDeg, bodyDeg: leanDeg, legDeg: leanDeg }),
    legUp: forearmFigure(body, { upperArmDeg: leanDeg, bodyDeg: leanDeg, legDeg: 0 }),
    upright: forearmFigure(body, { upperArmDeg: 0, bodyDeg: bendDeg, legDeg: bendDeg }),
  };
}
