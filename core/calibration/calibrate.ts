/** Was it right? The record of a studio asked about its own chances. */
import { entriesOf } from '../units/keyed';
import type { BaseId, CheckKey } from '../catalog/checks';
import type { School } from '../catalog/school';
import { replayPerson, type Forecast } from './forecasts';
import { measureReliability, reliabilityRules, type Reliability } from './reliability';
import { tellVerdicts, type PersonTold, type VerdictsTold } from './verdicts';

export interface CheckTold extends Reliability {
  readonly check: CheckKey;
  readonly base: BaseId | null;
  readonly label: string;
}

/** Seconds that were read off to the nearest five say less than they look like. */
export interface Rounding {
  readonly holds: number;
  readonly fives: number;
  /** Many more fives than a clock gives. */
  readonly isRounded: boolean;
}

export interface Calibration extends VerdictsTold {
  readonly all: Reliability;
  readonly checks: readonly CheckTold[];
  readonly undecided: number;
  readonly rounding: Rounding;
  readonly forecasts: readonly Forecast[];
}

const roundingRules = { leastHolds: 30, leastSeconds: 8, mostShare: 0.45, step: 5 } as const;

/**
 * Replays every person's record without its future.
 *
 * @param bins of the reliability diagram, of equal width
 */
export function calibrate(
  school: School,
  people: readonly PersonTold[],
  bins: number = reliabilityRules.bins,
): Calibration {
  const replayed = people.map(({ id, evidence }) => replayPerson(school, id, evidence));
  const forecasts = replayed.flatMap((one) => one.forecasts);
  const byCheck = new Map<string, Forecast[]>();
  for (const one of forecasts) {
    const key = `${one.check}/${one.base ?? ''}`;
    byCheck.set(key, [...(byCheck.get(key) ?? []), one]);
  }
  const checks = [...byCheck.values()].map((own): CheckTold => {
    const { check, base } = own[0]!;
    const label = school.checks.get(check)?.spec.label ?? check;
    return { check, base, label, ...measureReliability(own, bins) };
  });
  return {
    ...tellVerdicts(school, people),
    all: measureReliability(forecasts, bins),
    checks: checks.sort((a, b) => b.count - a.count || (a.check < b.check ? -1 : 1)),
    undecided: replayed.reduce((sum, one) => sum + one.undecided, 0),
    rounding: findRounding(school, people),
    forecasts,
  };
}

function findRounding(school: School, people: readonly PersonTold[]): Rounding {
  let holds = 0;
  let fives = 0;
  for (const { evidence } of people) {
    for (const [check, records = []] of entriesOf(evidence)) {
      if (school.checks.get(check)?.spec.scoring.kind !== 'hold') continue;
      for (const { value, stoppedByTeacher } of records) {
        // A hold stopped at the bar is a round number by right.
        if (stoppedByTeacher || value < roundingRules.leastSeconds) continue;
        holds += 1;
        if (Math.abs(value % roundingRules.step) < 1e-9) fives += 1;
      }
    }
  }
  const isRounded = holds >= roundingRules.leastHolds && fives / holds > roundingRules.mostShare;
  return { holds, fives, isRounded };
}

const figure = (value: number | null) => (value === null ? '' : value.toFixed(4));

/** The bins as rows for a table of figures, its first row the heads. */
export function calibrationRows({ all, checks }: Pick<Calibration, 'all' | 'checks'>): string[][] {
  const head = [
    'check',
    'base',
    'from',
    'to',
    'looks',
    'said',
    'expected',
    'came',
    'came low',
    'came high',
  ];
  const rows = (check: string, base: string, { bins }: Reliability) =>
    bins
      .filter(({ count }) => count > 0)
      .map((bin) => [
        check,
        base,
        bin.low.toFixed(2),
        bin.high.toFixed(2),
        String(bin.count),
        figure(bin.said),
        figure(bin.expected),
        figure(bin.came),
        figure(bin.cameLow),
        figure(bin.cameHigh),
      ]);
  return [
    head,
    ...rows('all', '', all),
    ...checks.flatMap((one) => rows(one.check, one.base ?? '', one)),
  ];
}
