import { getCheck, type BaseId, type CheckId, type CheckSpec } from '../catalog/checks';
import type { ProfileId } from '../catalog/profiles';
import { InputProblem } from '../problem';
import { dayNumber, type Day } from '../units/day';
import { assessLevel } from './assessLevel';
import { assessMeasure } from './assessMeasure';
import { assessPassOfLast, assessPasses, assessSameDay } from './assessPass';
import type { Level } from './level';
import type { CheckRecord, Side } from './record';

export type CheckStatus = 'met' | 'borderline' | 'not-yet' | 'stale' | 'unknown';

/** What the records say about one check today. */
export interface Assessment {
  /** 0-1; `null` for measures, levels and ratings, and where nothing is known. */
  readonly probability: number | null;
  readonly status: CheckStatus;
  /** On the log scale; holds and repetitions only. */
  readonly level?: Level;
  /** The bar asked for, in the check's own unit. */
  readonly threshold: number;
  readonly reasons: readonly string[];
  /** The side that decided, where sides count. */
  readonly side?: Side;
}

export interface AssessInput {
  readonly check: CheckId;
  readonly profile: ProfileId;
  readonly asOf: Day;
  readonly records: readonly CheckRecord[];
  /** Required for checks kept apart by base. */
  readonly base?: BaseId;
  /** Share of the profile's bar that a gate asks for: 0.5 is "at half". Default 1. */
  readonly barShare?: number;
}

/** What each scoring rule gets: one side's records in date order, days as numbers. */
export interface ScoreInput {
  readonly check: CheckId;
  readonly spec: CheckSpec;
  readonly profile: ProfileId;
  readonly today: number;
  readonly records: readonly CheckRecord[];
  /** Day number of each record. */
  readonly days: readonly number[];
  readonly threshold: number;
}

/** From worst to best; the weaker side is the one that stands first. */
const statusOrder: readonly CheckStatus[] = ['unknown', 'not-yet', 'stale', 'borderline', 'met'];

/**
 * Judges one check from its records, by the model of handbook 06.
 *
 * @throws InputProblem `future-date` for a record after `asOf`, `invalid` for a missing base
 */
export function assess(input: AssessInput): Assessment {
  const spec = getCheck(input.check);
  const today = dayNumber(input.asOf, ['asOf']);
  if (spec.byBase && input.base === undefined) {
    throw new InputProblem(
      'invalid',
      `${spec.label} is kept apart by base: say hands, forearms or head.`,
      ['base'],
    );
  }
  const dated = input.records.map((record, index) => {
    const day = dayNumber(record.date, ['records', index, 'date']);
    if (day > today) {
      throw new InputProblem('future-date', `${record.date} lies after ${input.asOf}.`, [
        'records',
        index,
        'date',
      ]);
    }
    return { record, day };
  });
  const relevant = dated
    .filter(({ record }) => !spec.byBase || record.base === input.base)
    .sort((a, b) => a.day - b.day);
  const threshold = spec.opensAt[input.profile] * (input.barShare ?? 1);
  const score = (side?: Side): Assessment => {
    const own = relevant.filter(
      ({ record }) => side === undefined || record.side === undefined || record.side === side,
    );
    return scoreSide({
      check: input.check,
      spec,
      profile: input.profile,
      today,
      records: own.map(({ record }) => record),
      days: own.map(({ day }) => day),
      threshold,
    });
  };
  return spec.hasSides ? weaker(score('left'), score('right')) : score();
}

function scoreSide(input: ScoreInput): Assessment {
  const { scoring } = input.spec;
  if (input.records.length === 0) {
    return {
      probability: null,
      status: 'unknown',
      threshold: input.threshold,
      reasons: ['never seen'],
    };
  }
  switch (scoring.kind) {
    case 'hold':
    case 'reps':
      return assessLevel(input, scoring.kind);
    case 'pass':
      return assessPasses(input, scoring);
    case 'pass-of-last':
      return assessPassOfLast(input, scoring);
    case 'same-day':
      return assessSameDay(input);
    case 'measure':
    case 'level':
    case 'rating':
      return assessMeasure(input, scoring);
    default:
      return scoring satisfies never;
  }
}

function weaker(left: Assessment, right: Assessment): Assessment {
  const rank = (a: Assessment) => statusOrder.indexOf(a.status);
  const isEven =
    left.status === right.status &&
    Math.abs((left.probability ?? 0) - (right.probability ?? 0)) < 1e-9;
  if (isEven) return left;
  const isLeft =
    rank(left) !== rank(right)
      ? rank(left) < rank(right)
      : (left.probability ?? 0) < (right.probability ?? 0);
  const [chosen, side] = isLeft ? ([left, 'left'] as const) : ([right, 'right'] as const);
  const [first, ...rest] = chosen.reasons;
  return { ...chosen, side, reasons: [`${side} side: ${first}`, ...rest] };
}
