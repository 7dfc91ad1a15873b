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

function midFoot(leg: Leg): Point {
  const length = distanceOf(leg.heel, leg.toe);
  if (length === 0) return between(leg.ankle, leg.heel, 0.5);
  const back = leg.heelBackM / length;
  return between(leg.heel, leg.toe, (1 - back) / 2);
}

/** Calls back with every segment's share and centre; no lists are made on the way. */
function eachMass(
  body: Body,
  joints: FigureJoints,
  visit: (share: number, at: Point) => void,
): void {
  const { shoulder, hip, crown, otherLeg } = joints;
  visit(segmentMass.head, between(shoulder, crown, body.earM / distanceOf(shoulder, crown)));
  visit(segmentMass.trunk, between(shoulder, hip, centreShare.trunk));
  eachArmMass(body, joints, visit);
  const part = otherLeg ? 0.5 : 1;
  eachLegMass(hip, joints, part, visit);
  if (otherLeg) eachLegMass(hip, otherLeg, part, visit);
}

function eachLegMass(
  hip: Point,
  leg: Leg,
  part: number,
  visit: (share: number, at: Point) => void,
): void {
  visit(segmentMass.thighs * part, between(hip, leg.knee, centreShare.thigh));
  visit(segmentMass.shanks * part, between(leg.knee, leg.ankle, centreShare.shank));
  visit(segmentMass.feet * part, midFoot(leg));
}

function eachArmMass(
  body: Body,
  { shoulder, elbow, wrist, fingertip }: FigureJoints,
  visit: (share: number, at: Point) => void,
): void {
  visit(segmentMass.upperArms, between(shoulder, elbow, centreShare.upperArm));
  visit(segmentMass.forearms, between(elbow, wrist, centreShare.forearm));
  visit(segmentMass.hands, between(wrist, fingertip, body.lengths.knuckle / body.lengths.hand));
}

/** First moment of everything below the shoulder joint of both arms about a vertical at `x`. */
export function armMoment(body: Body, joints: FigureJoints, x: number): number {
  let moment = 0;
  eachArmMass(body, joints, (share, at) => {
    moment += share * (at[0] - x);
  });
  return moment;
}

/** Centre of mass, metres. */
export function centreOfMass(body: Body, joints: FigureJoints): Point {
  let [x, y] = [0, 0];
  eachMass(body, joints, (share, at) => {
    x += share * at[0];
    y += share * at[1];
  });
  return [x, y];
}
