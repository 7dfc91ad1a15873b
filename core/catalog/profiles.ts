import type { ForearmHandsId } from '../body/hands';
import type { EyeSettings } from './eye';
import type { BranchId, StageKey } from './stage';
import type { WayUpId } from './waysUp';

export type HandLMethod = 'sitting' | 'table' | 'reach';
export type PlatformMethod = 'innerLeg' | 'legReach' | 'sitOnIt';

/** The three shipped school profiles: settings, never separate code. Source: handbook 09 and 04. */
export interface ProfileSpec {
  readonly label: string;
  readonly summary: string;
  /** Fingertips to the wall for forearm work at the wall, metres. */
  readonly forearmGapM: number;
  /** Shoulder lift a student is asked for in forearm shapes, metres: relaxed-active. */
  readonly shoulderLiftM: number;
  /** How far the shoulders may stand ahead of the wrists with a bolster to lean on, metres. */
  readonly bolsterLeadM: number;
  /** How the hands lie in a forearm stand, where the person does not choose otherwise. */
  readonly forearmHands: ForearmHandsId;
  /** How the L on the hands finds its distance: sitting reach, table on all fours, arm's reach. */
  readonly handLMethod: HandLMethod;
  /** How the shoulder stand finds its place from the wall. */
  readonly platformMethod: PlatformMethod;
  /** Neck flexion wanted over the platform with an upright trunk, degrees. */
  readonly neckFlexionDeg: number;
  /** The way up that is taught first. */
  readonly wayUp: WayUpId;
  /** What the eye and the voice go by. */
  readonly eye: EyeSettings;
  /** Branches this school keeps closed. */
  readonly closedBranches: readonly BranchId[];
  /** A short word to say at a stage, by stage. */
  readonly cues: Readonly<Record<string, string>>;
}

export const profileTable = {
  'prop-led': {
    label: 'Prop-led',
    summary:
      'Platforms, straps and spacers; long quiet holds; head always lower than supported shoulders; distances at the close end.',
    forearmGapM: 0.05,
    shoulderLiftM: 0.03,
    bolsterLeadM: 0.02,
    forearmHands: 'block',
    handLMethod: 'sitting',
    platformMethod: 'innerLeg',
    neckFlexionDeg: 55,
    wayUp: 'straight-leg',
    eye: {
      shoulderPlace: 'wrist',
      forearms: 'parallel',
      shoulderAction: 'drawn-in',
      arms: 'out',
      bodyLine: 'neutral',
      gaze: 'thumbs',
      feet: 'then-pointed',
    },
    closedBranches: [],
    cues: {
      FS5: 'The eyes may go back to the thighs.',
      FS10: 'Squeeze the block.',
      HB8: 'Knuckles heavy.',
      SS8: 'Head still; hands walk down the back.',
    },
  },
  'strength-led': {
    label: 'Strength-led',
    summary:
      'Bars before attempts, no head weight until the push bars are passed; tuck entries; the wall close and used little.',
    forearmGapM: 0,
    shoulderLiftM: 0.03,
    bolsterLeadM: 0.02,
    forearmHands: 'block',
    handLMethod: 'table',
    platformMethod: 'legReach',
    neckFlexionDeg: 55,
    wayUp: 'tuck',
    eye: {
      shoulderPlace: 'wrist',
      forearms: 'parallel',
      shoulderAction: 'tall',
      arms: 'in',
      bodyLine: 'hollow',
      gaze: 'down',
      feet: 'flexed',
    },
    closedBranches: ['headstand-wall', 'free-plough'],
    cues: {
      FS5: 'Ribs in from the start.',
      FS10: 'Front of the body first: hollow, then leave the floor.',
      HS7: 'Both knees, slowly; no jump.',
      HB11: 'One strong push of the standing leg, belly firm.',
    },
  },
  'play-led': {
    label: 'Play-led',
    summary:
      'Early supported tries, hops from the first class, moderate bars; the student’s own word weighs more.',
    forearmGapM: 0.15,
    shoulderLiftM: 0.03,
    bolsterLeadM: 0.02,
    forearmHands: 'block',
    handLMethod: 'reach',
    platformMethod: 'sitOnIt',
    neckFlexionDeg: 65,
    wayUp: 'bent-knee',
    eye: {
      shoulderPlace: 'wrist',
      forearms: 'slight-v',
      shoulderAction: 'tall',
      arms: 'out',
      bodyLine: 'neutral',
      gaze: 'thumbs',
      feet: 'then-pointed',
    },
    closedBranches: [],
    cues: {
      FS9: 'Small and light: counting the hops is the practice.',
      HB10: 'Sink and rise on one line; laugh when it goes sideways.',
      CR5: 'Look ahead, not down.',
    },
  },
} as const satisfies Record<string, ProfileSpec>;

export type ProfileId = keyof typeof profileTable;
export const profileIds = Object.keys(profileTable) as [ProfileId, ...ProfileId[]];

/** What a shipped profile says at a stage, by stage. */
export const cuesOf = (id: ProfileId): Readonly<Partial<Record<StageKey, string>>> =>
  profileTable[id].cues;

/** Figures and methods of a profile that a copy may set otherwise. */
export type ProfileSettings = Pick<
  ProfileSpec,
  | 'forearmGapM'
  | 'shoulderLiftM'
  | 'bolsterLeadM'
  | 'forearmHands'
  | 'handLMethod'
  | 'platformMethod'
  | 'neckFlexionDeg'
  | 'wayUp'
> &
  EyeSettings;

/** What a shipped profile sets before a copy changes it. */
export function settingsOf({
  forearmGapM,
  shoulderLiftM,
  bolsterLeadM,
  forearmHands,
  handLMethod,
  platformMethod,
  neckFlexionDeg,
  wayUp,
  eye,
}: ProfileSpec): ProfileSettings {
  return {
    forearmGapM,
    shoulderLiftM,
    bolsterLeadM,
    forearmHands,
    handLMethod,
    platformMethod,
    neckFlexionDeg,
    wayUp,
    ...eye,
  };
}
