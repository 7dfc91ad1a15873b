import fc from 'fast-check';
import { resolveBody, type BodyInput } from '../body/body';
import type { PieceCount } from '../catalog/pieces';
import { profileChangesSchema } from '../catalog/profileChanges';
import {
  profileIds,
  profileTable,
  settingsOf,
  type ProfileId,
  type ProfileSettings,
} from '../catalog/profiles';
import { getStage, stageIds } from '../catalog/stages';
import { poseStage } from '../drawing/stageSide';
import { neckFlexionDeg } from '../posture/supine';
import type { DistanceId } from './distance';
import { forearmKickSetup } from './forearmKick';
import { getSetup, homeOf, setupIds, type SetupId } from './registry';
import { checkFirstOf } from './setup';
import { distanceWords } from './distanceWords';
import { solveStage } from './solveStage';

const cupboard: readonly PieceCount[] = [
  { piece: 'foam-block', count: 6 },
  { piece: 'shoulder-pad', count: 8 },
  { piece: 'flat-foam', count: 8 },
  { piece: 'blanket', count: 8 },
  { piece: 'bolster-round', count: 1 },
  { piece: 'bolster-rectangular', count: 1 },
  { piece: 'strap-240', count: 1 },
  { piece: 'chair', count: 1 },
];
interface Change {
  body?: BodyInput;
  profile?: ProfileId;
  pieces?: readonly PieceCount[];
  straightLegRaiseDeg?: number;
}
const solve = (recipe: SetupId, change: Change = {}) =>
  getSetup(recipe).solve({
    body: resolveBody(change.body ?? { heightM: 1.7 }),
    profile: change.profile ?? 'prop-led',
    pieces: change.pieces ?? cupboard,
    ...(change.straightLegRaiseDeg === undefined
      ? {}
      : { straightLegRaiseDeg: change.straightLegRaiseDeg }),
  });
const metres = (recipe: SetupId, id: DistanceId, change: Change = {}) =>
  solve(recipe, change).distances.find((distance) => distance.id === id)!.metres;

describe('a stage and its set-up', () => {
  const input = {
    body: resolveBody({ heightM: 1.7 }),
    profile: 'prop-led',
    pieces: cupboard,
  } as const;
  const fromWall = (id: (typeof stageIds)[number]) =>
    solveStage(input, getStage(id))?.distances.filter((one) => distanceWords[one.id].isAtWall);

  it.each(stageIds.filter((id) => getStage(id).recipe !== undefined && !getStage(id).needsWall))(
    '%s stands at no wall, and measures nothing from one',
    (id) => {
      expect(fromWall(id)).toEqual([]);
      expect(poseStage(input, getStage(id), solveStage(input, getStage(id)))?.wall).toBeUndefined();
    },
  );

  it.each(stageIds.filter((id) => getStage(id).recipe !== undefined && getStage(id).needsWall))(
    '%s stands at a wall, and says how far from it',
    (id) => expect(fromWall(id)).not.toHaveLength(0),
  );
});

describe('distances worked by hand at 1.70 m', () => {
  it.each<[SetupId, DistanceId, number]>([
    ['forearm-L', 'base', 0.53 * 1.7],
    ['forearm-L', 'footHeight', 0.474 * 1.7],
    ['hand-kick', 'gap', 0.108 * 1.7 + 0.05],
    ['hand-kick', 'base.halfReach', 0.22 * 1.7],
    ['hand-L', 'base.table', 0.573 * 1.7],
    ['hand-L', 'base.reach', 0.592 * 1.7],
    ['hand-L', 'footHeight', 0.62 * 1.7],
    ['bolster-lean', 'base', 0.22 + 0.06 * 1.7 + 0.02],
    ['box', 'base', 0.592 * 1.7],
    ['strap-handstand', 'strapLoop', 2 * (0.204 * 1.7 + 0.01) + Math.PI * 0.055 * 1.7],
    ['strap-shoulder-stand', 'strapLoop', 2 * 0.204 * 1.7 + Math.PI * 0.055 * 1.7],
    ['lifted-tuck', 'blockHeight', 0.011 * 1.7 + 0.05],
    ['platform', 'platformHeight', 0.145 * 1.7 * Math.sin((35 * Math.PI) / 180)],
    ['platform', 'headEdgeToWall.innerLeg', 0.47 * 1.7],
    ['platform', 'shoulderLineToWall.innerLeg', 0.51 * 1.7],
    ['platform', 'shoulderLineToWall.legReach', 0.53 * 1.7],
    ['platform', 'headEdgeToWall.sitOnIt', 0.53 * 1.7 - 0.2],
    ['chair-shoulder-stand', 'chairGap', 0.288 * 1.7 - 0.47],
    ['legs-up', 'bolsterToWall', 0.108 * 1.7],
    ['wall-plough', 'crownToWall', 0.146 * 1.7],
    ['shoulder-rest', 'stackHeight', 0.231 * 1.7],
  ])('%s: %s', (recipe, id, expected) => {
    expect(metres(recipe, id)).toBeCloseTo(expected, 6);
  });
});

