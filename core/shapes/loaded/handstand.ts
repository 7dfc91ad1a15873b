import { handstand as solve } from '../../posture/free';
import { arch } from '../dials';
import { noDimensions, type Shape } from '../shape';

export const handstand: Shape<'handstand'> = {
  label: 'Handstand, free',
  group: 'Hands',
  dials: [arch],
  solve,
  dimensions: noDimensions,
  loads: { kickFrom: 'hands' },
  setups: ['hand-kick', 'strap-handstand'],
};
