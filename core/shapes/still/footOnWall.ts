/** Short dog with one sole on the wall: its shank level, its knee under the hip. */
import { shortDog } from '../../posture/dogs';
import { meet } from '../../posture/geometry';
import type { Point } from '../../posture/joints';
import { legFlat } from '../../posture/pose';
import { baseBehind } from '../dials';
import { shortDogLeadM } from '../loaded/shortDog';
import { still, toWall } from '../shape';

export const footOnWall = still({
  label: 'One foot on the wall',
  dials: [{ ...baseBehind('Wrists from the wall', 0.5), parameter: 'baseM' }],
  solve: (body, { baseM }) => {
    const { joints } = shortDog(body, { baseM, shoulderLeadM: shortDogLeadM(body) });
    const { thigh, shank } = body.lengths;
    const { hip } = joints;
    const wall = { x: joints.heel[0], side: -1 } as const;
    const ankleX = wall.x + body.ankleM;
    // A level shank puts the knee so far from the wall; the thigh hangs from the hip to there.
    const dropM = Math.sqrt(Math.max(0, thigh ** 2 - (ankleX + shank - hip[0]) ** 2));
    const ankle: Point = [ankleX, hip[1] - dropM];
    const knee = meet(
      { from: hip, lengthM: thigh, limb: 'the thigh' },
      { from: ankle, lengthM: shank, limb: 'the shank' },
      'nearHead',
    );
    const placed = { joints: { ...joints, otherLeg: legFlat(body, knee, ankle, -90, 180) }, wall };
    return {
      ...placed,
      isOnBack: false,
      rests: [],
      dimensions: toWall(placed, joints.wrist[0]),
    };
  },
});
