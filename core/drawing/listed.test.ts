/** What is drawn is what is listed, to the millimetre: every stage, profile, body, kept distance. */
import fc from 'fast-check';
import { resolveBody } from '../body/body';
import { alternativeIds } from '../catalog/alternatives';
import { pieceTable, type PieceCount } from '../catalog/pieces';
import { profileIds } from '../catalog/profiles';
import { getStage, stageIds } from '../catalog/stages';
import { distanceWords, type DistanceId } from '../setups/distanceWords';
import { forearmKickSetup } from '../setups/forearmKick';
import { getSetup, keptDistances, setupIds, type SetupId } from '../setups/registry';
import type { SetupInput } from '../setups/setup';
import { solveStage } from '../setups/solveStage';
import type { PosedShape } from '../shapes/posed';
import { stillIds, stillTable } from '../shapes/stills';
import { formatFigure } from '../units/length';
import type { Scene } from './scene';
import { metresAcross } from './shapeDimensions';
import { drawStage, poseStage, type DrawnStage } from './stageSide';
import { toDrawn } from './alternativeSide';
import { drawTopView } from './topView';
import { ofMany } from '../testing/depth';

const pieces: readonly PieceCount[] = [
  { piece: 'foam-block', count: 6 },
  { piece: 'shoulder-pad', count: 8 },
  { piece: 'flat-foam', count: 8 },
  { piece: 'blanket', count: 8 },
  { piece: 'bolster-round', count: 1 },
  { piece: 'strap-240', count: 2 },
  { piece: 'chair', count: 1 },
];

/** Where each distance is to be read off a figure, by the words of its mark and nothing else. */
const readOff: Partial<Record<DistanceId, (posed: PosedShape, setup: SetupId) => number>> = {
  base: ({ joints, wall }, setup) => {
    const from = ['forearm-kick', 'forearm-L'].includes(setup) ? joints.elbow : joints.wrist;
    return Math.abs(wall!.x - from[0]);
  },
  footHeight: ({ joints }) => joints.heel[1],
  platformHeight: ({ rests }) => rests[0]!.top,
  shoulderLineToWall: ({ joints, wall }) => wall!.x - joints.shoulder[0],
  headEdgeToWall: ({ rests, wall }) => wall!.x - rests[0]!.right,
  toeRest: ({ rests }) => rests[1]?.top ?? Number.NaN,
  blockHeight: ({ joints }) => joints.wrist[1],
  cushionAhead: ({ joints, rests }) => {
    const { left, right } = rests.at(-1)!;
    return (left + right) / 2 - joints.wrist[0];
  },
  forearmLift: ({ joints }) => joints.elbow[1],
  sacrumHeight: ({ rests }) => rests[0]!.top,
  seatHeight: ({ chair }) => chair!.seatM!,
  bolsterToWall: ({ rests, wall }) => rests[0]!.left - wall!.x,
  crownToWall: ({ joints, wall }) => wall!.x - joints.crown[0],
  chairGap: ({ rests, chair }) => rests[0]!.left - chair!.frontX,
  lowBlockOut: ({ rests, wall }) => wall!.x - rests[0]!.right,
  stackHeight: ({ rests }) => rests[1]!.top,
};

const scenes = (scene: Scene) => ({
  lines: scene.shapes.flatMap((one) =>
    one.kind === 'line' && (one.role === 'dimension' || one.role === 'dimensionEstimated')
      ? [Math.hypot(one.x2 - one.x1, one.y2 - one.y1) / scene.pxPerM]
      : [],
  ),
  texts: scene.shapes.flatMap((one) =>
    one.kind === 'text' && one.role === 'dimensionText' ? [one.text.replace('~', '')] : [],
  ),
});

