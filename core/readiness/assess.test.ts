import fc from 'fast-check';
import { checkIds, getCheck } from '../catalog/checks';
import { InputProblem } from '../problem';
import { getCheckIn, shippedSchool } from '../catalog/school';
import { addDays } from '../units/day';
import { assess } from './assess';
import type { CheckRecord } from './record';

const asOf = '2026-11-19';
const ago = (days: number) => addDays(asOf, -days);
const dolphin = (records: readonly CheckRecord[]) =>
  assess({ check: 'dolphin-hold', profile: 'prop-led', asOf, records });

describe('holds', () => {
  it('is unknown without a record', () => {
    expect(dolphin([])).toMatchObject({ status: 'unknown', probability: null, threshold: 45 });
  });

  it('is met when the bar was seen on two days and tonight is likely', () => {
    const result = dolphin([
      { date: ago(14), value: 55 },
      { date: ago(7), value: 60 },
    ]);
    expect(result.status).toBe('met');
    expect(result.probability).toBeGreaterThan(0.8);
  });

  it('stays borderline while the bar was seen on one day only, however strong it was', () => {
    const result = dolphin([
      { date: ago(7), value: 90 },
      { date: ago(7), value: 95 },
    ]);
    expect(result.probability).toBeGreaterThan(0.9);
    expect(result).toMatchObject({ status: 'borderline', reasons: ['bar seen on one day only'] });
  });

  it('stays borderline on holds just under the bar: within a tenth, but never seen', () => {
    const near = [21, 14, 7].map((days) => ({ date: ago(days), value: 44 }));
    expect(dolphin(near).status).toBe('borderline');
    expect(dolphin(near).reasons).toContain('bar not seen yet');
  });

  it('does not count a voided hold as seen', () => {
    const result = dolphin([
      { date: ago(14), value: 80 },
      { date: ago(7), value: 80, faults: ['elbows-slide'] },
    ]);
    expect(result.status).not.toBe('met');
  });

  it('counts a hold that the teacher stopped at the bar as seen', () => {
    const result = dolphin([
      { date: ago(14), value: 45, stoppedByTeacher: true },
      { date: ago(7), value: 45, stoppedByTeacher: true },
    ]);
    expect(result.status).toBe('met');
  });

  it('forgets a bar seen longer ago than twice the valid days', () => {
    const result = dolphin([
      { date: ago(57), value: 80 },
      { date: ago(7), value: 80 },
    ]);
    expect(result.status).toBe('borderline');
  });

  it('is stale from the day after the valid days, whatever the number', () => {
    const steady = (last: number) => [
      { date: ago(last + 7), value: 200 },
      { date: ago(last), value: 200 },
    ];
    expect(dolphin(steady(28)).status).toBe('met');
    expect(dolphin(steady(29)).status).toBe('stale');
  });

  it('is not made fresh by a look with a fault, which can only count against', () => {
    const seen = [47, 40].map((days) => ({ date: ago(days), value: 120 }));
    const sagging: CheckRecord = { date: asOf, value: 120, faults: ['head-touches'] };
    expect(dolphin(seen).status).toBe('stale');
    expect(dolphin([...seen, { date: asOf, value: 120 }]).status).toBe('met');
    expect(dolphin([...seen, sagging])).toMatchObject({
      status: 'stale',
      reasons: ['last seen without a fault 40 days ago, good for 28'],
    });
    // A bar of a third lies under where nobody is assumed to be: a fault does not say it is held.
    const third = { check: 'dolphin-hold', profile: 'prop-led', asOf, barShare: 1 / 3 } as const;
    expect(assess({ ...third, records: [sagging] })).toMatchObject({
      status: 'not-yet',
      reasons: ['never seen without a fault'],
    });
  });

  it('raises the bar with the profile', () => {
    const records = [14, 7].map((days) => ({ date: ago(days), value: 48 }));
    const status = (profile: 'prop-led' | 'strength-led' | 'play-led') =>
      assess({ check: 'dolphin-hold', profile, asOf, records }).status;
    expect(status('play-led')).toBe('met');
    expect(status('strength-led')).toBe('not-yet');
  });

  it('scales the bar for a gate that asks for a share of it', () => {
    const records = [14, 7].map((days) => ({ date: ago(days), value: 25 }));
    const half = assess({
      check: 'dolphin-hold',
      profile: 'prop-led',
      asOf,
      records,
      barShare: 0.5,
    });
    expect(half).toMatchObject({ status: 'met', threshold: 22.5 });
    expect(dolphin(records).status).toBe('not-yet');
  });
});

