/** From the front: as wide as listed, the same left and right, and nothing where it would say nothing. */
import fc from 'fast-check';
import { resolveBody } from '../body/body';
import { profileIds } from '../catalog/profiles';
import { getStage, stageIds } from '../catalog/stages';
import { forearmKickSetup } from '../setups/forearmKick';
import { keptDistances } from '../setups/registry';
import { metresOf, type SetupInput } from '../setups/setup';
import { solveStage } from '../setups/solveStage';
import { drawFront } from './front';
import { textWidth, type Scene } from './scene';

const pxPerM = 200;
const bodies = fc.record({
  heightM: fc.double({ min: 1.45, max: 2.05, noNaN: true }),
  massKg: fc.double({ min: 45, max: 140, noNaN: true }),
  shoulders: fc.option(fc.double({ min: 0.18, max: 0.23, noNaN: true })),
});
const inputs = fc
  .record({ body: bodies, profile: fc.constantFrom(...profileIds) })
  .map(({ body: { heightM, massKg, shoulders }, profile }): SetupInput => ({
    body: resolveBody({
      heightM,
      massKg,
      ...(shoulders === null ? {} : { lengths: { shoulderJointWidth: shoulders * heightM } }),
    }),
    profile,
    pieces: [{ piece: 'foam-block', count: 4 }],
  }));
const usual: SetupInput = {
  body: resolveBody({ heightM: 1.7, massKg: 62 }),
  profile: 'prop-led',
  pieces: [],
};
const draw = (input: SetupInput, stage: (typeof stageIds)[number]) =>
  drawFront(input, getStage(stage), { pxPerM, units: 'cm' });

/** Lengths of the two level dimensions, top row first, metres. */
const rowsOf = ({ shapes }: Scene) =>
  shapes
    .flatMap((one) =>
      one.kind === 'line' && (one.role === 'dimension' || one.role === 'dimensionEstimated')
        ? [one]
        : [],
    )
    .sort((a, b) => a.y1 - b.y1)
    .map(({ x1, x2 }) => (x2 - x1) / pxPerM);

const pointsIn = (d: string) =>
  [...d.matchAll(/(-?\d+(?:\.\d+)?),(-?\d+(?:\.\d+)?)/g)].map(([, x, y]) => [Number(x), Number(y)]);

const upright = ['FS10', 'HB11', 'HB12'] as const;

it('draws the width that is listed, and the shoulders of this body below it', () => {
  fc.assert(
    fc.property(inputs, fc.constantFrom(...upright), (input, stage) => {
      const scene = draw(input, stage);
      const { distances } = solveStage(input, getStage(stage))!;
      const listed = metresOf(distances, 'elbowWidth') ?? metresOf(distances, 'handWidth');
      const [apart, shoulders] = rowsOf(scene!);
      expect(apart).toBeCloseTo(listed!, 3);
      expect(shoulders).toBeCloseTo(input.body.lengths.shoulderJointWidth, 3);
    }),
    { numRuns: 60 },
  );
});

it('is the same left and right, on its sheet and on the floor', () => {
  fc.assert(
    fc.property(inputs, fc.constantFrom(...upright), (input, stage) => {
      const { shapes, widthPx, heightPx } = draw(input, stage)!;
      const floor = shapes.find((one) => one.kind === 'line' && one.role === 'floor')!;
      const floorY = floor.kind === 'line' ? floor.y1 : 0;
      const points = shapes.flatMap((one) =>
        one.kind === 'path' && one.role.startsWith('figure') ? pointsIn(one.d) : [],
      );
      // Level by level up to the hips: above them one leg may be ahead of the other.
      for (let level = 0.65 * floorY; level < floorY; level += 25) {
        const xs = points
          .filter(([, y]) => y! >= level && y! < level + 25)
          .map(([x]) => x! - widthPx / 2);
        // Less than a centimetre: a place may lie just within a level, and its mirror just without.
        if (xs.length > 0) expect(Math.abs(Math.max(...xs) + Math.min(...xs))).toBeLessThan(1.5);
        expect(xs.every((x) => Math.abs(x) <= widthPx / 2)).toBe(true);
      }
      // The flesh round elbows and wrists is pressed flat: the ground is drawn over it.
      const lowest = Math.max(...points.map(([, y]) => y!));
      expect(lowest).toBeLessThanOrEqual(Math.min(heightPx, floorY + 0.09 * pxPerM));
    }),
    { numRuns: 60 },
  );
});

it('says how far elbows or hands stand from under the shoulders', () => {
  const says = (more: Partial<SetupInput>, stage: (typeof stageIds)[number]) =>
    draw({ ...usual, ...more }, stage)!.caption;
  expect(says({}, 'FS10')).toBe(
    'Elbows 35 cm apart, shoulder joints 35 cm: straight under the shoulders.',
  );
  const kept = (id: 'elbowWidth' | 'handWidth', metres: number) => ({
    kept: keptDistances([
      {
        setup: id === 'elbowWidth' ? ('forearm-kick' as const) : ('hand-kick' as const),
        distance: id,
        metres,
        note: '',
        on: '2026-11-05',
      },
    ]),
  });
  expect(says(kept('elbowWidth', 0.45), 'FS10')).toMatch(/: 5 cm outside the shoulders/);
  expect(says(kept('handWidth', 0.31), 'HB11')).toMatch(/^Hands 31 cm .* 2 cm inside/);
});

