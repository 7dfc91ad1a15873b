/** Everything that a picture can be asked, in one table. Source: handbook 13 "Measures". */

export interface MeasureSpec {
  readonly label: string;
  readonly unit: 'm' | 'deg' | 's' | 'count' | 'm/s';
  /** What it is taken from, in a sentence. */
  readonly why: string;
  /**
   * How a signed bend becomes what is said: a joint's inner angle (180 is straight), or the size of
   * the bend itself.
   */
  readonly fold?: 'joint' | 'size';
}

export const sideMeasures = {
  shoulderOverBase: {
    label: 'shoulder over the base',
    unit: 'm',
    why: 'From the point that carries the weight to the near shoulder, along the floor; ahead is positive.',
  },
  shoulderOverKnuckle: {
    label: 'shoulder over the first knuckle',
    unit: 'm',
    why: 'From the first knuckle to the near shoulder, along the floor; ahead is positive.',
  },
  hipOverShoulder: {
    label: 'hips over the shoulders',
    unit: 'm',
    why: 'From the near shoulder to the near hip, along the floor; ahead is positive.',
  },
  headClearance: {
    label: 'head off the floor',
    unit: 'm',
    why: 'The crown above the floor line; without a crown, the way from shoulder to ear carried on.',
  },
  footHeight: {
    label: 'foot height',
    unit: 'm',
    why: 'The near heel above the floor line; without a heel, the ankle.',
  },
  baseToWall: {
    label: 'base to wall',
    unit: 'm',
    why: 'From the point that carries the weight to the wall, along the floor.',
  },
  fingertipsToWall: {
    label: 'fingertips to wall',
    unit: 'm',
    why: 'Base to wall less this hand, and less the forearm where it lies on the floor.',
  },
  elbowAngle: {
    label: 'elbow',
    unit: 'deg',
    fold: 'joint',
    why: 'Between upper arm and forearm; 180 is straight.',
  },
  shoulderAngle: {
    label: 'arm to trunk',
    unit: 'deg',
    fold: 'joint',
    why: 'Between upper arm and trunk; 180 is one line.',
  },
  hipAngle: {
    label: 'hip',
    unit: 'deg',
    fold: 'joint',
    why: 'Between trunk and thigh; 180 is one line.',
  },
  kneeAngle: {
    label: 'knee',
    unit: 'deg',
    fold: 'joint',
    why: 'Between thigh and shank; 180 is straight.',
  },
  farKneeAngle: {
    label: 'far knee',
    unit: 'deg',
    fold: 'joint',
    why: 'The same of the far leg: a guess behind the near one.',
  },
  trunkLean: {
    label: 'lean of the trunk',
    unit: 'deg',
    why: 'The way from shoulder to hip against the upright; ahead is positive.',
  },
  legLean: {
    label: 'lean of the leg',
    unit: 'deg',
    why: 'The way from hip to ankle against the upright; ahead is positive.',
  },
  liftedLegLean: {
    label: 'lean of the lifted leg',
    unit: 'deg',
    why: 'The way from the hip to the higher ankle against the upright.',
  },
  lean: {
    label: 'lean of the whole line',
    unit: 'deg',
    why: 'The way from the base to the ankle against the upright; ahead is positive.',
  },
  shoulderBend: {
    label: 'bend at the shoulders',
    unit: 'deg',
    why: 'From the line of the upper arm to the line of the trunk; towards the back is positive.',
  },
  hipBend: {
    label: 'bend at the hips',
    unit: 'deg',
    why: 'From the line of the trunk to the line of the thigh; towards the back is positive: an arch, or a sag.',
  },
  bendTotal: {
    label: 'bend of the line in all',
    unit: 'deg',
    why: 'From the line base to shoulder to the line shoulder to ankle; towards the back is positive.',
  },
  neckBend: {
    label: 'bend of the neck',
    unit: 'deg',
    why: 'From the trunk carried on past the shoulder to the ear; towards the back is positive: a poking chin.',
  },
  wristExtension: {
    label: 'wrist extension',
    unit: 'deg',
    fold: 'size',
    why: 'How far the hand is bent back from the line of the forearm.',
  },
  straightLegRaise: {
    label: 'straight-leg raise',
    unit: 'deg',
    why: 'The near leg above the floor, from hip to ankle, lying.',
  },
  ribTilt: {
    label: 'ribs against the trunk',
    unit: 'deg',
    why: 'From the trunk to the way between lowest rib and front of the pelvis, both set by hand.',
  },
} as const satisfies Record<string, MeasureSpec>;

