/** Of a figure and of what is written nothing is cut off by the edge of its sheet: left, right or above. */
import { figureAt, roundS } from '../atlas/open';
import { getMove, moveIds } from '../atlas/moves';
import { resolveBody } from '../body/body';
import { alternativeIds } from '../catalog/alternatives';
import { getStage, stageIds } from '../catalog/stages';
import { computeLoads } from '../shapes/loads';
import { poseShape } from '../shapes/posed';
import { getShape, shapeIds } from '../shapes/registry';
import { getDials, toPosture, valuesFrom } from '../shapes/values';
import { drawAlternative } from './alternativeSide';
import { benchSheet, drawBench } from './bench';
import { listShapes } from './contactSheet';
import { drawMoment, openStage } from './moving';
import { textWidth, type Scene } from './scene';
import { drawStage } from './stageSide';
import { drawStillPosed } from './still';
import { drawStrip } from './strip';
import { ofMany, someOf } from '../testing/depth';

const bodies = someOf(
  [{ heightM: 1.7 }, { heightM: 1.2 }, { heightM: 1.6, massKg: 140 }, { heightM: 2.2 }],
  2,
).map((given) => resolveBody(given));

/** By how many units the furthest place of a figure or of words lies beyond the sheet; 0 within it. */
function beyondSheet({ shapes, widthPx }: Scene): number {
  let most = 0;
  for (const shape of shapes) {
    if (shape.kind === 'text') {
      const width = textWidth(shape.text, shape.sizePx);
      const left = shape.x - { start: 0, middle: width / 2, end: width }[shape.anchor];
      most = Math.max(most, -left, left + width - widthPx, 0.7 * shape.sizePx - shape.y);
    }
    if (shape.kind !== 'path' || !/^(figure|ghost)/.test(shape.role)) continue;
    for (const [, x, y] of shape.d.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)) {
      most = Math.max(most, -Number(x), Number(x) - widthPx, -Number(y));
    }
  }
  return most;
}

const whole = (scene: Scene) => beyondSheet(scene) < 1;

describe('no figure is cut off', () => {
  it.each(stageIds)('on %s', (id) => {
    for (const body of bodies) {
      for (const detail of ['card', 'row', 'picture'] as const) {
        const input = { body, profile: 'prop-led', pieces: [] } as const;
        const scene = drawStage(input, getStage(id), { pxPerM: 90, units: 'in', detail });
        expect([detail, body.heightM, whole(scene)]).toEqual([detail, body.heightM, true]);
      }
    }
  });

  it.each(alternativeIds)('on %s', (id) => {
    for (const body of bodies) {
      const input = { body, profile: 'prop-led', pieces: [] } as const;
      const scene = drawAlternative(input, id, { pxPerM: 90, units: 'in', detail: 'card' });
      expect([body.heightM, whole(scene)]).toEqual([body.heightM, true]);
    }
  });

  it.each(listShapes())('in the picture of $label', ({ ref, label }) => {
    for (const body of bodies) {
      const scene = drawStillPosed(label, body, poseShape({ body }, ref, undefined, null), {
        widthPx: 260,
        heightPx: 260,
        units: 'in',
        isPlain: true,
      });
      expect([body.heightM, whole(scene)]).toEqual([body.heightM, true]);
    }
  });

  it.each(shapeIds)('on the bench, %s, a leg up too', (shape) => {
    for (const body of bodies) {
      const values = valuesFrom(getDials(shape), body, []);
      for (const oneLeg of getShape(shape).mayLiftLeg === true ? [false, true] : [false]) {
        const loads = computeLoads(body, toPosture(shape, values, oneLeg), {});
        const scene = drawBench(
          { body, shape, values, loads },
          { ...benchSheet(shape), units: 'in' },
        );
        expect([body.heightM, oneLeg, whole(scene)]).toEqual([body.heightM, oneLeg, true]);
      }
    }
  });

  it.each(moveIds)('while it moves, nor in its strip: %s', (id) => {
    const stage = openStage(getMove(id), 200);
    for (let atS = 0; atS < roundS(stage.move); atS += ofMany(0.2, 0.5)) {
      const { figure } = figureAt(stage.move, stage.open, atS);
      expect([atS, whole(drawMoment(stage, figure, false))]).toEqual([atS, true]);
    }
    expect(whole(drawStrip(getMove(id), { heightPx: 110 }))).toBe(true);
  });

  it.each([44, 110])('covers no arrow with the wall of the next picture, at %i px', (heightPx) => {
    for (const id of moveIds) {
      const roles = drawStrip(getMove(id), { heightPx }).shapes.map(({ role }) => role);
      const arrow = roles.indexOf('dimensionTick');
      const wall = roles.lastIndexOf('wallBody');
      expect([id, arrow < 0 || wall < arrow]).toEqual([id, true]);
    }
  });
});
