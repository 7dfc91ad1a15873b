import fc from 'fast-check';
import { resolveBody, type BodyInput } from '../body/body';
import type { PieceCount } from '../catalog/pieces';
import { profileIds } from '../catalog/profiles';
import { forearmStandWallPose } from '../posture/wallStand';
import { forearmKickSetup } from './forearmKick';
import { keptDistances } from './registry';

const cupboard: readonly PieceCount[] = [
  { piece: 'foam-block', count: 4 },
  { piece: 'thin-foam-block', count: 2 },
  { piece: 'strap-240', count: 2 },
  { piece: 'shoulder-pad', count: 6 },
];
const setup = (
  body: BodyInput,
  pieces = cupboard,
  profile: (typeof profileIds)[number] = 'prop-led',
) => forearmKickSetup({ body: resolveBody(body), profile, pieces });

const bodies = fc.record({
  heightM: fc.double({ min: 1.2, max: 2.2, noNaN: true }),
  massKg: fc.double({ min: 25, max: 250, noNaN: true }),
});

describe('the worked example of the handbook, 1.70 m and a gap of 5 cm', () => {
  const { distances } = setup({ heightM: 1.7 });
  const base = (id: string) => distances.otherBases.find((d) => d.id === id)!.metres;

  it('stands the elbows 48, 54 and 48 cm from the wall', () => {
    expect(base('base.noBlock')).toBeCloseTo(0.4818, 4);
    expect(base('base.lGrip')).toBeCloseTo(0.5417, 4);
    expect(base('base.palmsOnEnds')).toBeCloseTo(0.4818, 4);
    expect(distances.base.metres).toBe(base('base.lGrip'));
  });

  it('works out widths, loop, spacer and clearance', () => {
    expect(distances.elbowWidth.metres).toBeCloseTo(0.3468, 4);
    expect(distances.gripElbowWidth.metres).toBeCloseTo(0.194 * 1.7, 4);
    expect(distances.strapLoop.metres).toBeCloseTo(0.9673, 4);
    expect(distances.spacerGap.metres).toBeCloseTo(0.2533, 4);
    expect(distances.wristSpacing!.metres).toBeCloseTo(0.23 + 0.0816, 4);
    expect(distances.headClearance.metres).toBeCloseTo(0.0368, 4);
  });

  it('carries one standard deviation of hand, knuckle and forearm through the base', () => {
    const sd = 0.04 * 1.7 * Math.hypot(0.055, 0.146);
    expect(distances.base.highM - distances.base.metres).toBeCloseTo(sd, 6);
    expect(distances.base.basis).toBe('estimated');
  });
});

describe('the lean the distance forces', () => {
  it('is about 20 degrees with a gap of 15 cm and 15 with the fingertips at the wall', () => {
    const none: PieceCount[] = [];
    const play = setup({ heightM: 1.7 }, none, 'play-led').lean;
    expect(play.leanDeg).toBeCloseTo(19.9, 1);
    expect(play.bendIfUpperArmsUprightDeg).toBeCloseTo(24.7, 1);
    const strength = setup({ heightM: 1.7 }, none, 'strength-led').lean;
    expect(strength.leanDeg).toBeCloseTo(14.7, 1);
    expect(strength.bendIfUpperArmsUprightDeg).toBeCloseTo(18.1, 1);
  });

  it('names the gap that brings it under 15 degrees, or says that none does', () => {
    const play = setup({ heightM: 1.7 }, [], 'play-led');
    // By hand: 1.004 x 1.7 x sin 15 - (0.108 + 0.146) x 1.7.
    expect(play.easyGapM).toBeCloseTo(0.00995, 4);
    expect(setup({ heightM: 1.7 }).easyGapM).toBeNull();
    expect(setup({ heightM: 1.7 }).notes.join(' ')).toContain('No gap brings the lean under 15°');
  });

  it('does not change when the whole body is scaled', () => {
    fc.assert(
      fc.property(bodies, ({ heightM }) => {
        const lean = setup({ heightM }, [], 'strength-led').lean.leanDeg;
        expect(lean).toBeCloseTo(setup({ heightM: 1.7 }, [], 'strength-led').lean.leanDeg, 8);
      }),
    );
  });
});

