import { handstandWall as solve } from '../../posture/walls';
import { baseAhead } from '../dials';
import { toWall, type Shape } from '../shape';

export const handstandWall: Shape<'handstandWall'> = {
  label: 'Handstand, heels on the wall',
  group: 'Hands',
  dials: [baseAhead('Wrists from the wall', ({ lengths }) => 2 * lengths.hand + 0.05)],
  solve,
  dimensions: (placed) => toWall(placed, placed.joints.wrist[0]),
  loads: { leansToWall: true, kickFrom: 'hands' },
  setups: ['hand-kick', 'strap-handstand'],
};
