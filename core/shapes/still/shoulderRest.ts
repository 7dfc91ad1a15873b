/** Hands wrapped round a low block, upper back on blocks across it flush to the wall, head free. */
import type { Body } from '../../body/body';
import { turned } from '../../posture/geometry';
import type { Point } from '../../posture/joints';
import { legPointed } from '../../posture/pose';
import { metres } from '../dials';
import { fromFloor, still } from '../shape';

/** Flat, its long side out from the wall. */
const lowBlock = { widthM: 0.23, highM: 0.1 } as const;
/** How deep the blocks across it are that carry the upper back. */
const pairM = 0.15;
/** Behind the low block, for fingers that go round it, where a second one stands at the wall. */
export const fingersM = 0.03;
/** Half-way between the shoulder line and the tips of the blades, as a share of height. */
const betweenShare = 0.045;

/** Of the forearm and of the hand, what is seen from the side when the hands turn in round a block. */
const seen = { forearm: 0.6, hand: 0.5, least: 0.35 } as const;

const usualHeight = ({ lengths, heightM }: Body) => lengths.upperArm + betweenShare * heightM;

export const shoulderRest = still({
  label: 'Shoulder-rest stack',
  dials: [
    metres('lowBlockOutM', 'Low block from the wall', [0.03, 0.3], () => 0.05, {
      is: 'lowBlockOut',
    }),
    metres('stackM', 'Upper back rests at', [0.2, 0.8], usualHeight, { is: 'stackHeight' }),
  ],
  solve: (body, { lowBlockOutM, stackM }) => {
    const { upperArm, trunk, shoulderToCrown, forearm, hand } = body.lengths;
    const shoulder: Point = [-0.2, upperArm];
    const hip = turned(shoulder, 2, trunk);
    const elbow: Point = [shoulder[0], 0];
    const handM = hand * seen.hand;
    // The fingers go round the far edge of the block, and no further than the room behind it.
    const aheadM = -lowBlockOutM + fingersM - elbow[0] - handM;
    const wristX =
      elbow[0] + Math.max(forearm * seen.least, Math.min(forearm * seen.forearm, aheadM));
    return {
      joints: {
        elbow,
        wrist: [wristX, 0.03],
        fingertip: [Math.min(0, wristX + handM), 0.05],
        shoulder,
        hip,
        crown: turned(shoulder, 184, Math.min(shoulderToCrown, upperArm * 0.98)),
        ...legPointed(body, hip, 6),
      },
      isOnBack: false,
      wall: { x: 0, side: 1 },
      rests: [
        { left: -lowBlockOutM - lowBlock.widthM, right: -lowBlockOutM, top: lowBlock.highM },
        { left: -pairM, right: 0, top: stackM, bottom: lowBlock.highM },
        // Too far out to carry anything: what lies across has a column of its own.
        ...(lowBlockOutM >= pairM + fingersM
          ? [{ left: -pairM, right: 0, top: lowBlock.highM }]
          : []),
      ],
      dimensions: [
        { kind: 'level', distance: 'lowBlockOut', fromX: -lowBlockOutM, toX: 0 },
        fromFloor(shoulder[0] - 0.3, stackM, 'stackHeight'),
      ],
    };
  },
});
