/**
 * Masses of the segments and where they sit.
 * Source: Winter, Biomechanics and Motor Control of Human Movement (tables after Dempster);
 * handbook 05.
 */
import type { Body } from '../body/body';
import { between, distanceOf } from './geometry';
import type { FigureJoints, Leg, Point } from './joints';

export const segmentMass = {
  head: 0.081,
  trunk: 0.497,
  upperArms: 0.056,
  forearms: 0.032,
  hands: 0.012,
  thighs: 0.2,
  shanks: 0.093,
  feet: 0.029,
} as const;

/** Centre of a segment from its upper end, as a share of it. */
const centreShare = {
  trunk: 0.5,
  upperArm: 0.436,
  forearm: 0.43,
  thigh: 0.433,
  shank: 0.433,
} as const;

/** A mass as a share of the body, and where it is. */
export interface MassPoint {
  readonly share: number;
  readonly at: Point;
}

function midFoot(leg: Leg): Point {
  const length = distanceOf(leg.heel, leg.toe);
  if (length === 0) return between(leg.ankle, leg.heel, 0.5);
  const back = leg.heelBackM / length;
  return between(leg.heel, leg.toe, (1 - back) / 2);
}

function legMass(hip: Point, leg: Leg, part: number): MassPoint[] {
  return [
    { share: segmentMass.thighs * part, at: between(hip, leg.knee, centreShare.thigh) },
    { share: segmentMass.shanks * part, at: between(leg.knee, leg.ankle, centreShare.shank) },
    { share: segmentMass.feet * part, at: midFoot(leg) },
  ];
}

/** Everything below the shoulder joint of both arms. */
export function armMasses(body: Body, joints: FigureJoints): MassPoint[] {
  const { shoulder, elbow, wrist, fingertip } = joints;
  const knuckleShare = body.lengths.knuckle / body.lengths.hand;
  return [
    { share: segmentMass.upperArms, at: between(shoulder, elbow, centreShare.upperArm) },
    { share: segmentMass.forearms, at: between(elbow, wrist, centreShare.forearm) },
    { share: segmentMass.hands, at: between(wrist, fingertip, knuckleShare) },
  ];
}

export function massPoints(body: Body, joints: FigureJoints): MassPoint[] {
  const { shoulder, hip, crown, otherLeg } = joints;
  const earShare = body.earM / distanceOf(shoulder, crown);
  const part = otherLeg ? 0.5 : 1;
  return [
    { share: segmentMass.head, at: between(shoulder, crown, earShare) },
    { share: segmentMass.trunk, at: between(shoulder, hip, centreShare.trunk) },
    ...armMasses(body, joints),
    ...legMass(hip, joints, part),
    ...(otherLeg ? legMass(hip, otherLeg, part) : []),
  ];
}

export function centreOfMass(body: Body, joints: FigureJoints): Point {
  let [x, y] = [0, 0];
  for (const { share, at } of massPoints(body, joints)) {
    x += share * at[0];
    y += share * at[1];
  }
  return [x, y];
}
