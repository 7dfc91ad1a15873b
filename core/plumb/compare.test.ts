import { resolveBody } from '../body/body';
import { distanceOf } from '../posture/geometry';
import { compareReadings, layDown } from './compare';
import type { Sheet } from './marks';
import { practiceScene } from './practice';
import { readStill } from './still';

const body = resolveBody({ heightM: 1.7 });

/** The practice picture as a sheet, tilted and mirrored as asked. */
function sheetOf(tiltDeg: number, archDeg = 0, isMirrored = false): Sheet {
  const { joints, place } = practiceScene(body, { shape: 'handstand', archDeg, tiltDeg });
  const at = (point: readonly [number, number]) => {
    const [x, y] = place(point);
    return { x: isMirrored ? 900 - x : x, y };
  };
  const { wrist, elbow, shoulder, hip, knee, ankle } = joints;
  const near = {
    wrist: at(wrist),
    elbow: at(elbow),
    shoulder: at(shoulder),
    hip: at(hip),
    knee: at(knee),
    ankle: at(ankle),
  };
  const line = ([a, b]: readonly [readonly [number, number], readonly [number, number]]) => {
    const [from, to] = [at(a), at(b)];
    return [
      [from.x, from.y],
      [to.x, to.y],
    ] as const;
  };
  return {
    view: 'side',
    facing: isMirrored ? 'left' : 'right',
    base: 'hands',
    shape: 'handstand',
    marks: { near, far: {}, left: {}, right: {} },
    floor: line([
      [-0.5, 0],
      [0.5, 0],
    ]),
    wall: null,
    scale: { kind: 'none' },
  };
}

const read = ({ marks, facing, floor, base }: Sheet, isScaled = true) =>
  readStill({
    view: 'side',
    facing,
    base,
    marks: { near: marks.near },
    floor: floor!,
    body: { heightM: 1.7 },
    ...(isScaled ? { scale: { segment: 'trunk' as const } } : {}),
  });

describe('a picture laid down on its base', () => {
  const { joints } = practiceScene(body, { shape: 'handstand', archDeg: 0, tiltDeg: 0 });
  it.each([
    [0, false],
    [4, false],
    [-5, true],
  ])('is the same in metres, tilted by %s degrees, mirrored: %s', (tiltDeg, isMirrored) => {
    const sheet = sheetOf(tiltDeg, 0, isMirrored);
    const laid = layDown(sheet, read(sheet), body)!;
    for (const name of ['shoulder', 'hip', 'ankle'] as const) {
      expect(laid.near[name]![0]).toBeCloseTo(joints[name][0] - joints.wrist[0], 6);
      expect(laid.near[name]![1]).toBeCloseTo(joints[name][1] - joints.wrist[1], 6);
    }
    expect(laid.isByTrunk).toBe(false);
  });

  it('goes by the trunk where nothing gives a scale, and says so', () => {
    const sheet = sheetOf(0);
    const laid = layDown(sheet, read(sheet, false), body)!;
    expect(laid.isByTrunk).toBe(true);
    expect(distanceOf(laid.near.hip!, laid.near.shoulder!)).toBeCloseTo(body.lengths.trunk, 6);
  });

  it('is none from the front, and none without its base', () => {
    const sheet = sheetOf(0);
    const reading = read(sheet);
    expect(layDown({ ...sheet, view: 'front' }, reading, body)).toBeNull();
    expect(layDown({ ...sheet, base: 'head' }, reading, body)).toBeNull();
  });
});

describe('two readings', () => {
  it('differ by what changed, and clearly so only past both errors', () => {
    const [before, after] = [read(sheetOf(0, 20)), read(sheetOf(0, 2))];
    const changes = compareReadings(before, after);
    const hip = changes.find(({ id }) => id === 'hipBend')!;
    expect(hip.change.value).toBeCloseTo(-18, 3);
    expect(hip.isClear).toBe(true);
    const lean = changes.find(({ id }) => id === 'trunkLean')!;
    expect(lean.change.value).toBeCloseTo(0, 6);
    expect(lean.isClear).toBe(false);
    const error = (found: { low: number; high: number }) => (found.high - found.low) / 2;
    expect(error(hip.change)).toBeCloseTo(Math.hypot(error(hip.before), error(hip.after)), 9);
  });

  it('share only what both of them have', () => {
    expect(compareReadings(read(sheetOf(0)), { measures: {} })).toEqual([]);
  });
});
