import type { Body } from '../../body/body';
import { bearing, turned } from '../../posture/geometry';
import type { Point } from '../../posture/joints';
import { flatForearm, legLengthM, legOnBall } from '../../posture/pose';
import type { StillShape } from '../shape';
import { plainStill, type StillPose } from './parts';

/** One line from shoulder to ankle on the forearms. */
function forearmPlank(body: Body): StillPose {
  const shoulder: Point = [0, body.lengths.upperArm];
  const length = body.lengths.trunk + legLengthM(body);
  const drop = shoulder[1] - body.ankleOnBallM;
  const deg = bearing(shoulder, [-Math.sqrt(length ** 2 - drop ** 2), body.ankleOnBallM]);
  const hip = turned(shoulder, deg, body.lengths.trunk);
  const knee = turned(hip, deg, body.lengths.thigh);
  const ankle = turned(knee, deg, body.lengths.shank);
  return {
    joints: {
      ...flatForearm(body),
      shoulder,
      hip,
      crown: turned(shoulder, deg + 180, body.lengths.shoulderToCrown),
      ...legOnBall(knee, ankle, body),
    },
    isOnBack: false,
  };
}

export const forearmPlankShape: StillShape = {
  ...plainStill('Forearm plank', forearmPlank),
  hasChosenHands: true,
};
