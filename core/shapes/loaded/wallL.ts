import { wallL as solve } from '../../posture/walls';
import { baseBehind, footHeight } from '../dials';
import { fromFloor, toWall, type Shape } from '../shape';

export const wallL: Shape<'wallL'> = {
  label: 'L at the wall',
  group: 'Hands',
  mayLiftLeg: true,
  dials: [baseBehind('Wrists from the wall', 0.53), footHeight(0.62)],
  solve,
  dimensions: (placed) => [
    ...toWall(placed, placed.joints.wrist[0]),
    fromFloor(placed.joints.hip[0] + 0.42, placed.joints.ankle[1], 'footHeight'),
  ],
  loads: {},
  setups: ['hand-L'],
};
