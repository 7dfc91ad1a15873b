import { forearmStand as solve } from '../../posture/free';
import { arch } from '../dials';
import { noDimensions, type Shape } from '../shape';

export const forearmStand: Shape<'forearmStand'> = {
  label: 'Forearm stand, free',
  group: 'Forearms',
  hasChosenHands: true,
  dials: [arch],
  solve,
  dimensions: noDimensions,
  loads: { hangsHead: true, kickFrom: 'forearms' },
  setups: ['forearm-kick', 'strap-forearm', 'head-clearance'],
};