function expectDrawnAsListed(input: SetupInput, stage: DrawnStage): number {
  const { recipe } = stage;
  const result = solveStage(input, stage);
  if (recipe === undefined || result === null) return 0;
  const drawing = drawStage(input, stage, { pxPerM: 100, units: 'cm', detail: 'card' });
  const { lines, texts } = scenes(drawing);
  if (getSetup(recipe).sideView === 'kick') {
    const { base, gap } = forearmKickSetup(input).distances;
    for (const { id, metres } of [base, gap].filter((one) => one.metres >= 0.005)) {
      expect(result.distances.find((one) => one.id === id)!.metres).toBe(metres);
      expect(lines.some((length) => Math.abs(length - metres) < 0.001)).toBe(true);
      expect(texts).toContain(formatFigure(metres, 'cm'));
    }
    return 1;
  }
  const posed = poseStage(input, stage, result);
  if (posed === null) return 0;
  let read = 0;
  for (const { id, metres } of result.distances) {
    const reading = readOff[id];
    if (reading === undefined) continue;
    const isShown = recipe !== 'hand-block' || posed.wall !== undefined;
    if (!isShown) continue;
    expect([id, Math.abs(reading(posed, recipe) - metres) < 0.0005]).toEqual([id, true]);
    read += 1;
    if (posed.dimensions.some((one) => one.distance === id) && metres >= 0.005) {
      expect(lines.some((length) => Math.abs(length - metres) < 0.001)).toBe(true);
      expect(texts).toContain(formatFigure(metres, 'cm'));
    }
  }
  for (const dimension of posed.dimensions) {
    const listed = result.distances.find(({ id }) => id === dimension.distance);
    if (listed) expect(metresAcross(dimension)).toBeCloseTo(listed.metres, 6);
  }
  return read;
}

/** Figures a little off what is computed, as somebody finds them by trying. */
const bodies = fc.record({
  heightM: fc.double({ min: 1.45, max: 2.0, noNaN: true }),
  trunk: fc.double({ min: 0.27, max: 0.305, noNaN: true }),
  forearm: fc.double({ min: 0.135, max: 0.155, noNaN: true }),
  legRaise: fc.option(fc.integer({ min: 50, max: 110 }), { nil: undefined }),
  off: fc.double({ min: -0.05, max: 0.05, noNaN: true }),
});
type Drawn = typeof bodies extends fc.Arbitrary<infer T> ? T : never;

const toInput = ({ heightM, trunk, forearm, legRaise }: Drawn, profile: SetupInput['profile']) => ({
  body: resolveBody({
    heightM,
    lengths: { trunk: trunk * heightM, forearm: forearm * heightM },
  }),
  profile,
  pieces,
  ...(legRaise === undefined ? {} : { straightLegRaiseDeg: legRaise }),
});

const keptOf = (input: SetupInput, off: number) =>
  keptDistances(
    setupIds.flatMap((setup) =>
      getSetup(setup)
        .solve(input)
        .distances.filter(({ id }) => distanceWords[id].mayKeep)
        // Half of them, so that some follow from others.
        .filter((_, index) => index % 2 === 0)
        .map(({ id, metres }) => ({
          setup,
          distance: id,
          metres: Math.max(0, metres + off),
          on: '2026-11-02',
          note: '',
        })),
    ),
  );

/** So many bodies each. */
const runs = ofMany(30, 6);

const drawn = stageIds.filter((id) => getStage(id).recipe && getStage(id).shape);

