import { headstand as solve } from '../../posture/free';
import { arch } from '../dials';
import { noDimensions, type Shape } from '../shape';

export const headstand: Shape<'headstand'> = {
  label: 'Headstand',
  group: 'Head',
  dials: [arch],
  solve,
  dimensions: noDimensions,
  loads: {},
  setups: ['head-clearance'],
};
