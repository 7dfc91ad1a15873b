/** Elbows where floor and wall meet, forearms upright on the wall, knees bent, head off the floor. */
import { specOf } from '../../catalog/pieces';
import { meet, turned } from '../../posture/geometry';
import type { Point } from '../../posture/joints';
import { legOnBall } from '../../posture/pose';
import { noDimensions, type StillShape } from '../shape';

/** Flesh between the forearms and the wall. */
const fleshM = 0.03;
/** Directions from the upright, negative away from the wall. */
const degreesOf = { upperArm: -35, trunk: -30, head: 138 } as const;
/** How far the head hangs, as a share of the upper arm: its crown stays off the floor, and off the wall. */
const headShare = 0.9;
const block = specOf({ piece: 'foam-block' });
/** Feet behind the hips, as a share of height: far enough for the knees to stay clear of the chest. */
const feetBehindShare = 0.24;

export const cornerDolphin: StillShape = {
  label: 'Corner dolphin',
  dials: [],
  solve: (body) => {
    const { forearm, hand, upperArm, trunk, shoulderToCrown, thigh, shank } = body.lengths;
    const elbow: Point = [-fleshM, 0];
    const shoulder = turned(elbow, degreesOf.upperArm, upperArm);
    const hip = turned(shoulder, degreesOf.trunk, trunk);
    const ankle: Point = [hip[0] - feetBehindShare * body.heightM, body.ankleOnBallM];
    const knee = meet(
      { from: hip, lengthM: thigh, limb: 'the thighs' },
      { from: ankle, lengthM: shank, limb: 'the shanks' },
      'nearHead',
    );
    return {
      joints: {
        elbow,
        wrist: [-fleshM, forearm],
        fingertip: [-fleshM, forearm + hand],
        shoulder,
        hip,
        crown: turned(shoulder, degreesOf.head, Math.min(shoulderToCrown, headShare * upperArm)),
        ...legOnBall(knee, ankle, body),
      },
      isOnBack: false,
      wall: { x: 0, side: 1 },
      // The block stands between the palms, against the wall.
      rests: [
        {
          left: -block.thicknessM,
          right: 0,
          bottom: forearm,
          top: forearm + block.widthM,
        },
      ],
      dimensions: noDimensions(),
    };
  },
};
