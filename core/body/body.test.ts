import fc from 'fast-check';
import { InputProblem } from '../problem';
import { resolveBody } from './body';
import { lengthIds, lengthTable, type LengthId } from './lengths';
import { spreadOf } from './spread';

const heights = fc.double({ min: 1.2, max: 2.2, noNaN: true });

describe('resolveBody', () => {
  it('fills every length from height, all estimated', () => {
    const body = resolveBody({ heightM: 1.7 });
    expect(body.lengths.forearm).toBeCloseTo(0.2482, 10);
    expect(body.lengths.sittingLegReach).toBeCloseTo(0.901, 10);
    for (const id of lengthIds) expect(body.basis[id]).toBe('estimated');
    expect(body.sdM.forearm).toBeCloseTo(0.04 * 0.2482, 10);
    expect(body.sdM.shoulderJointWidth).toBeCloseTo(0.07 * 0.204 * 1.7, 10);
  });

  it('takes measured lengths as they are, a centimetre sure', () => {
    const body = resolveBody({ heightM: 1.7, lengths: { forearm: 0.27 } });
    expect(body.lengths.forearm).toBe(0.27);
    expect(body.sdM.forearm).toBe(0.01);
    expect(body.basis.forearm).toBe('measured');
    expect(body.lengths.upperArm).toBeCloseTo(0.3162, 10);
  });

  it('rescales the unmeasured parts of a measured total', () => {
    const { lengths } = resolveBody({ heightM: 1.7, lengths: { armReach: 0.8, forearm: 0.27 } });
    expect(lengths.upperArm + lengths.forearm + lengths.hand).toBeCloseTo(0.8, 10);
    expect(lengths.upperArm / lengths.hand).toBeCloseTo(0.186 / 0.108, 10);
    const leg = resolveBody({ heightM: 1.7, lengths: { sittingLegReach: 0.95 } });
    expect(leg.lengths.thigh + leg.lengths.shank + leg.ankleM).toBeCloseTo(0.95, 10);
  });

  it('scales with height', () => {
    fc.assert(
      fc.property(heights, (heightM) => {
        const { lengths } = resolveBody({ heightM });
        for (const id of lengthIds) {
          expect(lengths[id] / heightM).toBeCloseTo(lengthTable[id].fraction, 10);
        }
      }),
    );
  });

  it.each([
    [{ heightM: 1.19 }, ['heightM']],
    [{ heightM: 2.21 }, ['heightM']],
    [{ heightM: Number.NaN }, ['heightM']],
    [{ heightM: 1.7, massKg: 24 }, ['massKg']],
    [{ heightM: 1.7, lengths: { forearm: 0.5 } }, ['lengths', 'forearm']],
    [{ heightM: 1.7, lengths: { forearm: 0.1 } }, ['lengths', 'forearm']],
    [{ heightM: 1.7, lengths: { forearm: Number.NaN } }, ['lengths', 'forearm']],
    [{ heightM: 1.7, lengths: { forearm: -0.25 } }, ['lengths', 'forearm']],
    // Three plausible lengths that cannot be true together.
    [
      { heightM: 1.7, lengths: { armReach: 0.4, forearm: 0.3, upperArm: 0.4 } },
      ['lengths', 'armReach'],
    ],
  ])('refuses %j by its field', (input, path) => {
    try {
      resolveBody(input);
      throw new Error('not refused');
    } catch (error) {
      expect(error).toBeInstanceOf(InputProblem);
      expect((error as InputProblem).path).toEqual(path);
      expect((error as InputProblem).message).toMatch(/[a-z].*\.$/i);
    }
  });

  it('never hands out a length that is not a positive number', () => {
    const typed = fc.dictionary(
      fc.constantFrom(...lengthIds),
      fc.double({ min: -1, max: 3 }),
    ) as fc.Arbitrary<Partial<Record<LengthId, number>>>;
    fc.assert(
      fc.property(heights, typed, (heightM, lengths) => {
        try {
          const body = resolveBody({ heightM, lengths });
          for (const id of lengthIds) expect(body.lengths[id]).toBeGreaterThan(0);
        } catch (error) {
          expect(error).toBeInstanceOf(InputProblem);
        }
      }),
    );
  });
});

describe('spreadOf', () => {
  it('adds the deviations of the lengths used in root sum of squares', () => {
    const body = resolveBody({ heightM: 1.7 });
    const sum = spreadOf(body, (l) => l.hand + l.forearm);
    const sd = 0.04 * 1.7 * Math.hypot(0.108, 0.146);
    expect(sum.value).toBeCloseTo(0.4318, 10);
    expect(sum.high - sum.value).toBeCloseTo(sd, 10);
    expect(sum.value - sum.low).toBeCloseTo(sd, 10);
    expect(sum.drivers.map(({ length }) => length)).toEqual(['forearm', 'hand']);
  });

  it('is measured only when every length it rests on was', () => {
    const basis = (lengths: Partial<Record<LengthId, number>>) =>
      spreadOf(resolveBody({ heightM: 1.7, lengths }), (l) => l.hand + l.forearm).basis;
    expect(basis({ hand: 0.18 })).toBe('estimated');
    expect(basis({ hand: 0.18, forearm: 0.25 })).toBe('measured');
    expect(basis({ thigh: 0.4 })).toBe('estimated');
  });

  it('leaves a fixed figure without a range', () => {
    const fixed = spreadOf(resolveBody({ heightM: 1.7 }), () => 0.05);
    expect(fixed).toMatchObject({ low: 0.05, value: 0.05, high: 0.05, drivers: [] });
  });
});