describe('profiles', () => {
  it('choose the method of the L and the place of the platform', () => {
    const base = (profile: ProfileId) => metres('hand-L', 'base', { profile });
    expect(base('prop-led')).toBeCloseTo(metres('hand-L', 'base.sitting'), 9);
    expect(base('strength-led')).toBeCloseTo(metres('hand-L', 'base.table'), 9);
    expect(base('play-led')).toBeCloseTo(metres('hand-L', 'base.reach'), 9);
    expect(metres('platform', 'shoulderLineToWall', { profile: 'strength-led' })).toBeCloseTo(
      metres('platform', 'shoulderLineToWall.legReach'),
      9,
    );
  });

  it('get exactly the neck flexion they want over the platform', () => {
    const body = resolveBody({ heightM: 1.7 });
    const flexion = (profile: ProfileId) =>
      neckFlexionDeg(body, 90, metres('platform', 'platformHeight', { profile }));
    expect(flexion('prop-led')).toBeCloseTo(55, 6);
    expect(flexion('play-led')).toBeCloseTo(65, 6);
    expect(neckFlexionDeg(body, 90, 0)).toBe(90);
  });

  it('move the platform 5 cm closer for each 10 degrees of short hamstrings', () => {
    const edge = (straightLegRaiseDeg?: number) =>
      metres(
        'platform',
        'headEdgeToWall',
        straightLegRaiseDeg === undefined ? {} : { straightLegRaiseDeg },
      );
    expect(edge() - edge(60)).toBeCloseTo(0.1, 9);
    expect(edge(95)).toBeCloseTo(edge(), 9);
  });
});

describe('what cannot be had', () => {
  it('is said with the next best, never with a stack that is not there', () => {
    for (const recipe of setupIds) {
      const bare = solve(recipe, { pieces: [] });
      if (bare.stack) {
        expect(bare.stack).toMatchObject({ found: false, layers: [] });
        expect(bare.cautions.join(' ')).toMatch(/Borrow|Nothing at hand/);
      }
      for (const sentence of [...bare.cautions, ...bare.notes]) expect(sentence).toMatch(/[.]$/);
    }
    expect(
      solve('strap-forearm', { pieces: [{ piece: 'strap-180', count: 0 }] }).cautions[0],
    ).toContain('No strap');
  });

  it('refuses a bolster that does not fit between the palms', () => {
    const narrow = solve('bolster-lean', { body: { heightM: 1.3 } });
    expect(narrow.cautions[0]).toContain('does not fit between the palms');
    expect(solve('bolster-lean').cautions).toEqual([]);
  });

  it('needs no blocks for a lifted tuck with long arms', () => {
    const long = { heightM: 1.7, lengths: { upperArm: 0.37, forearm: 0.3 } };
    expect(solve('lifted-tuck', { body: long }).distances[0]!.metres).toBe(0);
  });
});

