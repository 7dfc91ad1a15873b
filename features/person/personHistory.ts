/** A person's checks over time, ready to be drawn: points, band, bar, staleness. */
import { getFault, type BaseId, type CheckKey, type CheckSpec } from '@/core/catalog/checks';
import { barOf, getCheckIn, isStricter } from '@/core/catalog/school';
import type { CheckDemand } from '@/core/catalog/demand';
import { walkDemand } from '@/core/catalog/demand';
import type { OpenedCase } from '@/core/ladder/case';
import { listNext } from '@/core/ladder/stand';
import { sayValue, unitOf } from '@/core/catalog/sayCheck';
import { ladderIds } from '@/core/catalog/stage';
import type { CheckStatus, SideHistory } from '@/core/readiness/assess';
import { compareInDay } from '@/core/readiness/inDay';
import { forecast, type Forecast } from '@/core/readiness/forecast';
import { fromLogScale, traceLevel } from '@/core/readiness/level';
import {
  isVoided,
  lopsidedUnder,
  readByWords,
  type CheckRecord,
  type Side,
} from '@/core/readiness/record';
import { addDays, type Day } from '@/core/units/day';
import type { StoredRecord } from '@/db/records';
import { rowOf, valueKindOf, type GateRow, type ValueKind } from '@/server/judging/gateRows';

export interface ChartPoint {
  readonly date: Day;
  readonly value: number;
  readonly kind: 'plain' | 'at-least' | 'voided' | 'fail';
  readonly side: Side | null;
  readonly note: string;
}

/** The level after each meeting, in the check's unit: the middle and four fifths around it. */
export interface BandPoint {
  readonly date: Day;
  readonly middle: number;
  readonly low: number;
  readonly high: number;
}

export interface InDayWords {
  readonly date: Day;
  /** `left 70° before, 60° after` */
  readonly words: string;
}

export interface CheckHistory {
  readonly key: string;
  readonly check: CheckKey;
  readonly base: BaseId | null;
  readonly label: string;
  readonly unit: string;
  readonly valueKind: ValueKind;
  readonly bar: number;
  readonly better: 'more' | 'less';
  readonly status: CheckStatus;
  readonly reasons: readonly string[];
  readonly points: readonly ChartPoint[];
  readonly bands: readonly { readonly side: Side | null; readonly points: readonly BandPoint[] }[];
  /** Last day on which the newest record still counts. */
  readonly goodUntil: Day | null;
  /** Weaker over stronger side, 0-1. */
  readonly sideRatio: number | null;
  readonly isLopsided: boolean;
  /** The newest day it was seen twice; of a check that is taken before and after. */
  readonly inDay: readonly InDayWords[];
  readonly forecast: string | null;
  readonly row: GateRow;
}

/** Half of four fifths of a normal spread. */
const bandReach = 1.2816;

/** The strictest demand on a check among the next rungs of the ladders somebody has begun. */
function findDemands(person: OpenedCase): Map<string, CheckDemand> {
  const demands = new Map<string, CheckDemand>();
  for (const family of ladderIds) {
    if (person.present[family] === undefined) continue;
    const [next] = listNext(person, family);
    const way = next === undefined ? undefined : person.school.stages.get(next)?.ways[0];
    for (const demand of (way?.demands ?? []).flatMap((one) => [...walkDemand(one)])) {
      if (!('check' in demand)) continue;
      const check = person.school.checks.get(demand.check);
      const key = `${demand.check}/${demand.base ?? ''}`;
      const known = demands.get(key);
      if (known === undefined || (check !== undefined && isStricter(check, demand, known))) {
        demands.set(key, demand);
      }
    }
  }
  return demands;
}

/** Every check that was ever seen or that a next rung asks for, the asked-for ones first. */
export function listHistories(
  person: OpenedCase,
  records: readonly StoredRecord[],
): CheckHistory[] {
  const demands = findDemands(person);
  const seen = new Map<string, { check: CheckKey; base: BaseId | undefined }>();
  for (const [key, { check, base }] of demands) seen.set(key, { check, base });
  for (const { check, base } of records) {
    if (!person.school.checks.has(check)) continue;
    const byBase = getCheckIn(person.school, check).spec.byBase;
    seen.set(`${check}/${(byBase && base) || ''}`, { check, base: byBase ? base : undefined });
  }
  return [...seen].flatMap(([key, { check, base }]) => {
    const { spec } = getCheckIn(person.school, check);
    if (spec.byBase && base === undefined) return [];
    const isSeen = person.assessor.histories(check, base).some(({ days }) => days.length > 0);
    // What is asked at the door each time has no history to show before it was asked once.
    if (!isSeen && spec.scoring.kind === 'same-day') return [];
    const demand = demands.get(key) ?? { check };
    const history = toHistory(key, check, base, demand, person);
    const own = records.filter((one) => one.check === check && (!base || one.base === base));
    return [{ ...history, inDay: spec.isTwiceADay ? sayInDay(spec, own) : [] }];
  });
}

