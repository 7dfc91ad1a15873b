import type { BaseId, FaultId } from '../catalog/checks';
import { getCheck, type CheckId } from '../catalog/checks';
import type { Day } from '../units/day';

/** One thing a teacher saw. Seconds, repetitions, 1 or 0 for pass/fail, or the measure itself. */
export interface CheckRecord {
  readonly date: Day;
  readonly value: number;
  /** The teacher ended it: the true value is at least this. */
  readonly stoppedByTeacher?: boolean;
  readonly faults?: readonly FaultId[];
  readonly pain?: boolean;
  /** Absent: counts for both sides. */
  readonly side?: 'left' | 'right';
  readonly base?: BaseId;
}

export type Side = 'left' | 'right';

/** A record with a voiding fault, or with pain, can only count against (handbook 06). */
export function isVoided(check: CheckId, record: CheckRecord): boolean {
  const { voidedBy } = getCheck(check);
  return (
    record.pain === true || (record.faults ?? []).some((fault) => voidedBy.some((v) => v === fault))
  );
}