describe('every recipe for every body', () => {
  it('gives ordered, finite distances that are never negative but for a missing clearance', () => {
    const bodies = fc.double({ min: 1.2, max: 2.2, noNaN: true });
    fc.assert(
      fc.property(bodies, fc.constantFrom(...profileIds), (heightM, profile) => {
        for (const recipe of setupIds) {
          const { distances, stack } = solve(recipe, { body: { heightM }, profile });
          expect(distances.length).toBeGreaterThan(0);
          for (const d of distances) {
            expect(d.lowM).toBeLessThanOrEqual(d.metres + 1e-12);
            expect(d.metres).toBeLessThanOrEqual(d.highM + 1e-12);
            expect(Number.isFinite(d.lowM) && Number.isFinite(d.highM)).toBe(true);
            expect(d.metres).toBeGreaterThanOrEqual(0);
          }
          if (stack?.found) {
            const sum = stack.layers.reduce((total, { thicknessM }) => total + thicknessM, 0);
            expect(sum).toBeCloseTo(stack.heightM!, 9);
          }
        }
      }),
      { numRuns: 12 },
    );
  });
});

describe('a school of one’s own', () => {
  const prop = settingsOf(profileTable['prop-led']);
  const solved = (recipe: SetupId, more: Partial<ProfileSettings>) =>
    getSetup(recipe).solve({
      body: resolveBody({ heightM: 1.7 }),
      profile: 'prop-led',
      pieces: cupboard,
      settings: { ...prop, ...more },
    });
  const of = (recipe: SetupId, id: DistanceId, more: Partial<ProfileSettings>) =>
    solved(recipe, more).distances.find((one) => one.id === id)!;

  it('that stands over the first knuckle has the hands nearer to the wall in the L', () => {
    const over = { shoulderPlace: 'knuckle' } as const;
    const knuckle = 0.055 * 1.7;
    expect(of('hand-L', 'base', over).metres).toBeCloseTo((0.53 - 0.055) * 1.7, 6);
    expect(of('hand-L', 'base', over).why).toContain('less wrist to first knuckle');
    for (const id of ['base.sitting', 'base.table'] as const) {
      expect(of('hand-L', id, {}).metres - of('hand-L', id, over).metres).toBeCloseTo(knuckle, 6);
    }
    // Arm's reach, then turn: where the hands land is where they landed.
    const turned = { ...over, handLMethod: 'reach' } as const;
    expect(of('hand-L', 'base', turned).metres).toBeCloseTo(0.592 * 1.7, 6);
    expect(of('hand-L', 'base', turned).why).not.toContain('knuckle');
    expect(checkFirstOf(getSetup('hand-L'), { ...prop, ...over }, [])[0]).toMatch(/first knuckles/);
    expect(checkFirstOf(getSetup('hand-L'), prop, [])[0]).toMatch(/wrists/);
  });

  it('says how far the shoulders stand ahead at the bolster', () => {
    for (const bolsterLeadM of [0, 0.01, 0.03]) {
      const base = of('bolster-lean', 'base', { bolsterLeadM });
      expect(base.metres).toBeCloseTo(0.22 + 0.06 * 1.7 + bolsterLeadM, 6);
      expect(base.why).toContain(`lead of ${Math.round(bolsterLeadM * 100)} cm`);
    }
    expect(profileChangesSchema.safeParse({ settings: { bolsterLeadM: 0.04 } }).success).toBe(
      false,
    );
  });

  it('is told how its forearms run with the block', () => {
    const notes = (more: Partial<ProfileSettings>, width?: number) =>
      forearmKickSetup({
        body: resolveBody({
          heightM: 1.7,
          ...(width === undefined ? {} : { lengths: { shoulderJointWidth: width } }),
        }),
        profile: 'prop-led',
        pieces: cupboard,
        settings: { ...prop, ...more },
      }).notes.join(' ');
    // A face of 23 and a palm of 8 between elbows at 35.
    expect(notes({})).not.toContain('With this block');
    expect(notes({ forearms: 'slight-v' })).toContain('closer than the elbows: the slight V');
    expect(notes({}, 0.31)).not.toContain('With this block');
    expect(notes({ forearms: 'slight-v' }, 0.31)).toContain('hold a shorter face');
  });
});

