import { headstandTuck as solve } from '../../posture/free';
import { noDimensions, type Shape } from '../shape';

export const headstandTuck: Shape<'headstandTuck'> = {
  label: 'Headstand, both knees in',
  group: 'Head',
  dials: [],
  solve,
  dimensions: noDimensions,
  loads: {},
  setups: [],
};
