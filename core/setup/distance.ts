import type { Body, Lengths } from '../body/body';
import { spreadOf, type Spread } from '../body/spread';

import { distanceWords, type DistanceId } from './distanceWords';

export type { DistanceId };

/** One figure of a set-up card, in metres. */
export interface Distance {
  readonly id: DistanceId;
  readonly metres: number;
  /** One standard deviation of the body's lengths either way. */
  readonly lowM: number;
  readonly highM: number;
  readonly basis: Spread['basis'];
  /** How far off it may be before it matters. */
  readonly toleranceM: number;
  readonly label: string;
  /** Which mark on the body, or which edge, it runs from and to. */
  readonly mark: string;
  /** The formula in words, for whoever asks why. */
  readonly why: string;
  readonly drivers: Spread['drivers'];
}

/** Works a distance out at the body's lengths, with its range and everything the card says of it. */
export function measureDistance(
  body: Body,
  id: DistanceId,
  figure: (lengths: Lengths) => number,
  /** Words that fit one shape better than the usual ones. */
  wording: Partial<Pick<Distance, 'label' | 'mark' | 'why'>> = {},
): Distance {
  const { value, low, high, basis, drivers } = spreadOf(body, figure);
  return {
    id,
    metres: value,
    lowM: low,
    highM: high,
    basis,
    drivers,
    ...distanceWords[id],
    ...wording,
  };
}
