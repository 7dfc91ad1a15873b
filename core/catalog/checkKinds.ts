/** What a check is, and the few ways of scoring one. Source: handbook 03, 06. */
import type { MoveId } from '../atlas/moves';
import type { CautionColumn } from './cautionColumns';
import type { FaultId } from './faults';
import type { ProfileId } from './profiles';
import type { BodyRegion, RegionLoads } from './regions';
import type { StageKey } from './stage';
import type { Taking } from './taking';

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

/** `Stage` is for the table of the checks alone: the stages' gates are made of its keys. */
export interface CheckSpec<Stage extends string = StageKey> {
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
  readonly takenIn?: Stage | Readonly<Record<BaseId, Stage>>;
  /** How it is taken, drawn; of a teacher’s own, the nearest they chose. */
  readonly move?: MoveId | Readonly<Record<BaseId, MoveId>>;
  /** Asked in the middle of the shape that stands beside, not on arriving. */
  readonly askedIn?: 'the-hold';
  /** Taken twice on a day, before the class and after it: the two are set side by side. */
  readonly isTwiceADay?: true;
  /** Held with the hips level with the heart or below: no time upside down. */
  readonly isLevel?: true;
  /** Says something of the student's health: the teacher's to record and to see. */
  readonly isPrivate?: true;
  /** Safe alone, both feet or the whole back on the floor, the head free; and how. */
  readonly home?: { readonly columns: readonly CautionColumn[]; readonly how: string };
  /** What each level is called, from 0 on. */
  readonly levels?: readonly string[];
  /** From where it is looked at and what it is read off. */
  readonly taking?: Taking;
  /** What is done and what ends it, in a sentence or two. */
  readonly method?: string;
}

/** A check that ships also says how it is taken. */
export interface ShippedCheck<Stage extends string = StageKey> extends CheckSpec<Stage> {
  readonly move: MoveId | Readonly<Record<BaseId, MoveId>>;
  readonly taking: Taking;
  readonly method: string;
  readonly minutes: number;
  /** Offered first where a hold is begun and none is planned. */
  readonly isUsualHold?: true;
}

export const bars = (prop: number, strength: number, play: number) => ({
  'prop-led': prop,
  'strength-led': strength,
  'play-led': play,
});
export const same = (value: number) => bars(value, value, value);

export const hold = { kind: 'hold' } as const;
export const reps = { kind: 'reps' } as const;
export const sameDay = { kind: 'same-day' } as const;
export const passes = (needed: number, days: number) =>
  ({ kind: 'pass', passes: needed, days }) as const;
export const centimetres = (better: 'more' | 'less') =>
  ({ kind: 'measure', unit: 'cm', better, readingError: 1 }) as const;
export const degrees = {
  kind: 'measure',
  unit: 'degrees',
  better: 'more',
  readingError: 5,
} as const;
export const rungs = { kind: 'level', unit: 'rung', better: 'more', readingError: 1 } as const;

/** An hour: beyond it a hold is a typing mistake. */
export const mostSeconds = 3600;
export const mostReps = 500;

/** The drawing of a check, on the base it is taken on. */
export const moveOfCheck = (
  { move }: Pick<CheckSpec, 'move'>,
  base: BaseId | undefined,
): MoveId | null =>
  move === undefined ? null : typeof move === 'string' ? move : move[base ?? 'hands'];
