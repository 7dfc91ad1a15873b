/** Head towards the wall, palms on it, feet walking down towards the hands. */
import { between, turned } from '../../posture/geometry';
import type { Point } from '../../posture/joints';
import { legLengthM } from '../../posture/pose';
import { metres } from '../dials';
import { still } from '../shape';
import { onFloor } from './parts';

export const wallPlough = still({
  label: 'Wall plough',
  dials: [
    metres('crownToWallM', 'Crown from the wall', [0, 0.8], ({ lengths }) => lengths.forearm, {
      is: 'crownToWall',
    }),
  ],
  solve: (body, { crownToWallM }) => {
    const { trunk, hand, shoulderToCrown, upperArm, thigh, foot } = body.lengths;
    const shoulderY = onFloor.shoulder * body.heightM;
    const wallX = shoulderToCrown + crownToWallM!;
    const shoulder: Point = [0, shoulderY];
    const hip = turned(shoulder, -30, trunk);
    const reach = legLengthM(body);
    const footX = wallX - body.ankleM;
    const ankleY = hip[1] + Math.sqrt(Math.max(0, reach ** 2 - (footX - hip[0]) ** 2)) * 0.999;
    const ankle: Point = [footX, ankleY];
    return {
      joints: {
        shoulder,
        hip,
        knee: between(hip, ankle, thigh / reach),
        ankle,
        heel: [wallX, ankleY],
        toe: [wallX, ankleY - foot * 0.75],
        heelBackM: foot * 0.2,
        elbow: [upperArm * 0.8, upperArm * 0.55],
        wrist: [wallX - 0.03, 0.2],
        fingertip: [wallX - 0.01, 0.2 + hand],
        crown: [shoulderToCrown, shoulderY],
      },
      isOnBack: true,
      wall: { x: wallX, side: 1 },
      rests: [],
      dimensions: [{ kind: 'level', distance: 'crownToWall', fromX: shoulderToCrown, toX: wallX }],
    };
  },
});
