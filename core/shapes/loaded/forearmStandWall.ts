import { forearmStandWall as solve } from '../../posture/walls';
import { baseAhead } from '../dials';
import { toWall, type Shape } from '../shape';

export const forearmStandWall: Shape<'forearmStandWall'> = {
  label: 'Forearm stand, heels on the wall',
  group: 'Forearms',
  hasChosenHands: true,
  dials: [
    baseAhead('Elbows from the wall', ({ lengths }) => lengths.forearm + lengths.hand + 0.05),
  ],
  solve,
  dimensions: (placed) => toWall(placed, placed.joints.elbow[0]),
  loads: { hangsHead: true, leansToWall: true, kickFrom: 'forearms' },
  setups: ['forearm-kick', 'strap-forearm', 'head-clearance'],
};
