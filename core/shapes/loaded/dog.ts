import { dog as solve } from '../../posture/dogs';
import { ballAt, lead } from '../dials';
import type { Shape } from '../shape';

export const dog: Shape<'dog'> = {
  label: 'Downward dog',
  group: 'Hands',
  mayLiftLeg: true,
  isLow: true,
  dials: [
    ballAt('stanceM', 'Knuckles to feet', 0.68),
    { ...lead, usual: ({ heightM }) => -0.12 * heightM },
  ],
  solve,
  dimensions: ({ joints }, { lengths }) => [
    { kind: 'level', fromX: joints.heel[0], toX: joints.wrist[0] + lengths.knuckle },
  ],
  loads: {},
  setups: [],
};
