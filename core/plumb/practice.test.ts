import { resolveBody } from '../body/body';
import { shapeIds } from '../shapes/registry';
import { InputProblem } from '../problem';
import type { SideMarks } from './marks';
import {
  canLean,
  figureAt,
  figureOf,
  plainPractice,
  practiceScene,
  practiceSize,
  practiceTruth,
  type ComputedFigure,
  type PracticeWish,
} from './practice';
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

/** What would be read by somebody who marks without an error. */
const readOf = (wish: PracticeWish) => readStill(practiceTruth(body, wish)).measures;

describe('what is chosen is what is painted', () => {
  it.each([
    ['archDeg', 'hipBend', 12],
    ['pastDeg', 'lean', 8],
  ] as const)('%s turns %s by as much', (choice, measure, deg) => {
    const before = readOf({ shape: 'handstand' })[measure]!.value;
    const after = readOf({ shape: 'handstand', [choice]: deg })[measure]!.value;
    expect(Math.abs(after - before)).toBeCloseTo(deg, 6);
  });

  it('leaning past the base brings the shoulders past it', () => {
    for (const shape of ['handstand', 'forearmStand'] as const) {
      const over = (pastDeg: number) => readOf({ shape, pastDeg }).shoulderOverBase!.value;
      expect(over(8) - over(0)).toBeGreaterThan(0.02);
    }
  });

  it('bends the near knee and leaves the far one', () => {
    const plain = readOf({ shape: 'handstand' });
    const bent = readOf({ shape: 'handstand', kneeDeg: 40 });
    expect(plain.kneeAngle!.value - bent.kneeAngle!.value).toBeCloseTo(40, 6);
    expect(plain.farKneeAngle).toBeUndefined();
    const farFromHip = (kneeDeg: number, whose: 'near' | 'far') => {
      const { marks } = practiceTruth(body, { shape: 'handstand', kneeDeg }) as {
        readonly marks: SideMarks;
      };
      const [hip, ankle] = [marks.near.hip!, marks[whose]!.ankle!];
      return [ankle.x - hip.x, ankle.y - hip.y].map((px) => px.toFixed(6));
    };
    expect(farFromHip(40, 'far')).toEqual(farFromHip(0, 'near'));
  });

  it.each([
    ['handstand', 0],
    ['handstand', 0.1],
    ['forearmStand', 0.07],
  ] as const)(
    'from the front %s shows what stands %d m wider than the shoulders',
    (shape, apartM) => {
      const { shoulderGap, elbowGap, wristGap } = readOf({ shape, view: 'front', apartM });
      const joint = body.lengths.shoulderJointWidth;
      expect(shoulderGap!.value).toBeCloseTo(joint, 6);
      const [wide, other] = shape === 'handstand' ? [wristGap, elbowGap] : [elbowGap, wristGap];
      expect(wide!.value).toBeCloseTo(joint + apartM, 6);
      // Elbows that wander leave the hands where they are; wide hands take the elbows half-way along.
      expect(other!.value).toBeCloseTo(joint + (shape === 'handstand' ? apartM / 2 : 0), 6);
    },
  );

  it('stands somebody further from the wall', () => {
    const { baseToWall: before } = readOf({ shape: 'forearmStandWall' });
    const { baseToWall: after } = readOf({ shape: 'forearmStandWall', wallMoreM: 0.05 });
    expect(after!.value - before!.value).toBeCloseTo(0.05, 6);
  });

  it.each([
    { distanceM: 2.4 },
    { distanceM: 6, cameraM: 0.4 },
    { cameraM: 1.6, tiltDeg: -5 },
    { light: 'window' },
  ] as const)('is the same body however the camera stands: %j', (camera) => {
    const wish = { shape: 'handstand', archDeg: 10, pastDeg: 3 } as const;
    const [plain, other] = [readOf(wish), readOf({ ...wish, ...camera })];
    for (const id of ['hipBend', 'shoulderOverBase', 'footHeight', 'lean'] as const) {
      expect(other[id]!.value).toBeCloseTo(plain[id]!.value, 6);
    }
    const { pxPerM } = practiceScene(body, { ...wish, ...camera });
    const distanceM = 'distanceM' in camera ? camera.distanceM : plainPractice.distanceM;
    expect(pxPerM * distanceM).toBeCloseTo(practiceSize.pxPerM * plainPractice.distanceM, 9);
  });

  it('has nothing to show from the front of who does not stand upright on the arms', () => {
    for (const shape of ['dolphin', 'headstand', 'plank', 'plough'] as const)
      expect(() => practiceScene(body, { shape, view: 'front' })).toThrow(InputProblem);
  });

  it.each(shapeIds)('%s can be wrong only where its feet are free', (shape) => {
    const wrong = { archDeg: 20, pastDeg: 8, kneeDeg: 30 };
    const [plain, other] = [{ shape }, { shape, ...wrong }].map(
      (wish) => practiceScene(body, wish).joints,
    );
    if (canLean(body, shape)) expect(other).not.toEqual(plain);
    else expect(other).toEqual(plain);
  });
});

describe('the figure beside a picture', () => {
  const distance = ({ wallX, joints }: ComputedFigure, joint: 'wrist' | 'elbow') =>
    Math.abs(wallX! - joints[joint][0]);

  it.each([
    ['handstandWall', 'wrist', 0.2, 1],
    ['forearmStandWall', 'elbow', 0.5, 1],
    ['wallL', 'wrist', 0.82, -1],
  ] as const)('stands at the wall where it was measured: %s', (shape, joint, metres, way) => {
    const read = figureAt(body, shape, way * metres);
    expect(distance(read, joint)).toBeCloseTo(metres, 6);
    expect(distance(figureOf(body, shape), joint)).not.toBeCloseTo(metres, 2);
  });

  it('stands as usual where no wall is known, none is its own, or none is in reach', () => {
    const usual = figureOf(body, 'handstandWall');
    expect(figureAt(body, 'handstandWall', null)).toEqual(usual);
    // Behind the back there is no wall of this shape.
    expect(figureAt(body, 'handstandWall', -0.3)).toEqual(usual);
    expect(figureAt(body, 'handstandWall', 4)).toEqual(usual);
    expect(figureAt(body, 'handstand', 0.3)).toEqual(figureOf(body, 'handstand'));
  });
});