export const facingMeasures = {
  elbowGap: { label: 'elbows apart', unit: 'm', why: 'From elbow to elbow.' },
  shoulderGap: { label: 'shoulders apart', unit: 'm', why: 'From shoulder to shoulder.' },
  wristGap: { label: 'wrists apart', unit: 'm', why: 'From wrist to wrist.' },
  hipGap: { label: 'hips apart', unit: 'm', why: 'From hip to hip.' },
  elbowSplay: {
    label: 'elbows wider than shoulders',
    unit: 'm',
    why: 'The gap of the elbows less the gap of the shoulders.',
  },
  shoulderTilt: {
    label: 'tilt of the shoulders',
    unit: 'deg',
    why: 'The line through both shoulders against the floor; positive where the person’s left is higher.',
  },
  hipTilt: {
    label: 'tilt of the hips',
    unit: 'deg',
    why: 'The line through both hips against the floor; positive where the person’s left is higher.',
  },
} as const satisfies Record<string, MeasureSpec>;

export const clipMeasures = {
  liftS: {
    label: 'way up',
    unit: 's',
    why: 'From the last foot off the floor to the first frame upside down.',
  },
  exitS: {
    label: 'way down',
    unit: 's',
    why: 'From the last frame upside down to the first foot down.',
  },
  invertedS: {
    label: 'upside down',
    unit: 's',
    why: 'The longest stretch upside down: feet off the floor, hips over the shoulders.',
  },
  offWallS: {
    label: 'off the wall',
    unit: 's',
    why: 'The longest stretch upside down with no foot at the wall.',
  },
  wallTouches: {
    label: 'touches of the wall',
    unit: 'count',
    why: 'How often a foot came to the wall on the way up or upside down.',
  },
  hops: { label: 'hops', unit: 'count', why: 'Tries that began in the clip.' },
  kneeMinDeg: {
    label: 'knee of the leading leg',
    unit: 'deg',
    why: 'The most bent that the leading knee was on the way up, but for one frame.',
  },
  shoulderDriftM: {
    label: 'drift of the shoulder',
    unit: 'm',
    why: 'The largest way of the shoulder from where it stood before the feet left the floor.',
  },
  pelvisOvershootM: {
    label: 'overshoot of the pelvis',
    unit: 'm',
    why: 'How far the hips swung past where they came to rest.',
  },
  swayM: {
    label: 'sway',
    unit: 'm',
    why: 'The scatter of the middle of the body along the floor, off the wall.',
  },
  landingMPerS: {
    label: 'speed of the landing',
    unit: 'm/s',
    why: 'The speed of the first foot down over its last 20 cm.',
  },
} as const satisfies Record<string, MeasureSpec>;

/** Read off a clip for a check alone: no measure of the command, whose list is fixed. */
const heldMeasures = {
  lHoldS: {
    label: 'L held',
    unit: 's',
    why: 'The longest stretch with both feet off the floor, at the height of the hips and away from them.',
  },
  tuckHoldS: {
    label: 'tuck held',
    unit: 's',
    why: 'The longest stretch with both feet off the floor, hips over the shoulders and knees no higher than the hips.',
  },
} as const satisfies Record<string, MeasureSpec>;

export type SideMeasureId = keyof typeof sideMeasures;
export type FacingMeasureId = keyof typeof facingMeasures;
export type ClipMeasureId = keyof typeof clipMeasures;
export type StillMeasureId = SideMeasureId | FacingMeasureId;
export type MeasureId = StillMeasureId | ClipMeasureId;
export type HeldMeasureId = keyof typeof heldMeasures;
/** What a record may have been read by. */
export type RecordMeasureId = MeasureId | HeldMeasureId;

const stillMeasures = { ...sideMeasures, ...facingMeasures };
export const stillMeasureIds = Object.keys(stillMeasures) as [StillMeasureId, ...StillMeasureId[]];
export const clipMeasureIds = Object.keys(clipMeasures) as [ClipMeasureId, ...ClipMeasureId[]];
export const measureIds = [...stillMeasureIds, ...clipMeasureIds] as [MeasureId, ...MeasureId[]];
const heldMeasureIds = Object.keys(heldMeasures) as [HeldMeasureId, ...HeldMeasureId[]];
export const recordMeasureIds = [...measureIds, ...heldMeasureIds] as [
  RecordMeasureId,
  ...RecordMeasureId[],
];

const allMeasures: Readonly<Record<MeasureId, MeasureSpec>> = { ...stillMeasures, ...clipMeasures };
export const getMeasure = (id: MeasureId): MeasureSpec => allMeasures[id];

/** A figure with its span of one standard deviation either way. */
export interface Measured {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly unit: MeasureSpec['unit'];
}

/** What metres carry besides their marks: the near side lies closer than the middle of the body. */
export const nearSideShare = 0.02;
