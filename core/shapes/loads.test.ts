import { exact } from '../exact';
import fc from 'fast-check';
import { resolveBody } from '../body/body';
import { shareFloor, shareWithWall } from '../posture/contacts';
import type { Posture } from './postures';
import { UnreachableProblem } from '../posture/geometry';
import { pointsOf } from '../posture/joints';
import { computeLoads, type Loads } from './loads';
import { shapeIds } from './registry';
import { centreOfMass, segmentMass } from '../posture/mass';

const H = 1.7;
const body = resolveBody({ heightM: H });
const nominal = (posture: Posture, name: string, of = body) =>
  computeLoads(of, posture).contacts.find((c) => c.name === name)!.verticalPercent.nominal;

/** One of each shape at usual proportions of the body. */
const usual = (heightM: number): Posture[] => [
  { family: 'plank' },
  { family: 'kneePlank' },
  { family: 'dog', stanceM: 0.7 * heightM },
  { family: 'dog', stanceM: 0.7 * heightM, shoulderLeadM: -0.1 * heightM, oneLeg: true },
  { family: 'shortDog', baseM: 0.5 * heightM },
  { family: 'raisedDog', stanceM: 0.5 * heightM, supportHeightM: 0.25 * heightM },
  { family: 'dolphin', elbowToBallM: 0.6 * heightM },
  { family: 'dolphin', elbowToBallM: 0.6 * heightM, shoulderLeadM: 0, kneeBendDeg: 20 },
  { family: 'dolphin', elbowToBallM: 0.6 * heightM, oneLeg: true },
  { family: 'wallL', baseM: 0.53 * heightM },
  { family: 'forearmWallL', baseM: 0.53 * heightM },
  { family: 'handstandWall', baseM: 0.2 * heightM },
  { family: 'forearmStandWall', baseM: 0.3 * heightM },
  { family: 'handstand', archDeg: 15 },
  { family: 'forearmStand' },
  { family: 'headstand' },
  { family: 'headstandBase', headToBallM: 0.5 * heightM },
  { family: 'headstandTuck' },
  { family: 'crow', elbowDeg: 110, kneeOnArm: 0.6 },
  { family: 'liftedTuck', blockM: 0.06 * heightM },
  { family: 'shoulderStand', trunkDeg: 85, platformM: 0.07 * heightM },
  { family: 'plough', platformM: 0.07 * heightM, toeSupportM: 0 },
];

describe('published figures', () => {
  it('push-up position: 64 to 69 % on the hands, 49 to 54 % on the knees (within 4 points)', () => {
    expect(nominal({ family: 'plank' }, 'hands')).toBeGreaterThan(60);
    expect(nominal({ family: 'plank' }, 'hands')).toBeLessThan(73);
    expect(nominal({ family: 'kneePlank' }, 'hands')).toBeGreaterThan(45);
    expect(nominal({ family: 'kneePlank' }, 'hands')).toBeLessThan(58);
  });

  it('headstand: 40 to 48 % on the crown lies in the feasible range', () => {
    const head = computeLoads(body, { family: 'headstand' }).contacts.find(
      (c) => c.name === 'head',
    )!;
    expect(head.verticalPercent.low).toBeLessThanOrEqual(40);
    expect(head.verticalPercent.high).toBeGreaterThanOrEqual(48);
  });
});

