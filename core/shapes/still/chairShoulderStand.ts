/** Seat over the chair's front edge, shoulders on the support in front of it, legs up. */
import { chairSize } from '../../posture/chair';
import { meet } from '../../posture/geometry';
import type { Point } from '../../posture/joints';
import { legPointed } from '../../posture/pose';
import { metres } from '../dials';
import { fromFloor, still } from '../shape';
import { onFloor } from './parts';

/** The support reaches this far behind and before the shoulders. */
const support = { behindM: 0.2, beforeM: 0.06 } as const;
/** Half the pelvis, sitting a hand behind the front edge. */
const seat = { behindEdgeM: 0.2, toHipM: 0.24, fleshM: 0.02 } as const;

export const chairShoulderStand = still({
  label: 'Chair shoulder stand',
  dials: [
    metres('platformM', 'Under the shoulders', [0, 0.24], ({ heightM }) => 0.083 * heightM, {
      is: 'platformHeight',
    }),
    metres('chairGapM', 'Pads from the chair', [0, 0.3], () => 0, { is: 'chairGap' }),
  ],
  solve: (body, { platformM, chairGapM }) => {
    const { lengths, heightM } = body;
    const shoulder: Point = [0, platformM + onFloor.shoulder * heightM];
    const edgeX = -support.behindM - chairGapM;
    const hip = meet(
      { from: shoulder, lengthM: lengths.trunk, limb: 'the trunk' },
      {
        from: [edgeX - seat.behindEdgeM, chairSize.seatM + seat.fleshM],
        lengthM: seat.toHipM,
        limb: 'the seat',
      },
      'higher',
    );
    const elbow: Point = [-0.2, 0.24];
    const wrist: Point = [elbow[0] - lengths.forearm * 0.95, 0.2];
    return {
      joints: {
        shoulder,
        hip,
        elbow,
        wrist,
        fingertip: [wrist[0] - lengths.hand * 0.6, 0.2],
        crown: [lengths.shoulderToCrown * 0.9, 0.06],
        ...legPointed(body, hip, -8),
      },
      isOnBack: true,
      chair: { frontX: edgeX, backX: edgeX - chairSize.depthM },
      rests: [{ left: -support.behindM, right: support.beforeM, top: platformM }],
      dimensions: [
        fromFloor(lengths.shoulderToCrown + 0.12, platformM, 'platformHeight'),
        { kind: 'level', distance: 'chairGap', fromX: edgeX, toX: -support.behindM },
      ],
    };
  },
});
