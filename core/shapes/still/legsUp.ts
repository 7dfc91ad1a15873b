/** Sacrum on a bolster out from the wall, legs up it. */
import { degrees } from '../../posture/geometry';
import { shifted } from '../../posture/joints';
import { legLengthM, legPointed } from '../../posture/pose';
import { metres } from '../dials';
import { still } from '../shape';
import { hipAt, onBack, onFloor } from './parts';

const bolster = { highM: 0.12, wallSideM: 0.1, farSideM: 0.2 } as const;
/** Of the foot, beyond the ankle when it points. */
const toeShare = 0.75;

export const legsUp = still({
  label: 'Legs up the wall',
  dials: [
    metres('bolsterM', 'Bolster from the wall', [0, 0.5], ({ lengths }) => lengths.hand, {
      is: 'bolsterToWall',
    }),
  ],
  solve: (body, { bolsterM }) => {
    const shoulderY = onFloor.shoulder * body.heightM;
    const start = hipAt(body, shoulderY, bolster.highM + onFloor.hip * body.heightM);
    const joints = shifted(onBack(body, start, shoulderY, 0), -start[0], 0);
    const nearX = joints.hip[0] - bolster.wallSideM;
    const wallX = nearX - bolsterM!;
    // The legs lean until the toes touch.
    const reachM = legLengthM(body) + toeShare * body.lengths.foot;
    const leanDeg = degrees(Math.asin(Math.min(0.9, (joints.hip[0] - wallX) / reachM)));
    return {
      joints: {
        ...joints,
        // Long arms end at the wall: the fingers curl.
        fingertip: [Math.max(wallX, joints.fingertip[0]), joints.fingertip[1]],
        ...legPointed(body, joints.hip, -leanDeg),
      },
      isOnBack: true,
      wall: { x: wallX, side: -1 },
      rests: [{ left: nearX, right: joints.hip[0] + bolster.farSideM, top: bolster.highM }],
      dimensions: [{ kind: 'level', distance: 'bolsterToWall', fromX: wallX, toX: nearX }],
    };
  },
});
