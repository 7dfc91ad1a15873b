import type { Body } from '../../body/body';
import { shortDog as solve } from '../../posture/dogs';
import { baseBehind, lead } from '../dials';
import { toWall, type Shape } from '../shape';

/** How far the shoulders usually stand ahead of the wrists, metres: a little behind them. */
export const shortDogLeadM = ({ heightM }: Pick<Body, 'heightM'>): number => -0.06 * heightM;

export const shortDog: Shape<'shortDog'> = {
  label: 'Short dog, heels at the wall',
  group: 'Hands',
  isLow: true,
  dials: [baseBehind('Wrists from the wall', 0.5), { ...lead, usual: shortDogLeadM }],
  solve,
  // The heels touch it without weight on it.
  wall: ({ heel }) => ({ x: heel[0], side: -1 }),
  dimensions: (placed) => toWall(placed, placed.joints.wrist[0]),
  loads: {},
  setups: ['hand-L'],
};
