/** Facing away from the wall, feet on it at hip height, trunk upright over the hands. */
import { bearing, between, meet, turned } from '../../posture/geometry';
import type { Point } from '../../posture/joints';
import { armLengthM, legLengthM } from '../../posture/pose';
import { metres } from '../dials';
import { fromFloor, still } from '../shape';

export const box = still({
  label: 'Box at the wall',
  dials: [
    metres(
      'baseM',
      'Wrists from the wall',
      [0.3, 1.6],
      ({ lengths }) => lengths.armReach + lengths.foot,
      { is: 'base' },
    ),
    metres(
      'footHeightM',
      'Feet on the wall',
      [0.2, 1.5],
      ({ lengths }) => lengths.forearm + lengths.upperArm + lengths.trunk,
      { is: 'footHeight' },
    ),
  ],
  solve: (body, { baseM, footHeightM }) => {
    const arm = armLengthM(body);
    const line = arm + body.lengths.trunk;
    const ankle: Point = [baseM - body.ankleM, footHeightM];
    const hip = meet(
      { from: [0, 0], lengthM: line, limb: 'arms and trunk' },
      { from: ankle, lengthM: legLengthM(body), limb: 'the legs' },
      'higher',
    );
    const shoulder = between([0, 0], hip, arm / line);
    return {
      joints: {
        wrist: [0, 0],
        fingertip: [-body.lengths.hand, 0],
        elbow: between([0, 0], shoulder, body.lengths.forearm / arm),
        shoulder,
        crown: turned(shoulder, bearing(hip, shoulder), body.lengths.shoulderToCrown),
        hip,
        knee: between(hip, ankle, body.lengths.thigh / legLengthM(body)),
        ankle,
        heel: [baseM, footHeightM],
        toe: [baseM, footHeightM + body.lengths.foot * 0.78],
        heelBackM: body.lengths.foot * 0.2,
      },
      isOnBack: false,
      wall: { x: baseM, side: 1 },
      rests: [],
      dimensions: [
        { kind: 'level', distance: 'base', fromX: 0, toX: baseM },
        fromFloor(hip[0] - 0.42, footHeightM, 'footHeight'),
      ],
    };
  },
});
