/**
 * What a teacher can record about a student, and the bar each check opens at.
 * Source: handbook 03 "Checks"; identifiers from handbook 11 "readiness".
 */
import type { ProfileId } from './profiles';

export const faultTable = {
  'head-touches': 'head touches',
  'sinks-on-block': 'sinks onto the block',
  'elbows-slide': 'elbows slide apart',
  'shoulders-pass-wrists': 'shoulders pass the wrists',
  'ribs-flare': 'ribs flare',
  'low-back-arch': 'low back arches',
  sag: 'sags',
  shrug: 'shrugs',
  'chin-pokes': 'chin pokes',
  'elbows-bend': 'elbows bend',
  'swing-kick': 'swings the kick',
  'knee-bends': 'knee bends',
  'feet-push-off': 'feet push off',
  'hopped-in': 'hopped in',
  'heavy-landing': 'heavy landing',
  'neck-strain': 'neck strain',
  'breath-held': 'breath held',
  'strain-in-face': 'strain in the face',
  'looks-scared': 'looks scared',
} as const;

export type FaultId = keyof typeof faultTable;
export const faultIds = Object.keys(faultTable) as [FaultId, ...FaultId[]];

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
  },
  'plank-hold': {
    label: 'Plank hold',
    scoring: hold,
    opensAt: bars(20, 45, 20),
    validDays: 28,
    voidedBy: ['sag', 'shrug'],
    timedTogether: true,
    most: mostSeconds,
  },
  'dolphin-hold': {
    label: 'Dolphin hold',
    scoring: hold,
    opensAt: bars(45, 60, 30),
    validDays: 28,
    voidedBy: ['head-touches', 'elbows-slide'],
    timedTogether: true,
    most: mostSeconds,
  },
  'dolphin-push-ups': {
    label: 'Dolphin push-ups, hands clasped',
    scoring: reps,
    opensAt: bars(5, 10, 5),
    validDays: 28,
    voidedBy: ['elbows-slide', 'shrug'],
    most: mostReps,
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
  },
  'head-clearance': {
    label: 'Head clearance in dolphin',
    scoring: centimetres('more'),
    opensAt: bars(3, 3, 1),
    validDays: 56,
    voidedBy: [],
    most: 40,
  },
  'elbow-drift': {
    label: 'Elbow drift after clasping',
    scoring: centimetres('less'),
    opensAt: bars(2, 2, 3),
    validDays: 56,
    voidedBy: [],
    isSafety: true,
    most: 40,
  },
  'crown-control': {
    label: 'Crown control',
    scoring: passes(2, 2),
    opensAt: same(2),
    validDays: 28,
    voidedBy: ['neck-strain'],
    isSafety: true,
    most: 1,
  },
  'head-load': {
    label: 'Head load in the base set',
    scoring: { kind: 'measure', unit: 'percent', better: 'less', readingError: 3 },
    opensAt: bars(10, 5, 20),
    validDays: 28,
    voidedBy: ['neck-strain'],
    isSafety: true,
    most: 100,
  },
  'paper-slip': {
    label: 'Paper slips out from under the crown',
    scoring: passes(2, 2),
    opensAt: same(2),
    validDays: 28,
    voidedBy: ['neck-strain'],
    isSafety: true,
    most: 1,
  },
  'wall-hold': {
    label: 'Wall hold, heels or sole on the wall',
    scoring: hold,
    opensAt: bars(15, 25, 10),
    validDays: 28,
    voidedBy: ['low-back-arch'],
    byBase: true,
    most: mostSeconds,
  },
  'tuck-hold': {
    label: 'Tuck hold',
    scoring: hold,
    opensAt: bars(10, 10, 5),
    validDays: 28,
    voidedBy: ['hopped-in'],
    most: mostSeconds,
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
  },
  'push-up-rung': {
    label: 'Push-up ladder rung',
    scoring: rungs,
    opensAt: bars(3, 5, 2),
    validDays: 42,
    voidedBy: ['shrug', 'chin-pokes'],
    most: 8,
  },
  'l-hold': {
    label: 'L hold',
    scoring: hold,
    opensAt: bars(6, 15, 5),
    validDays: 28,
    voidedBy: ['shoulders-pass-wrists', 'ribs-flare'],
    byBase: true,
    most: mostSeconds,
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
  },
  'blocks-kept': {
    label: 'Blocks kept in the kick',
    scoring: { kind: 'pass-of-last', passes: 3, last: 5 },
    opensAt: same(3),
    validDays: 28,
    voidedBy: [],
    most: 1,
  },
  'hops-reaching': {
    label: 'Hops that reach the wall, best of 10',
    scoring: reps,
    opensAt: bars(3, 5, 1),
    validDays: 28,
    voidedBy: ['knee-bends'],
    most: 10,
  },
  'balance-off-wall': {
    label: 'Balance off the wall',
    scoring: hold,
    opensAt: bars(5, 10, 5),
    validDays: 28,
    voidedBy: [],
    byBase: true,
    most: mostSeconds,
  },
  'headstand-hold': {
    label: 'Headstand hold',
    scoring: hold,
    opensAt: bars(15, 30, 10),
    validDays: 28,
    voidedBy: ['neck-strain'],
    most: mostSeconds,
  },
  'shoulder-stand-hold': {
    label: 'Shoulder stand hold',
    scoring: hold,
    opensAt: same(30),
    validDays: 42,
    voidedBy: ['neck-strain'],
    most: mostSeconds,
  },
  'upright-walk-in': {
    label: 'Upright back on walk-in',
    scoring: passes(2, 1),
    opensAt: same(2),
    validDays: 42,
    voidedBy: [],
    most: 1,
  },
  'easy-lotus': {
    label: 'Easy lotus, both sides',
    scoring: passes(2, 1),
    opensAt: same(2),
    validDays: 90,
    voidedBy: [],
    most: 1,
  },
  'neck-ease': {
    label: 'Neck ease',
    scoring: sameDay,
    opensAt: same(1),
    validDays: 0,
    voidedBy: [],
    isSafety: true,
    most: 1,
  },
  'lifted-tuck': {
    label: 'Lifted tuck',
    scoring: rungs,
    opensAt: bars(1, 2, 1),
    validDays: 42,
    voidedBy: [],
    most: 3,
  },
  'crow-hold': {
    label: 'Crow hold',
    scoring: hold,
    opensAt: bars(5, 10, 3),
    validDays: 28,
    voidedBy: ['feet-push-off'],
    most: mostSeconds,
  },
  'wrist-extension': {
    label: 'Wrist extension',
    scoring: degrees,
    opensAt: bars(80, 80, 70),
    validDays: 90,
    voidedBy: [],
    most: 130,
  },
  'shoulder-flexion': {
    label: 'Shoulder flexion, back flat',
    scoring: degrees,
    opensAt: bars(165, 170, 155),
    validDays: 90,
    voidedBy: ['ribs-flare'],
    most: 200,
  },
  'straight-leg-raise': {
    label: 'Straight-leg raise',
    scoring: degrees,
    opensAt: bars(70, 70, 60),
    validDays: 90,
    voidedBy: [],
    most: 150,
  },
  'talk-test': {
    label: 'Talk test',
    scoring: sameDay,
    opensAt: same(1),
    validDays: 0,
    voidedBy: [],
    isSafety: true,
    most: 1,
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
  },
  confidence: {
    label: 'Confidence, the student’s word',
    scoring: { kind: 'rating', unit: 'points', better: 'more', readingError: 1 },
    opensAt: bars(5, 5, 4),
    validDays: 14,
    voidedBy: [],
    byBase: true,
    most: 10,
  },
} as const satisfies Record<string, CheckSpec>;

export type CheckId = keyof typeof checkTable;
export const checkIds = Object.keys(checkTable) as [CheckId, ...CheckId[]];

/** The check's row, with the optional fields visible to the compiler. */
export function getCheck(id: CheckId): CheckSpec {
  return checkTable[id];
}
