import { plank as solve } from '../../posture/dogs';
import { noDimensions, type Shape } from '../shape';

export const plank: Shape<'plank'> = {
  label: 'Plank',
  group: 'Hands',
  isLow: true,
  dials: [],
  solve,
  dimensions: noDimensions,
  loads: {},
  setups: [],
};
