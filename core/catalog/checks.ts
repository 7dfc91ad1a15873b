/**
 * What a teacher can record about a student, and the bar each check opens at.
 * Source: handbook 03 "Checks"; identifiers from handbook 11 "readiness".
 */
import type { CautionColumn } from './cautions';
import type { ProfileId } from './profiles';
import type { BodyRegion, RegionLoads } from './regions';

interface FaultSpec {
  readonly label: string;
  /** Says something of the student's health: the teacher's to record and to see. */
  readonly isPrivate?: true;
}

export const faultTable = {
  'head-touches': { label: 'head touches' },
  'sinks-on-block': { label: 'sinks onto the block' },
  'elbows-slide': { label: 'elbows slide apart' },
  'shoulders-pass-wrists': { label: 'shoulders pass the wrists' },
  'ribs-flare': { label: 'ribs flare' },
  'low-back-arch': { label: 'low back arches' },
  sag: { label: 'sags' },
  shrug: { label: 'shrugs' },
  'chin-pokes': { label: 'chin pokes' },
  'elbows-bend': { label: 'elbows bend' },
  'swing-kick': { label: 'swings the kick' },
  'knee-bends': { label: 'knee bends' },
  'feet-push-off': { label: 'feet push off' },
  'hopped-in': { label: 'hopped in' },
  'heavy-landing': { label: 'heavy landing' },
  'neck-strain': { label: 'neck strain', isPrivate: true },
  'breath-held': { label: 'breath held', isPrivate: true },
  'strain-in-face': { label: 'strain in the face', isPrivate: true },
  'looks-scared': { label: 'looks scared', isPrivate: true },
} as const satisfies Record<string, FaultSpec>;

export type FaultId = keyof typeof faultTable;
export const faultIds = Object.keys(faultTable) as [FaultId, ...FaultId[]];
export const getFault = (id: FaultId): FaultSpec => faultTable[id];

export type BaseId = 'hands' | 'forearms' | 'head';
export const baseIds = ['hands', 'forearms', 'head'] as const satisfies readonly BaseId[];

/** How a check is scored, which decides the model behind its verdict (handbook 06). */
export type Scoring =
  /** Seconds held; a local level in ln(value). */
  | { readonly kind: 'hold' }
  /** Repetitions or counts; a local level in ln(value + 0.5). */
  | { readonly kind: 'reps' }
  /** Passed or not; so many passes, on at least so many days. */
  | { readonly kind: 'pass'; readonly passes: number; readonly days: number }
  /** Passed or not; so many of the newest few, nothing else. */
  | { readonly kind: 'pass-of-last'; readonly passes: number; readonly last: number }
  /** Known only on the day itself. */
  | { readonly kind: 'same-day' }
  /** The newest value against its bar; short by no more than the reading error is borderline. */
  | {
      readonly kind: 'measure' | 'level' | 'rating';
      readonly unit: 'cm' | 'degrees' | 'percent' | 'rung' | 'points';
      readonly better: 'more' | 'less';
      readonly readingError: number;
    };

/** A check of the table, or a teacher's own. Whether it exists is the catalog's to say. */
export type CheckKey = string;

