import type { Body, Lengths } from '../body/body';
import { spreadOf, type Spread } from '../body/spread';
import type { Day } from '../units/day';
import { distanceWords, type DistanceId } from './distanceWords';

export type { DistanceId };

/** How a distance was found by trying, and what it would be otherwise. */
export interface Found {
  readonly on: Day;
  readonly note: string;
  readonly computedM: number;
}

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
  /** Absent: computed. */
  readonly found?: Found;
}

/** Words that fit one shape better than the usual ones. */
export type Wording = Partial<Pick<Distance, 'label' | 'mark' | 'why'>>;

/** Works a distance out at the body's lengths, with its range and everything the card says of it. */
export function measureDistance(
  body: Body,
  id: DistanceId,
  figure: (lengths: Lengths) => number,
  wording: Wording = {},
): Distance {
  const { value, low, high, basis, drivers } = spreadOf(body, figure);
  const { toleranceM, label, mark, why } = distanceWords[id];
  return {
    id,
    metres: value,
    lowM: low,
    highM: high,
    basis,
    drivers,
    toleranceM,
    label,
    mark,
    why,
    ...wording,
  };
}

const cm = (metres: number) => `${Math.round(metres * 100)} cm`;

/** The same distance as somebody found it by trying: exact, and saying so. */
export function asFound(distance: Distance, metres: number, on: Day, note: string): Distance {
  const words = note === '' ? '' : `: ${note}`;
  return {
    ...distance,
    metres,
    lowM: metres,
    highM: metres,
    basis: 'measured',
    drivers: [],
    why: `found by trying on ${on}${words}; computed it would be ${cm(distance.metres)}`,
    found: { on, note, computedM: distance.metres },
  };
}

/** A distance that lies so far beyond another, which was found by trying. */
export function following(distance: Distance, lead: Distance, metres: number): Distance {
  if (lead.found === undefined) return distance;
  return {
    ...asFound(distance, metres, lead.found.on, lead.found.note),
    why: `follows from ${lead.label.charAt(0).toLowerCase()}${lead.label.slice(1)}, found by trying`,
  };
}