it('draws nobody who is not upright on the arms, nor where no width is listed', () => {
  for (const stage of stageIds) {
    const scene = draw(usual, stage);
    const distances = solveStage(usual, getStage(stage))?.distances ?? [];
    const hasWidth = ['elbowWidth', 'handWidth'].some((id) =>
      distances.some((one) => one.id === id),
    );
    if (!hasWidth) expect([stage, scene]).toEqual([stage, null]);
  }
  // Legs along the wall or folded: seen from the front they would lie in front of one another.
  for (const stage of ['HB8', 'HB14', 'FS8', 'SS1'] as const) {
    expect([stage, draw(usual, stage)]).toEqual([stage, null]);
  }
});

it('draws a wider body wider, and a strap where one is listed', () => {
  const widest = ({ shapes, widthPx }: Scene) =>
    Math.max(
      ...shapes.flatMap((one) =>
        one.kind === 'path' && one.role === 'figureTrunk'
          ? pointsIn(one.d).map(([x]) => Math.abs(x! - widthPx / 2))
          : [],
      ),
    );
  const heavy = { ...usual, body: resolveBody({ heightM: 1.7, massKg: 110 }) };
  expect(widest(draw(heavy, 'HB11')!)).toBeGreaterThan(widest(draw(usual, 'HB11')!));
  const hasStrap = (scene: Scene) => scene.shapes.some(({ role }) => role === 'strap');
  const withStrap = { ...usual, pieces: [{ piece: 'strap-240' as const, count: 1 }] };
  expect(hasStrap(draw(withStrap, 'FS10')!)).toBe(true);
  expect(hasStrap(draw(usual, 'FS10')!)).toBe(false);
  expect(hasStrap(draw(withStrap, 'HB11')!)).toBe(false);
});

it('stands on the same pads as from the side, head clear of them, every figure on the sheet', () => {
  const pieces = [{ piece: 'shoulder-pad' as const, count: 8 }];
  fc.assert(
    fc.property(inputs, fc.constantFrom(70, 110, 200), (input, scale) => {
      const own = { ...input, pieces };
      const scene = drawFront(own, getStage('FS10'), { pxPerM: scale, units: 'cm' })!;
      const { lift } = forearmKickSetup(own);
      const floor = scene.shapes.find((one) => one.role === 'floor')!;
      const floorY = floor.kind === 'line' ? floor.y1 : 0;
      const hair = scene.shapes.filter((one) => one.role === 'figure');
      const lowest = Math.max(
        ...hair.flatMap((one) => (one.kind === 'path' ? pointsIn(one.d).map(([, y]) => y!) : [])),
      );
      expect(floorY - lowest).toBeGreaterThanOrEqual((lift?.heightM ?? 0) * scale - 0.01 * scale);
      expect(scene.shapes.some(({ role }) => role === 'prop')).toBe(lift !== null);
      for (const one of scene.shapes) {
        if (one.kind !== 'text') continue;
        const width = textWidth(one.text, one.sizePx);
        const left = one.anchor === 'end' ? one.x - width : one.x - width / 2;
        expect(left).toBeGreaterThanOrEqual(0);
      }
    }),
    { numRuns: 60 },
  );
});

it('draws chest and belly as wide as they were measured, and no wider than a build may show', () => {
  const trunkOf = (girths: object, t: 'chest' | 'belly') => {
    const body = resolveBody({ heightM: 1.7, massKg: 62, girths });
    const scene = draw({ ...usual, body }, 'HB11')!;
    const all = scene.shapes.flatMap((one) =>
      one.kind === 'path' && one.role === 'figureTrunk' ? pointsIn(one.d) : [],
    );
    const ys = all.map(([, y]) => y!);
    const [top, bottom] = [Math.min(...ys), Math.max(...ys)];
    // Upside down: the hips are on top, the shoulders below.
    const level = bottom - (t === 'chest' ? 0.22 : 0.7) * (bottom - top);
    const near = all.filter(([, y]) => Math.abs(y! - level) < 0.12 * (bottom - top));
    return Math.max(...near.map(([x]) => Math.abs(x! - scene.widthPx / 2)));
  };
  expect(trunkOf({ bellyGirth: 1.2 }, 'belly')).toBeGreaterThan(trunkOf({}, 'belly') * 1.15);
  expect(trunkOf({ chestGirth: 1.2 }, 'chest')).toBeGreaterThan(trunkOf({}, 'chest') * 1.08);
  expect(trunkOf({ bellyGirth: 1.9 }, 'belly')).toBeCloseTo(
    trunkOf({ bellyGirth: 1.6 }, 'belly'),
    1,
  );
});
