/** Everything that a picture can be asked, in one table. Source: handbook 13 "Measures". */

export interface MeasureSpec {
  readonly label: string;
  readonly unit: 'm' | 'deg' | 's' | 'count' | 'm/s';
  /**
   * How a signed bend becomes what is said: a joint's inner angle (180 is straight), or the size of
   * the bend itself.
   */
  readonly fold?: 'joint' | 'size';
}

export const sideMeasures = {
  shoulderOverBase: { label: 'shoulder over the base', unit: 'm' },
  shoulderOverKnuckle: { label: 'shoulder over the first knuckle', unit: 'm' },
  hipOverShoulder: { label: 'hips over the shoulders', unit: 'm' },
  headClearance: { label: 'head off the floor', unit: 'm' },
  footHeight: { label: 'foot height', unit: 'm' },
  baseToWall: { label: 'base to wall', unit: 'm' },
  fingertipsToWall: { label: 'fingertips to wall', unit: 'm' },
  elbowAngle: { label: 'elbow', unit: 'deg', fold: 'joint' },
  shoulderAngle: { label: 'arm to trunk', unit: 'deg', fold: 'joint' },
  hipAngle: { label: 'hip', unit: 'deg', fold: 'joint' },
  kneeAngle: { label: 'knee', unit: 'deg', fold: 'joint' },
  farKneeAngle: { label: 'far knee', unit: 'deg', fold: 'joint' },
  trunkLean: { label: 'lean of the trunk', unit: 'deg' },
  legLean: { label: 'lean of the leg', unit: 'deg' },
  liftedLegLean: { label: 'lean of the lifted leg', unit: 'deg' },
  lean: { label: 'lean of the whole line', unit: 'deg' },
  shoulderBend: { label: 'bend at the shoulders', unit: 'deg' },
  hipBend: { label: 'bend at the hips', unit: 'deg' },
  bendTotal: { label: 'bend of the line in all', unit: 'deg' },
  neckBend: { label: 'bend of the neck', unit: 'deg' },
  wristExtension: { label: 'wrist extension', unit: 'deg', fold: 'size' },
  straightLegRaise: { label: 'straight-leg raise', unit: 'deg' },
  ribTilt: { label: 'ribs against the trunk', unit: 'deg' },
} as const satisfies Record<string, MeasureSpec>;

export const facingMeasures = {
  elbowGap: { label: 'elbows apart', unit: 'm' },
  shoulderGap: { label: 'shoulders apart', unit: 'm' },
  wristGap: { label: 'wrists apart', unit: 'm' },
  hipGap: { label: 'hips apart', unit: 'm' },
  elbowSplay: { label: 'elbows wider than shoulders', unit: 'm' },
  shoulderTilt: { label: 'tilt of the shoulders', unit: 'deg' },
  hipTilt: { label: 'tilt of the hips', unit: 'deg' },
} as const satisfies Record<string, MeasureSpec>;

export const clipMeasures = {
  liftS: { label: 'way up', unit: 's' },
  exitS: { label: 'way down', unit: 's' },
  invertedS: { label: 'upside down', unit: 's' },
  offWallS: { label: 'off the wall', unit: 's' },
  wallTouches: { label: 'touches of the wall', unit: 'count' },
  hops: { label: 'hops', unit: 'count' },
  kneeMinDeg: { label: 'knee of the leading leg', unit: 'deg' },
  shoulderDriftM: { label: 'drift of the shoulder', unit: 'm' },
  pelvisOvershootM: { label: 'overshoot of the pelvis', unit: 'm' },
  swayM: { label: 'sway', unit: 'm' },
  landingMPerS: { label: 'speed of the landing', unit: 'm/s' },
} as const satisfies Record<string, MeasureSpec>;

export type SideMeasureId = keyof typeof sideMeasures;
export type FacingMeasureId = keyof typeof facingMeasures;
export type ClipMeasureId = keyof typeof clipMeasures;
export type StillMeasureId = SideMeasureId | FacingMeasureId;
export type MeasureId = StillMeasureId | ClipMeasureId;

export const stillMeasures = { ...sideMeasures, ...facingMeasures };
export const stillMeasureIds = Object.keys(stillMeasures) as [StillMeasureId, ...StillMeasureId[]];
export const clipMeasureIds = Object.keys(clipMeasures) as [ClipMeasureId, ...ClipMeasureId[]];
export const measureIds = [...stillMeasureIds, ...clipMeasureIds] as [MeasureId, ...MeasureId[]];

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
