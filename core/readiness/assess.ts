import type { BaseId, CheckId, CheckKey, CheckSpec } from '../catalog/checks';
import type { ProfileId } from '../catalog/profiles';
import { getCheckIn, shippedSchool, type School } from '../catalog/school';
import { InputProblem } from '../problem';
import { dayNumber, type Day } from '../units/day';
import { assessLevel } from './assessLevel';
import { assessMeasure } from './assessMeasure';
import { assessPassOfLast, assessPasses, assessSameDay } from './assessPass';
import { findLevel, type Level } from './level';
import type { CheckRecord, Evidence, Side } from './record';

export const checkStatuses = ['met', 'borderline', 'not-yet', 'stale', 'unknown'] as const;
export type CheckStatus = (typeof checkStatuses)[number];

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
  /** Days on which the bar itself was seen lately; holds and repetitions only. */
  readonly seenDays?: number;
  /** The side that decided, where sides count. */
  readonly side?: Side;
}

/** One side's records of a check in date order, ready to be judged against any bar. */
export interface SideHistory {
  readonly spec: CheckSpec;
  /** The profile's whole bar. */
  readonly bar: number;
  readonly today: number;
  readonly records: readonly CheckRecord[];
  /** Day number of each record. */
  readonly days: readonly number[];
  /** Holds and repetitions, once there is a record: the level grown to today. */
  readonly level: Level | null;
}

/** What each scoring rule gets. */
export interface ScoreInput extends SideHistory {
  readonly threshold: number;
  /** The bar must have been seen on so many days; the model's own two otherwise. */
  readonly onDays?: number;
}

export interface Question {
  /** Required for checks kept apart by base. */
  readonly base?: BaseId;
  /** In the check's own unit; absent: the profile's whole bar. */
  readonly threshold?: number;
  readonly onDays?: number;
}

/** Judges a person's checks, each history read and run through the model once. */
export interface Assessor {
  /** @throws InputProblem `invalid` for a check not in the catalog or a missing base */
  assess: (check: CheckKey, question?: Question) => Assessment;
  /** The history behind a check: one for each side where sides count, otherwise one. */
  histories: (check: CheckKey, base?: BaseId) => readonly SideHistory[];
}

export interface AssessorInput {
  readonly school: School;
  readonly asOf: Day;
  readonly evidence: Evidence;
}

/** From worst to best; the weaker side is the one that stands first. */
const statusOrder: readonly CheckStatus[] = ['unknown', 'not-yet', 'stale', 'borderline', 'met'];
const sides: readonly Side[] = ['left', 'right'];

/** Reads one person's evidence for a school on a day; nothing is computed before it is asked for. */
export function createAssessor({ school, asOf, evidence }: AssessorInput): Assessor {
  const today = dayNumber(asOf, ['asOf']);
  const cache = new Map<string, readonly SideHistory[]>();

  const histories = (check: CheckKey, base?: BaseId): readonly SideHistory[] => {
    const key = base === undefined ? check : `${check}/${base}`;
    let found = cache.get(key);
    if (found === undefined) {
      found = readHistories(school, check, base, evidence[check] ?? [], today, asOf);
      cache.set(key, found);
    }
    return found;
  };

  // A ladder asks the same of a check at rung after rung, along every way up.
  const assessed = new Map<string, Assessment>();
  const score = (own: readonly SideHistory[], threshold: number, onDays?: number): Assessment => {
    const asked = { threshold, ...(onDays ? { onDays } : {}) };
    if (own.length === 1) return scoreSide(own[0]!, asked);
    return weaker(judgeSide(own[0]!, asked), judgeSide(own[1]!, asked));
  };

  return {
    histories,
    assess: (check, { base, threshold, onDays } = {}) => {
      const own = histories(check, base);
      const bar = threshold ?? own[0]!.bar;
      const key = `${check}/${base ?? ''}/${bar}/${onDays ?? ''}`;
      let found = assessed.get(key);
      if (found === undefined) {
        found = score(own, bar, onDays);
        assessed.set(key, found);
      }
      return found;
    },
  };
}

