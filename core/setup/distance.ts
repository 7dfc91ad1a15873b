import type { Body, Lengths } from '../body/body';
import { spreadOf, type Spread } from '../body/spread';

/** Identifiers are part of the contract (handbook 11) and must not drift. */
export type DistanceId =
  | 'gap'
  | 'base'
  | 'base.noBlock'
  | 'base.lGrip'
  | 'base.palmsOnEnds'
  | 'elbowWidth'
  | 'gripElbowWidth'
  | 'wristSpacing'
  | 'strapLoop'
  | 'spacerGap'
  | 'headClearance'
  | 'forearmLift';

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

type DistanceWords = Pick<Distance, 'toleranceM' | 'label' | 'mark' | 'why'>;

const words = {
  gap: {
    toleranceM: 0.02,
    label: 'Gap to the wall',
    mark: 'wall to the fingertips or the far face of the block, whichever reaches further',
    why: 'chosen by the profile; nobody’s body changes it',
  },
  base: {
    toleranceM: 0.02,
    label: 'Elbows from the wall',
    mark: 'wall to the point of the elbow, along the floor',
    why: 'gap + the longer of hand and (wrist to near face + block depth) + forearm',
  },
  'base.noBlock': {
    toleranceM: 0.02,
    label: 'Elbows from the wall, no block',
    mark: 'wall to the point of the elbow, along the floor',
    why: 'gap + hand + forearm',
  },
  'base.lGrip': {
    toleranceM: 0.02,
    label: 'Elbows from the wall, block in the L of the hands',
    mark: 'wall to the point of the elbow, along the floor',
    why: 'gap + the longer of hand and (wrist to knuckle + block depth) + forearm',
  },
  'base.palmsOnEnds': {
    toleranceM: 0.02,
    label: 'Elbows from the wall, palms on the block’s ends',
    mark: 'wall to the point of the elbow, along the floor',
    why: 'gap + the longer of hand and block depth + forearm',
  },
  elbowWidth: {
    toleranceM: 0.01,
    label: 'Elbow width',
    mark: 'middle of one elbow to middle of the other',
    why: 'shoulder joint to shoulder joint, so that the upper arms stand straight',
  },
  gripElbowWidth: {
    toleranceM: 0.01,
    label: 'Elbow width by gripping the arms',
    mark: 'each hand round the other arm, thumb in the elbow crease',
    why: 'forearm + one palm breadth',
  },
  wristSpacing: {
    toleranceM: 0.01,
    label: 'Wrists apart',
    mark: 'middle of one wrist to middle of the other',
    why: 'the block’s face between the hands + one palm breadth',
  },
  strapLoop: {
    toleranceM: 0.01,
    label: 'Strap loop',
    mark: 'all the way round, just above the elbows, buckle outside and off the skin',
    why: '2 x (outer elbow width less 1 cm, less arm thickness) + pi x arm thickness',
  },
  spacerGap: {
    toleranceM: 0.01,
    label: 'Space between the forearms',
    mark: 'inside to inside, just below the elbow crease',
    why: 'shoulder joint width - upper arm thickness',
  },
  headClearance: {
    toleranceM: 0.01,
    label: 'Head above the floor',
    mark: 'crown to floor, shoulders pressed up',
    why: 'upper arm + shoulder lift - shoulder line to crown',
  },
  forearmLift: {
    toleranceM: 0.01,
    label: 'Lift under both forearms',
    mark: 'top of the pads, elbows and hands both on them',
    why: '3 cm of clearance less what the head has',
  },
} as const satisfies Record<DistanceId, DistanceWords>;

/** Works a distance out at the body's lengths, with its range and everything the card says of it. */
export function measureDistance(
  body: Body,
  id: DistanceId,
  figure: (lengths: Lengths) => number,
): Distance {
  const { value, low, high, basis, drivers } = spreadOf(body, figure);
  return { id, metres: value, lowM: low, highM: high, basis, drivers, ...words[id] };
}