describe('stiff wrists', () => {
  const notes = (recipe: SetupId, wristExtensionDeg?: number, pieces = cupboard) =>
    getSetup(recipe)
      .solve({
        body: resolveBody({ heightM: 1.7 }),
        profile: 'prop-led',
        pieces,
        ...(wristExtensionDeg === undefined ? {} : { wristExtensionDeg }),
      })
      .notes.join(' ');

  it('ask for help in what stands on flat hands, and nothing where they were not measured or bend enough', () => {
    for (const recipe of ['hand-L', 'hand-kick', 'bolster-lean', 'box'] as const) {
      expect(notes(recipe)).not.toContain('wrists bend');
      expect(notes(recipe, 80)).not.toContain('wrists bend');
      expect(notes(recipe, 72)).toContain('The wrists bend 72°');
    }
    expect(notes('forearm-L', 60)).not.toContain('wrists bend');
  });

  it('are helped by what is there, and the price is said', () => {
    const wedge = [...cupboard, { piece: 'wedge' as const, count: 1 }];
    expect(notes('hand-L', 72)).toContain('a rolled towel');
    expect(notes('hand-L', 72, wedge)).toContain('a wedge under the heels');
    // A hand of 18 cm turned out by 45 degrees reaches 13.
    expect(notes('hand-L', 72)).toContain('5 cm less of fingers to brake with');
    // One hand and 5 cm of gap, and what the turned hand still reaches.
    expect(notes('hand-kick', 72)).toContain('the wrists then stand 36 cm from the wall');
    expect(notes('hand-L', 60, wedge)).toContain('more than a wedge makes up for');
  });
});

describe('a hop in place', () => {
  const input = (heightM: number, pieces = cupboard) => ({
    body: resolveBody({ heightM }),
    profile: 'prop-led' as const,
    pieces,
  });
  const hop = getSetup('hop-in-place');
  const stage = getStage('HB10');

  it('aims at a block flat at the wall, clear of the fingertips, as it is drawn', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.3, max: 2.1, noNaN: true }), (heightM) => {
        const own = input(heightM);
        const solved = hop.solve(own);
        const posed = poseStage(own, stage, solved)!;
        const block = posed.rests.at(-1);
        const gapM = solved.distances.find(({ id }) => id === 'gap')!.metres;
        expect(block === undefined).toBe(gapM < 0.18);
        if (block === undefined) return;
        expect(block.right).toBeCloseTo(posed.wall!.x, 9);
        expect(block.right - block.left).toBeCloseTo(0.15, 9);
        expect(block.top).toBeCloseTo(0.1, 9);
        expect(block.left - posed.joints.fingertip[0]).toBeCloseTo(gapM - 0.15, 6);
        expect(solved.notes.at(-1)).toContain(`${Math.round((gapM - 0.15) * 100)} cm beyond`);
      }),
      { numRuns: 30 },
    );
  });

  it('is the same without one, at the distances of the kick, and a little less of a lesson', () => {
    const kick = getSetup('hand-kick').solve(input(1.7));
    expect(hop.solve(input(1.7)).distances).toEqual(kick.distances);
    expect(hop.solve(input(1.7, []))).toEqual(getSetup('hand-kick').solve(input(1.7, [])));
    const { ways } = hop.ways(input(1.7), hop.solve(input(1.7)));
    expect(ways.map(({ variant, props }) => [variant, props.length])).toEqual([
      [undefined, 1],
      ['bare', 0],
    ]);
    expect(ways[1]!.less).toBeGreaterThan(0);
    expect(hop.ways(input(1.7, []), hop.solve(input(1.7, []))).ways).toMatchObject([
      { props: [], less: 0 },
    ]);
    // What was found for the kick counts here, and what is found here counts there.
    expect(homeOf('hop-in-place', 'gap')).toBe('hand-kick');
    expect(homeOf('hop-in-place', 'handWidth')).toBe('hand-kick');
  });
});

it('looks before weight only at what is laid out', () => {
  const settings = settingsOf(profileTable['prop-led']);
  const first = (body: BodyInput) =>
    checkFirstOf(getSetup('head-clearance'), settings, solve('head-clearance', { body }).distances);
  // Long upper arms clear the head by themselves; short ones stand on something.
  expect(first({ heightM: 1.7, lengths: { upperArm: 0.36 } })).toEqual([]);
  expect(first({ heightM: 1.7, lengths: { upperArm: 0.27 } })).toContain('Nothing slides');
});