export interface CheckSpec {
  readonly label: string;
  readonly scoring: Scoring;
  /** The bar in each profile, in the check's own unit (passes for pass/fail checks). */
  readonly opensAt: Readonly<Record<ProfileId, number>>;
  readonly validDays: number;
  readonly voidedBy: readonly FaultId[];
  /** Taken on each side; the weaker side decides. */
  readonly hasSides?: true;
  /** Kept apart by base: evidence on one base says nothing about another. */
  readonly byBase?: true;
  /** Guards the student; a borderline one never opens a stage with support (handbook 06). */
  readonly isSafety?: true;
  /** One clock serves a whole group. */
  readonly timedTogether?: true;
  /** The largest value anyone could honestly record. */
  readonly most: number;
  /** Getting one person ready and looking, besides what is held or counted; absent: by its kind. */
  readonly minutes?: number;
  /** What taking it loads, where that is worth counting. */
  readonly loads?: RegionLoads;
  /** What the cautions look at. */
  readonly columns: readonly CautionColumn[];
  /** Strained besides what is loaded: pain there closes it. */
  readonly strains: readonly BodyRegion[];
  /**
   * The stage it is shown in, by its key; by base, where it is kept apart by base. Nobody is asked to
   * show something whose stage is closed to them, or not open yet.
   */
  readonly takenIn?: string | Readonly<Record<BaseId, string>>;
  /** Asked in the middle of the shape that stands beside, not on arriving. */
  readonly askedIn?: 'the-hold';
  /** Held with the hips level with the heart or below: no time upside down. */
  readonly isLevel?: true;
  /** Says something of the student's health: the teacher's to record and to see. */
  readonly isPrivate?: true;
  /** Safe alone, both feet or the whole back on the floor, the head free; and how. */
  readonly home?: { readonly columns: readonly CautionColumn[]; readonly how: string };
  /** What each level is called, from 0 on. */
  readonly levels?: readonly string[];
}

/** A check that ships also says how it is taken. */
export interface ShippedCheck extends CheckSpec {
  readonly method: string;
  readonly minutes: number;
  /** Offered first where a hold is begun and none is planned. */
  readonly isUsualHold?: true;
}

const bars = (prop: number, strength: number, play: number) => ({
  'prop-led': prop,
  'strength-led': strength,
  'play-led': play,
});
const same = (value: number) => bars(value, value, value);

const hold = { kind: 'hold' } as const;
const reps = { kind: 'reps' } as const;
const sameDay = { kind: 'same-day' } as const;
const passes = (needed: number, days: number) => ({ kind: 'pass', passes: needed, days }) as const;
const centimetres = (better: 'more' | 'less') =>
  ({ kind: 'measure', unit: 'cm', better, readingError: 1 }) as const;
const degrees = { kind: 'measure', unit: 'degrees', better: 'more', readingError: 5 } as const;
const rungs = { kind: 'level', unit: 'rung', better: 'more', readingError: 1 } as const;

/** An hour: beyond it a hold is a typing mistake. */
const mostSeconds = 3600;
const mostReps = 500;

