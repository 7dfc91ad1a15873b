import fc from 'fast-check';
import { resolveBody } from '../body/body';
import { takenIds } from '../body/taken';
import { shapeIds } from '../shapes/registry';
import { UnreachableProblem } from '../posture/geometry';
import { getDials, toPosture, usualOfDials, usualValues } from '../shapes/values';
import { pointsOf } from '../posture/joints';
import { ladderLoads } from '../shapes/ladderLoads';
import { computeLoads } from '../shapes/loads';
import { getStill, stillIds } from '../shapes/stills';
import { getSetup, setupIds } from '../setups/registry';
import { tellingLengths } from '../setups/telling';
import { benchSheet, drawBench } from './bench';
import { drawMeasure } from './measure/measure';
import { textWidth, type Scene } from './scene';
import { drawStill } from './still';
import { toSvgFile } from './svg';
import { drawTopView } from './topView';

const body = resolveBody({ heightM: 1.7, massKg: 62 });
const heights = fc.double({ min: 1.2, max: 2.2, noNaN: true });
const sound = (scene: Scene) => expect(toSvgFile(scene, 'x')).not.toMatch(/NaN|Infinity|undefined/);

function bench(shape: (typeof shapeIds)[number], of = body) {
  const values = usualValues(shape, of);
  const loads = computeLoads(of, toPosture(shape, values));
  const scene = drawBench(
    { body: of, shape, values, loads },
    { ...benchSheet(shape), units: 'cm' },
  );
  return { values, loads, scene };
}

describe('the bench', () => {
  it.each(shapeIds)('draws %s for every body, its usual set-up within reach', (shape) => {
    fc.assert(
      fc.property(heights, (heightM) => {
        const { scene, values } = bench(shape, resolveBody({ heightM }));
        sound(scene);
        for (const dial of getDials(shape)) {
          expect(values[dial.parameter]).toBeGreaterThanOrEqual(dial.low - 1e-9);
          expect(values[dial.parameter]).toBeLessThanOrEqual(dial.high + 1e-9);
        }
        for (const mark of scene.marks) {
          expect(mark.x).toBeGreaterThan(0);
          expect(mark.x).toBeLessThan(scene.widthPx);
          expect(mark.y).toBeLessThan(scene.heightPx);
        }
      }),
      { numRuns: 25 },
    );
  });

  it('keeps load figures apart even where contacts are close', () => {
    const { scene } = bench('headstand');
    const loads = scene.shapes.flatMap((s) =>
      s.kind === 'text' && s.role === 'loadText' ? [s] : [],
    );
    expect(loads).toHaveLength(2);
    const [a, b] = loads;
    const apart =
      Math.abs(a!.x - b!.x) >= textWidth(a!.text, a!.sizePx) || Math.abs(a!.y - b!.y) >= 15;
    expect(apart).toBe(true);
  });

  it('moves a mark by exactly what its dial turns', () => {
    const { values, scene } = bench('forearmStandWall');
    const mark = scene.marks[0]!;
    const closer = { baseM: values.baseM! - 0.1 };
    const loads = computeLoads(body, toPosture('forearmStandWall', closer));
    const moved = drawBench(
      { body, shape: 'forearmStandWall', values: closer, loads },
      { ...benchSheet('forearmStandWall'), units: 'cm' },
    ).marks[0]!;
    expect((moved.x - mark.x) * mark.perPx).toBeCloseTo(-0.1, 3);
  });
});

describe('loads along a ladder', () => {
  it('flags what asks over 15 points more, with a step that really lies between', () => {
    for (const ladder of ['forearms', 'hands'] as const) {
      const steps = ladderLoads(body, ladder);
      steps.forEach((step, index) => {
        const before = steps[index - 1]?.armsPercent ?? step.armsPercent;
        expect(step.jump !== undefined).toBe(step.armsPercent - before > 15);
        if (!step.jump) return;
        const between = Number(/(\d+) %$/.exec(step.jump.between!)![1]);
        expect(between).toBeGreaterThan(before);
        expect(between).toBeLessThan(step.armsPercent);
      });
      expect(steps.some(({ jump }) => jump)).toBe(true);
    }
  });
});

describe('the two-minute path', () => {
  it('names the lengths that move the set-up most, and forgets what was measured', () => {
    const before = tellingLengths(body, 'wallL');
    expect(before[0]!.moveM).toBeGreaterThanOrEqual(before[1]!.moveM);
    expect(before.map(({ length }) => length)).toContain('sittingLegReach');
    const measured = resolveBody({ heightM: 1.7, lengths: { sittingLegReach: 0.9 } });
    const move = (list: typeof before) =>
      list.find(({ length }) => length === 'sittingLegReach')!.moveM;
    expect(move(tellingLengths(measured, 'wallL'))).toBeLessThan(move(before));
  });

  it('has something to say for every shape that rests on lengths', () => {
    for (const shape of shapeIds) expect(tellingLengths(body, shape).length).toBeGreaterThan(0);
  });
});

describe('shapes without loads, pictures of lengths, views from above', () => {
  it.each(stillIds)('keeps the limbs of %s at their lengths for every body', (id) => {
    fc.assert(
      fc.property(heights, (heightM) => {
        const own = resolveBody({ heightM });
        const { dials, solve } = getStill(id);
        const { joints } = solve(own, usualOfDials(dials, own));
        const far = (a: readonly number[], b: readonly number[]) =>
          Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!);
        expect(far(joints.shoulder, joints.hip)).toBeCloseTo(own.lengths.trunk, 2);
        expect(far(joints.hip, joints.knee)).toBeCloseTo(own.lengths.thigh, 2);
        expect(far(joints.knee, joints.ankle)).toBeCloseTo(own.lengths.shank, 2);
        for (const [, y] of pointsOf(joints)) expect(y).toBeGreaterThan(-0.02);
        sound(drawStill(id, { body: own }, { widthPx: 600, heightPx: 400, units: 'cm' }));
      }),
      { numRuns: 25 },
    );
  });

  it('draws every length and every set-up from above without a broken figure', () => {
    for (const id of takenIds) sound(drawMeasure(id));
    for (const recipe of setupIds) {
      const result = getSetup(recipe).solve({
        body,
        profile: 'prop-led',
        pieces: [{ piece: 'foam-block', count: 3 }],
      });
      const scene = drawTopView({
        body,
        recipe,
        distances: result.distances,
        units: 'in',
        ...(result.spacer ? { spacer: result.spacer } : {}),
      });
      if (scene) sound(scene);
    }
  });

  it('never says unreachable without limb and centimetres', () => {
    try {
      computeLoads(body, { family: 'wallL', baseM: 1.6, footHeightM: 1.5 });
      throw new Error('reached');
    } catch (error) {
      expect(error).toBeInstanceOf(UnreachableProblem);
      expect((error as Error).message).toMatch(/legs.*\d+ cm/);
    }
  });
});
