/**
 * How somebody stands or sits to be measured, in metres from between the feet: x ahead of them, y up
 * from the floor.
 */
import type { Body } from '../../body/body';
import { chairSize } from '../../posture/chair';
import { turned } from '../../posture/geometry';
import type { Arm, FigureJoints, Point } from '../../posture/joints';

/** Of the foot, what reaches behind the ankle. */
const heelShare = 0.22;

/** The arm from the shoulder on; degrees from the upright, 180 hangs, less lies ahead. */
function armAt({ lengths }: Body, shoulder: Point, upperDeg: number, lowerDeg: number): Arm {
  const elbow = turned(shoulder, upperDeg, lengths.upperArm);
  const wrist = turned(elbow, lowerDeg, lengths.forearm);
  return { elbow, wrist, fingertip: turned(wrist, lowerDeg, lengths.hand) };
}

export type ArmHeld = 'hanging' | 'ahead' | 'elbow-back' | 'elbow-at-side';

const armDegrees = {
  hanging: [180, 180],
  /** Out of the way of the tape. */
  ahead: [152, 118],
  /** The elbow touches what is behind, the forearm is level. */
  'elbow-back': [200, 90],
  'elbow-at-side': [180, 90],
} as const satisfies Record<ArmHeld, readonly [upperDeg: number, lowerDeg: number]>;

/** @param chinDeg how far the head is bent forward */
export function standing(body: Body, arm: ArmHeld, chinDeg = 0): FigureJoints {
  const { lengths, ankleM } = body;
  const ankle: Point = [0, ankleM];
  const knee: Point = [0, ankleM + lengths.shank];
  const hip: Point = [0, knee[1] + lengths.thigh];
  const shoulder: Point = [0, hip[1] + lengths.trunk];
  const [upperDeg, lowerDeg] = armDegrees[arm];
  return {
    ankle,
    knee,
    hip,
    shoulder,
    ...armAt(body, shoulder, upperDeg, lowerDeg),
    crown: turned(shoulder, chinDeg, lengths.shoulderToCrown),
    heel: [0, 0],
    toe: [lengths.foot * (1 - heelShare), 0],
    heelBackM: lengths.foot * heelShare,
  };
}

/** On a hard chair, the soles on the floor or, where the legs are short, below the edge of the seat. */
export function onChair(body: Body): FigureJoints {
  const { lengths, ankleM } = body;
  const hip: Point = [0, chairSize.seatM + lengths.hipToSeat];
  const shoulder: Point = [0, hip[1] + lengths.trunk];
  const kneeY = Math.min(hip[1], ankleM + lengths.shank);
  const knee: Point = [Math.sqrt(lengths.thigh ** 2 - (hip[1] - kneeY) ** 2), kneeY];
  const ankle: Point = [knee[0], kneeY - lengths.shank];
  const sole = ankle[1] - ankleM;
  return {
    hip,
    knee,
    ankle,
    shoulder,
    ...armAt(body, shoulder, 160, 100),
    crown: [0, shoulder[1] + lengths.shoulderToCrown],
    heel: [ankle[0], sole],
    toe: [ankle[0] + lengths.foot * (1 - heelShare), sole],
    heelBackM: lengths.foot * heelShare,
  };
}

/** On the floor with straight legs, the soles on a wall at x = 0. */
export function soledToWall(body: Body): FigureJoints {
  const { lengths, ankleM } = body;
  const hip: Point = [-lengths.sittingLegReach, lengths.hipToSeat];
  const ankle: Point = [-ankleM, 0.045];
  const knee: Point = [hip[0] + lengths.thigh, 0.06];
  const shoulder = turned(hip, -5, lengths.trunk);
  return {
    hip,
    knee,
    ankle,
    shoulder,
    // Hands on the thighs.
    ...armAt(body, shoulder, 165, 115),
    crown: turned(shoulder, 4, lengths.shoulderToCrown),
    heel: [0, 0.045],
    toe: [0, 0.045 + lengths.foot * (1 - heelShare)],
    heelBackM: lengths.foot * heelShare,
  };
}
