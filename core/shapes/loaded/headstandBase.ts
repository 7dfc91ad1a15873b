import { headstandBase as solve } from '../../posture/free';
import { ballAt } from '../dials';
import type { Shape } from '../shape';

export const headstandBase: Shape<'headstandBase'> = {
  label: 'Headstand, base set',
  group: 'Head',
  isLow: true,
  dials: [ballAt('headToBallM', 'Crown to feet', 0.45)],
  solve,
  dimensions: ({ joints }) => [{ kind: 'level', fromX: joints.heel[0], toX: joints.crown[0] }],
  loads: {},
  setups: ['head-clearance'],
};