describe('facts the product makes visible', () => {
  it('dolphin: 56 % at 0.8 H, 70 % at 0.3 H, 65 % at 0.75 H with the shoulders over the elbows', () => {
    const forearms = (share: number, lead?: number) =>
      nominal(
        {
          family: 'dolphin',
          elbowToBallM: share * H,
          ...(lead === undefined ? {} : { shoulderLeadM: lead }),
        },
        'forearms',
      );
    expect(forearms(0.8)).toBeCloseTo(56.4, 0);
    expect(forearms(0.3)).toBeCloseTo(70.4, 0);
    expect(forearms(0.75, 0)).toBeCloseTo(65.2, 0);
    expect(forearms(0.75, -0.1 * H)).toBeLessThan(60);
  });

  it('L: nearly all on the hands, 8 to 20 % on the wall between heel of the hand and knuckles', () => {
    const at = (footHeightM: number) =>
      ({ family: 'wallL', baseM: 0.53 * H, footHeightM }) as const;
    const full = nominal({ family: 'wallL', baseM: 0.53 * H }, 'hands');
    expect(full).toBeCloseTo(96, 0);
    expect(full - nominal(at(0.45 * H), 'hands')).toBeCloseTo(2, 0);
    expect(full - nominal(at(0.3 * H), 'hands')).toBeGreaterThan(6);
    expect(full - nominal(at(0.3 * H), 'hands')).toBeLessThan(7.5);
    const { contacts, angles, notes } = computeLoads(body, { family: 'wallL', baseM: 0.53 * H });
    const wall = contacts.find(({ name }) => name === 'wallFeet')!.wallPercent!;
    expect(wall.low).toBeCloseTo(7.8, 0);
    expect(wall.nominal).toBeLessThan(20);
    expect(angles.trunkDeg).toBeCloseTo(0, 6);
    expect(angles.hipDeg).toBeCloseTo(90, 6);
    expect(notes).toEqual([]);
    expect(computeLoads(body, at(0.3 * H)).notes[0]).toContain('slip');
  });

  it('feet on a chair with a short stance: about 70 %', () => {
    const share = nominal(
      { family: 'raisedDog', stanceM: 0.52 * H, supportHeightM: 0.45 },
      'hands',
    );
    expect(share).toBeGreaterThan(67);
    expect(share).toBeLessThan(74);
  });

  it('lean: 10 degrees on the hands, 20 and 15 on the forearms', () => {
    const lean = (family: 'handstandWall' | 'forearmStandWall', baseM: number) =>
      computeLoads(body, { family, baseM }).angles.leanDeg;
    expect(lean('handstandWall', 0.15 + 0.108 * H)).toBeCloseTo(9.8, 1);
    expect(lean('forearmStandWall', 0.15 + 0.254 * H)).toBeCloseTo(19.9, 1);
    expect(lean('forearmStandWall', 0.254 * H)).toBeCloseTo(14.7, 1);
  });

  it('crow: the shoulders travel ahead until the weight stands over the knuckles', () => {
    const loads = computeLoads(body, { family: 'crow', elbowDeg: 110, kneeOnArm: 0.6 });
    expect(loads.centreOfMass[0]).toBeCloseTo(body.lengths.knuckle, 6);
    expect(loads.shoulderLeadM).toBeGreaterThan(0.1);
    expect(loads.shoulderLeadM).toBeLessThan(0.35);
  });
});

