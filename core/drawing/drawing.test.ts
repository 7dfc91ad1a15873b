import fc from 'fast-check';
import { resolveBody } from '../body/body';
import { alternativeIds } from '../catalog/alternatives';
import type { PieceCount } from '../catalog/pieces';
import { profileIds } from '../catalog/profiles';
import { forearmKickSetup } from '../setups/forearmKick';
import { drawForearmKick } from './elevation';
import { textWidth, type Scene, type Shape } from './scene';
import { drawAlternative } from './alternativeSide';
import { toSvgFile } from './svg';

const pieces: readonly PieceCount[] = [
  { piece: 'foam-block', count: 4 },
  { piece: 'strap-240', count: 2 },
  { piece: 'shoulder-pad', count: 6 },
];

const inputs = fc.record({
  heightM: fc.double({ min: 1.2, max: 2.2, noNaN: true }),
  massKg: fc.double({ min: 25, max: 250, noNaN: true }),
  neck: fc.double({ min: 0.16, max: 0.21, noNaN: true }),
  profile: fc.constantFrom(...profileIds),
  units: fc.constantFrom('cm' as const, 'in' as const),
});
type Input = typeof inputs extends fc.Arbitrary<infer T> ? T : never;

function draw(input: Input, detail: 'card' | 'row'): Scene {
  const { heightM, massKg, neck, profile, units } = input;
  const body = resolveBody({ heightM, massKg, lengths: { shoulderToCrown: neck * heightM } });
  const setup = forearmKickSetup({ body, profile, pieces });
  return drawForearmKick(body, setup, { pxPerM: 200, units, detail });
}

const texts = (scene: Scene) =>
  scene.shapes.filter((shape): shape is Extract<Shape, { kind: 'text' }> => shape.kind === 'text');

interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

function boxOf({ x, y, text, sizePx, anchor }: Extract<Shape, { kind: 'text' }>): Box {
  const width = textWidth(text, sizePx);
  const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
  return { left, right: left + width, top: y - sizePx * 0.72, bottom: y };
}

const overlap = (a: Box, b: Box) =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

const usual: Input = {
  heightM: 1.7,
  massKg: 62,
  neck: 0.182,
  profile: 'prop-led',
  units: 'cm',
};

describe('the forearm kick from the side', () => {
  it.each(['card', 'row'] as const)(
    'keeps every text of the %s apart and on the sheet',
    (detail) => {
      fc.assert(
        fc.property(inputs, (input) => {
          const scene = draw(input, detail);
          const boxes = texts(scene).map(boxOf);
          for (const [index, box] of boxes.entries()) {
            expect(box.left).toBeGreaterThanOrEqual(0);
            expect(box.right).toBeLessThanOrEqual(scene.widthPx);
            expect(box.bottom).toBeLessThanOrEqual(scene.heightPx);
            for (const other of boxes.slice(index + 1)) expect(overlap(box, other)).toBe(false);
          }
        }),
      );
    },
  );

  it('draws no figure that is not a number', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const svg = toSvgFile(draw(input, 'card'), 'Set-up');
        expect(svg).not.toMatch(/NaN|Infinity|undefined/);
      }),
    );
  });

  it('sets the base dimension to scale: from the elbow to the wall', () => {
    const scene = draw(usual, 'row');
    const wall = scene.shapes.find((s) => s.kind === 'line' && s.role === 'wall')!;
    const base = scene.shapes
      .filter((s) => s.kind === 'line')
      .filter((s) => s.role === 'dimensionEstimated')
      .at(-1)!;
    expect(wall.kind === 'line' && wall.x1).toBe(base.x2);
    expect((base.x2 - base.x1) / scene.pxPerM).toBeCloseTo(0.5417, 3);
    expect(texts(scene).map(({ text }) => text)).toEqual(expect.arrayContaining(['~54', '5']));
  });

  it('is the same drawing every time', () => {
    expect(draw(usual, 'card')).toEqual(draw(usual, 'card'));
  });

  it('marks measured distances without a tilde', () => {
    const body = resolveBody({
      heightM: 1.7,
      lengths: { hand: 0.18, knuckle: 0.09, forearm: 0.25 },
    });
    const setup = forearmKickSetup({ body, profile: 'prop-led', pieces });
    const scene = drawForearmKick(body, setup, { pxPerM: 200, units: 'cm', detail: 'row' });
    expect(texts(scene).map(({ text }) => text)).toContain('54');
  });

  it('says in sentences what it shows', () => {
    expect(draw(usual, 'card').sentences.join(' ')).toMatch(
      /elbows 54 cm from the wall.*19 degrees/,
    );
  });
});

describe('shapes with a chair', () => {
  it.each(alternativeIds)('keeps the figure of %s on the sheet and above the floor', (id) => {
    fc.assert(
      fc.property(inputs, ({ heightM, massKg }) => {
        const body = resolveBody({ heightM, massKg });
        const scene = drawAlternative({ body, profile: 'prop-led', pieces }, id, {
          pxPerM: 100,
          units: 'cm',
          detail: 'row',
        });
        expect(toSvgFile(scene, 'Shape')).not.toMatch(/NaN|Infinity/);
        expect(scene.widthPx).toBeGreaterThan(0);
      }),
    );
  });
});

describe('the file', () => {
  it('is true to scale in millimetres and escapes its title', () => {
    const scene = draw(usual, 'card');
    const svg = toSvgFile(scene, 'A & B <kick>', { scale: 10 });
    const millimetres = Number(/width="([\d.]+)mm"/.exec(svg)![1]);
    expect(millimetres).toBeCloseTo((scene.widthPx / 200) * 100, 0);
    expect(svg).toContain('<title>A &amp; B &lt;kick&gt;</title>');
  });

  it('parts near limbs, far limbs and trunk in one ink as well, with no grey and no other colour', () => {
    const svg = toSvgFile(draw(usual, 'card'), 'Set-up', { ink: 'one' });
    const colours = new Set([...svg.matchAll(/#[0-9a-f]{6}/g)].map(([colour]) => colour));
    expect([...colours].sort()).toEqual(['#000000', '#ffffff']);
    // Every pattern that is asked for comes with the file.
    const asked = [...svg.matchAll(/url\(#([\w-]+)\)/g)].map(([, id]) => id);
    expect(asked).toContain('lv-lines');
    for (const id of asked) expect(svg).toContain(`<pattern id="${id}"`);
  });
});
