import fc from 'fast-check';
import {
  ahead,
  angleAt,
  bearing,
  between,
  distanceOf,
  findRoot,
  meet,
  turned,
  UnreachableProblem,
} from './geometry';
import type { Point } from './joints';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const points = fc.tuple(number(-2, 2), number(-2, 2)) as fc.Arbitrary<Point>;

describe('turned, bearing and distance', () => {
  it('undo each other', () => {
    fc.assert(
      fc.property(points, number(-179, 179), number(0.01, 3), (from, deg, length) => {
        const to = turned(from, deg, length);
        expect(distanceOf(from, to)).toBeCloseTo(length, 9);
        expect(bearing(from, to)).toBeCloseTo(deg, 6);
      }),
    );
  });

  it('count degrees from the upright, towards +x', () => {
    expect(turned([0, 0], 0, 1)).toEqual([0, 1]);
    expect(turned([0, 0], 90, 1)[0]).toBeCloseTo(1, 12);
    expect(bearing([0, 0], [-1, 0])).toBeCloseTo(-90, 12);
  });

  it('find the middle and the angle at a corner', () => {
    expect(between([0, 0], [2, 4], 0.5)).toEqual([1, 2]);
    expect(angleAt([0, 0], [0, 1], [1, 0])).toBeCloseTo(90, 12);
    expect(angleAt([0, 0], [0, 1], [0, -1])).toBeCloseTo(180, 12);
    expect(angleAt([0, 0], [0, 1], [0, 2])).toBeCloseTo(0, 12);
  });
});

describe('meet', () => {
  const link = (from: Point, lengthM: number, limb: string) => ({ from, lengthM, limb });

  it('meets at both lengths, on the side asked for, or names what is wrong', () => {
    fc.assert(
      fc.property(points, points, number(0.1, 2), number(0.1, 2), (a, b, la, lb) => {
        fc.pre(distanceOf(a, b) > 1e-3);
        try {
          const high = meet(link(a, la, 'one'), link(b, lb, 'two'), 'higher');
          const low = meet(link(a, la, 'one'), link(b, lb, 'two'), 'lower');
          for (const at of [high, low]) {
            expect(distanceOf(a, at)).toBeCloseTo(la, 5);
            expect(distanceOf(b, at)).toBeCloseTo(lb, 5);
          }
          expect(high[1]).toBeGreaterThanOrEqual(low[1] - 1e-9);
        } catch (error) {
          const { missingM } = error as UnreachableProblem;
          const apart = distanceOf(a, b);
          const expected = apart > la + lb ? apart - la - lb : Math.abs(la - lb) - apart;
          expect(missingM).toBeCloseTo(expected, 9);
        }
      }),
    );
  });

  it('says which limbs are short and by how many centimetres, rounded up', () => {
    try {
      meet(link([0, 0], 0.5, 'the arms'), link([2, 0], 1, 'the legs'), 'higher');
      throw new Error('met');
    } catch (error) {
      expect(error).toBeInstanceOf(UnreachableProblem);
      expect((error as UnreachableProblem).missingM).toBeCloseTo(0.5, 12);
      expect((error as Error).message).toBe(
        'Out of reach: the arms and the legs together are 50 cm too short.',
      );
    }
  });

  it('says which limb is too long when the ends are too close', () => {
    expect(() =>
      meet(link([0, 0], 1, 'the legs'), link([0.1, 0], 0.5, 'the arms'), 'higher'),
    ).toThrow('the legs would have to be 40 cm shorter');
  });
});

describe('ahead', () => {
  it('keeps the limb its length', () => {
    fc.assert(
      fc.property(number(0.2, 1), number(-0.19, 0.19), (length, offset) => {
        const at = ahead([0, 0], length, offset, 'the arms');
        expect(distanceOf([0, 0], at)).toBeCloseTo(length, 9);
        expect(at[0]).toBeCloseTo(offset, 12);
      }),
    );
  });

  it('refuses to lean further than the limb is long', () => {
    expect(() => ahead([0, 0], 0.5, -0.62, 'the arms')).toThrow(/the arms.*12 cm longer/);
  });
});

describe('findRoot', () => {
  it('finds the root of rising and falling functions, flat and steep', () => {
    fc.assert(
      fc.property(number(-4, 4), fc.constantFrom(1, -1), number(0.5, 3), (root, sign, power) => {
        const f = (x: number) => sign * Math.sign(x - root) * Math.abs(x - root) ** power;
        const found = findRoot(f, -5, 5)!;
        // As near as the function can tell two places apart.
        expect(Math.abs(f(found))).toBeLessThan(1e-4);
      }),
    );
  });

  it('takes an end that is the root, and has none where the sign does not change', () => {
    expect(findRoot((x) => x, 0, 3)).toBe(0);
    expect(findRoot((x) => x - 3, 0, 3)).toBe(3);
    expect(findRoot((x) => x * x + 1, -3, 3)).toBeNull();
  });

  it('needs few evaluations', () => {
    let calls = 0;
    findRoot(
      (x) => {
        calls += 1;
        return Math.sin(x / 40) + 0.2;
      },
      -60,
      60,
    );
    expect(calls).toBeLessThan(20);
  });
});
