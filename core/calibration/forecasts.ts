/**
 * The record replayed without its future: what would have been said before each evening, and what
 * came. Source: handbook 06 (the chances), and nothing that was known later.
 */
import { entriesOf } from '../units/keyed';
import { baseIds, type BaseId, type CheckKey } from '../catalog/checks';
import type { School } from '../catalog/school';
import { passChance } from '../readiness/assessPass';
import { chanceOfBar, findLevel, levelModel, onLogScale, type LevelKind } from '../readiness/level';
import { upperTail } from '../readiness/normal';
import { isVoided, type CheckRecord, type Evidence, type Side } from '../readiness/record';
import { dayNumber, type Day } from '../units/day';

/** One thing said before an evening, and what the evening showed. */
export interface Forecast {
  readonly person: string;
  readonly check: CheckKey;
  readonly base: BaseId | null;
  readonly side: Side | null;
  readonly date: Day;
  /** The chance as the screens say it: of the level, 0-1. */
  readonly said: number;
  /** The same with the scatter of a single evening: what one look should show, 0-1. */
  readonly expected: number;
  readonly came: boolean;
}

export interface Replayed {
  readonly forecasts: readonly Forecast[];
  /** Stopped by the teacher under the bar: nobody knows what would have come. */
  readonly undecided: number;
}

interface Row {
  readonly records: readonly CheckRecord[];
  readonly days: readonly number[];
}

/** Rows of one person and check that are judged apart: by base, and by side. */
function rowsOf(
  school: School,
  check: CheckKey,
  records: readonly CheckRecord[],
): { base: BaseId | null; side: Side | null; row: Row }[] {
  const { spec } = school.checks.get(check)!;
  const bases: readonly (BaseId | null)[] = spec.byBase ? baseIds : [null];
  const sides: readonly (Side | null)[] = spec.hasSides ? ['left', 'right'] : [null];
  return bases.flatMap((base) =>
    sides.map((side) => {
      const own = records
        .map((record) => ({ record, day: dayNumber(record.date) }))
        .filter(({ record }) => base === null || record.base === base)
        .filter(({ record }) => side === null || record.side === undefined || record.side === side)
        .sort((a, b) => a.day - b.day);
      const row = { records: own.map(({ record }) => record), days: own.map(({ day }) => day) };
      return { base, side, row };
    }),
  );
}

/** What the first try of an evening showed; `null`: stopped too early to tell. */
function cameOf(
  kind: LevelKind | 'pass',
  bar: number,
  record: CheckRecord,
  isVoid: boolean,
): boolean | null {
  if (isVoid) return false;
  if (kind === 'pass') return record.value >= 1;
  const isNear = onLogScale(kind, record.value) >= onLogScale(kind, levelModel.nearBar * bar);
  return !isNear && record.stoppedByTeacher === true ? null : isNear;
}

/** The kinds that speak in chances; measures, levels and ratings do not. */
function kindOf(kind: string): LevelKind | 'pass' | null {
  if (kind === 'hold' || kind === 'reps') return kind;
  return kind === 'pass' || kind === 'pass-of-last' ? 'pass' : null;
}

/** Every evening of one person's record after the first of its kind. */
export function replayPerson(school: School, person: string, evidence: Evidence): Replayed {
  const forecasts: Forecast[] = [];
  let undecided = 0;
  for (const [check, records = []] of entriesOf(evidence)) {
    const found = school.checks.get(check);
    const kind = found === undefined ? null : kindOf(found.spec.scoring.kind);
    if (found === undefined || kind === null) continue;
    const { spec, bar } = found;
    for (const { base, side, row } of rowsOf(school, check, records)) {
      row.days.forEach((day, index) => {
        if (index === 0 || row.days[index - 1] === day) return;
        const before = { records: row.records.slice(0, index), days: row.days.slice(0, index) };
        const first = row.records[index]!;
        const came = cameOf(kind, bar, first, isVoided(spec, first));
        if (came === null) {
          undecided += 1;
          return;
        }
        const chances =
          kind === 'pass'
            ? bothAs(passChance(spec, before, day))
            : levelChances({ kind, spec, bar }, before, day);
        forecasts.push({ person, check, base, side, date: first.date, ...chances, came });
      });
    }
  }
  return { forecasts, undecided };
}

const bothAs = (chance: number) => ({ said: chance, expected: chance });

function levelChances(rule: Parameters<typeof findLevel>[0], before: Row, day: number) {
  const level = findLevel(rule, before, day)!;
  const y = onLogScale(rule.kind, levelModel.nearBar * rule.bar);
  const spread = Math.sqrt(level.variance + levelModel.observationVariance);
  return {
    said: chanceOfBar(rule.kind, level, rule.bar),
    expected: upperTail((y - level.mean) / spread),
  };
}