function readHistories(
  school: School,
  check: CheckKey,
  base: BaseId | undefined,
  records: readonly CheckRecord[],
  today: number,
  asOf: Day,
): readonly SideHistory[] {
  const { spec, bar } = getCheckIn(school, check);
  if (spec.byBase && base === undefined) {
    throw new InputProblem(
      'invalid',
      `${spec.label} is kept apart by base: say hands, forearms or head.`,
      ['base'],
    );
  }
  const days = records.map((record, index) => {
    const day = dayNumber(record.date, ['records', index, 'date']);
    if (day > today) {
      throw new InputProblem('future-date', `${record.date} lies after ${asOf}.`, [
        'records',
        index,
        'date',
      ]);
    }
    return day;
  });
  let order = records.map((_, index) => index);
  if (spec.byBase) order = order.filter((index) => records[index]!.base === base);
  if (order.some((at, index) => index > 0 && days[at]! < days[order[index - 1]!]!)) {
    order.sort((a, b) => days[a]! - days[b]! || a - b);
  }
  const { kind } = spec.scoring;
  const of = (chosen: readonly number[]): SideHistory => {
    const own = chosen.map((index) => records[index]!);
    const ownDays = chosen.map((index) => days[index]!);
    const level =
      kind === 'hold' || kind === 'reps'
        ? findLevel({ kind, spec, bar }, { records: own, days: ownDays }, today)
        : null;
    return { spec, bar, today, records: own, days: ownDays, level };
  };
  if (!spec.hasSides) return [of(order)];
  return sides.map((side) =>
    of(order.filter((at) => records[at]!.side === undefined || records[at]!.side === side)),
  );
}

/** Judges one side's history against a bar. */
export function scoreSide(
  history: SideHistory,
  asked: { readonly threshold: number; readonly onDays?: number },
): Assessment {
  const input: ScoreInput = { ...history, ...asked };
  const { threshold } = asked;
  if (threshold <= 0) {
    return { probability: null, status: 'met', threshold, reasons: ['nothing asked here'] };
  }
  if (history.records.length === 0) {
    return { probability: null, status: 'unknown', threshold, reasons: ['never seen'] };
  }
  const { scoring } = history.spec;
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

/** The newest figure of a measure, the larger the better; 0 where a probability says it all. */
function figureOf({ spec, records }: SideHistory): number {
  const { scoring } = spec;
  if (scoring.kind !== 'measure') return 0;
  const value = records.at(-1)?.value ?? 0;
  return scoring.better === 'more' ? value : -value;
}

/** One side, and what tells it from the other: status, probability, figure, each the less the weaker. */
interface JudgedSide {
  readonly said: Assessment;
  readonly marks: readonly [status: number, probability: number, figure: number];
}

function judgeSide(history: SideHistory, asked: Parameters<typeof scoreSide>[1]): JudgedSide {
  const said = scoreSide(history, asked);
  const { status, probability } = said;
  return { said, marks: [statusOrder.indexOf(status), probability ?? 0, figureOf(history)] };
}

function weaker(left: JudgedSide, right: JudgedSide): Assessment {
  const less = left.marks
    .map((mark, index) => mark - right.marks[index]!)
    .find((difference) => Math.abs(difference) >= 1e-9);
  if (less === undefined) return left.said;
  const [chosen, side] =
    less < 0 ? ([left.said, 'left'] as const) : ([right.said, 'right'] as const);
  const [first, ...rest] = chosen.reasons;
  return { ...chosen, side, reasons: [`${side} side: ${first}`, ...rest] };
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

/**
 * Judges one check from its records under a shipped profile, by the model of handbook 06.
 *
 * @throws InputProblem `future-date` for a record after `asOf`, `invalid` for a missing base
 */
export function assess({ check, profile, asOf, records, base, barShare }: AssessInput): Assessment {
  const school = shippedSchool(profile);
  const assessor = createAssessor({ school, asOf, evidence: { [check]: records } });
  return assessor.assess(check, {
    threshold: getCheckIn(school, check).bar * (barShare ?? 1),
    ...(base === undefined ? {} : { base }),
  });
}