describe('every shape', () => {
  const heights = fc.double({ min: 1.3, max: 2.1, noNaN: true });
  const sound = (loads: Loads) => {
    const numbers = JSON.stringify(loads);
    expect(numbers).not.toContain('null');
    for (const [x, y] of pointsOf(loads.pose.joints)) {
      expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true);
    }
  };

  it('is in the table of usual postures', () => {
    expect(new Set(usual(H).map(({ family }) => family)).size).toBe(shapeIds.length);
  });

  it('shares sum to 100, ranges are ordered, moments balance', () => {
    for (const posture of usual(H)) {
      const { contacts, pose, centreOfMass: mass } = computeLoads(body, posture);
      for (const { verticalPercent: v } of contacts) {
        expect(v.low).toBeLessThanOrEqual(v.nominal + 1e-9);
        expect(v.nominal).toBeLessThanOrEqual(v.high + 1e-9);
      }
      if (contacts.length > 2) continue;
      const sum = contacts.reduce((total, c) => total + c.verticalPercent.nominal, 0);
      expect(sum).toBeCloseTo(100, 6);
      if (pose.wall || contacts.some(({ name }) => name === 'head') || contacts.length < 2)
        continue;
      const moment = contacts.reduce(
        (total, c, i) => total + (c.verticalPercent.nominal / 100) * pose.floor[i]!.nominal,
        0,
      );
      expect(moment).toBeCloseTo(mass[0], 6);
    }
  });

  it('mirrors: contacts and mass turned round give the same shares, wall and all', () => {
    const floor = computeLoads(body, { family: 'dolphin', elbowToBallM: 1.1 });
    const turn = <T extends { low: number; nominal: number; high: number }>(c: T) => ({
      ...c,
      low: -c.high,
      nominal: -c.nominal,
      high: -c.low,
    });
    const x = floor.centreOfMass[0];
    const there = shareFloor(floor.pose.floor, x);
    const back = shareFloor(floor.pose.floor.map(turn), -x);
    back.forEach((load, i) => {
      expect(load.verticalPercent.low).toBeCloseTo(there[i]!.verticalPercent.low, 9);
      expect(load.verticalPercent.nominal).toBeCloseTo(there[i]!.verticalPercent.nominal, 9);
      expect(load.verticalPercent.high).toBeCloseTo(there[i]!.verticalPercent.high, 9);
    });
    const wall = computeLoads(body, { family: 'wallL', baseM: 0.9 });
    const stand = wall.pose.wall!;
    const mirrored = shareWithWall(
      turn(wall.pose.floor[0]!),
      { at: [-stand.at[0], stand.at[1]], side: 1 },
      -wall.centreOfMass[0],
    );
    mirrored.forEach((load, i) => {
      expect(load.verticalPercent.nominal).toBeCloseTo(
        wall.contacts[i]!.verticalPercent.nominal,
        9,
      );
    });
  });

  it('keeps percents and angles and scales lengths with the body', () => {
    fc.assert(
      fc.property(heights, (heightM) => {
        const scaled = resolveBody({ heightM });
        const pairs = usual(heightM).map((posture, i) => [posture, usual(H)[i]] as const);
        for (const [posture, model] of pairs) {
          // The shoulder lift is centimetres and not a share of the body.
          if (/head/.test(posture.family) || posture.family === 'forearmStand') continue;
          const [a, b] = [computeLoads(scaled, posture), computeLoads(body, model!)];
          expect(a.angles.hipDeg).toBeCloseTo(b.angles.hipDeg, 5);
          expect(a.centreOfMass[1] / heightM).toBeCloseTo(b.centreOfMass[1] / H, 6);
          a.contacts.forEach((contact, i) =>
            expect(contact.verticalPercent.nominal).toBeCloseTo(
              b.contacts[i]!.verticalPercent.nominal,
              5,
            ),
          );
        }
      }),
      { numRuns: 30 },
    );
  });

  it('an L that would lie on the floor is none', () => {
    const flat = { family: 'wallL', baseM: 0.2184, footHeightM: 0 } as const;
    expect(() => computeLoads(resolveBody({ heightM: 1.3 }), flat)).toThrow(UnreachableProblem);
    expect(() => computeLoads(resolveBody({ heightM: 1.3 }), flat)).toThrow(/hips would lie/);
  });

  it('gives sound numbers or names the limb, whatever is asked', () => {
    const metres = fc.double({ min: 0, max: 3, noNaN: true });
    const lead = fc.option(fc.double({ min: -0.6, max: 0.6, noNaN: true }), { nil: undefined });
    const any = fc.oneof(
      fc.record({ family: fc.constant('dog' as const), stanceM: metres, shoulderLeadM: lead }),
      fc.record({
        family: fc.constant('dolphin' as const),
        elbowToBallM: metres,
        shoulderLeadM: lead,
        kneeBendDeg: fc.double({ min: 0, max: 120, noNaN: true }),
      }),
      fc.record({ family: fc.constant('wallL' as const), baseM: metres, footHeightM: metres }),
      fc.record({ family: fc.constant('forearmStandWall' as const), baseM: metres }),
      fc.record({ family: fc.constant('headstandBase' as const), headToBallM: metres }),
      fc.record({
        family: fc.constant('crow' as const),
        elbowDeg: fc.double({ min: 40, max: 180, noNaN: true }),
        kneeOnArm: fc.double({ min: 0, max: 1, noNaN: true }),
      }),
      fc.record({
        family: fc.constant('plough' as const),
        platformM: metres,
        toeSupportM: metres,
      }),
    );
    fc.assert(
      fc.property(heights, any, (heightM, given) => {
        const posture = exact(given) as Posture;
        try {
          sound(computeLoads(resolveBody({ heightM }), posture));
        } catch (error) {
          expect(error).toBeInstanceOf(UnreachableProblem);
          const { limb, missingM, message } = error as UnreachableProblem;
          expect(limb.length).toBeGreaterThan(3);
          expect(missingM).toBeGreaterThan(0);
          expect(Number.isFinite(missingM)).toBe(true);
          expect(message).not.toMatch(/NaN|Infinity|-\d/);
        }
      }),
      { numRuns: 400 },
    );
  });

  it('weighs the whole body once', () => {
    const total = Object.values(segmentMass).reduce((sum, share) => sum + share, 0);
    expect(total).toBeCloseTo(1, 10);
    for (const posture of usual(H)) {
      const { pose } = computeLoads(body, posture);
      const moved = { ...pose.joints };
      expect(centreOfMass(body, moved)).toEqual(computeLoads(body, posture).centreOfMass);
    }
  });

  it('says how far a measured range is exceeded, and nothing within it', () => {
    const posture: Posture = { family: 'dolphin', elbowToBallM: 0.4 * H };
    const { angles } = computeLoads(body, posture);
    const loads = computeLoads(body, posture, { shoulderDeg: 165, hamstringDeg: 90 });
    expect(loads.beyondRange!.shoulderDeg).toBeCloseTo(angles.shoulderDeg - 165, 6);
    expect(loads.beyondRange!.hamstringDeg).toBeCloseTo(180 - angles.hipDeg - 90, 6);
    expect(computeLoads(body, posture, { shoulderDeg: 181 }).beyondRange).toBeUndefined();
  });
});
