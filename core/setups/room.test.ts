/** What larger bodies and hands of one's own ask of the set-ups, and that it is drawn so. */
import fc from 'fast-check';
import { resolveBody, type BodyInput } from '../body/body';
import { forearmHandsIds, type ForearmHandsId } from '../body/hands';
import { girthIds, girthTable } from '../body/girths';
import type { PieceCount } from '../catalog/pieces';
import { profileIds, profileTable, settingsOf } from '../catalog/profiles';
import { profileChangesSchema } from '../catalog/profileChanges';
import { buildSchool, shippedProfile } from '../catalog/school';
import { getStage } from '../catalog/stages';
import { doseInRound, limitsAt } from '../compose/roundDose';
import { drawForearmKick } from '../drawing/elevation';
import { drawStage, poseStage } from '../drawing/stageSide';
import { pointsOf } from '../posture/joints';
import { poseShape, beyondSentences, type ShapeRef } from '../shapes/posed';
import type { DistanceId } from './distanceWords';
import { isOnFlat } from './flat';
import { forearmKickSetup } from './forearmKick';
import { checkFirstOf, type SetupInput } from './setup';
import { getSetup, keptDistances, type SetupId } from './registry';

const cupboard: readonly PieceCount[] = [
  { piece: 'foam-block', count: 4 },
  { piece: 'strap-240', count: 2 },
  { piece: 'bolster-round', count: 1 },
];
const input = (body: BodyInput, pieces = cupboard) => ({
  body: resolveBody(body),
  profile: 'prop-led' as const,
  pieces,
});
const solve = (id: SetupId, body: BodyInput) => getSetup(id).solve(input(body));
const metres = (id: SetupId, distance: DistanceId, body: BodyInput) =>
  solve(id, body).distances.find((one) => one.id === distance)?.metres;

