import fc from 'fast-check';
import { resolveBody } from '../body/body';
import { shapeIds } from './registry';
import { shareFloor, shareWithWall, type FloorContact } from '../posture/contacts';
import type { ShapeId } from './postures';
import { distanceOf } from '../posture/geometry';
import { getDials, toPosture, usualValues } from './values';
import { pointsOf, shifted, type FigureJoints } from '../posture/joints';
import { computeLoads, solvePose } from './loads';
import { chairSize, dolphinOnChair } from '../posture/chair';
import { placeLoaded } from './posed';

const heights = fc.double({ min: 1.25, max: 2.15, noNaN: true });
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const onFloorFamilies: readonly ShapeId[] = shapeIds.filter(
  (id) => !['shoulderStand', 'plough', 'headstandTuck', 'liftedTuck', 'crow'].includes(id),
);

it('stands the feet on a chair that is as high as one, and on a pile of any other height', () => {
  const body = resolveBody({ heightM: 1.7 });
  const placed = (supportHeightM: number) => {
    const values = { ...usualValues('raisedDog', body), supportHeightM };
    return placeLoaded(body, 'raisedDog', computeLoads(body, toPosture('raisedDog', values)));
  };
  const { chair, rests, joints } = placed(chairSize.seatM);
  expect(rests).toEqual([]);
  // The seat is under the feet, and its back behind them.
  expect(chair!.frontX).toBeGreaterThan(joints.heel[0]);
  expect(chair!.backX).toBeLessThan(joints.heel[0]);
  expect(placed(0.2)).not.toHaveProperty('chair');
  expect(placed(0.2).rests[0]!.top).toBeCloseTo(placed(0.2).joints.heel[1], 9);
});

describe('limbs keep their lengths in every shape', () => {
  it.each(shapeIds)('%s', (shape) => {
    fc.assert(
      fc.property(heights, (heightM) => {
        const body = resolveBody({ heightM });
        const { lengths } = body;
        const { joints } = solvePose(body, toPosture(shape, usualValues(shape, body)));
        const same = (a: keyof FigureJoints, b: keyof FigureJoints, metres: number) => {
          const [from, to] = [joints[a], joints[b]] as [[number, number], [number, number]];
          expect(distanceOf(from, to)).toBeCloseTo(metres, 6);
        };
        same('shoulder', 'hip', lengths.trunk);
        same('hip', 'knee', lengths.thigh);
        same('knee', 'ankle', lengths.shank);
        same('elbow', 'wrist', lengths.forearm);
        if (!/head/.test(shape)) same('shoulder', 'elbow', lengths.upperArm);
        same('wrist', 'fingertip', lengths.hand);
      }),
      { numRuns: 20 },
    );
  });

  it.each(onFloorFamilies)('%s keeps everything above the floor', (shape) => {
    fc.assert(
      fc.property(heights, (heightM) => {
        const body = resolveBody({ heightM });
        const { joints } = solvePose(body, toPosture(shape, usualValues(shape, body)));
        const { crown: _, ...rest } = joints;
        for (const [, y] of pointsOf({ ...rest, crown: [0, 0] })) {
          expect(y).toBeGreaterThanOrEqual(-1e-9);
        }
      }),
      { numRuns: 20 },
    );
  });
});

describe('what a dial does', () => {
  const body = resolveBody({ heightM: 1.7 });
  const hands = (shape: ShapeId, change: Record<string, number>) =>
    computeLoads(body, toPosture(shape, { ...usualValues(shape, body), ...change })).contacts[0]!
      .verticalPercent.nominal;

  it('walking in loads the arms, leaning back and bent knees give it away', () => {
    const inLine = (elbowToBallM: number) =>
      computeLoads(body, { family: 'dolphin', elbowToBallM }).contacts[0]!.verticalPercent.nominal;
    expect(inLine(0.7)).toBeGreaterThan(inLine(1.1));
    expect(hands('dolphin', { shoulderLeadM: -0.15 })).toBeLessThan(
      hands('dolphin', { shoulderLeadM: 0 }),
    );
    expect(hands('dolphin', { kneeBendDeg: 45, shoulderLeadM: -0.05 })).toBeLessThan(
      hands('dolphin', { kneeBendDeg: 0, shoulderLeadM: 0 }),
    );
  });

  it('feet higher load the hands, feet lower on the wall lighten little', () => {
    expect(hands('raisedDog', { supportHeightM: 0.45 })).toBeGreaterThan(
      hands('raisedDog', { supportHeightM: 0.1 }),
    );
    const drop = hands('wallL', {}) - hands('wallL', { footHeightM: 0.45 * 1.7 });
    expect(drop).toBeGreaterThan(0);
    expect(drop).toBeLessThan(4);
  });

  it('a wider wall distance leans more, pushes more and raises the kick less', () => {
    const at = (baseM: number) => computeLoads(body, { family: 'forearmStandWall', baseM });
    const [near, far] = [at(0.45), at(0.65)];
    expect(far.angles.leanDeg!).toBeGreaterThan(near.angles.leanDeg!);
    const push = (loads: typeof near) =>
      loads.contacts.find(({ name }) => name === 'wallFeet')!.wallPercent!.nominal;
    expect(push(far)).toBeGreaterThan(push(near));
    expect(far.kickRiseM!).toBeLessThan(near.kickRiseM!);
  });

  it('a higher platform bends the neck less', () => {
    const neck = (platformM: number) =>
      computeLoads(body, { family: 'shoulderStand', trunkDeg: 90, platformM }).neckFlexionDeg!;
    expect(neck(0)).toBeCloseTo(90, 9);
    expect(neck(0.14)).toBeLessThan(neck(0.05));
    expect(() => neck(0.3)).toThrow(/too high/);
  });

  it('free stands balance over their place with room on both sides', () => {
    for (const family of ['handstand', 'forearmStand'] as const) {
      for (const archDeg of [0, 20, 40]) {
        const loads = computeLoads(body, { family, archDeg });
        const over =
          family === 'handstand' ? body.lengths.knuckle : body.lengths.forearm / 2 + 0.03;
        expect(loads.centreOfMass[0]).toBeCloseTo(over, 6);
        expect(loads.balance!.aheadM).toBeGreaterThan(0);
        expect(loads.balance!.behindM).toBeCloseTo(over, 9);
        expect(180 - loads.angles.hipDeg).toBeCloseTo(archDeg / 2, 5);
      }
    }
  });

  it('has a usual value inside its range for every dial of every shape', () => {
    for (const shape of shapeIds) {
      const values = usualValues(shape, body);
      expect(Object.keys(values)).toEqual(getDials(shape).map(({ parameter }) => parameter));
    }
  });
});

