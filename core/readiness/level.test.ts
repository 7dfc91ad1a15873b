import { getCheck } from '../catalog/checks';
import fc from 'fast-check';
import { dayNumber } from '../units/day';
import {
  chanceOfBar,
  findLevel,
  levelModel,
  onLogScale,
  updateCensored,
  updatePlain,
  updateVoided,
  type Level,
} from './level';
import type { CheckRecord } from './record';

const dolphinRule = { kind: 'hold', spec: getCheck('dolphin-hold'), bar: 45 } as const;

/**
 * The exact posterior of "the observation was at least y", integrated on a fine grid: an independent
 * road to the same two moments. Weights are kept as logarithms, so that far tails do not vanish.
 */
function integrateCensored(level: Level, y: number): Level {
  const sd = Math.sqrt(level.variance);
  const noiseSd = Math.sqrt(levelModel.observationVariance);
  const low = level.mean - 12 * sd;
  const high = Math.max(level.mean + 12 * sd, y + 12 * noiseSd);
  const steps = 4_000;
  const xs = Array.from({ length: steps + 1 }, (_, i) => low + ((high - low) * i) / steps);
  const logs = xs.map(
    (x) => -((x - level.mean) ** 2) / (2 * level.variance) + logUpperTail((y - x) / noiseSd),
  );
  const top = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - top));
  const total = weights.reduce((a, b) => a + b, 0);
  const mean = xs.reduce((sum, x, i) => sum + x * weights[i]!, 0) / total;
  const variance = xs.reduce((sum, x, i) => sum + (x - mean) ** 2 * weights[i]!, 0) / total;
  return { mean, variance };
}

/** ln P(Z >= a): the tail integrated itself, by substitution z = a + t. */
function logUpperTail(a: number): number {
  if (a < -8) return 0;
  const steps = 200;
  const reach = 12 / Math.max(1, a);
  let sum = 0;
  for (let i = 0; i <= steps; i += 1) {
    const t = (reach * i) / steps;
    const weight = i === 0 || i === steps ? 0.5 : 1;
    // phi(a + t) / phi(a)
    sum += weight * Math.exp(-a * t - (t * t) / 2);
  }
  const scaled = (sum * reach) / steps;
  return -(a * a) / 2 - 0.5 * Math.log(2 * Math.PI) + Math.log(scaled);
}

const history = (records: readonly CheckRecord[]) => {
  const sorted = [...records].sort((a, b) => dayNumber(a.date) - dayNumber(b.date));
  return { records: sorted, days: sorted.map(({ date }) => dayNumber(date)) };
};

describe('the censored update', () => {
  const cases: [string, Level, number][] = [
    ['a surprise downwards says little', { mean: 4, variance: 0.3 }, 2],
    ['around the mean', { mean: 3, variance: 0.5 }, 3.1],
    ['above the mean', { mean: 3, variance: 0.1 }, 4],
    ['a of 8', { mean: 0, variance: 0.21 }, 4],
    ['a beyond 12', { mean: 0, variance: 0.06 }, 4],
  ];
  it.each(cases)('agrees with numeric integration: %s', (_, level, y) => {
    const expected = integrateCensored(level, y);
    const actual = updateCensored(level, y);
    expect(actual.mean).toBeCloseTo(expected.mean, 3);
    expect(actual.variance).toBeCloseTo(expected.variance, 3);
  });

  it('stays finite and ordered where the plain quotient would be 0/0', () => {
    const level = { mean: 0, variance: 0.01 };
    const far = updateCensored(level, 12);
    expect(far.variance).toBeGreaterThan(0);
    expect(far.variance).toBeLessThan(level.variance);
    expect(far.mean).toBeGreaterThan(updateCensored(level, 11).mean);
  });
});

const levels = fc.record({
  mean: fc.double({ min: -1, max: 6, noNaN: true }),
  variance: fc.double({ min: 0.01, max: 2, noNaN: true }),
});
const ys = fc.double({ min: -1, max: 8, noNaN: true });

