import fc from 'fast-check';
import { practiceReadings, practiceRule, usualPractice, type PracticeDials } from './practice';
import { findSteadyPart, percentOfBody, type Reading } from './steady';

const curve = (kgAt: (seconds: number) => number | null, seconds: number): Reading[] =>
  Array.from({ length: Math.round(seconds * 10) }, (_, index) => index / 10).flatMap(
    (atSeconds) => {
      const kg = kgAt(atSeconds);
      return kg === null ? [] : [{ atSeconds, kg }];
    },
  );

const practise = (dials: Partial<PracticeDials>, seconds: number, seed = 3): Reading[] => {
  const source = practiceReadings({ ...usualPractice, ...dials }, seed);
  return Array.from({ length: Math.round(seconds / practiceRule.everySeconds) }, (_, index) => ({
    atSeconds: index * practiceRule.everySeconds,
    kg: source.next().value as number | null,
  })).filter((one): one is Reading => one.kg !== null);
};

it('finds the plateau of a ramp, and not the ramp', () => {
  const part = findSteadyPart(
    curve((t) => (t < 4 ? 2 * t : t < 14 ? 8 : Math.max(0, 8 - 4 * (t - 14))), 18),
  )!;
  expect(part.kg).toBeCloseTo(8, 1);
  expect(part.fromSeconds).toBeGreaterThan(2.4);
  expect(part.toSeconds).toBeLessThan(14.8);
  expect(part.toSeconds - part.fromSeconds).toBeGreaterThan(9);
});

it('finds the load of the practice scale within its noise and drift', () => {
  for (const levelKg of [3, 5, 12]) {
    const part = findSteadyPart(practise({ levelKg, noiseKg: 0.2, driftKgPerMinute: 0.6 }, 26))!;
    expect(Math.abs(part.kg - levelKg)).toBeLessThan(0.35);
    expect(part.toSeconds - part.fromSeconds).toBeGreaterThan(10);
  }
});

it('takes the longer of two plateaus, and never one across a silence', () => {
  const two = curve((t) => (t < 5 ? 6 : t < 6 ? 0 : t < 15 ? 9 : 0), 17);
  expect(findSteadyPart(two)!.kg).toBeCloseTo(9, 1);
  const broken = curve((t) => (t > 4 && t < 6 ? null : 7), 9);
  const part = findSteadyPart(broken)!;
  expect(part.toSeconds - part.fromSeconds).toBeLessThan(4.2);
});

it('finds nothing in a creeping, a shaking, an empty or a nonsensical curve', () => {
  expect(findSteadyPart(curve((t) => t, 12))).toBeNull();
  expect(findSteadyPart(curve((t) => 8 + 3 * Math.sin(6 * t), 12))).toBeNull();
  expect(findSteadyPart(curve(() => 0.1, 12))).toBeNull();
  expect(findSteadyPart([])).toBeNull();
  expect(findSteadyPart(curve(() => 900, 12))).toBeNull();
  expect(findSteadyPart(curve(() => Number.NaN, 12))).toBeNull();
});

it('is not led astray by single readings that cannot be', () => {
  const odd = curve((t) => (Math.round(t * 10) % 17 === 0 ? 999 : 6), 8);
  expect(findSteadyPart(odd)!.kg).toBeCloseTo(6, 6);
});

it('agrees with trying every window on small curves', () => {
  const kgs = fc.array(fc.constantFrom(0, 5, 5.2, 5.4, 9, 400), { minLength: 12, maxLength: 45 });
  fc.assert(
    fc.property(kgs, (list) => {
      const readings = list.map((kg, index) => ({ atSeconds: index * 0.25, kg }));
      const found = findSteadyPart(readings);
      let longest = 0;
      for (let from = 0; from < readings.length; from += 1) {
        for (let to = from; to < readings.length; to += 1) {
          const part = findSteadyPart(readings.slice(from, to + 1));
          if (part !== null) longest = Math.max(longest, part.toSeconds - part.fromSeconds);
        }
      }
      expect(found === null ? 0 : found.toSeconds - found.fromSeconds).toBeCloseTo(longest, 9);
    }),
    { numRuns: 60 },
  );
});

it('gives the same readings for the same seed, silences included', () => {
  expect(practise({ dropShare: 0.02 }, 30, 8)).toEqual(practise({ dropShare: 0.02 }, 30, 8));
  expect(practise({ dropShare: 0.05 }, 30).length).toBeLessThan(practise({}, 30).length);
});

it('gives the share of body weight within what can be', () => {
  expect(percentOfBody(6.2, 62)).toBeCloseTo(10, 9);
  expect(percentOfBody(-0.3, 62)).toBe(0);
  expect(percentOfBody(90, 62)).toBe(100);
});