describe('shares between contacts', () => {
  const contact = (name: FloorContact['name']) =>
    fc.tuple(number(-1, 1), number(0, 0.3), number(0, 1)).map(([x, y, share]): FloorContact => {
      // To the tenth of a millimetre: places nearer than the tolerance are the same place.
      const [low, width] = [x, y].map((metres) => Math.round(metres * 1e4) / 1e4);
      return { name, low: low!, high: low! + width!, nominal: low! + width! * share };
    });

  /** Every split of the weight in steps of a hundredth: is there a pressure place that balances? */
  function bruteRange(contacts: readonly FloorContact[], x: number, index: number) {
    let [low, high] = [Infinity, -Infinity];
    const steps = 100;
    for (let a = 0; a <= steps; a += 1) {
      for (let b = 0; b <= steps - a; b += 1) {
        const shares = [a, b, steps - a - b].map((n) => n / steps);
        const least = shares.reduce((sum, f, i) => sum + f * contacts[i]!.low, 0);
        const most = shares.reduce((sum, f, i) => sum + f * contacts[i]!.high, 0);
        if (x < least - 1e-9 || x > most + 1e-9) continue;
        low = Math.min(low, shares[index]!);
        high = Math.max(high, shares[index]!);
      }
    }
    return { low, high };
  }

  it('ranges of three contacts agree with trying every split', () => {
    const three = fc.tuple(contact('head'), contact('forearms'), contact('feet'));
    fc.assert(
      fc.property(three, number(0, 1), (contacts, share) => {
        const least = Math.min(...contacts.map(({ low }) => low));
        const most = Math.max(...contacts.map(({ high }) => high));
        const x = least + (most - least) * share;
        const loads = shareFloor(contacts, x);
        contacts.forEach((_, index) => {
          const brute = bruteRange(contacts, x, index);
          if (brute.low > brute.high) return;
          const { low, high } = loads[index]!.verticalPercent;
          // The grid steps by a hundredth, so it may stop short of the edge by one.
          expect(low / 100).toBeLessThanOrEqual(brute.low + 1e-6);
          expect(high / 100).toBeGreaterThanOrEqual(brute.high - 1e-6);
        });
      }),
      { numRuns: 40 },
    );
  });

  it('two contacts split by moments', () => {
    const [a, b] = shareFloor(
      [
        { name: 'hands', low: 0, nominal: 0.1, high: 0.2 },
        { name: 'feet', low: -1, nominal: -1, high: -1 },
      ],
      -0.34,
    );
    expect(a!.verticalPercent.nominal).toBeCloseTo(60, 9);
    expect(b!.verticalPercent.nominal).toBeCloseTo(40, 9);
    expect(a!.verticalPercent.low).toBeCloseTo(55, 9);
    expect(a!.verticalPercent.high).toBeCloseTo(66, 9);
  });

  it('a wall is pushed only by weight that tips towards it', () => {
    const floor: FloorContact = { name: 'hands', low: 0, nominal: 0.05, high: 0.1 };
    const wall = { at: [0.5, 1.5], side: 1 } as const;
    const away = shareWithWall(floor, wall, -0.2);
    expect(away[1]!.wallPercent).toEqual({ low: 0, nominal: 0, high: 0 });
    expect(away[0]!.verticalPercent).toEqual({ low: 100, nominal: 100, high: 100 });
    const into = shareWithWall(floor, wall, 0.2);
    // By hand, frictionless at the wrist: 0.2 / 1.5.
    expect(into[1]!.wallPercent!.high).toBeCloseTo(13.33, 1);
    expect(into[0]!.verticalPercent.high).toBe(100);
  });
});

describe('figures moved elsewhere', () => {
  it('keep every distance, the second leg included', () => {
    const body = resolveBody({ heightM: 1.7 });
    const { joints } = solvePose(body, { family: 'dog', stanceM: 1.1, oneLeg: true });
    const moved = shifted(joints, 0.4, -0.1);
    pointsOf(joints).forEach((point, index) => {
      const [x, y] = pointsOf(moved)[index]!;
      expect(x).toBeCloseTo(point[0] + 0.4, 12);
      expect(y).toBeCloseTo(point[1] - 0.1, 12);
    });
    expect(pointsOf(joints)).toHaveLength(14);
  });

  it('end at the wall and not in it on a chair', () => {
    for (const heightM of [1.3, 1.7, 2.1]) {
      expect(dolphinOnChair(resolveBody({ heightM })).joints.fingertip[0]).toBeLessThan(0);
    }
  });
});
