/**
 * The stages of the forearm stand as far as the kick to the wall, and what opens each.
 * Source: handbook 02 for shapes, 12 for gates. Gates are cumulative along the branch (06).
 */
import type { CautionColumn } from './cautions';
import type { BaseId, CheckId } from './checks';
import type { ProfileId } from './profiles';

/** Something from the cupboard that stands in for a check and becomes part of the set-up. */
export type EquipmentId = 'forearm-lift';

export const equipmentTable = {
  'forearm-lift': { label: 'a firm lift under both forearms' },
} as const satisfies Record<EquipmentId, { readonly label: string }>;

export interface CheckDemand {
  readonly check: CheckId;
  readonly base?: BaseId;
  /** Share of the profile's bar; absent: the whole bar. */
  readonly share?: number;
  /** Equipment that does instead. */
  readonly or?: EquipmentId;
}

export interface StageSpec {
  readonly family: 'forearm-stand';
  readonly label: string;
  readonly gate: readonly CheckDemand[];
  /** Demands of one profile in place of `gate`. */
  readonly gateByProfile?: Readonly<Partial<Record<ProfileId, readonly CheckDemand[]>>>;
  /** Some profile needs a helper's hands here. */
  readonly assistIn?: readonly ProfileId[];
  readonly after: StageId | null;
  readonly stepDown: string;
  readonly assist: string | null;
  readonly exit: string;
  /** What to look at before weight goes on. */
  readonly checkFirst?: readonly string[];
  readonly column: CautionColumn;
}

export type StageId =
  'FS1' | 'FS2' | 'FS3' | 'FS4' | 'FS5' | 'FS6' | 'FS7' | 'FS8' | 'FS9' | 'FS10';

const twoThirds = 2 / 3;
const forearmPlank: CheckDemand = { check: 'forearm-plank-hold' };
const dolphin: CheckDemand = { check: 'dolphin-hold' };
const oneLeg: CheckDemand = { check: 'dolphin-one-leg' };
const confidence: CheckDemand = { check: 'confidence', base: 'forearms' };

/** Play-led lets assisted hops begin at 15 s of dolphin, half its bar (handbook 02, 12). */
const playLedHopShare = 0.5;

export const stageTable = {
  FS1: {
    family: 'forearm-stand',
    label: 'Forearm base on all fours',
    gate: [],
    after: null,
    stepDown: 'Hands on a chair seat',
    assist: 'A hand between the shoulder blades',
    exit: 'Sit back',
    column: 'mild',
  },
  FS2: {
    family: 'forearm-stand',
    label: 'Forearm plank',
    gate: [],
    after: 'FS1',
    stepDown: 'Knees down',
    assist: null,
    exit: 'Knees down',
    column: 'mild',
  },
  FS3: {
    family: 'forearm-stand',
    label: 'Dolphin with strap',
    gate: [],
    after: 'FS2',
    stepDown: 'Forearm base, or forearms on a chair seat',
    assist: 'Hips drawn back',
    exit: 'Knees down',
    column: 'mild',
  },
  FS4: {
    family: 'forearm-stand',
    label: 'Dolphin with block',
    gate: [forearmPlank],
    after: 'FS3',
    stepDown: 'Dolphin with strap',
    assist: 'Hips drawn back',
    exit: 'Knees down',
    column: 'mild',
  },
  FS5: {
    family: 'forearm-stand',
    label: 'Dolphin, free',
    gate: [forearmPlank],
    after: 'FS4',
    stepDown: 'Dolphin with block',
    assist: 'Hips drawn back',
    exit: 'Knees down',
    column: 'mild',
  },
  FS6: {
    family: 'forearm-stand',
    label: 'Dolphin in motion',
    gate: [{ ...dolphin, share: 0.5 }],
    after: 'FS5',
    stepDown: 'Knees down',
    assist: null,
    exit: 'Knees down',
    column: 'mild',
  },
  FS7: {
    family: 'forearm-stand',
    label: 'Dolphin, one leg up',
    gate: [
      { ...dolphin, share: twoThirds },
      { check: 'dolphin-push-ups', share: 0.5 },
    ],
    after: 'FS6',
    stepDown: 'Toe light, not lifted',
    assist: 'Shin held',
    exit: 'Same foot back',
    column: 'mild',
  },
  FS8: {
    family: 'forearm-stand',
    label: 'Forearm L at the wall',
    gate: [dolphin, { check: 'head-clearance', or: 'forearm-lift' }],
    after: 'FS7',
    stepDown: 'Feet on a chair',
    assist: 'Hips steadied',
    exit: 'One foot at a time',
    column: 'light',
  },
  FS9: {
    family: 'forearm-stand',
    label: 'Hops at the wall',
    gate: [dolphin, oneLeg, confidence],
    gateByProfile: { 'play-led': [{ ...dolphin, share: playLedHopShare }, oneLeg, confidence] },
    assistIn: ['play-led'],
    after: 'FS8',
    stepDown: 'Forearm L at the wall',
    assist: 'Thigh guided',
    exit: 'Feet down',
    column: 'light',
  },
  FS10: {
    family: 'forearm-stand',
    label: 'Kick to the wall, block in hands',
    gate: [dolphin, oneLeg, { check: 'dolphin-push-ups' }, confidence],
    after: 'FS9',
    stepDown: 'Hops at the wall',
    assist: 'Lifted leg held firmly while the student presses it down and floats the other',
    exit: 'One leg down, slowly, then the other; child’s pose',
    checkFirst: [
      'Elbows at their width, measured again with the block in the hands',
      'Strap buckle outside and off the skin',
      'Shoulders pressed up: the head swings free of the floor',
      'Breath easy, able to talk',
    ],
    column: 'light',
  },
} as const satisfies Record<StageId, StageSpec>;

export const stageIds = Object.keys(stageTable) as [StageId, ...StageId[]];

export function getStage(id: StageId): StageSpec {
  return stageTable[id];
}
