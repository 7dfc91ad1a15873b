import fc from 'fast-check';
import { resolveBody } from '../body/body';
import { turned } from '../posture/geometry';
import type { Point } from '../posture/joints';
import { seededRandom } from '../random';
import { computeLoads } from '../shapes/loads';
import type { StillInput } from './marks';
import { readStill } from './still';
import { level, lineOf, markAt, marksOf, project, type Camera } from './testing/project';

const floor: readonly [Point, Point] = [
  [-1, 0],
  [2, 0],
];

/** A handstand with known bends: each segment's direction from the upright, ahead positive. */
function chain({ arm = 0, forearm = 0, trunk = 0, thigh = 0, shank = 0 } = {}) {
  const wrist: Point = [0, 0.05];
  const elbow = turned(wrist, forearm, 0.25);
  const shoulder = turned(elbow, arm, 0.3);
  const hip = turned(shoulder, trunk, 0.5);
  const knee = turned(hip, thigh, 0.42);
  const ankle = turned(knee, shank, 0.42);
  return { wrist, elbow, shoulder, hip, knee, ankle };
}

function still(
  places: Readonly<Record<string, Point>>,
  change: Partial<StillInput> = {},
  camera: Camera = level,
  sd?: number,
): StillInput {
  return {
    view: 'side',
    facing: camera.facing,
    base: 'hands',
    marks: { near: marksOf(places, camera, sd) },
    floor: lineOf(...floor, camera),
    scale: { from: project([0, 0], camera), to: project([1, 0], camera), metres: 1 },
    ...change,
  } as StillInput;
}

const valueOf = (input: StillInput, id: keyof ReturnType<typeof readStill>['measures']) =>
  readStill(input).measures[id]?.value;

