import { resolveBody } from '../body/body';
import { shapeIds } from '../shapes/registry';
import { practiceScene, practiceSize } from './practice';
import { readStill } from './still';

const body = resolveBody({ heightM: 1.7 });

it('is read as it was made: tilt, scale and arch', () => {
  const wish = { shape: 'handstand', archDeg: 20, tiltDeg: 4 } as const;
  const { joints, place } = practiceScene(body, wish);
  const at = (name: 'wrist' | 'elbow' | 'shoulder' | 'hip' | 'knee' | 'ankle') => {
    const [x, y] = place(joints[name]);
    return { x, y };
  };
  const { tiltDeg, measures, metresPerPixel } = readStill({
    view: 'side',
    facing: 'right',
    base: 'hands',
    marks: {
      near: {
        wrist: at('wrist'),
        elbow: at('elbow'),
        shoulder: at('shoulder'),
        hip: at('hip'),
        knee: at('knee'),
        ankle: at('ankle'),
      },
    },
    floor: [place([-1, 0]), place([1, 0])],
    scale: { from: place([0, 0]), to: place([1, 0]), metres: 1 },
  });
  expect(tiltDeg).toBeCloseTo(4, 6);
  expect(metresPerPixel!.nominal).toBeCloseTo(1 / practiceSize.pxPerM, 9);
  const straight = practiceScene(body, { ...wish, archDeg: 0 }).joints;
  const bend = (a: readonly number[], b: readonly number[], c: readonly number[]) =>
    Math.atan2(c[0]! - b[0]!, c[1]! - b[1]!) - Math.atan2(b[0]! - a[0]!, b[1]! - a[1]!);
  const before = (bend(straight.shoulder, straight.hip, straight.knee) * 180) / Math.PI;
  expect(measures.hipBend!.value).toBeCloseTo(before + 20, 6);
});

it.each(shapeIds)('%s stands in the picture, and feet on the floor stay there', (shape) => {
  const { joints, place, wallX } = practiceScene(body, { shape, archDeg: 30, tiltDeg: 0 });
  for (const name of ['shoulder', 'hip', 'crown'] as const) {
    const [x, y] = place(joints[name]);
    expect(x).toBeGreaterThan(0);
    expect(x).toBeLessThan(practiceSize.width);
    expect(y).toBeLessThan(practiceSize.height);
  }
  const still = practiceScene(body, { shape, archDeg: 0, tiltDeg: 0 }).joints;
  if (wallX !== null || still.ankle[1] < 0.4) expect(joints.ankle).toEqual(still.ankle);
});
