import { resolveBody, type Body } from '../body/body';
import { alternativeIds, getAlternative } from '../catalog/alternatives';
import { stageIds, getStage } from '../catalog/stages';
import { textWidth, type Scene, type Shape } from './scene';
import { getMove } from '../atlas/moves';
import { solveStage } from '../setups/solveStage';
import { poseShape, type PosedShape, type ShapeRef } from '../shapes/posed';
import { getShape, shapeIds } from '../shapes/registry';
import { pointsOf } from '../posture/joints';
import { drawStage, poseStage } from './stageSide';
import { drawAlternative, toDrawn } from './alternativeSide';

const options = { pxPerM: 90, units: 'cm', detail: 'row' } as const;
const inputOf = (body: Body) => ({ body, profile: 'prop-led', pieces: [] }) as const;
const bodies = [1.45, 1.7, 1.95].map((heightM) => resolveBody({ heightM }));

/** Every number of a path or a line that is a place across the sheet. */
function* placesAcross(shape: Shape): Generator<number> {
  if ('d' in shape) {
    const numbers = (shape.d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
    for (let index = 0; index < numbers.length; index += 2) yield numbers[index]!;
  }
}

function expectOnSheet(scene: Scene): void {
  expect(Number.isFinite(scene.widthPx) && scene.widthPx > 0).toBe(true);
  for (const shape of scene.shapes) {
    if (shape.kind !== 'text' || shape.role !== 'dimensionText') continue;
    const width = textWidth(shape.text, shape.sizePx);
    const left =
      shape.anchor === 'end'
        ? shape.x - width
        : shape.anchor === 'middle'
          ? shape.x - width / 2
          : shape.x;
    expect(left).toBeGreaterThanOrEqual(-2);
    expect(left + width).toBeLessThanOrEqual(scene.widthPx + 2);
    expect(shape.y).toBeLessThanOrEqual(scene.heightPx);
  }
  for (const shape of scene.shapes.filter(({ role }) => role === 'figure')) {
    for (const x of placesAcross(shape)) {
      expect(x).toBeGreaterThanOrEqual(-2);
      expect(x).toBeLessThanOrEqual(scene.widthPx + 2);
    }
  }
}

describe('shapes from the side', () => {
  it.each(alternativeIds)('%s stands whole on its sheet, at every size', (id) => {
    for (const body of bodies) {
      const scene = drawAlternative(inputOf(body), id, options);
      expectOnSheet(scene);
      expect(scene.sentences[0]).toContain(getAlternative(id).label);
      expect(scene.shapes.some(({ role }) => role === 'figure')).toBe(true);
    }
  });

  it('draws what no shape is quite, as its movement shows it, above the floor', () => {
    const seen = [
      ...stageIds.map((id) => ({ id, shape: getStage(id).shape })),
      ...alternativeIds.map((id) => ({
        id,
        shape: getAlternative(id).shape as ShapeRef | undefined,
      })),
    ].filter(({ shape }) => shape?.moment !== undefined);
    expect(seen.length).toBeGreaterThan(10);
    for (const { id, shape } of seen) {
      const { move, key } = shape!.moment!;
      expect([id, key < getMove(move).keys.length]).toEqual([id, true]);
      for (const body of bodies) {
        const posed = poseStage(inputOf(body), { label: id, how: '', shape }, null);
        expect([id, posed === null]).toEqual([id, false]);
        const lowest = Math.min(...pointsOf(posed!.joints).map(([, y]) => y));
        expect([id, lowest > -0.01]).toEqual([id, true]);
      }
    }
  });

  it('lifts the leg that a rung lifts, and weighs it so; every shape that says so can', () => {
    for (const id of stageIds) {
      const { shape } = getStage(id);
      if (shape?.oneLeg === undefined) continue;
      expect([id, 'family' in shape && getShape(shape.family).mayLiftLeg]).toEqual([id, true]);
    }
    const [body] = bodies.slice(1);
    const pose = (id: 'FS5' | 'FS7' | 'HB2' | 'HB9') =>
      poseStage(inputOf(body!), getStage(id), null)!;
    for (const id of ['FS7', 'HB2', 'HB9'] as const) {
      const { joints } = pose(id);
      expect(joints.otherLeg!.ankle[1]).toBeGreaterThan(joints.hip[1]);
    }
    expect(pose('FS5').joints.otherLeg).toBeUndefined();
    expect(pose('FS7').loads!.contacts).not.toEqual(pose('FS5').loads!.contacts);
  });

  it('lets nobody reach through a wall, with a leg lifted either', () => {
    const through = (posed: PosedShape | null) => {
      if (posed?.wall === undefined) return 0;
      const { x, side } = posed.wall;
      return Math.max(...pointsOf(posed.joints).map((point) => (point[0] - x) * side));
    };
    const lifting = shapeIds.filter((family) => getShape(family).mayLiftLeg === true);
    expect(lifting).toContain('wallL');
    for (const body of bodies) {
      const input = inputOf(body);
      for (const id of stageIds) {
        const stage = getStage(id);
        const reach = through(poseStage(input, stage, solveStage(input, stage)));
        expect([id, reach < 0.011]).toEqual([id, true]);
      }
      for (const id of alternativeIds) {
        const stage = toDrawn(id);
        const reach = through(poseStage(input, stage, solveStage(input, stage)));
        expect([id, reach < 0.011]).toEqual([id, true]);
      }
      for (const family of lifting) {
        const posed = poseShape(input, { family, oneLeg: true }, undefined, null);
        expect([family, through(posed) < 0.005]).toEqual([family, true]);
      }
    }
  });

  it('stands one sole on the wall, the shank level, the hands where they are listed', () => {
    for (const body of bodies) {
      const input = inputOf(body);
      const stage = getStage('HB7');
      const result = solveStage(input, stage)!;
      expect(result.distances.map(({ id }) => id)).not.toContain('footHeight');
      const { joints, wall } = poseStage(input, stage, result)!;
      const { heel, ankle, knee } = joints.otherLeg!;
      expect(heel[0]).toBeCloseTo(wall!.x, 6);
      expect(knee[1]).toBeCloseTo(ankle[1], 6);
      expect(knee[1]).toBeLessThan(joints.hip[1]);
    }
  });

  it.each(stageIds)('%s stands whole on its sheet', (id) => {
    for (const body of bodies) {
      expectOnSheet(drawStage(inputOf(body), getStage(id), options));
      expectOnSheet(drawStage(inputOf(body), getStage(id), { ...options, detail: 'card' }));
    }
  });

  it('draws a wall on whichever side the shape has it', () => {
    const walls = (id: 'legs-up' | 'dolphin-chair') => {
      const scene = drawAlternative(inputOf(bodies[1]!), id, options);
      const wall = scene.shapes.find(
        (shape) =>
          shape.role === 'wall' &&
          'x1' in shape &&
          shape.x1 === shape.x2 &&
          Math.abs(shape.y2 - shape.y1) > 90,
      );
      return wall && 'x1' in wall ? wall.x1 / scene.widthPx : Number.NaN;
    };
    expect(walls('legs-up')).toBeLessThan(0.3);
    expect(walls('dolphin-chair')).toBeGreaterThan(0.7);
  });
});
