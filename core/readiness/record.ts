import type { BaseId, CheckKey, CheckSpec, FaultId } from '../catalog/checks';
import type { PainPlace } from '../catalog/regions';
import type { Day } from '../units/day';

/** What a record was read off, where it was not seen by eye, by tape or by clock. */
export const readings = ['picture', 'clip', 'camera'] as const;
export type ReadBy = (typeof readings)[number];

export const readByWords = {
  picture: 'from a picture',
  clip: 'from a clip',
  camera: 'from the camera',
} as const satisfies Record<ReadBy, string>;

/** One thing a teacher saw. Seconds, repetitions, 1 or 0 for pass/fail, or the measure itself. */
export interface CheckRecord {
  readonly date: Day;
  readonly value: number;
  /** The teacher ended it: the true value is at least this. */
  readonly stoppedByTeacher?: boolean;
  readonly faults?: readonly FaultId[];
  readonly pain?: boolean;
  /** Where it hurt; absent with pain: closes as much as a place nobody can name. */
  readonly painPlace?: PainPlace;
  /** Absent: counts for both sides. */
  readonly side?: 'left' | 'right';
  readonly base?: BaseId;
  readonly readBy?: ReadBy;
  /** One standard deviation of what was read off, in the unit of the check. */
  readonly readingError?: number;
}

export type Side = 'left' | 'right';
/** Weaker over stronger side under which a check is lopsided, and the weaker comes first (handbook 03). */
export const lopsidedUnder = 0.8;

/** One person's records by check, oldest first, those of a day in the order entered. */
export type Evidence = Readonly<Partial<Record<CheckKey, readonly CheckRecord[]>>>;

/** A record with a voiding fault, or with pain, can only count against (handbook 06). */
export function isVoided(spec: Pick<CheckSpec, 'voidedBy'>, record: CheckRecord): boolean {
  if (record.pain === true) return true;
  const faults = record.faults;
  return (
    faults !== undefined &&
    faults.length > 0 &&
    faults.some((fault) => spec.voidedBy.includes(fault))
  );
}
