import { getCheck, type BaseId, type CheckId, type FaultId } from '@/core/catalog/checks';
import type { GateItem } from '@/core/ladder/gate';
import type { CheckStatus } from '@/core/readiness/assess';
import { fromLogScale } from '@/core/readiness/level';

/** How a check's value is typed. */
export type ValueKind = 'seconds' | 'count' | 'pass' | 'number';

/** One line of the gate, ready to be shown and recorded against; plain data for the browser. */
export interface GateRow {
  readonly key: string;
  readonly check: CheckId;
  readonly base: BaseId | null;
  readonly label: string;
  readonly status: CheckStatus;
  /** `about 38 s now, bar 45 s · bar seen on one day only` */
  readonly figures: string;
  readonly valueKind: ValueKind;
  readonly unitLabel: string;
  readonly hasSides: boolean;
  readonly voidedBy: readonly FaultId[];
}

const measureUnits = {
  cm: ' cm',
  degrees: '°',
  percent: ' %',
  rung: '',
  points: ' of 10',
} as const;

function unitOf(check: CheckId): string {
  const { scoring } = getCheck(check);
  if (scoring.kind === 'hold') return ' s';
  return 'unit' in scoring ? measureUnits[scoring.unit] : '';
}

function valueKindOf(check: CheckId): ValueKind {
  switch (getCheck(check).scoring.kind) {
    case 'hold':
      return 'seconds';
    case 'reps':
      return 'count';
    case 'pass':
    case 'pass-of-last':
    case 'same-day':
      return 'pass';
    default:
      return 'number';
  }
}

/** Whole numbers for people; shares of a bar may leave fractions. */
const whole = (value: number) => String(Math.round(value));

export function toGateRow(item: GateItem): GateRow {
  const { check, base } = item.demand;
  const spec = getCheck(check);
  const unit = unitOf(check);
  const kind = spec.scoring.kind;
  const bar = `bar ${whole(item.threshold)}${unit}`;
  const now =
    item.level && (kind === 'hold' || kind === 'reps')
      ? `about ${whole(fromLogScale(kind, item.level.mean))}${unit} now, `
      : '';
  const reasons = item.reasons.join('; ');
  return {
    key: `${check}/${base ?? ''}`,
    check,
    base: base ?? null,
    label: item.label,
    status: item.status,
    // A measure's own reason already names value and bar.
    figures: item.level || item.status === 'unknown' ? `${now}${bar} · ${reasons}` : reasons,
    valueKind: valueKindOf(check),
    unitLabel: unit.trim(),
    hasSides: spec.hasSides ?? false,
    voidedBy: spec.voidedBy,
  };
}
