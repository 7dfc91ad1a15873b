import fc from 'fast-check';
import { resolveBody, type BodyInput } from './body';
import {
  feetApartM,
  findGirthProblem,
  girthIds,
  girthTable,
  leastHipDeg,
  trunkAcrossM,
  widerForTrunkM,
} from './girths';
import { bodyOfTaken, findTakenProblem, takenIds, takenTable } from './taken';

const usual = (heightM = 1.7): BodyInput => ({
  heightM,
  girths: Object.fromEntries(girthIds.map((id) => [id, girthTable[id].usual * heightM])),
});
const heights = fc.double({ min: 1.2, max: 2.2, noNaN: true });

it('asks for no more room where nothing was measured, or what was measured is usual', () => {
  fc.assert(
    fc.property(heights, (heightM) => {
      for (const body of [resolveBody({ heightM }), resolveBody(usual(heightM))]) {
        expect(leastHipDeg(body)).toBeNull();
        expect(widerForTrunkM(body)).toBeCloseTo(0, 9);
        expect(feetApartM(body)).toBeNull();
      }
    }),
  );
  expect(trunkAcrossM(resolveBody({ heightM: 1.7 }))).toBeNull();
});

it('gives more room the more there is round belly, chest and thighs, never less and never without end', () => {
  const grown = fc.double({ min: 1, max: 2.3, noNaN: true });
  fc.assert(
    fc.property(heights, grown, grown, (heightM, a, b) => {
      const [less, more] = [Math.min(a, b), Math.max(a, b)];
      const at = (factor: number) =>
        resolveBody({
          heightM,
          girths: Object.fromEntries(
            girthIds.map((id) => [id, girthTable[id].usual * heightM * factor]),
          ),
        });
      const [one, other] = [at(less), at(more)];
      expect(widerForTrunkM(one)).toBeLessThanOrEqual(widerForTrunkM(other));
      expect(widerForTrunkM(other)).toBeLessThanOrEqual(0.06);
      expect(leastHipDeg(one) ?? 20).toBeLessThanOrEqual((leastHipDeg(other) ?? 20) + 1e-9);
      expect(leastHipDeg(other) ?? 20).toBeLessThan(90);
      expect(feetApartM(one) ?? 0).toBeLessThanOrEqual((feetApartM(other) ?? 0) + 1e-9);
    }),
  );
});

it('is worked by hand at 1.70 m with a belly of 120 cm', () => {
  const body = resolveBody({ heightM: 1.7, girths: { bellyGirth: 1.2 } });
  // An ellipse 0.72 as deep as wide is 2.72 of its width round: 44.1 cm across, 31.3 usual.
  expect(trunkAcrossM(body)).toBeCloseTo(0.4412, 3);
  // Half of the excess, but no more than six centimetres.
  expect(widerForTrunkM(body)).toBeCloseTo(0.06, 9);
  expect(leastHipDeg(body)).toBeCloseTo(26.8, 0);
  expect(feetApartM(resolveBody({ heightM: 1.7, girths: { thighGirth: 0.68 } }))).toBeCloseTo(
    0.68 / Math.PI,
    3,
  );
});

it('refuses what nobody has, in words and in the body', () => {
  expect(findGirthProblem('bellyGirth', 0.2, 1.7)).toMatch(/does not fit a height of 170 cm/);
  expect(findGirthProblem('bellyGirth', 1.2, 1.7)).toBeNull();
  expect(() => resolveBody({ heightM: 1.7, girths: { chestGirth: 4 } })).toThrow(/Chest/);
  expect(findTakenProblem('chestGirth', 4, 1.7)).toMatch(/Chest/);
  expect(findTakenProblem('forearm', 0.25, 1.7)).toBeNull();
});

it('are taken by names of their own beside the lengths', () => {
  expect(new Set(takenIds).size).toBe(takenIds.length);
  for (const id of takenIds) expect(takenTable[id].howTo).toMatch(/\.$/);
  expect(
    bodyOfTaken([
      { length: 'thigh', metres: 0.42 },
      { length: 'thighGirth', metres: 0.6 },
    ]),
  ).toEqual({ lengths: { thigh: 0.42 }, girths: { thighGirth: 0.6 } });
  expect(bodyOfTaken([])).toEqual({ lengths: {} });
});
