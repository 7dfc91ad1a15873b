import { type BaseId, type CheckKey, type CheckSpec, type FaultId } from '@/core/catalog/checks';
import type { MoveId } from '@/core/atlas/moves';
import { sidesOfCheck, type AskedSide } from '@/core/catalog/askedSides';
import { moveOfCheck } from '@/core/catalog/checkKinds';
import type { CheckDemand, Demand } from '@/core/catalog/demand';
import { isLengthCheck, sayValue, unitOf } from '@/core/catalog/sayCheck';
import { sayMethod } from '@/core/catalog/taking';
import type { School } from '@/core/catalog/school';
import type { GateItem } from '@/core/ladder/gate';
import type { CheckStatus } from '@/core/readiness/assess';
import { fromLogScale } from '@/core/readiness/level';

/** How a check's value is typed. */
export type ValueKind = 'seconds' | 'count' | 'pass' | 'number';

/** One line of the gate, ready to be shown and recorded against; plain data for the browser. */
export interface GateRow {
  readonly key: string;
  /** `null` where nothing can be recorded: equipment, another stage. */
  readonly check: CheckKey | null;
  readonly base: BaseId | null;
  readonly label: string;
  readonly status: CheckStatus;
  /** `about 38 s now, bar 45 s · bar seen on one day only` */
  readonly figures: string;
  readonly valueKind: ValueKind;
  /** As the core has it: a length is in centimetres. */
  readonly unitLabel: string;
  /** Read and typed in the studio's units of length. */
  readonly isLength?: true;
  /** To choose from; empty: there are none to it. */
  readonly sides: readonly AskedSide[];
  readonly voidedBy: readonly FaultId[];
  readonly isAtDoor: boolean;
  /** How it is taken; absent where the teacher whose check it is never said. */
  readonly method?: string;
  /** How it is taken, drawn. */
  readonly move?: MoveId;
  /** What each level is called, from 0 on. */
  readonly levels?: readonly string[];
}

/** What is said of a check wherever it is recorded. */
function wordsOf(
  base: BaseId | null,
  spec: CheckSpec,
): Pick<GateRow, 'method' | 'levels' | 'move'> {
  const move = moveOfCheck(spec, base ?? undefined);
  const method = sayMethod(spec);
  return {
    ...(method === undefined ? {} : { method }),
    ...(spec.levels === undefined ? {} : { levels: spec.levels }),
    ...(move === null ? {} : { move }),
  };
}

export function valueKindOf({ scoring }: CheckSpec): ValueKind {
  switch (scoring.kind) {
    case 'hold':
      return 'seconds';
    case 'reps':
      return 'count';
    case 'pass':
    case 'pass-of-last':
    case 'same-day':
      return 'pass';
    case 'measure':
    case 'level':
    case 'rating':
      return 'number';
    default:
      return scoring satisfies never;
  }
}

const unitWords = (spec: CheckSpec): Pick<GateRow, 'unitLabel' | 'isLength'> => ({
  unitLabel: unitOf(spec, 'cm'),
  ...(isLengthCheck(spec) ? { isLength: true as const } : {}),
});

/** The check a line of a gate is recorded by: itself, or the first of several that would do. */
function findRecorded(demand: Demand): CheckDemand | null {
  if ('check' in demand) return demand;
  const inner = 'anyOf' in demand ? demand.anyOf : 'allOf' in demand ? demand.allOf : [];
  for (const one of inner) {
    const found = findRecorded(one);
    if (found !== null) return found;
  }
  return null;
}

export function toGateRow(item: GateItem, school: School): GateRow {
  const recorded = findRecorded(item.demand);
  const spec = recorded === null ? undefined : school.checks.get(recorded.check)?.spec;
  const reasons = item.reasons.join('; ');
  if (recorded === null || spec === undefined) {
    return {
      key: JSON.stringify(item.demand),
      check: null,
      base: null,
      label: item.label,
      status: item.status,
      figures: reasons,
      valueKind: 'pass',
      unitLabel: '',
      sides: [],
      voidedBy: [],
      isAtDoor: false,
    };
  }
  const { kind } = spec.scoring;
  const bar = `bar ${sayValue(spec, Math.round(item.threshold), 'cm')}`;
  const now =
    item.level && (kind === 'hold' || kind === 'reps')
      ? `about ${sayValue(spec, Math.round(fromLogScale(kind, item.level.mean)), 'cm')} now, `
      : '';
  const isFigured = item.level || (item.status === 'unknown' && !item.isAtDoor);
  return {
    key: `${recorded.check}/${recorded.base ?? ''}`,
    check: recorded.check,
    base: recorded.base ?? null,
    label: item.label,
    status: item.status,
    // A measure's own reason already names value and bar.
    figures: isFigured ? `${now}${bar} · ${reasons}` : reasons,
    valueKind: valueKindOf(spec),
    ...unitWords(spec),
    sides: sidesOfCheck(spec),
    voidedBy: spec.voidedBy,
    isAtDoor: item.isAtDoor === true,
    ...wordsOf(recorded.base ?? null, spec),
  };
}

/** A line to record against for a check that stands in no gate at hand. */
export function rowOf(check: CheckKey, base: BaseId | null, spec: CheckSpec): GateRow {
  return {
    key: `${check}/${base ?? ''}`,
    check,
    base,
    label: spec.label,
    status: 'unknown',
    figures: '',
    valueKind: valueKindOf(spec),
    ...unitWords(spec),
    sides: sidesOfCheck(spec),
    voidedBy: spec.voidedBy,
    isAtDoor: false,
    ...wordsOf(base, spec),
  };
}
