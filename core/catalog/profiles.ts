/** The three shipped school profiles: settings, never separate code. Source: handbook 09 and 04. */
export interface ProfileSpec {
  readonly label: string;
  readonly summary: string;
  /** Fingertips to the wall for forearm work at the wall, metres. */
  readonly forearmGapM: number;
  /** Shoulder lift a student is asked for in forearm shapes, metres: relaxed-active. */
  readonly shoulderLiftM: number;
  /** How the L on the hands finds its distance: sitting reach, table on all fours, arm's reach. */
  readonly handLMethod: 'sitting' | 'table' | 'reach';
  /** How the shoulder stand finds its place from the wall. */
  readonly platformMethod: 'innerLeg' | 'legReach' | 'sitOnIt';
  /** Neck flexion wanted over the platform with an upright trunk, degrees. */
  readonly neckFlexionDeg: number;
}

export const profileTable = {
  'prop-led': {
    label: 'Prop-led',
    summary: 'Platforms, straps and spacers; long quiet holds; distances at the close end.',
    forearmGapM: 0.05,
    shoulderLiftM: 0.03,
    handLMethod: 'sitting',
    platformMethod: 'innerLeg',
    neckFlexionDeg: 55,
  },
  'strength-led': {
    label: 'Strength-led',
    summary: 'Bars before attempts; the wall close and used little.',
    forearmGapM: 0,
    shoulderLiftM: 0.03,
    handLMethod: 'table',
    platformMethod: 'legReach',
    neckFlexionDeg: 55,
  },
  'play-led': {
    label: 'Play-led',
    summary: 'Early supported tries, moderate bars, confidence weighs more.',
    forearmGapM: 0.15,
    shoulderLiftM: 0.03,
    handLMethod: 'reach',
    platformMethod: 'sitOnIt',
    neckFlexionDeg: 65,
  },
} as const satisfies Record<string, ProfileSpec>;

export type ProfileId = keyof typeof profileTable;
export const profileIds = Object.keys(profileTable) as [ProfileId, ...ProfileId[]];
