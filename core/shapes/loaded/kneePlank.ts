import { kneePlank as solve } from '../../posture/dogs';
import { noDimensions, type Shape } from '../shape';

export const kneePlank: Shape<'kneePlank'> = {
  label: 'Plank on the knees',
  group: 'Hands',
  isLow: true,
  dials: [],
  solve,
  dimensions: noDimensions,
  loads: {},
  setups: [],
};