describe('what is drawn is what is listed', () => {
  it.each(drawn)('on %s, for every profile, many bodies and what they kept', (id) => {
    let read = 0;
    fc.assert(
      fc.property(bodies, fc.constantFrom(...profileIds), (one, profile) => {
        const input = toInput(one, profile);
        read += expectDrawnAsListed(input, getStage(id));
        read += expectDrawnAsListed({ ...input, kept: keptOf(input, one.off) }, getStage(id));
      }),
      { numRuns: runs },
    );
    // Straps and blocks between the hands lie across: from the side nothing of them is measured.
    const across: readonly SetupId[] = [
      'strap-forearm',
      'hand-block',
      'corner-dolphin',
      'clasped-forearms',
    ];
    if (!across.includes(getStage(id).recipe!)) expect(read).toBeGreaterThan(ofMany(20, 3));
  });

  it('on every alternative that is a stage', () => {
    const staged = alternativeIds.map(toDrawn).filter(({ recipe }) => recipe !== undefined);
    expect(staged.length).toBeGreaterThanOrEqual(4);
    for (const stage of staged) {
      fc.assert(
        fc.property(bodies, fc.constantFrom(...profileIds), (one, profile) => {
          const input = toInput(one, profile);
          expectDrawnAsListed({ ...input, kept: keptOf(input, one.off) }, stage);
        }),
        { numRuns: runs },
      );
    }
  });

  it('beside a chair of one’s own, as high as it is', () => {
    const stool = (loadedM: number): PieceCount => ({
      piece: 'own-stool',
      count: 1,
      own: { ...pieceTable.chair, label: 'Stool', thicknessM: loadedM, loadedM },
    });
    fc.assert(
      fc.property(bodies, fc.double({ min: 0.36, max: 0.54, noNaN: true }), (one, seatM) => {
        const others = pieces.filter(({ piece }) => piece !== 'chair');
        const input = { ...toInput(one, 'prop-led'), pieces: [...others, stool(seatM)] };
        const stage = toDrawn('sacrum-stack');
        expect(expectDrawnAsListed(input, stage)).toBe(2);
        const posed = poseStage(input, stage, solveStage(input, stage))!;
        // The calves lie on that seat, and nothing of the legs in it.
        const { ankle, heel, hip, knee } = posed.joints;
        expect(Math.min(heel[1], ankle[1]) - seatM).toBeGreaterThan(0.03);
        expect(ankle[1] - seatM).toBeLessThan(0.08);
        // And the legs are as long as they are.
        const { thigh, shank } = input.body.lengths;
        expect(Math.hypot(knee[0] - ankle[0], knee[1] - ankle[1])).toBeCloseTo(shank, 6);
        expect(Math.hypot(knee[0] - hip[0], knee[1] - hip[1])).toBeCloseTo(thigh, 6);
      }),
      { numRuns: runs },
    );
  });

  it('from above as from the side: loops, spaces and tape marks, kept ones too', () => {
    fc.assert(
      fc.property(bodies, fc.constantFrom(...profileIds), (one, profile) => {
        const usual = toInput(one, profile);
        for (const input of [usual, { ...usual, kept: keptOf(usual, one.off) }]) {
          for (const recipe of setupIds) {
            const { distances, spacer } = getSetup(recipe).solve(input);
            const scene = drawTopView({
              body: input.body,
              recipe,
              distances,
              units: 'cm',
              ...(spacer ? { spacer } : {}),
            });
            expect(scene !== null).toBe(getSetup(recipe).topView !== undefined);
            if (scene === null) continue;
            const find = (id: DistanceId) => distances.find((each) => each.id === id)?.metres;
            const { lines } = scenes(scene);
            const drawn = (metres: number) =>
              expect([recipe, lines.some((length) => Math.abs(length - metres) < 0.001)]).toEqual([
                recipe,
                true,
              ]);
            const [base, gap, loop] = (['base', 'spacerGap', 'strapLoop'] as const).map(find);
            const { topView } = getSetup(recipe);
            if (topView === 'lane' && base !== undefined) drawn(base);
            if (topView === 'arms' && gap !== undefined) drawn(gap);
            // Across both arms, outside to outside, in a loop pulled round them.
            const arm = input.body.lengths.upperArmThickness;
            if (topView === 'arms' && loop !== undefined) drawn((loop - Math.PI * arm) / 2 + arm);
          }
        }
      }),
      { numRuns: runs },
    );
  });

  it('dimensions the L as the list has it, by each profile', () => {
    const body = resolveBody({ heightM: 1.7 });
    const cm = profileIds.map((profile) => {
      const scene = drawStage({ body, profile, pieces }, getStage('HB8'), {
        pxPerM: 100,
        units: 'cm',
        detail: 'row',
      });
      return scenes(scene).texts[0];
    });
    expect(cm).toEqual(['90', '97', '101']);
  });

  it('stands a chair with its backrest away from whoever sits before it', () => {
    const body = resolveBody({ heightM: 1.7 });
    for (const id of stillIds) {
      const { dials, solve } = stillTable[id];
      const { joints, chair } = solve(
        body,
        Object.fromEntries(dials.map((dial) => [dial.parameter, dial.usual(body)])),
      );
      if (chair === undefined) continue;
      const away = Math.sign(chair.backX - chair.frontX);
      expect((joints.shoulder[0] - chair.frontX) * away).toBeLessThan(0);
    }
  });
});
