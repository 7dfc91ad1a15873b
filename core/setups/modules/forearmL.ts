/** Forearm L at the wall. Source: handbook 04 "Wall distances". */
import { elbowsApart } from '../elbows';
import { laidOut, measuring, type Setup } from '../setup';
import { feetBeside } from '../palms';
import { forearmShares } from '../shares';
import { ellReachM } from './ellReach';

export const forearmL: Setup = {
  label: 'Forearm L at the wall',
  shares: { ...forearmShares, feetApart: 'hand-L' },
  solve: (input) => {
    const { body } = input;
    const { elbowWidth, notes } = elbowsApart(input);
    const { measure, outgrown } = measuring(input, 'forearm-L', {
      limits: { base: ellReachM(body, body.lengths.upperArm) },
    });
    return {
      distances: [
        measure('base', (l) => l.sittingLegReach, {
          mark: 'wall to the point of the elbow; sit with the soles on the wall and mark beside the hip',
          why: 'leg reach, sole to hip joint',
        }),
        measure('footHeight', (l) => l.upperArm + l.trunk),
        elbowWidth,
        ...feetBeside(input),
      ],
      cautions: outgrown(),
      notes: [
        ...notes,
        'If the waist looks short, elbows away from the wall until the sides are long.',
      ],
    };
  },
  ways: laidOut(),
  checkFirst: ['Shoulders over the elbows', 'Feet at hip height or lower'],
  assist: 'Hips steadied',
  exit: 'One foot at a time',
  topView: 'lane',
};
