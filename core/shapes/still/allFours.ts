import type { Body } from '../../body/body';
import { bearing, turned } from '../../posture/geometry';
import type { Point } from '../../posture/joints';
import { onFloor, plainStill, type StillPose } from './parts';

/** Knees under hips, wrists under shoulders. */
function allFours(body: Body): StillPose {
  const { forearm, upperArm, thigh, shank, trunk, hand } = body.lengths;
  const arm = forearm + upperArm;
  const shoulder: Point = [0, arm];
  // The trunk slopes by what arms and thighs differ.
  const drop = Math.max(-trunk, Math.min(trunk, arm - thigh - onFloor.leg * body.heightM));
  const kneeY = onFloor.leg * body.heightM;
  const hip: Point = [-Math.sqrt(trunk ** 2 - drop ** 2), arm - drop];
  const knee: Point = [hip[0], hip[1] - thigh];
  const ankle: Point = [knee[0] - shank, kneeY];
  return {
    joints: {
      wrist: [0, 0],
      fingertip: [hand, 0],
      elbow: [0, forearm],
      shoulder,
      hip,
      knee,
      ankle,
      heel: ankle,
      toe: ankle,
      heelBackM: 0,
      crown: turned(shoulder, bearing(hip, shoulder), body.lengths.shoulderToCrown),
    },
    isOnBack: false,
  };
}

export const allFoursShape = plainStill('All fours', allFours);