describe('sides', () => {
  const oneLeg = (records: readonly CheckRecord[]) =>
    assess({ check: 'dolphin-one-leg', profile: 'prop-led', asOf, records });
  const on = (side: 'left' | 'right', value: number): CheckRecord[] =>
    [14, 7].map((days) => ({ date: ago(days), value, side }));

  it('judges the weaker side', () => {
    const result = oneLeg([...on('left', 25), ...on('right', 8)]);
    expect(result).toMatchObject({ status: 'not-yet', side: 'right' });
  });

  it('is unknown while one side was never seen', () => {
    expect(oneLeg(on('left', 30)).status).toBe('unknown');
  });

  it('counts a record without a side for both', () => {
    const both = [14, 7].map((days) => ({ date: ago(days), value: 30 }));
    expect(oneLeg(both).status).toBe('met');
  });

  it.each(['wrist-extension', 'shoulder-flexion', 'straight-leg-raise'] as const)(
    'are kept apart for %s, and the stiffer one decides and is named',
    (check) => {
      const { bar } = getCheckIn(shippedSchool('prop-led'), check);
      const range = (...records: readonly Omit<CheckRecord, 'date'>[]) =>
        assess({
          check,
          profile: 'prop-led',
          asOf,
          records: records.map((one) => ({ ...one, date: ago(3) })),
        });
      const [left, right] = [
        { value: bar - 20, side: 'left' },
        { value: bar - 30, side: 'right' },
      ] as const;
      expect(range(left, right)).toMatchObject({ status: 'not-yet', side: 'right' });
      expect(range(right, left).reasons[0]).toContain(`right side: ${bar - 30}`);
      expect(range({ value: bar + 5, side: 'left' }, right)).toMatchObject({ side: 'right' });
      expect(range({ value: bar + 5, side: 'left' }).status).toBe('unknown');
      // One figure for both is neither side's.
      expect(range({ value: bar + 5 })).toMatchObject({ status: 'met' });
      expect(range({ value: bar + 5 })).not.toHaveProperty('side');
    },
  );
});

describe('bases', () => {
  const rating = (base: 'hands' | 'forearms') =>
    assess({
      check: 'confidence',
      profile: 'prop-led',
      asOf,
      base,
      records: [{ date: ago(3), value: 8, base: 'forearms' }],
    }).status;

  it('says nothing about another base', () => {
    expect(rating('forearms')).toBe('met');
    expect(rating('hands')).toBe('unknown');
  });

  it('refuses a check by base without one', () => {
    expect(() => assess({ check: 'confidence', profile: 'prop-led', asOf, records: [] })).toThrow(
      InputProblem,
    );
  });
});

describe('passes', () => {
  const exit = (values: readonly [days: number, value: 0 | 1][]) =>
    assess({
      check: 'controlled-exit',
      profile: 'prop-led',
      asOf,
      base: 'head',
      records: values.map(([days, value]) => ({ date: ago(days), value, base: 'head' })),
    });

  it('needs three passes on two days', () => {
    expect(
      exit([
        [14, 1],
        [7, 1],
        [7, 1],
      ]).status,
    ).toBe('met');
    expect(
      exit([
        [7, 1],
        [7, 1],
        [7, 1],
      ]).status,
    ).toBe('borderline');
    expect(
      exit([
        [14, 1],
        [7, 1],
      ]).status,
    ).toBe('borderline');
    expect(exit([[7, 1]]).status).toBe('not-yet');
  });

  it('weighs recent fails against old passes', () => {
    // By hand: passes 42 days old weigh 1/4 each, fails of today 1: share 0.75 / 2.75 < 0.4.
    const result = exit([
      [42, 1],
      [42, 1],
      [43, 1],
      [0, 0],
      [0, 0],
    ]);
    expect(result.status).toBe('not-yet');
    expect(result.probability).toBeCloseTo((1 + 0.742) / (2 + 0.742 + 2), 2);
  });

  it('looks at the last five and nothing else where the rule says so', () => {
    const kept = (values: readonly (0 | 1)[]) =>
      assess({
        check: 'blocks-kept',
        profile: 'prop-led',
        asOf,
        records: values.map((value, index) => ({ date: ago(20 - index), value })),
      }).status;
    expect(kept([0, 0, 0, 0, 1, 1, 1])).toBe('met');
    expect(kept([1, 1, 1, 0, 0, 0, 0, 1])).toBe('not-yet');
    expect(kept([1, 1, 0, 0, 0])).toBe('borderline');
  });

  it('are not made fresh by a try that fails', () => {
    const kept = (lastPassed: number, failedToday: boolean) =>
      assess({
        check: 'blocks-kept',
        profile: 'prop-led',
        asOf,
        records: [
          ...[3, 2, 1, 0].map((before) => ({ date: ago(lastPassed + before), value: 1 })),
          ...(failedToday ? [{ date: asOf, value: 0 }] : []),
        ],
      });
    expect(kept(20, false).status).toBe('met');
    expect(kept(20, true).status).toBe('met');
    expect(kept(40, false).status).toBe('stale');
    expect(kept(40, true)).toMatchObject({
      status: 'stale',
      reasons: ['last passed 40 days ago, good for 28'],
    });
  });

  it('asks for checks of the day every time', () => {
    const neck = (days: number) =>
      assess({
        check: 'neck-ease',
        profile: 'prop-led',
        asOf,
        records: [{ date: ago(days), value: 1 }],
      }).status;
    expect(neck(0)).toBe('met');
    expect(neck(1)).toBe('stale');
  });
});