describe('hands in a forearm stand', () => {
  const kick = (body: BodyInput, pieces = cupboard) => forearmKickSetup(input(body, pieces));

  it('stand 48 cm from the wall flat and 36 cm clasped, worked by hand at 1.70 m', () => {
    const flat = kick({ heightM: 1.7, forearmHands: 'flat' });
    expect(flat.distances.base.metres).toBeCloseTo(0.05 + (0.108 + 0.146) * 1.7, 6);
    expect(flat.distances.wristSpacing?.metres).toBeCloseTo(0.204 * 1.7, 6);
    const clasped = kick({ heightM: 1.7, forearmHands: 'clasped' });
    const ahead = Math.sqrt(0.146 ** 2 - ((0.204 - 0.048) / 2) ** 2) * 1.7;
    expect(clasped.distances.base.metres).toBeCloseTo(0.05 + 0.055 * 1.7 + ahead, 6);
    expect(clasped.distances.wristSpacing?.metres).toBeCloseTo(0.048 * 1.7, 6);
    expect(clasped.lean.leanDeg).toBeLessThan(flat.lean.leanDeg - 3);
  });

  it('need no block where they hold none, and are told so; a block is not laid out', () => {
    for (const forearmHands of ['flat', 'clasped'] as const) {
      const { cautions, block, notes } = kick({ heightM: 1.7, forearmHands }, []);
      expect(block).toBeNull();
      expect(cautions.join()).not.toContain('block');
      expect(notes.join()).toMatch(forearmHands === 'flat' ? /Hands flat/ : /Hands clasped/);
      const own = input({ heightM: 1.7, forearmHands });
      const { ways } = getSetup('forearm-kick').ways(own, getSetup('forearm-kick').solve(own));
      expect(ways.map(({ props, variant }) => [variant, props])).toEqual([[forearmHands, []]]);
    }
    expect(kick({ heightM: 1.7 }, []).cautions.join()).toContain('No block at hand');
  });

  it('hold the block all the same where the set-up is about the block', () => {
    const own = metres('hand-block', 'wristSpacing', { heightM: 1.7, forearmHands: 'clasped' });
    expect(own).toBe(metres('hand-block', 'wristSpacing', { heightM: 1.7 }));
  });

  it('are the person’s, and otherwise the school’s', () => {
    const copy = {
      ...shippedProfile('prop-led'),
      key: 'clasped',
      changes: { settings: { forearmHands: 'clasped' } },
    } as Parameters<typeof buildSchool>[0];
    const { settings } = buildSchool(copy);
    const hands = (body: BodyInput) => forearmKickSetup({ ...input(body), settings }).hands;
    expect(hands({ heightM: 1.7 })).toBe('clasped');
    expect(hands({ heightM: 1.7, forearmHands: 'flat' })).toBe('flat');
  });

  it('a distance between wrists that was found with a block says nothing of other hands', () => {
    const kept = keptDistances([
      { setup: 'hand-block', distance: 'wristSpacing', metres: 0.4, on: '2026-11-10', note: '' },
    ]);
    const spacing = (forearmHands: 'block' | 'clasped') =>
      forearmKickSetup({ ...input({ heightM: 1.7, forearmHands }), kept }).distances.wristSpacing;
    expect(spacing('block')?.metres).toBe(0.4);
    expect(spacing('clasped')?.metres).toBeCloseTo(0.048 * 1.7, 6);
  });

  it('never reach through the wall, on the card and on the small picture', () => {
    const stage = {
      label: 'Kick',
      how: '',
      recipe: 'forearm-kick',
      shape: { family: 'forearmStandWall' },
    } as const;
    fc.assert(
      fc.property(
        fc.double({ min: 1.3, max: 2.1, noNaN: true }),
        fc.constantFrom(...forearmHandsIds),
        fc.constantFrom(...profileIds),
        (heightM, forearmHands, profile) => {
          const own = { ...input({ heightM, forearmHands }), profile };
          const posed = poseStage(own, stage, getSetup('forearm-kick').solve(own));
          const wallX = posed?.wall?.x ?? Infinity;
          const { fingertip } = posed!.joints;
          expect(fingertip[0]).toBeLessThanOrEqual(wallX + 1e-6);
          const setup = forearmKickSetup(own);
          const { alongWall, distances } = setup;
          expect(alongWall.forearm + alongWall.hand).toBeLessThanOrEqual(
            distances.base.metres - distances.gap.metres + 1e-9,
          );
          const scene = drawForearmKick(own.body, setup, {
            pxPerM: 200,
            units: 'cm',
            detail: 'card',
          });
          expect(scene.shapes.length).toBeGreaterThan(10);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('hands as they are chosen, in every shape on the forearms', () => {
  const onForearms: readonly ShapeRef[] = [
    { family: 'dolphin' },
    { family: 'forearmWallL' },
    { family: 'forearmStand' },
    { family: 'forearmStandWall' },
    { still: 'forearm-plank' },
  ];
  const handsOf = (own: SetupInput, shape: ShapeRef, recipe?: SetupId) => {
    const { elbow, wrist, fingertip } = poseStage(
      own,
      { label: '', how: '', shape, recipe },
      recipe === undefined ? null : getSetup(recipe).solve(own),
    )!.joints;
    expect([wrist[1], fingertip[1]]).toEqual([elbow[1], elbow[1]]);
    return { forearm: wrist[0] - elbow[0], hand: fingertip[0] - wrist[0] };
  };

  it.each(onForearms)('%j: clasped they run inwards and end at the knuckles', (shape) => {
    const { lengths } = resolveBody({ heightM: 1.7 });
    const own = handsOf(input({ heightM: 1.7, forearmHands: 'flat' }), shape);
    expect(own.forearm).toBeCloseTo(lengths.forearm, 9);
    expect(own.hand).toBeCloseTo(lengths.hand, 9);
    const clasped = handsOf(input({ heightM: 1.7, forearmHands: 'clasped' }), shape);
    const inwards = (lengths.shoulderJointWidth - lengths.palmBreadth) / 2;
    expect(clasped.forearm).toBeCloseTo(Math.sqrt(lengths.forearm ** 2 - inwards ** 2), 9);
    expect(clasped.hand).toBeCloseTo(lengths.knuckle, 9);
    // It is so, too, where the school clasps.
    const settings = { ...settingsOf(profileTable['prop-led']), forearmHands: 'clasped' } as const;
    expect(handsOf({ ...input({ heightM: 1.7 }), settings }, shape)).toEqual(clasped);
  });

  it('follow the set-up where it says how they lie, whoever it is', () => {
    const { lengths } = resolveBody({ heightM: 1.7 });
    const clasps = input({ heightM: 1.7, forearmHands: 'clasped' });
    const blocks = input({ heightM: 1.7, forearmHands: 'block' });
    const dolphin = { family: 'dolphin' } as const;
    expect(handsOf(clasps, dolphin, 'hand-block').hand).toBeCloseTo(lengths.hand, 9);
    const plank = { still: 'forearm-plank' } as const;
    expect(handsOf(blocks, plank, 'clasped-forearms').hand).toBeCloseTo(lengths.knuckle, 9);
    const rung = getStage('HS3').shape!;
    expect(handsOf(blocks, rung).hand).toBeCloseTo(lengths.knuckle, 9);
  });

  it('leave alone what stands on hands', () => {
    const shape = { family: 'handstand' } as const;
    const wristOf = (forearmHands: ForearmHandsId) =>
      poseStage(input({ heightM: 1.7, forearmHands }), { label: '', how: '', shape }, null)!.joints;
    expect(wristOf('clasped')).toEqual(wristOf('flat'));
  });
});

describe('room for larger bodies', () => {
  const large: BodyInput = {
    heightM: 1.7,
    girths: { chestGirth: 1.25, bellyGirth: 1.3, thighGirth: 0.72 },
  };

  it('sets hands, elbows and feet wider, with what it costs', () => {
    for (const id of ['hand-kick', 'hand-L', 'box', 'bolster-lean'] as const) {
      expect(metres(id, 'handWidth', large)).toBeCloseTo(0.204 * 1.7 + 0.06, 6);
      expect(metres(id, 'handWidth', { heightM: 1.7 })).toBeCloseTo(0.204 * 1.7, 6);
      expect(solve(id, large).notes.join()).toMatch(/Hands 6 cm wider.*the price/);
    }
    for (const id of ['forearm-kick', 'forearm-L', 'corner-dolphin'] as const) {
      expect(metres(id, 'elbowWidth', large)).toBeCloseTo(0.204 * 1.7 + 0.06, 6);
      expect(solve(id, large).notes.join()).toMatch(/trunk has room between; the price/);
    }
    for (const id of ['hand-L', 'forearm-L', 'box'] as const) {
      expect(metres(id, 'feetApart', large)).toBeCloseTo(0.72 / Math.PI, 6);
      expect(metres(id, 'feetApart', { heightM: 1.7 })).toBeUndefined();
    }
  });

  it('the wider of what shoulders and trunk ask for is enough, and a distance found by trying wins', () => {
    const stiff = getSetup('forearm-L').solve({ ...input(large), shoulderFlexionDeg: 150 });
    const find = (id: DistanceId) => stiff.distances.find((one) => one.id === id)!;
    expect(find('elbowWidth').metres).toBeCloseTo(0.204 * 1.7 + 0.06, 6);
    const kept = keptDistances([
      { setup: 'hand-L', distance: 'handWidth', metres: 0.36, on: '2026-11-10', note: '' },
    ]);
    const tried = getSetup('hand-kick').solve({ ...input(large), kept });
    expect(tried.distances.find((one) => one.id === 'handWidth')?.metres).toBe(0.36);
    expect(tried.notes.join()).not.toContain('wider');
  });

  it('rests the toes higher in plough, where trunk and thighs meet before the floor', () => {
    const rest = metres('platform', 'toeRest', large);
    expect(metres('platform', 'toeRest', { heightM: 1.7 })).toBeUndefined();
    expect(rest).toBeGreaterThanOrEqual(0);
    // Hamstrings that are shorter still decide.
    const stiff = getSetup('platform').solve({ ...input(large), straightLegRaiseDeg: 70 });
    expect(stiff.distances.find((one) => one.id === 'toeRest')!.metres).toBeGreaterThan(rest!);
  });

  it('says in crow how far before the fold they meet, and nothing of a usual body', () => {
    const said = (body: BodyInput) => {
      const { loads } = poseShape({ body: resolveBody(body) }, { family: 'crow' }, undefined, null);
      return beyondSentences(loads!).join();
    };
    expect(said({ heightM: 1.7 })).toBe('');
    const usual = Object.fromEntries(girthIds.map((id) => [id, girthTable[id].usual * 1.7]));
    expect(said({ heightM: 1.7, girths: usual })).toBe('');
    // They meet a little over 34°, a crow folds to 20°.
    const words = said({ heightM: 1.7, girths: { bellyGirth: 1.3, thighGirth: 0.75 } });
    expect(words).toMatch(/Trunk and thighs meet 15° before this fold/);
    expect(words).toContain('build and not weakness');
  });

  it('is drawn so: the trunk is as much deeper as the belly was measured', () => {
    const stage = { label: 'L', how: '', recipe: 'hand-L', shape: { family: 'wallL' } } as const;
    const drawn = (body: BodyInput) =>
      drawStage(input(body), stage, { pxPerM: 200, units: 'cm', detail: 'picture' }).shapes.filter(
        ({ role }) => role === 'figureTrunk',
      );
    expect(drawn(large)).not.toEqual(drawn({ heightM: 1.7 }));
    // The chain is the same: only flesh has changed.
    const joints = (body: BodyInput) =>
      pointsOf(poseShape({ body: resolveBody(body) }, { family: 'crow' }, undefined, null).joints);
    expect(joints(large)).toEqual(joints({ heightM: 1.7 }));
  });
});

describe('a school whose shoulder stand is flat', () => {
  const copyOf = (neckFlexionDeg: number) =>
    buildSchool({
      ...shippedProfile('prop-led'),
      key: 'flat',
      changes: { settings: { neckFlexionDeg } },
    });
  const flat = copyOf(90);
  const on = (id: SetupId, { settings } = flat) =>
    getSetup(id).solve({ ...input({ heightM: 1.7 }), settings });

  it('lays nothing under the shoulders and says what that asks, in its own copy alone', () => {
    const { distances, stack, cautions, notes } = on('platform');
    expect(distances.find(({ id }) => id === 'platformHeight')?.metres).toBeCloseTo(0, 9);
    expect(stack).toMatchObject({ found: true, layers: [] });
    expect(cautions[0]).toMatch(/neck bends about 90°.*25 seconds at most/);
    expect(notes.join()).not.toContain('smooth folded edge');
    // A little platform is still said as it is.
    const low = on('platform', copyOf(85));
    expect(low.cautions[0]).toContain('about 85°');
    expect(low.notes.join()).not.toContain('Nothing under the shoulders');
    for (const usual of [buildSchool(shippedProfile('play-led')), copyOf(80)]) {
      expect(on('platform', usual).cautions.join()).not.toContain('chin locked');
    }
    const first = checkFirstOf(getSetup('platform'), flat.settings, distances);
    expect(first.join()).not.toContain('Head lower than the shoulders');
    expect(first).toContain('Can speak');
    expect(profileChangesSchema.safeParse({ settings: { neckFlexionDeg: 91 } }).success).toBe(
      false,
    );
  });

  it('keeps the shoulders over the head on the chair', () => {
    const height = ({ settings }: typeof flat) =>
      on('chair-shoulder-stand', { ...flat, settings }).distances.find(
        ({ id }) => id === 'platformHeight',
      )!.metres;
    expect(height(flat)).toBeCloseTo(0.145 * 1.7 * Math.cos((65 * Math.PI) / 180), 6);
    expect(isOnFlat({ recipe: 'platform' }, flat.settings)).toBe(true);
    expect(isOnFlat({ recipe: 'chair-shoulder-stand' }, flat.settings)).toBe(false);
    expect(isOnFlat({ recipe: 'platform' }, copyOf(55).settings)).toBe(false);
  });

  it('holds it for short times, whoever can bear more', () => {
    const strong = {} as Parameters<typeof doseInRound>[2];
    const steps = [{ seconds: 180 }] as const;
    expect(
      doseInRound(
        steps,
        {},
        strong,
        limitsAt({ recipe: 'platform' }, flat.settings, {}, () => true),
      ).spans,
    ).toEqual([25]);
  });
});