describe('a still', () => {
  it('reads a straight line as straight, with nothing ahead of anything', () => {
    const { measures, tiltDeg, levelFrom } = readStill(still(chain()));
    expect([tiltDeg, levelFrom]).toEqual([0, 'floor']);
    for (const id of ['shoulderOverBase', 'hipOverShoulder', 'lean', 'bendTotal'] as const) {
      expect(measures[id]!.value).toBeCloseTo(0, 9);
    }
    for (const id of ['elbowAngle', 'shoulderAngle', 'hipAngle', 'kneeAngle'] as const) {
      expect(measures[id]!.value).toBeCloseTo(180, 6);
      // A straight joint cannot be straighter.
      expect(measures[id]!.high).toBe(180);
      expect(measures[id]!.low).toBeLessThan(180);
    }
  });

  it('signs bends by the back: an arch is positive, a pike is not', () => {
    const arch = readStill(still(chain({ trunk: 0, thigh: 20, shank: 20 }))).measures;
    expect(arch.hipBend!.value).toBeCloseTo(20, 6);
    expect(arch.hipAngle!.value).toBeCloseTo(160, 6);
    expect(arch.legLean!.value).toBeCloseTo(20, 6);
    const pike = readStill(still(chain({ thigh: -30, shank: -30 }))).measures;
    expect(pike.hipBend!.value).toBeCloseTo(-30, 6);
    expect(pike.bendTotal!.value).toBeLessThan(-15);
    const open = readStill(still(chain({ trunk: 12, thigh: 12, shank: 12 }))).measures;
    expect(open.shoulderBend!.value).toBeCloseTo(12, 6);
    expect(open.hipBend!.value).toBeCloseTo(0, 6);
    expect(open.trunkLean!.value).toBeCloseTo(12, 6);
    expect(open.hipOverShoulder!.value).toBeCloseTo(0.5 * Math.sin((12 * Math.PI) / 180), 6);
  });

  it('takes a sag in a plank, and a poking chin, as bends towards the back', () => {
    const shoulder: Point = [0, 0.55];
    const hip: Point = [-0.5, 0.42];
    const knee: Point = [-0.92, 0.42];
    const places = { wrist: [0, 0.05] as Point, shoulder, hip, knee, ankle: [-1.3, 0.3] as Point };
    const poking: Point = [0.1, 0.68];
    const { measures, faults } = readStill(
      still({ ...places, ear: poking }, { shape: 'plank' } as Partial<StillInput>),
    );
    expect(measures.hipBend!.value).toBeGreaterThan(10);
    expect(measures.neckBend!.value).toBeGreaterThan(25);
    expect(faults.map(({ fault }) => fault)).toEqual(['sag', 'chin-pokes']);
  });

  it('says the same whatever the tilt, the side, the scale and the place in the picture', () => {
    const angle = fc.double({ min: -30, max: 30, noNaN: true });
    fc.assert(
      fc.property(
        fc.record({ arm: angle, forearm: angle, trunk: angle, thigh: angle, shank: angle }),
        fc.record({
          pxPerM: fc.double({ min: 80, max: 2000, noNaN: true }),
          tiltDeg: fc.double({ min: -44, max: 44, noNaN: true }),
          facing: fc.constantFrom('left' as const, 'right' as const),
          originPx: fc.tuple(
            fc.integer({ min: -500, max: 3000 }),
            fc.integer({ min: 0, max: 3000 }),
          ),
        }),
        fc.boolean(),
        (bends, camera, isFlipped) => {
          const places = {
            ...chain(bends),
            ear: [0.05, 0.4] as Point,
            knuckle: [0.09, 0] as Point,
          };
          const wall = lineOf([0.6, 0], [0.6, 1], camera);
          const plain = readStill(
            still(places, { wall: lineOf([0.6, 0], [0.6, 1], level) } as Partial<StillInput>),
          );
          const line = lineOf(...floor, camera);
          const taken = readStill(
            still(
              places,
              {
                wall: isFlipped ? [wall[1], wall[0]] : wall,
                floor: isFlipped ? [line[1], line[0]] : line,
              } as Partial<StillInput>,
              camera,
            ),
          );
          expect(taken.tiltDeg).toBeCloseTo(camera.tiltDeg, 6);
          expect(Object.keys(taken.measures)).toEqual(Object.keys(plain.measures));
          for (const [id, { value, low, high }] of Object.entries(plain.measures)) {
            const other = taken.measures[id as 'lean']!;
            expect(other.value).toBeCloseTo(value, 5);
            expect(other.low).toBeCloseTo(low, 4);
            expect(other.high).toBeCloseTo(high, 4);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('carries errors as a simulation finds them', () => {
    const sd = 4;
    const places = { ...chain({ trunk: 8, thigh: 25, shank: 10 }), ear: [0.06, 0.35] as Point };
    const input = still(places, { wall: lineOf([0.6, 0], [0.62, 1.2], level) } as never, level, sd);
    const { measures } = readStill(input);
    const random = seededRandom(7);
    const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const usual = readStill(still(places)).measures;
    expect(Object.keys(usual).length).toBeGreaterThan(10);
    const lineSd = 0.008 * widestOf(input);
    const shaken = (point: readonly [number, number]) =>
      [point[0] + gauss() * lineSd, point[1] + gauss() * lineSd] as const;
    const draws = Array.from({ length: 1500 }, () => {
      if (input.view !== 'side') throw new Error('a side view');
      const near = Object.fromEntries(
        Object.entries(input.marks.near).map(([name, { x, y }]) => [
          name,
          { x: x + gauss() * sd, y: y + gauss() * sd },
        ]),
      );
      return readStill({
        ...input,
        marks: { near },
        floor: [shaken(input.floor![0]), shaken(input.floor![1])],
        wall: [shaken(input.wall![0]), shaken(input.wall![1])],
        scale: {
          from: shaken(project([0, 0], level)),
          to: shaken(project([1, 0], level)),
          metres: 1,
        },
      }).measures;
    });
    for (const id of ['shoulderOverBase', 'hipBend', 'trunkLean', 'baseToWall', 'lean'] as const) {
      const values = draws.map((draw) => draw[id]!.value);
      const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
      const spread = Math.sqrt(
        values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length,
      );
      const { low, high, value, unit } = measures[id]!;
      const said = (high - low) / 2;
      const whole = unit === 'm' ? Math.hypot(spread, 0.02 * value) : spread;
      expect(said / whole).toBeGreaterThan(0.9);
      expect(said / whole).toBeLessThan(1.1);
    }
  });

  it('counts a scale from a segment with the error of that length, measured or estimated', () => {
    const estimated = { heightM: 1.7 };
    const measured = { heightM: 1.7, lengths: { trunk: 0.49 } };
    const read = (body: NonNullable<StillInput['body']>) =>
      readStill(still(chain(), { scale: { segment: 'trunk' }, body } as Partial<StillInput>));
    const [guess, tape] = [read(estimated).metresPerPixel!, read(measured).metresPerPixel!];
    expect(guess.nominal).toBeCloseTo((0.288 * 1.7) / 200, 9);
    expect(tape.nominal).toBeCloseTo(0.49 / 200, 9);
    expect(guess.high - guess.nominal).toBeGreaterThan(tape.high - tape.nominal);
    const without = readStill(
      still({ wrist: [0, 0], shoulder: [0, 0.5] }, {
        scale: { segment: 'thigh' },
        body: estimated,
      } as Partial<StillInput>),
    );
    expect(without.metresPerPixel).toBeNull();
    expect(without.measures.shoulderOverBase).toBeUndefined();
    expect(without.notes.join()).toContain('thigh');
  });

  it('says beside the bend what the wall distance forces', () => {
    const body = resolveBody({ heightM: 1.7 });
    const posture = { family: 'handstandWall', baseM: 0.35 } as const;
    const { pose, angles } = computeLoads(body, posture);
    const { wrist, elbow, shoulder, hip, knee, ankle, heel } = pose.joints;
    const input = still({ wrist, elbow, shoulder, hip, knee, ankle, heel }, {
      wall: lineOf([pose.wall!.at[0], 0], [pose.wall!.at[0], 2], level),
      body: { heightM: 1.7 },
      shape: 'handstandWall',
    } as Partial<StillInput>);
    const { expected, measures } = readStill(input);
    expect(measures.baseToWall!.value).toBeCloseTo(0.35, 6);
    expect(measures.fingertipsToWall!.value).toBeCloseTo(0.35 - 0.108 * 1.7, 6);
    expect(expected.lean).toBeCloseTo(angles.leanDeg!, 6);
    expect(expected.bendTotal).toBeCloseTo(angles.bendIfUpperArmsUprightDeg!, 6);
    const far = readStill({ ...input, wall: lineOf([3, 0], [3, 2], level) });
    expect(far.expected.lean).toBeUndefined();
  });

  it('levels by the wall where there is no floor, by nothing where there is neither', () => {
    const camera = { ...level, tiltDeg: 10 };
    const places = chain({ trunk: 5, thigh: 5, shank: 5 });
    const { floor: _, ...noFloor } = still(places, {}, camera);
    const walled = readStill({
      ...noFloor,
      wall: lineOf([0.5, 0], [0.5, 1], camera),
    } as StillInput);
    expect(walled.levelFrom).toBe('wall');
    expect(walled.tiltDeg).toBeCloseTo(10, 6);
    expect(walled.measures.trunkLean!.value).toBeCloseTo(5, 6);
    expect(walled.measures.footHeight).toBeUndefined();
    const bare = readStill(noFloor as StillInput);
    expect(bare.levelFrom).toBe('picture');
    // Nothing says how the camera was held.
    const { low, high } = bare.measures.trunkLean!;
    expect((high - low) / 2).toBeGreaterThan(2.5);
    expect(bare.notes.join()).toContain('taken as level');
  });

  it('notes floor and wall that are not square', () => {
    const wall = lineOf([0.5, 0], [0.6, 1], level);
    expect(readStill(still(chain(), { wall } as Partial<StillInput>)).notes.join()).toContain(
      'off square',
    );
  });

  it('reads a lifted leg, a raised leg on the back, and a standing line turned round', () => {
    const places = chain();
    const input = still(places);
    if (input.view !== 'side') throw new Error('a side view');
    const lifted = readStill({
      ...input,
      marks: { ...input.marks, far: { ankle: markAt([0.5, 1.1], level) } },
    });
    expect(lifted.measures.liftedLegLean!.value).toBeCloseTo(0, 6);
    const lying = {
      wrist: [0.1, 0.05] as Point,
      shoulder: [0.6, 0.1] as Point,
      hip: [0.1, 0.1] as Point,
      ankle: turned([0.1, 0.1], -20, 0.8),
    };
    expect(valueOf(still(lying), 'straightLegRaise')).toBeCloseTo(70, 6);
    expect(valueOf(still(lying, { shape: 'plank' } as never), 'straightLegRaise')).toBeUndefined();
    const standing = {
      shoulder: [0.1, 1.4] as Point,
      hip: [0, 0.9] as Point,
      ankle: [0, 0.1] as Point,
    };
    const up = readStill(still(standing, { base: 'feet' } as Partial<StillInput>)).measures;
    expect(up.trunkLean!.value).toBeCloseTo((Math.atan2(0.1, 0.5) * 180) / Math.PI, 6);
    expect(up.legLean!.value).toBeCloseTo(0, 6);
    expect(up.lean).toBeUndefined();
  });

  it('takes a crown that is not marked from the ear', () => {
    const shoulder: Point = [0, 0.4];
    const ear: Point = [0, 0.294];
    const input = still({ elbow: [0, 0.03], shoulder, ear }, { base: 'forearms' } as never);
    expect(valueOf(input, 'headClearance')).toBeCloseTo(0.4 - 0.182, 6);
  });

  it('reads front and back: gaps, splay, tilts by the person’s own left', () => {
    const left = marksOf({ elbow: [0.25, 0.03], shoulder: [0.2, 0.35], hip: [0.1, 0.9] }, level);
    const right = marksOf({ elbow: [-0.25, 0.03], shoulder: [-0.2, 0.3], hip: [-0.1, 0.9] }, level);
    const { measures, faults } = readStill({
      view: 'back',
      base: 'forearms',
      marks: { left, right },
      floor: lineOf(...floor, level),
      scale: { from: project([0, 0], level), to: project([1, 0], level), metres: 1 },
    });
    expect(measures.elbowGap!.value).toBeCloseTo(0.5, 6);
    expect(measures.elbowSplay!.value).toBeCloseTo(0.5 - Math.hypot(0.4, 0.05), 6);
    expect(measures.shoulderTilt!.value).toBeCloseTo((Math.atan2(0.05, 0.4) * 180) / Math.PI, 6);
    expect(measures.hipTilt!.value).toBeCloseTo(0, 6);
    expect(measures.wristGap).toBeUndefined();
    expect(faults).toEqual([{ fault: 'elbows-slide', measure: 'elbowSplay' }]);
  });

  it('suggests nothing that the error leaves open, nor in another shape', () => {
    const places = chain({ forearm: 3, arm: 7 });
    const shape = { shape: 'handstandWall' } as Partial<StillInput>;
    const sharp = readStill(still(places, shape, level, 1));
    expect(sharp.measures.shoulderOverBase!.low).toBeGreaterThan(0.04);
    expect(sharp.faults).toEqual([{ fault: 'shoulders-pass-wrists', measure: 'shoulderOverBase' }]);
    expect(readStill(still(places, shape, level, 15)).faults).toEqual([]);
    expect(readStill(still(places, {}, level, 1)).faults).toEqual([]);
    expect(readStill(still(places, { shape: 'dog' } as never, level, 1)).faults).toEqual([]);
    // Over the knuckle the shoulder may stand further ahead by a share of the height.
    const over = { ...shape, isOverKnuckle: true, body: { heightM: 1.7 } } as Partial<StillInput>;
    expect(readStill(still(places, over, level, 1)).faults).toEqual([]);
  });

  it.each([
    ['nothing is marked', { marks: { near: {} } }, ['marks']],
    [
      'two marks lie in one place',
      { marks: { near: { hip: { x: 1, y: 1 }, knee: { x: 1, y: 1 } } } },
      ['marks', 'near', 'knee'],
    ],
    [
      'the floor is a point',
      {
        floor: [
          [1, 1],
          [1, 1],
        ],
      },
      ['floor'],
    ],
    [
      'the picture lies on its side',
      {
        floor: [
          [0, 0],
          [10, 12],
        ],
      },
      ['floor'],
    ],
    ['a segment comes without a body', { scale: { segment: 'trunk' } }, ['scale']],
    ['the scale is a point', { scale: { from: [1, 1], to: [1, 1], metres: 1 } }, ['scale']],
  ])('refuses it where %s', (_, change, path) => {
    expect(() => readStill(still(chain(), change as never))).toThrow(
      expect.objectContaining({ name: 'InputProblem', path }),
    );
  });
});

/** The largest distance between two marks. */
function widestOf(input: StillInput): number {
  if (input.view !== 'side') throw new Error('a side view');
  const all = Object.values(input.marks.near);
  return Math.max(...all.flatMap((a) => all.map((b) => Math.hypot(a.x - b.x, a.y - b.y))));
}
