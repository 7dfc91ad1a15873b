import { getCheck } from '../catalog/checks';
import { shippedSchool } from '../catalog/school';
import { runCommand } from '../commands/commands';
import { seededRandom } from '../random';
import { fromLogScale, levelModel, priorLevel } from '../readiness/level';
import type { CheckRecord } from '../readiness/record';
import { addDays } from '../units/day';
import { calibrate, calibrationRows } from './calibrate';
import { replayPerson } from './forecasts';
import { measureReliability, wilson } from './reliability';
import type { PersonTold } from './verdicts';

const school = shippedSchool('prop-led');
const begins = '2026-01-05';
const check = 'dolphin-hold';
const { bar } = school.checks.get(check)!;

/** Two normal numbers from two even ones (Box and Muller). */
function normals(random: () => number): () => number {
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

interface Invented {
  readonly people: number;
  readonly meetings: number;
  /** Growth of the level a day, on the log scale. */
  readonly growth?: number;
  /** Off the level at each later meeting, on the log scale. */
  readonly tires?: number;
  readonly round?: (value: number) => number;
  readonly seed: number;
}

/** People out of the model itself, changed as asked. */
function invent({ people, meetings, growth = 0, tires = 0, round, seed }: Invented): PersonTold[] {
  const normal = normals(seededRandom(seed));
  const prior = priorLevel('hold', bar);
  return Array.from({ length: people }, (_, index): PersonTold => {
    let level = prior.mean + normal() * Math.sqrt(prior.variance);
    const records = Array.from({ length: meetings }, (__, week): CheckRecord => {
      if (week > 0) {
        level += normal() * Math.sqrt(7 * levelModel.processVariancePerDay) + 7 * growth;
      }
      const y = level - week * tires + normal() * Math.sqrt(levelModel.observationVariance);
      const value = Math.min(3000, fromLogScale('hold', y));
      return { date: addDays(begins, 7 * week), value: round === undefined ? value : round(value) };
    });
    return { id: String(index), evidence: { [check]: records }, decisions: [] };
  });
}

describe('people out of the model itself', () => {
  const { all, rounding } = calibrate(school, invent({ people: 800, meetings: 8, seed: 20261126 }));

  it('come as often as it was to be expected, within what sampling allows', () => {
    expect(all.count).toBe(800 * 7);
    expect(all.leaning).toBe('as-said');
    for (const bin of all.bins) {
      if (bin.count < 60) continue;
      const off = Math.sqrt((bin.expected! * (1 - bin.expected!)) / bin.count);
      // Four deviations over ten bins; the lifting of the first look leaves a little more.
      expect(Math.abs(bin.came! - bin.expected!)).toBeLessThan(4 * off + 0.02);
    }
    expect(rounding.isRounded).toBe(false);
  });

  it('make the chance with an evening’s scatter at least as good as the one that is said', () => {
    expect(all.brierExpected!).toBeLessThanOrEqual(all.brier! + 1e-3);
    expect(all.brier!).toBeLessThan(all.brierOfShare! / 2);
  });
});

describe('people who are otherwise', () => {
  it('show that they learn faster than the model thinks', () => {
    const { all } = calibrate(school, invent({ people: 300, meetings: 8, growth: 0.02, seed: 7 }));
    expect(all.leaning).toBe('more-often');
  });

  it('show that they tire', () => {
    const { all } = calibrate(school, invent({ people: 300, meetings: 8, tires: 0.15, seed: 7 }));
    expect(all.leaning).toBe('less-often');
  });

  it('show that they were rounded to fives', () => {
    const round = (value: number) => Math.max(5, 5 * Math.round(value / 5));
    const { rounding } = calibrate(school, invent({ people: 40, meetings: 8, round, seed: 7 }));
    expect(rounding.isRounded).toBe(true);
    expect(rounding.fives).toBe(rounding.holds);
  });
});

describe('the replay', () => {
  const record = (week: number, value: number, more: Partial<CheckRecord> = {}) => ({
    date: addDays(begins, 7 * week),
    value,
    ...more,
  });
  const replay = (records: CheckRecord[]) => replayPerson(school, 'a', { [check]: records });

  it('knows nothing of what came later', () => {
    const first = [record(0, 30), record(1, 40)];
    const [now] = replay(first).forecasts;
    const [later] = replay([...first, record(2, 300), record(3, 1)]).forecasts;
    expect(later).toEqual(now);
  });

  it('says nothing of the first evening, and takes the first try of each', () => {
    const { forecasts } = replay([record(0, 30), record(0, 60), record(1, 10), record(1, 90)]);
    expect(forecasts).toHaveLength(1);
    expect(forecasts[0]!.came).toBe(false);
  });

  it('leaves open what was stopped under the bar, and counts a fault against', () => {
    const near = levelModel.nearBar * bar;
    expect(replay([record(0, 30), record(1, near - 5, { stoppedByTeacher: true })])).toMatchObject({
      forecasts: [],
      undecided: 1,
    });
    expect(
      replay([record(0, 30), record(1, near + 1, { stoppedByTeacher: true })]).forecasts[0]!.came,
    ).toBe(true);
    const fault = getCheck(check).voidedBy[0]!;
    expect(replay([record(0, 30), record(1, 300, { faults: [fault] })]).forecasts[0]!.came).toBe(
      false,
    );
  });

  it('tells passes apart by base, and leaves measures out', () => {
    const { forecasts } = replayPerson(school, 'a', {
      'controlled-exit': [
        record(0, 1, { base: 'hands' }),
        record(1, 0, { base: 'forearms' }),
        record(2, 1, { base: 'hands' }),
      ],
      'wrist-extension': [record(0, 90), record(1, 90)],
    });
    expect(forecasts).toHaveLength(1);
    expect(forecasts[0]).toMatchObject({ base: 'hands', came: true });
    expect(forecasts[0]!.said).toBeGreaterThan(0.5);
  });
});

describe('what is told', () => {
  it('is nothing where there is too little', () => {
    const { all } = calibrate(school, invent({ people: 2, meetings: 5, seed: 1 }));
    expect(all.leaning).toBe('too-little');
    expect(measureReliability([]).brier).toBeNull();
  });

  it('has honest ends: Wilson’s interval of 8 in 10', () => {
    // Worked by hand with z = 1.96: 0.490 to 0.943.
    const { low, high } = wilson(8, 10, 1.96);
    expect(low).toBeCloseTo(0.4902, 3);
    expect(high).toBeCloseTo(0.9433, 3);
  });

  const held = (weeks: readonly number[], value: number, more: Partial<CheckRecord> = {}) =>
    weeks.map((week) => ({ date: addDays(begins, 7 * week), value, ...more }));
  const sagging = { faults: getCheck('forearm-plank-hold').voidedBy.slice(0, 1) };
  const strong = { 'forearm-plank-hold': held([0, 1, 3], 120) };
  const weak = { 'forearm-plank-hold': [...held([0, 1], 120), ...held([3, 4], 90, sagging)] };
  const decision = (suggested: 'advance' | 'stay', decided: 'advance' | 'stay') => ({
    stage: 'FS4' as const,
    suggested,
    decided,
    on: addDays(begins, 14),
  });

  it('is how often an advance was a step back within three meetings', () => {
    const told = calibrate(school, [
      { id: 'a', evidence: strong, decisions: [decision('advance', 'advance')] },
      { id: 'b', evidence: weak, decisions: [decision('advance', 'advance')] },
    ]);
    expect(told.advances).toEqual({ count: 2, steppedBack: 1 });
    expect(told.verdicts).toEqual([{ kind: 'advance', said: 2, looked: 2, came: 1 }]);
  });

  it('is who was right where the teacher differs', () => {
    const told = calibrate(school, [
      { id: 'a', evidence: strong, decisions: [decision('stay', 'advance')] },
      { id: 'b', evidence: weak, decisions: [decision('stay', 'advance')] },
      { id: 'c', evidence: weak, decisions: [decision('advance', 'stay')] },
      { id: 'd', evidence: {}, decisions: [decision('stay', 'advance')] },
    ]);
    expect(told.differing.bolder).toEqual({ times: 3, teacher: 1, suggestion: 1, unknown: 1 });
    expect(told.differing.stricter).toEqual({ times: 1, teacher: 1, suggestion: 0, unknown: 0 });
  });

  it('is which gate never decided anything', () => {
    const told = calibrate(school, [
      { id: 'd', evidence: {}, decisions: [decision('stay', 'stay')] },
      { id: 'a', evidence: strong, decisions: [decision('advance', 'advance')] },
    ]);
    expect(told.gates).toEqual([
      { check: 'forearm-plank-hold', label: 'Forearm plank hold', judged: 2, decided: 1 },
    ]);
  });

  it('goes out as rows with a head, empty bins left out', () => {
    const rows = calibrationRows(calibrate(school, invent({ people: 40, meetings: 5, seed: 3 })));
    expect(rows[0]).toContain('came');
    for (const row of rows) expect(row).toHaveLength(rows[0]!.length);
    expect(rows.slice(1).every((row) => Number(row[4]) > 0)).toBe(true);
  });
});

describe('the command', () => {
  const run = (input: unknown) => runCommand('calibration', JSON.stringify(input));

  it('takes records and gives bins and a Brier score', () => {
    const [one] = invent({ people: 1, meetings: 6, seed: 5 });
    const records = one!.evidence[check]!.map((record) => ({ ...record, check, person: 'a' }));
    const result = run({ profile: 'prop-led', records, bins: 5 });
    expect(result).toMatchObject({
      ok: true,
      output: { count: 5, leaning: 'too-little', brier: expect.any(Number) },
    });
    if (result.ok) expect((result.output as { bins: unknown[] }).bins).toHaveLength(5);
  });

  it.each([
    [{ profile: 'prop-led' }, ['records']],
    [{ profile: 'prop-led', records: [], bins: 1 }, ['bins']],
    [
      { profile: 'prop-led', records: [{ check, date: '2026-01-05', value: -1 }] },
      ['records', 0, 'value'],
    ],
    [{ profile: 'prop-led', records: [], more: 1 }, ['more']],
  ])('refuses %j with the path', (input, path) => {
    expect(run(input)).toMatchObject({ ok: false, error: { path } });
  });
});