export const checkTable = {
  'forearm-plank-hold': {
    label: 'Forearm plank hold',
    scoring: hold,
    opensAt: bars(20, 45, 20),
    validDays: 28,
    voidedBy: ['sag'],
    timedTogether: true,
    most: mostSeconds,
    columns: ['mild'],
    strains: ['back', 'elbow'],
    minutes: 0.4,
    method:
      'From the side: forearms parallel, one line from shoulder to heel. The clock stops at the first sag.',
    loads: { shoulder: 0.5, scapula: 0.5, core: 0.8 },
    isLevel: true,
    home: {
      columns: [],
      how: 'Forearms parallel, press the floor away, end it before the low back sags.',
    },
  },
  'plank-hold': {
    label: 'Plank hold',
    scoring: hold,
    opensAt: bars(20, 45, 20),
    validDays: 28,
    voidedBy: ['sag', 'shrug'],
    timedTogether: true,
    most: mostSeconds,
    columns: ['wrists'],
    strains: ['back'],
    minutes: 0.4,
    method:
      'From the side: hands under the shoulders, one line from shoulder to heel. The clock stops at a sag or a shrug.',
    loads: { wrist: 0.7, shoulder: 0.5, scapula: 0.5, core: 0.7 },
    isLevel: true,
    home: {
      columns: ['wrists'],
      how: 'Hands under the shoulders, long from head to heels, end it before a shrug.',
    },
  },
  'dolphin-hold': {
    label: 'Dolphin hold',
    scoring: hold,
    opensAt: bars(45, 60, 30),
    validDays: 28,
    voidedBy: ['head-touches', 'elbows-slide'],
    timedTogether: true,
    most: mostSeconds,
    columns: ['mild'],
    strains: ['back', 'hamstring'],
    minutes: 0.4,
    method: 'From the side, head free. The clock stops when the head touches or the elbows slide.',
    loads: { shoulder: 0.6, scapula: 0.6 },
    home: {
      columns: ['mild'],
      how: 'Push the floor away so that the head stays free; knees may bend.',
    },
    isUsualHold: true,
  },
  'dolphin-push-ups': {
    label: 'Dolphin push-ups, hands clasped',
    scoring: reps,
    opensAt: bars(5, 10, 5),
    validDays: 28,
    voidedBy: ['elbows-slide', 'shrug'],
    most: mostReps,
    columns: ['mild'],
    strains: ['elbow'],
    minutes: 0.4,
    method:
      'From the side, hands clasped: the chin passes the hands and comes back, elbows where they are. Whole ones count.',
    loads: { shoulder: 0.7, scapula: 0.6, core: 0.5 },
    home: {
      columns: ['mild'],
      how: 'Hands clasped; forward until the chin passes the hands and back, elbows where they are.',
    },
  },
  'dolphin-one-leg': {
    label: 'Dolphin, one leg up',
    scoring: hold,
    opensAt: bars(15, 20, 10),
    validDays: 28,
    voidedBy: ['sinks-on-block'],
    hasSides: true,
    timedTogether: true,
    most: mostSeconds,
    columns: ['mild'],
    strains: ['hip', 'back'],
    takenIn: 'FS7',
    minutes: 0.4,
    method: 'From behind: one leg in line with the back, hips level. Each side by itself.',
    loads: { shoulder: 0.7, scapula: 0.7 },
    home: { columns: ['mild'], how: 'One leg in line with the back, hips closed; both sides.' },
  },
  'head-clearance': {
    label: 'Head clearance in dolphin',
    scoring: centimetres('more'),
    opensAt: bars(3, 3, 1),
    validDays: 56,
    voidedBy: [],
    most: 40,
    columns: ['mild'],
    strains: ['shoulder', 'scapula', 'back', 'hamstring'],
    minutes: 0.8,
    method: 'From the side, dolphin pressed up: a hand, then a ruler between crown and floor.',
  },
  'elbow-drift': {
    label: 'Elbow drift after clasping',
    scoring: centimetres('less'),
    opensAt: bars(2, 2, 3),
    validDays: 56,
    voidedBy: [],
    isSafety: true,
    most: 40,
    columns: ['mild'],
    strains: ['shoulder', 'scapula', 'core', 'elbow'],
    minutes: 0.8,
    method:
      'Mark the elbows with tape, clasp and press for five breaths, measure how far they went.',
  },
  'crown-control': {
    label: 'Crown control',
    scoring: passes(2, 2),
    opensAt: same(2),
    validDays: 28,
    voidedBy: ['neck-strain'],
    isSafety: true,
    most: 1,
    columns: ['neck'],
    strains: ['neck'],
    takenIn: 'HS4',
    minutes: 0.4,
    method: 'Elbows down: the crown lowers to the floor and lifts again without a bump.',
    isPrivate: true,
  },
  'head-load': {
    label: 'Head load in the base set',
    scoring: { kind: 'measure', unit: 'percent', better: 'less', readingError: 3 },
    opensAt: bars(10, 5, 20),
    validDays: 28,
    voidedBy: ['neck-strain'],
    isSafety: true,
    most: 100,
    columns: ['neck'],
    strains: ['neck', 'shoulder', 'scapula'],
    takenIn: 'HS5',
    minutes: 0.8,
    method:
      'Base set with the crown on a scale, feet on the floor; read it once it has come to rest.',
    isPrivate: true,
  },
  'paper-slip': {
    label: 'Paper slips out from under the crown',
    scoring: passes(2, 2),
    opensAt: same(2),
    validDays: 28,
    voidedBy: ['neck-strain'],
    isSafety: true,
    most: 1,
    columns: ['neck'],
    strains: ['neck', 'shoulder', 'scapula'],
    takenIn: 'HS5',
    minutes: 0.4,
    method: 'A sheet under the crown while the base is set: it slides out without tearing.',
    isPrivate: true,
  },
  'wall-hold': {
    label: 'Wall hold, heels or sole on the wall',
    scoring: hold,
    opensAt: bars(15, 25, 10),
    validDays: 28,
    voidedBy: ['low-back-arch'],
    byBase: true,
    most: mostSeconds,
    columns: ['light'],
    strains: ['leg', 'hip', 'back'],
    takenIn: { hands: 'HB11', forearms: 'FS10', head: 'HS8' },
    minutes: 0.4,
    method:
      'From the side: heels or one sole on the wall, ribs in. The clock stops when the low back arches.',
    loads: { shoulder: 0.8, scapula: 0.7 },
  },
  'tuck-hold': {
    label: 'Tuck hold',
    scoring: hold,
    opensAt: bars(10, 10, 5),
    validDays: 28,
    voidedBy: ['hopped-in'],
    most: mostSeconds,
    columns: ['neck'],
    strains: ['neck', 'shoulder', 'scapula', 'core', 'hip'],
    takenIn: 'HS7',
    minutes: 0.4,
    method: 'Both knees in, up without a hop. The clock runs from still to moving.',
  },
  'hollow-hold': {
    label: 'Hollow hold',
    scoring: hold,
    opensAt: bars(20, 30, 15),
    validDays: 28,
    // "Low back lifts" in the handbook's table; the fixed fault code for it is the arch.
    voidedBy: ['low-back-arch'],
    timedTogether: true,
    most: mostSeconds,
    columns: ['effort'],
    strains: ['neck', 'back', 'hip'],
    minutes: 0.4,
    method: 'On the back, arms overhead, low back down. The clock stops when it lifts.',
    loads: { core: 0.9 },
    isLevel: true,
    home: {
      columns: [],
      how: 'On the back, low back pressed down; bend the knees before it lifts.',
    },
  },
  'push-up-rung': {
    label: 'Push-up ladder rung',
    scoring: rungs,
    opensAt: bars(3, 5, 2),
    validDays: 42,
    voidedBy: ['shrug', 'chin-pokes'],
    most: 8,
    columns: ['wrists'],
    strains: ['wrist', 'shoulder', 'scapula', 'core', 'elbow'],
    minutes: 0.8,
    method: 'From the side, elbows close to the ribs: the highest rung done cleanly.',
    levels: [
      'none',
      'prone press, shoulders down, one breath',
      'the same, belly lifted',
      'knees, top quarter, pyramid 3-2-1',
      'knees, half depth',
      'knees, full',
      'feet, top quarter',
      'feet, half',
      'feet, low plank held two breaths',
    ],
  },
  'l-hold': {
    label: 'L hold',
    scoring: hold,
    opensAt: bars(6, 15, 5),
    validDays: 28,
    voidedBy: ['shoulders-pass-wrists', 'ribs-flare'],
    byBase: true,
    most: mostSeconds,
    columns: ['light'],
    strains: ['hip', 'back', 'hamstring'],
    takenIn: { hands: 'HB8', forearms: 'FS8', head: 'HS5' },
    minutes: 0.4,
    method:
      'From the side: shoulders over the base, feet at hip height. The clock stops when they pass it or the ribs drop.',
    loads: { shoulder: 0.8, scapula: 0.7 },
  },
  'l-one-leg': {
    label: 'L, one leg up',
    scoring: hold,
    opensAt: bars(5, 10, 5),
    validDays: 28,
    voidedBy: ['shoulders-pass-wrists', 'ribs-flare'],
    hasSides: true,
    byBase: true,
    most: mostSeconds,
    columns: ['light'],
    strains: ['shoulder', 'scapula', 'core', 'hip', 'back', 'hamstring'],
    takenIn: { hands: 'HB9', forearms: 'FS8', head: 'HS5' },
    minutes: 0.4,
    method: 'The L with one leg upright. Each side by itself.',
  },
  'blocks-kept': {
    label: 'Blocks kept in the kick',
    scoring: { kind: 'pass-of-last', passes: 3, last: 5 },
    opensAt: same(3),
    validDays: 28,
    voidedBy: [],
    most: 1,
    columns: ['light', 'wrists'],
    strains: ['wrist', 'shoulder', 'scapula', 'core', 'leg', 'hip', 'back'],
    takenIn: 'HB11',
    minutes: 0.4,
    method: 'After a kick or a hop: is the block still between the hands?',
  },
  'hops-reaching': {
    label: 'Hops that reach the wall, best of 10',
    scoring: reps,
    opensAt: bars(3, 5, 1),
    validDays: 28,
    voidedBy: ['knee-bends'],
    most: 10,
    columns: ['light', 'wrists'],
    strains: ['wrist', 'shoulder', 'scapula', 'core', 'leg', 'hip'],
    takenIn: 'HB10',
    minutes: 0.4,
    method: 'Ten hops with a straight lifted leg: how many touch the wall.',
  },
  'balance-off-wall': {
    label: 'Balance off the wall',
    scoring: hold,
    opensAt: bars(5, 10, 5),
    validDays: 28,
    voidedBy: [],
    byBase: true,
    most: mostSeconds,
    columns: ['light'],
    strains: ['shoulder', 'scapula', 'core', 'leg', 'hip', 'back'],
    takenIn: { hands: 'HB13', forearms: 'FS11', head: 'HS8' },
    minutes: 0.4,
    method: 'The heels leave the wall: the clock runs while neither foot touches.',
  },
  'headstand-hold': {
    label: 'Headstand hold',
    scoring: hold,
    opensAt: bars(15, 30, 10),
    validDays: 28,
    voidedBy: ['neck-strain'],
    most: mostSeconds,
    columns: ['neck'],
    strains: ['neck', 'shoulder', 'scapula', 'core'],
    takenIn: 'HS8',
    minutes: 0.4,
    method: 'From the side, somebody near. The clock stops at any word about the neck.',
  },
  'shoulder-stand-hold': {
    label: 'Shoulder stand hold',
    scoring: hold,
    opensAt: same(30),
    validDays: 42,
    voidedBy: ['neck-strain'],
    most: mostSeconds,
    columns: ['neck'],
    strains: ['neck', 'shoulder', 'core'],
    takenIn: 'SS7',
    minutes: 0.4,
    method: 'On the platform. The clock stops when the head turns or the neck is felt.',
  },
  'upright-walk-in': {
    label: 'Upright back on walk-in',
    scoring: passes(2, 1),
    opensAt: same(2),
    validDays: 42,
    voidedBy: [],
    most: 1,
    columns: ['neck'],
    strains: ['neck', 'shoulder', 'scapula', 'hamstring', 'back'],
    takenIn: 'HS5',
    minutes: 0.4,
    method: 'Feet walk in until the trunk stands upright over the base.',
  },
  'easy-lotus': {
    label: 'Easy lotus, both sides',
    scoring: passes(2, 1),
    opensAt: same(2),
    validDays: 90,
    voidedBy: [],
    most: 1,
    columns: [],
    strains: ['hip', 'leg'],
    minutes: 0.4,
    method: 'Sitting: both sides, no pain in the knees.',
  },
  'neck-ease': {
    label: 'Neck ease',
    scoring: sameDay,
    opensAt: same(1),
    validDays: 0,
    voidedBy: [],
    isSafety: true,
    most: 1,
    columns: [],
    strains: [],
    minutes: 0.4,
    method:
      'In the shape: no pressure at the base of the neck, the eyes turn, a sentence is spoken.',
    isPrivate: true,
  },
  'lifted-tuck': {
    label: 'Lifted tuck',
    scoring: rungs,
    opensAt: bars(1, 2, 1),
    validDays: 42,
    voidedBy: [],
    most: 3,
    columns: ['wrists'],
    strains: ['wrist', 'shoulder', 'scapula', 'core', 'hip', 'leg', 'elbow'],
    minutes: 0.8,
    method: 'Hands on blocks: what leaves the floor and stays up for two breaths.',
    levels: ['none', 'one heel', 'both heels', 'clear of the floor'],
  },
  'crow-hold': {
    label: 'Crow hold',
    scoring: hold,
    opensAt: bars(5, 10, 3),
    validDays: 28,
    voidedBy: ['feet-push-off'],
    most: mostSeconds,
    columns: ['wrists', 'mild'],
    strains: ['shoulder', 'scapula', 'hip', 'leg', 'elbow'],
    takenIn: 'CR6',
    minutes: 0.4,
    method: 'From the side: knees on the arms, both feet off. The clock stops when a foot touches.',
    loads: { wrist: 0.9, core: 0.6 },
  },
  'wrist-extension': {
    label: 'Wrist extension',
    scoring: degrees,
    opensAt: bars(80, 80, 70),
    validDays: 90,
    voidedBy: [],
    most: 130,
    columns: ['wrists'],
    strains: ['wrist'],
    minutes: 0.8,
    method:
      'Kneeling, palm flat: the angle between forearm and hand before the heel of the hand lifts.',
  },
  'shoulder-flexion': {
    label: 'Shoulder flexion, back flat',
    scoring: degrees,
    opensAt: bars(165, 170, 155),
    validDays: 90,
    voidedBy: ['ribs-flare'],
    most: 200,
    columns: ['reach'],
    strains: ['shoulder'],
    minutes: 0.8,
    method: 'On the back, ribs down: how far the arm goes overhead from the side of the trunk.',
  },
  'straight-leg-raise': {
    label: 'Straight-leg raise',
    scoring: degrees,
    opensAt: bars(70, 70, 60),
    validDays: 90,
    voidedBy: [],
    most: 150,
    columns: [],
    strains: ['hamstring', 'back', 'hip'],
    minutes: 0.8,
    method:
      'On the back, the other leg down: how far the straight leg goes before the pelvis turns.',
  },
  'talk-test': {
    label: 'Talk test',
    scoring: sameDay,
    opensAt: same(1),
    validDays: 0,
    voidedBy: [],
    isSafety: true,
    most: 1,
    columns: [],
    strains: [],
    minutes: 0.4,
    method: 'In the middle of the hold: can a whole sentence be said?',
    askedIn: 'the-hold',
    takenIn: 'SS7',
    isPrivate: true,
  },
  'controlled-exit': {
    label: 'Controlled exit',
    scoring: passes(3, 2),
    opensAt: same(3),
    validDays: 56,
    voidedBy: ['heavy-landing'],
    byBase: true,
    isSafety: true,
    most: 1,
    columns: ['light'],
    strains: ['shoulder', 'scapula', 'core', 'leg', 'hip', 'back'],
    takenIn: { hands: 'HB11', forearms: 'FS10', head: 'HS7' },
    minutes: 0.4,
    method: 'The way down is slow, one leg after the other, and lands softly.',
  },
  confidence: {
    label: 'Confidence, the student’s word',
    scoring: { kind: 'rating', unit: 'points', better: 'more', readingError: 1 },
    opensAt: bars(5, 5, 4),
    validDays: 14,
    voidedBy: [],
    byBase: true,
    most: 10,
    columns: [],
    strains: [],
    minutes: 0.4,
    method: 'Ask, and write down the number that is said.',
  },
} as const satisfies Record<string, ShippedCheck>;

export type CheckId = keyof typeof checkTable;
export const checkIds = Object.keys(checkTable) as [CheckId, ...CheckId[]];
export const isShippedCheck = (check: CheckKey): check is CheckId =>
  Object.hasOwn(checkTable, check);

/** The check's row, with the optional fields visible to the compiler. */
export function getCheck(id: CheckId): ShippedCheck {
  return checkTable[id];
}