describe('the pose', () => {
  it('puts the heels on the wall, in one line and with the upper arms upright', () => {
    fc.assert(
      fc.property(bodies, fc.double({ min: 0, max: 0.7, noNaN: true }), (input, baseM) => {
        const body = resolveBody(input);
        const pose = forearmStandWallPose(body, baseM);
        expect(pose.line.heel[0]).toBeCloseTo(baseM, 9);
        expect(pose.upright.heel[0]).toBeCloseTo(baseM, 9);
        expect(pose.upright.shoulder[0]).toBeCloseTo(0, 9);
        expect(pose.legUp.heel[0]).toBeCloseTo(pose.legUp.hip[0], 9);
        const { hip, knee, ankle } = pose.line;
        expect(Math.hypot(knee[0] - hip[0], knee[1] - hip[1])).toBeCloseTo(body.lengths.thigh, 9);
        expect(Math.hypot(ankle[0] - knee[0], ankle[1] - knee[1])).toBeCloseTo(
          body.lengths.shank,
          9,
        );
      }),
    );
  });

  it('says which limb is short, and by how much, when the wall cannot be reached', () => {
    const body = resolveBody({ heightM: 1.2 });
    expect(() => forearmStandWallPose(body, 1.1)).toThrow(
      /cm too far from the wall: trunk and legs/,
    );
  });
});

describe('proportions and the cupboard', () => {
  const longNeck = { heightM: 1.68, lengths: { shoulderToCrown: 0.35, upperArm: 0.295 } };

  it('offers a lift to a head that cannot clear the floor, and calls it proportion', () => {
    const result = setup(longNeck);
    expect(result.distances.headClearance.metres).toBeCloseTo(-0.025, 6);
    expect(result.distances.forearmLift.metres).toBeCloseTo(0.055, 6);
    expect(result.lift).toMatchObject({ piece: 'shoulder-pad', layers: 2, heightM: 0.056 });
    expect(result.notes.join(' ')).toContain('proportion and not weakness');
  });

  it('says what to borrow when nothing at hand makes the lift, the loop or the block', () => {
    const bare = setup(longNeck, []);
    expect(bare.block).toBeNull();
    expect(bare.lift).toBeNull();
    expect(bare.cautions).toHaveLength(3);
    expect(bare.distances.wristSpacing).toBeUndefined();
  });

  it('takes a second, thin block only for shoulders far wider than one', () => {
    const broad = setup({ heightM: 1.9, lengths: { shoulderJointWidth: 0.45 } });
    expect(broad.block!.faces.map(({ metres }) => metres)).toEqual([0.23, 0.075]);
    expect(setup({ heightM: 1.9 }).block!.faces).toHaveLength(1);
  });

  it('corrects the grip method only beyond 2 cm', () => {
    const words = (width: number) =>
      setup({ heightM: 1.7, lengths: { shoulderJointWidth: width } }).notes.join(' ');
    expect(words(0.33)).not.toContain('Gripping');
    expect(words(0.36)).toContain('too narrow');
    expect(words(0.3)).toContain('too wide');
  });

  it('keeps low, nominal and high in order and finite for every body', () => {
    fc.assert(
      fc.property(bodies, fc.constantFrom(...profileIds), (body, profile) => {
        const { distances } = setup(body, cupboard, profile);
        const { otherBases, ...named } = distances;
        for (const d of [...Object.values(named), ...otherBases]) {
          expect(d.lowM).toBeLessThanOrEqual(d.metres + 1e-12);
          expect(d.metres).toBeLessThanOrEqual(d.highM + 1e-12);
          expect(Number.isFinite(d.highM)).toBe(true);
        }
      }),
    );
  });
});

describe('a distance kept by experience', () => {
  const kept = (heightM: number, baseM: number) =>
    forearmKickSetup({
      body: resolveBody({ heightM }),
      profile: 'prop-led',
      pieces: cupboard,
      kept: keptDistances([
        {
          setup: 'forearm-kick',
          distance: 'base',
          metres: baseM,
          on: '2026-11-19',
          note: 'closer',
        },
      ]),
    });

  it('replaces the computed one, and the lean follows it', () => {
    const { distances, lean, cautions } = kept(1.7, 0.48);
    expect(distances.base).toMatchObject({ metres: 0.48, lowM: 0.48, highM: 0.48 });
    expect(lean.leanDeg).toBeCloseTo((Math.asin(0.48 / (1.004 * 1.7)) * 180) / Math.PI, 6);
    expect(cautions).toEqual([]);
  });

  it('is set aside with a sentence when the body no longer reaches the wall from it', () => {
    const { distances, cautions } = kept(1.3, 1.2);
    expect(distances.base.metres).toBeCloseTo(setup({ heightM: 1.3 }).distances.base.metres, 9);
    expect(cautions[0]).toContain('out of reach for this body');
  });
});