function toHistory(
  key: string,
  check: CheckKey,
  base: BaseId | undefined,
  demand: CheckDemand,
  person: OpenedCase,
): Omit<CheckHistory, 'inDay'> {
  const { school, assessor, asOf } = person;
  const { spec, bar } = getCheckIn(school, check);
  const all = assessor.histories(check, base);
  // Where no side was ever said, both have the same to show.
  const isSided = all.some(({ records }) => records.some(({ side }) => side !== undefined));
  const histories = isSided ? all : all.slice(0, 1);
  const sides: (Side | null)[] = isSided ? ['left', 'right'] : [null];
  // The whole bar, unless the next rung asks for more than it.
  const asked = barOf(bar, demand);
  const isLess = 'better' in spec.scoring && spec.scoring.better === 'less';
  const threshold = isLess ? Math.min(bar, asked) : Math.max(bar, asked);
  const assessment = assessor.assess(check, {
    threshold,
    ...(base === undefined ? {} : { base }),
  });
  const newest = histories
    .flatMap(({ records }) => records.map(({ date }) => date))
    .sort()
    .at(-1);
  const unit = unitOf(spec, 'cm');
  const sideRatio = isSided ? findRatio(histories) : null;
  return {
    key,
    check,
    base: base ?? null,
    label: base === undefined ? spec.label : `${spec.label} (${base})`,
    unit,
    valueKind: valueKindOf(spec),
    bar: threshold,
    better: 'better' in spec.scoring ? spec.scoring.better : 'more',
    status: assessment.status,
    reasons: assessment.reasons,
    points: histories.flatMap((history, index) => listPoints(history, sides[index]!)),
    bands: histories.flatMap((history, index) => {
      const points = listBand(history, asOf);
      return points.length === 0 ? [] : [{ side: sides[index] ?? null, points }];
    }),
    goodUntil: newest === undefined ? null : addDays(newest, spec.validDays),
    sideRatio,
    isLopsided: sideRatio !== null && sideRatio < lopsidedUnder,
    forecast: describeForecast(histories, demand, asOf),
    row: { ...rowOf(check, base ?? null, spec), status: assessment.status },
  };
}

function listPoints({ spec, records }: SideHistory, side: Side | null): ChartPoint[] {
  const isPassFail = valueKindOf(spec) === 'pass';
  return records.map((record) => ({
    date: record.date,
    value: record.value,
    kind: isVoided(spec, record)
      ? 'voided'
      : record.stoppedByTeacher
        ? 'at-least'
        : isPassFail && record.value < 1
          ? 'fail'
          : 'plain',
    side,
    note: [
      ...(record.readBy === undefined ? [] : [readByWords[record.readBy]]),
      ...(record.faults ?? []).map((fault) => getFault(fault).label),
      ...(record.pain ? ['pain'] : []),
    ].join(', '),
  }));
}

/** The newest day that has both, before and after, by side. */
const sayInDay = (spec: CheckSpec, records: readonly CheckRecord[]): InDayWords[] =>
  compareInDay(records).map(({ date, side, before, after }) => {
    const [from, to] = [before, after].map((value) => sayValue(spec, value, 'cm'));
    return { date, words: `${side === null ? '' : `${side} `}${from} before, ${to} after` };
  });

/** The level after each day with a record, and grown to today. */
function listBand(history: SideHistory, asOf: Day): BandPoint[] {
  const { spec, bar, records, days, level } = history;
  const { kind } = spec.scoring;
  if ((kind !== 'hold' && kind !== 'reps') || level === null) return [];
  const trace = traceLevel({ kind, spec, bar }, { records, days });
  const at = (date: Day, { mean, variance }: { mean: number; variance: number }): BandPoint => {
    const reach = bandReach * Math.sqrt(variance);
    return {
      date,
      middle: fromLogScale(kind, mean),
      low: fromLogScale(kind, mean - reach),
      high: fromLogScale(kind, mean + reach),
    };
  };
  const points = records.flatMap((record, index) =>
    records[index + 1]?.date === record.date ? [] : [at(record.date, trace[index]!)],
  );
  return points.at(-1)?.date === asOf ? points : [...points, at(asOf, level)];
}

/** What one side does: the level of holds and repetitions, of a measure the newest figure. */
function strengthOf({ spec, level, records }: SideHistory): number | null {
  const { kind } = spec.scoring;
  switch (kind) {
    case 'hold':
    case 'reps':
      return level === null ? null : fromLogScale(kind, level.mean);
    case 'measure':
      return records.at(-1)?.value ?? null;
    case 'level':
    case 'rating':
    case 'pass':
    case 'pass-of-last':
    case 'same-day':
      return null;
    default:
      return kind satisfies never;
  }
}

function findRatio(histories: readonly SideHistory[]): number | null {
  const [a, b] = histories.map(strengthOf);
  if (a === undefined || b === undefined || a === null || b === null) return null;
  return Math.max(a, b) <= 0 ? null : Math.min(a, b) / Math.max(a, b);
}

const noneWords: Record<Extract<Forecast, { kind: 'none' }>['why'], string> = {
  'too-few-meetings': 'no honest forecast: fewer than three meetings in ten weeks',
  'not-rising': 'no honest forecast: it is not plainly rising',
  'too-wide': 'no honest forecast: the span would be too wide to mean anything',
};

/** In weeks, as a span; the slower side speaks for both. */
function describeForecast(
  histories: readonly SideHistory[],
  demand: CheckDemand,
  asOf: Day,
): string | null {
  const { kind } = histories[0]!.spec.scoring;
  if (kind !== 'hold' && kind !== 'reps') return null;
  const all = histories.map((history) => forecast(history, demand));
  const none = all.find((one) => one.kind === 'none');
  if (none?.kind === 'none') return noneWords[none.why];
  const spans = all.filter((one) => one.kind === 'span');
  if (spans.length === 0) return null;
  const from = Math.max(...spans.map(({ fromDays }) => fromDays));
  const to = Math.max(...spans.map(({ toDays }) => toDays));
  return `likely past the bar between ${addDays(asOf, from)} and ${addDays(asOf, to)}, four times in five`;
}
