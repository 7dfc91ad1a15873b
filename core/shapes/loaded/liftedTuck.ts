import { blocksUnderHands } from '../../pieces/underWeight';
import { liftedTuck as solve } from '../../posture/crow';
import { metres } from '../dials';
import { fromFloor, type Shape } from '../shape';

export const liftedTuck: Shape<'liftedTuck'> = {
  label: 'Lifted tuck on blocks',
  group: 'Arm balance',
  isLow: true,
  dials: [
    metres(
      'blockM',
      'Blocks under the hands',
      [0, 0.4],
      ({ lengths: l }) => Math.max(0, l.trunk + l.hipToSeat + 0.05 - l.forearm - l.upperArm),
      {
        is: 'blockHeight',
        mark: { at: ({ wrist }) => [wrist[0] + 0.06, wrist[1]], axis: 'y', sign: 1 },
        stacks: () => blocksUnderHands,
      },
    ),
  ],
  solve,
  supports: ({ wrist }) => [{ left: wrist[0] - 0.05, right: wrist[0] + 0.18, top: wrist[1] }],
  dimensions: ({ joints }) => [fromFloor(joints.wrist[0] + 0.34, joints.wrist[1], 'blockHeight')],
  loads: {},
  setups: ['lifted-tuck'],
};
