import type { Body } from '../../body/body';
import { bearing, between, turned } from '../../posture/geometry';
import type { Point } from '../../posture/joints';
import { legPointed } from '../../posture/pose';
import { onFloor, plainStill, type StillPose } from './parts';

/** Trunk at 45 degrees on the hands, legs upright. */
function halfShoulderStand(body: Body): StillPose {
  const shoulderY = onFloor.shoulder * body.heightM;
  const shoulder: Point = [0, shoulderY];
  const hip = turned(shoulder, -45, body.lengths.trunk);
  const elbow: Point = [-body.lengths.upperArm, 0.02];
  const hold = between(shoulder, hip, 0.86);
  const deg = bearing(elbow, hold);
  const wrist = turned(elbow, deg, body.lengths.forearm);
  return {
    joints: {
      shoulder,
      hip,
      elbow,
      wrist,
      fingertip: turned(wrist, deg, body.lengths.hand * 0.7),
      crown: [body.lengths.shoulderToCrown, shoulderY],
      ...legPointed(body, hip, 2),
    },
    isOnBack: true,
  };
}

export const halfShoulderStandShape = plainStill('Half shoulder stand', halfShoulderStand);
