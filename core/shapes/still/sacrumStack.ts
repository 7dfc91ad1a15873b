/** Hips on a stack, calves on a chair seat. */
import { calvesOnChair, chairSize } from '../../posture/chair';
import { meet } from '../../posture/geometry';
import { shifted, type Point } from '../../posture/joints';
import { metres } from '../dials';
import { fromFloor, still } from '../shape';

export const sacrumStack = still({
  label: 'Sacrum stack, calves on a chair',
  dials: [
    metres('stackM', 'Under the sacrum', [0, 0.25], () => 0.1, { is: 'sacrumHeight' }),
    metres('seatM', 'Seat of the chair', [0.35, 0.55], () => chairSize.seatM, { is: 'seatHeight' }),
  ],
  solve: (body, { stackM, seatM }) => {
    const { joints, seatFrontX } = calvesOnChair(body, seatM);
    const hip: Point = [joints.hip[0], joints.hip[1] + stackM];
    const knee = meet(
      { from: hip, lengthM: body.lengths.thigh, limb: 'the thighs' },
      { from: joints.ankle, lengthM: body.lengths.shank, limb: 'the shanks' },
      'higher',
    );
    const rise = hip[1] - joints.shoulder[1];
    const run = Math.sqrt(Math.max(0, body.lengths.trunk ** 2 - rise ** 2));
    const upper = shifted(joints, hip[0] - run - joints.shoulder[0], 0);
    return {
      joints: { ...upper, hip, knee, ankle: joints.ankle, heel: joints.heel, toe: joints.toe },
      isOnBack: false,
      chair: { frontX: seatFrontX, backX: seatFrontX + chairSize.depthM, seatM },
      rests: [{ left: hip[0] - 0.16, right: hip[0] + 0.08, top: stackM }],
      dimensions: [fromFloor(upper.crown[0] - 0.16, stackM, 'sacrumHeight')],
    };
  },
});