describe('measures', () => {
  const clearance = (value: number, days = 7) =>
    assess({
      check: 'head-clearance',
      profile: 'prop-led',
      asOf,
      records: [{ date: ago(days), value }],
    });
  const drift = (value: number, faults: CheckRecord['faults'] = []) =>
    assess({
      check: 'elbow-drift',
      profile: 'prop-led',
      asOf,
      records: [{ date: ago(7), value, faults, pain: faults.length > 0 }],
    }).status;

  it('is borderline within the reading error, in the direction that counts', () => {
    expect(clearance(3).status).toBe('met');
    expect(clearance(2).status).toBe('borderline');
    expect(clearance(1.9).status).toBe('not-yet');
    expect(drift(2)).toBe('met');
    expect(drift(3)).toBe('borderline');
    expect(drift(3.1)).toBe('not-yet');
  });

  it('has no probability, goes stale, and a voided one proves nothing', () => {
    expect(clearance(5).probability).toBeNull();
    expect(clearance(5, 57).status).toBe('stale');
    expect(drift(0, ['elbows-slide'])).toBe('not-yet');
  });
});

it('says of a bar that asks for little that it is one', () => {
  const drift = assess({
    check: 'elbow-drift',
    profile: 'prop-led',
    asOf,
    records: [{ date: asOf, value: 0, stoppedByTeacher: false }],
  });
  expect(drift).toMatchObject({ status: 'met', reasons: ['0 cm, bar at most 2 cm'] });
});

describe('a measure that was read off a picture', () => {
  const raise = (readingError: number, value: number) =>
    assess({
      check: 'straight-leg-raise',
      profile: 'prop-led',
      asOf,
      records: [{ date: asOf, value, readBy: 'picture', readingError }],
    });

  it('counts like any other, with the larger of both errors, and says where it is from', () => {
    expect(raise(2, 66).status).toBe('borderline');
    expect(raise(2, 62).status).toBe('not-yet');
    expect(raise(9, 62).status).toBe('borderline');
    expect(raise(2, 71.26)).toMatchObject({
      status: 'met',
      reasons: ['71.3° (from a picture, give or take 5.0°), bar 70°'],
    });
  });
});

describe('every check', () => {
  const record = (most: number) =>
    fc.record({
      date: fc.integer({ min: 0, max: 100 }).map((days) => ago(days)),
      value: fc.integer({ min: 0, max: most }),
      stoppedByTeacher: fc.boolean(),
      side: fc.constantFrom('left' as const, 'right' as const),
      base: fc.constant('hands' as const),
    });

  it('never says met for a hold or a count unless the bar was seen on two days', () => {
    for (const check of checkIds) {
      const spec = getCheck(check);
      if (spec.scoring.kind !== 'hold' && spec.scoring.kind !== 'reps') continue;
      fc.assert(
        fc.property(fc.array(record(Math.min(spec.most, 90)), { maxLength: 15 }), (records) => {
          const result = assess({ check, profile: 'prop-led', asOf, base: 'hands', records });
          if (result.status !== 'met') return;
          const seen = records.filter(
            ({ value, side }) =>
              value >= result.threshold && (result.side === undefined || side === result.side),
          );
          expect(new Set(seen.map(({ date }) => date)).size).toBeGreaterThanOrEqual(2);
        }),
        { numRuns: 60 },
      );
    }
  });

  it('gives a finite answer for 0 and for 500 records', () => {
    const many = Array.from({ length: 500 }, (_, index) => ({
      date: ago(index % 400),
      value: 1,
      base: 'hands' as const,
    }));
    for (const check of checkIds) {
      for (const records of [[], many]) {
        const result = assess({ check, profile: 'play-led', asOf, base: 'hands', records });
        expect(result.probability === null || Number.isFinite(result.probability)).toBe(true);
        expect(result.reasons.length).toBeGreaterThan(0);
      }
    }
  });

  it('refuses a record from the future by its place', () => {
    try {
      dolphin([{ date: addDays(asOf, 1), value: 30 }]);
      throw new Error('not refused');
    } catch (error) {
      expect(error).toMatchObject({ code: 'future-date', path: ['records', 0, 'date'] });
    }
  });
});
