import { forearmWallL as solve } from '../../posture/walls';
import { baseBehind, footHeight } from '../dials';
import { fromFloor, toWall, type Shape } from '../shape';

export const forearmWallL: Shape<'forearmWallL'> = {
  label: 'Forearm L at the wall',
  group: 'Forearms',
  mayLiftLeg: true,
  hasChosenHands: true,
  dials: [baseBehind('Elbows from the wall', 0.53), footHeight(0.474)],
  solve,
  dimensions: (placed) => [
    ...toWall(placed, placed.joints.elbow[0]),
    fromFloor(placed.joints.hip[0] + 0.42, placed.joints.ankle[1], 'footHeight'),
  ],
  loads: { hangsHead: true },
  setups: ['forearm-L', 'strap-forearm', 'head-clearance'],
};