describe('properties of the level', () => {
  it('the censored mean never lies below the plain mean of the same value', () => {
    fc.assert(
      fc.property(levels, ys, (level, y) => {
        const plain = updatePlain(level, y).mean;
        expect(updateCensored(level, y).mean).toBeGreaterThanOrEqual(plain - 1e-12);
      }),
    );
  });

  it('a voided record never raises the mean and leaves the variance', () => {
    fc.assert(
      fc.property(levels, fc.integer({ min: 0, max: 3600 }), (level, value) => {
        const after = updateVoided('hold', level, value);
        expect(after.mean).toBeLessThanOrEqual(level.mean + 1e-12);
        expect(after.variance).toBe(level.variance);
      }),
    );
  });

  const start = dayNumber('2026-03-05');
  const records = fc.array(
    fc.record({
      date: fc
        .integer({ min: 0, max: 60 })
        .map((n) => new Date((start + n) * 86_400_000).toISOString().slice(0, 10)),
      value: fc.integer({ min: 0, max: 300 }),
      stoppedByTeacher: fc.boolean(),
    }),
    { minLength: 1, maxLength: 12 },
  );
  const chance = (list: readonly CheckRecord[]) =>
    chanceOfBar('hold', findLevel(dolphinRule, history(list), start + 70)!, 45);

  it('a voided record added as the newest never raises the chance', () => {
    fc.assert(
      fc.property(records, fc.integer({ min: 0, max: 300 }), (list, value) => {
        const voided: CheckRecord = { date: '2026-05-10', value, faults: ['head-touches'] };
        expect(chance([...list, voided])).toBeLessThanOrEqual(chance(list) + 1e-12);
      }),
    );
  });

  it('among plain records a longer one never lowers the chance', () => {
    fc.assert(
      fc.property(records, fc.nat(), fc.integer({ min: 1, max: 100 }), (list, pick, more) => {
        const plain = list.map((record) => ({ ...record, stoppedByTeacher: false }));
        const index = pick % plain.length;
        const longer = plain.map((record, i) =>
          i === index ? { ...record, value: record.value + more } : record,
        );
        expect(chance(longer)).toBeGreaterThanOrEqual(chance(plain) - 1e-12);
      }),
    );
  });
});

describe('findLevel', () => {
  const today = dayNumber('2026-11-19');

  it('follows the arithmetic of the handbook for two plain records', () => {
    const records = [
      { date: '2026-11-05', value: 40 },
      { date: '2026-11-19', value: 50 },
    ];
    // By hand: prior ln 22.5 and 1; then variance 0.04 / 1.04 grown by 14 x 0.0006.
    const first = Math.log(22.5) + (1 / 1.04) * (Math.log(40) - Math.log(22.5));
    const p = 0.04 / 1.04 + 14 * 0.0006;
    const second = first + (p / (p + 0.04)) * (Math.log(50) - first);
    const level = findLevel(dolphinRule, history(records), today)!;
    expect(level.mean).toBeCloseTo(second, 12);
    expect(level.variance).toBeCloseTo((p * 0.04) / (p + 0.04), 12);
  });

  it('limits the surprise of one odd day', () => {
    const steady = Array.from({ length: 6 }, (_, i) => ({
      date: `2026-11-0${i + 1}`,
      value: 60,
    }));
    const withOdd = [...steady, { date: '2026-11-08', value: 1 }];
    const before = findLevel(dolphinRule, history(steady), today)!;
    const after = findLevel(dolphinRule, history(withOdd), today)!;
    expect(Math.exp(before.mean - after.mean)).toBeLessThan(1.3);
  });

  it('keeps the order in which a day was entered', () => {
    const a = { date: '2026-11-12', value: 20 };
    const b = { date: '2026-11-12', value: 60, stoppedByTeacher: true };
    const run = (list: CheckRecord[]) => findLevel(dolphinRule, history(list), today)!.mean;
    expect(run([a, b])).not.toBeCloseTo(run([b, a]), 4);
  });

  it('is null without records', () => {
    expect(findLevel(dolphinRule, history([]), today)).toBeNull();
  });
});

describe('onLogScale', () => {
  it('takes a hold of nothing as half a second and counts half a repetition more', () => {
    expect(onLogScale('hold', 0)).toBe(Math.log(0.5));
    expect(onLogScale('reps', 0)).toBe(Math.log(0.5));
    expect(onLogScale('reps', 5)).toBe(Math.log(5.5));
  });
});
