import fc from 'fast-check';
import { resolveBody } from '../body/body';
import { getStage, stageIds, type StageId } from '../catalog/stages';
import { poseStage } from '../drawing/stageSide';
import { legPointsOf } from '../posture/joints';
import { solveStage } from '../setups/solveStage';
import { InputProblem } from '../problem';
import { packLanes, placeCircles, type Lane } from './pack';
import {
  assertRoom,
  partNeighbours,
  roomBounds,
  subtract,
  usableSpans,
  wallIds,
  wallLength,
  type Room,
  type Span,
} from './room';
import { roomFile } from './roomFile';
import { spaceFor } from './space';

const room = (change: object = {}): Room =>
  roomFile.parse({
    format: 'levitar-room',
    version: 1,
    widthM: 8,
    depthM: 6,
    ceilingM: 2.8,
    ...change,
  });
const body = resolveBody({ heightM: 1.7 });

describe('a room', () => {
  it('has four whole walls when nothing blocks them', () => {
    expect(
      usableSpans(room()).map(({ wall, fromM, toM, lowestM }) => [wall, fromM, toM, lowestM]),
    ).toEqual([
      ['south', 0, 8, 2.8],
      ['east', 0, 6, 2.8],
      ['north', 0, 8, 2.8],
      ['west', 0, 6, 2.8],
    ]);
  });

  it('loses what is blocked, and a door with its swing and its sides', () => {
    const spans = usableSpans(
      room({
        blocked: [{ wall: 'north', fromM: 2, toM: 5, what: 'heater' }],
        doors: [{ wall: 'west', fromM: 1, toM: 1.9, opensIn: true }],
      }),
    );
    const on = (wall: string) =>
      spans.filter((span) => span.wall === wall).map(({ fromM, toM }) => [fromM, toM]);
    expect(on('north')).toEqual([
      [0, 2],
      [5, 8],
    ]);
    // The door is 0.9 wide: its leaf, and 0.3 beside it, on either side.
    expect(on('west')).toHaveLength(1);
    expect(on('west')[0]![0]).toBeCloseTo(3.1, 9);
  });

  it('drops stretches too short for anybody', () => {
    expect(
      usableSpans(room({ blocked: [{ wall: 'east', fromM: 0.5, toM: 6 }] })).some(
        ({ wall }) => wall === 'east',
      ),
    ).toBe(false);
  });

  it('splits a wall where a beam begins, and knows the height under it', () => {
    const low = [{ xM: 0, yM: 5, widthM: 3, depthM: 1, heightM: 2.1 }];
    const north = usableSpans(room({ low })).filter(({ wall }) => wall === 'north');
    expect(north.map(({ fromM, toM, lowestM }) => [fromM, toM, lowestM])).toEqual([
      [0, 3, 2.1],
      [3, 8, 2.8],
    ]);
    // The same beam lies over the end of the west wall, far from the south one.
    const spans = usableSpans(room({ low }));
    expect(spans.filter(({ wall }) => wall === 'west').map(({ lowestM }) => lowestM)).toEqual([
      2.8, 2.1,
    ]);
    expect(
      spans.filter(({ wall }) => wall === 'south').every(({ lowestM }) => lowestM === 2.8),
    ).toBe(true);
  });

  it('keeps lanes of other walls out of the swing of a door', () => {
    // The door hangs at the south end of the west wall: its leaf sweeps before the south wall too.
    const doors = [{ wall: 'west' as const, fromM: 0.2, toM: 1.1, opensIn: true }];
    const south = usableSpans(room({ doors })).filter(({ wall }) => wall === 'south');
    // The south wall runs against x: its right end is the corner with the door.
    expect(south.map(({ fromM, toM }) => [fromM, toM])).toEqual([[0, 8 - 0.9]]);
    const out = usableSpans(room({ doors: [{ ...doors[0]!, opensIn: false }] }));
    expect(out.find(({ wall }) => wall === 'south')).toMatchObject({ fromM: 0, toM: 8 });
    // A narrow room: the door of the other side swings where somebody would walk in.
    const narrow = usableSpans(
      room({ depthM: 3, doors: [{ wall: 'north', fromM: 3, toM: 4, opensIn: true }] }),
    ).filter(({ wall }) => wall === 'south');
    for (const { fromM, toM } of narrow) expect(fromM >= 6 - 1e-9 || toM <= 3 + 1e-9).toBe(true);
  });

  it('counts a beam within the arc of the legs, though it hangs far from the wall', () => {
    const low = [{ xM: 0, yM: 3.6, widthM: 8, depthM: 0.2, heightM: 2.1 }];
    const north = (stripM: number) =>
      usableSpans(room({ low }), stripM).find(({ wall }) => wall === 'north')!;
    // 2.2 to 2.4 m from the north wall: within what 1.70 m swings up through, not a small body.
    expect(north(0.5 + 1.2 * 1.7).lowestM).toBe(2.1);
    expect(north(2.1).lowestM).toBe(2.8);
  });

  it('joins what no height parts', () => {
    const low = [{ xM: 2, yM: 2.9, widthM: 1, depthM: 0.2, heightM: 2.1 }];
    expect(usableSpans(room({ low })).filter(({ wall }) => wall === 'north')).toHaveLength(1);
  });

  it('parts two who may fall also across the joint of two stretches', () => {
    const spans: Span[] = [
      { id: 'north-1', wall: 'north', fromM: 0, toM: 3, lowestM: 2.4 },
      { id: 'north-2', wall: 'north', fromM: 3.09, toM: 8, lowestM: 2.8 },
      { id: 'east-1', wall: 'east', fromM: 0, toM: 6, lowestM: 2.8 },
    ];
    const [first, second, third] = partNeighbours(spans, 2.2);
    expect(second!.fromM - first!.toM).toBeCloseTo(0.61, 9);
    expect(second).toEqual(spans[1]);
    expect(third).toEqual(spans[2]);
    // Under one of them nobody tries: nobody falls across.
    expect(partNeighbours(spans, 2.5)).toEqual(spans);
  });

  it.each([
    [{ blocked: [{ wall: 'north', fromM: 3, toM: 3 }] }, ['blocked', 0, 'toM']],
    [{ blocked: [{ wall: 'east', fromM: 3, toM: 7 }] }, ['blocked', 0, 'toM']],
    [{ doors: [{ wall: 'west', fromM: 2, toM: 1, opensIn: false }] }, ['doors', 0, 'toM']],
    [{ low: [{ xM: 1, yM: 1, widthM: 1, depthM: 1, heightM: 3 }] }, ['low', 0, 'heightM']],
    [{ low: [{ xM: 9, yM: 1, widthM: 1, depthM: 1, heightM: 2 }] }, ['low', 0]],
  ])('refuses %j by its path', (change, path) => {
    try {
      assertRoom(room(change));
      throw new Error('was taken');
    } catch (error) {
      expect(error).toBeInstanceOf(InputProblem);
      expect((error as InputProblem).path).toEqual(path);
    }
  });

  it('refuses unknown fields and other versions by name', () => {
    const base = { format: 'levitar-room', version: 1, widthM: 8, depthM: 6, ceilingM: 2.8 };
    expect(roomFile.safeParse({ ...base, colour: 'white' }).success).toBe(false);
    expect(roomFile.safeParse({ ...base, version: 2 }).success).toBe(false);
    expect(roomFile.safeParse({ ...base, ceilingM: 0.4 }).success).toBe(false);
  });

  it('lets nothing through that a file of it would refuse', () => {
    const odd = fc.constantFrom(-0.1, 0, 0.4, 20.1, 60, 60.1, Number.NaN, Number.POSITIVE_INFINITY);
    const number = fc.oneof(
      { weight: 6, arbitrary: fc.double({ min: 0.5, max: 12, noNaN: true }) },
      { weight: 1, arbitrary: odd },
    );
    const stretch = { wall: fc.constantFrom(...wallIds), fromM: number, toM: number };
    const spot = { xM: number, yM: number, widthM: number, depthM: number, heightM: number };
    const rooms = fc.record({
      format: fc.constant('levitar-room' as const),
      version: fc.constant(1 as const),
      name: fc.constant(''),
      widthM: number,
      depthM: number,
      ceilingM: number,
      blocked: fc.array(fc.record({ ...stretch, what: fc.constant('') }), { maxLength: 1 }),
      doors: fc.array(fc.record({ ...stretch, opensIn: fc.boolean() }), { maxLength: 1 }),
      low: fc.array(fc.record({ ...spot, what: fc.constant('') }), { maxLength: 1 }),
    });
    const passes = (room: Room) => {
      try {
        assertRoom(room);
        return true;
      } catch {
        return false;
      }
    };
    let passed = 0;
    fc.assert(
      fc.property(rooms, (room) => {
        if (!passes(room)) return;
        passed += 1;
        expect(roomFile.safeParse(room).success).toBe(true);
      }),
      { numRuns: 2000 },
    );
    expect(passed).toBeGreaterThan(20);
    const { most } = roomBounds;
    const door = { wall: 'north' as const, fromM: 0, toM: 0.9, opensIn: true };
    const doors = (count: number) => ({ ...room(), doors: Array(count).fill(door) });
    expect([passes(doors(most.doors)), passes(doors(most.doors + 1))]).toEqual([true, false]);
  });

  it('never invents wall: what is usable and what is taken make up the whole', () => {
    const stretch = fc.tuple(
      fc.double({ min: 0, max: 8, noNaN: true }),
      fc.double({ min: 0, max: 8, noNaN: true }),
    );
    fc.assert(
      fc.property(fc.array(stretch, { maxLength: 6 }), (list) => {
        const taken = list.map(([a, b]) => ({ fromM: Math.min(a, b), toM: Math.max(a, b) }));
        const left = subtract({ fromM: 0, toM: 8 }, taken);
        for (let at = 0.005; at < 8; at += 0.01) {
          const isTaken = taken.some(({ fromM, toM }) => at >= fromM && at <= toM);
          const isLeft = left.some(({ fromM, toM }) => at > fromM && at < toM);
          if (isTaken)
            expect(isLeft && !taken.every(({ fromM, toM }) => at === fromM || at === toM)).toBe(
              false,
            );
          else expect(isLeft).toBe(true);
        }
      }),
      { numRuns: 30 },
    );
    expect(wallLength(room(), 'east')).toBe(6);
  });
});

describe('space for one attempt', () => {
  it('is a lane at the wall, wider with a helper, far wider in a straddle', () => {
    const lane = (options: object) => spaceFor(getStage('HB11'), body, { baseM: 0.5, ...options });
    const plain = lane({});
    if (plain.kind !== 'lane') throw new Error('no lane');
    const helped = lane({ hasHelper: true });
    const wide = lane({ isStraddle: true });
    if (helped.kind !== 'lane' || wide.kind !== 'lane') throw new Error('no lane');
    expect(helped.alongM - plain.alongM).toBeCloseTo(0.6, 9);
    const leg = body.lengths.thigh + body.lengths.shank;
    expect(wide.alongM).toBeCloseTo(2 * leg * Math.sin(Math.PI / 3) + 0.3, 9);
    expect(plain.outM).toBeCloseTo(0.5 + 1.7 + 0.4, 9);
    expect(plain.heightM).toBeCloseTo(1.22 * 1.7 + 0.15, 9);
  });

  it('is a circle on the clear floor: reach and thirty centimetres', () => {
    expect(spaceFor(getStage('HB15'), body, { baseM: 0 })).toMatchObject({
      kind: 'circle',
      radiusM: 1.22 * 1.7 + 0.3,
    });
    expect(spaceFor(getStage('FS13'), body, { baseM: 0 })).toMatchObject({
      kind: 'circle',
      radiusM: 1.08 * 1.7 + 0.3,
    });
  });

  it('is a circle for an arm balance that ends in a free handstand', () => {
    expect(spaceFor(getStage('CR9'), body, { baseM: 0 })).toMatchObject({
      kind: 'circle',
      radiusM: 1.22 * 1.7 + 0.3,
      heightM: 1.22 * 1.7 + 0.15,
    });
  });

  it('is as high as the legs go, try or no try', () => {
    for (const heightM of [1.45, 1.7, 2.05]) {
      const own = resolveBody({ heightM });
      const input = { body: own, profile: 'prop-led', pieces: [] } as const;
      for (const id of stageIds) {
        const stage = getStage(id);
        const posed = poseStage(input, stage, solveStage(input, stage));
        const top = Math.max(...legPointsOf(posed!.joints).map(([, y]) => y));
        const space = spaceFor(stage, own, { baseM: 0.3 });
        expect([id, heightM, top < space.heightM]).toEqual([id, heightM, true]);
      }
    }
    const highOf = (id: StageId) => spaceFor(getStage(id), body, { baseM: 0.3 }).heightM;
    expect(highOf('HB9')).toBeGreaterThan(1.2 * 1.7);
    expect(highOf('HS-b')).toBeGreaterThan(1.05 * 1.7);
    // Out of the plough over the shoulder stand, and into it the same way.
    expect(highOf('SS9')).toBeGreaterThan(0.95 * 1.7);
    expect(highOf('CR6')).toBe(1.5);
  });

  it('is a mat for what neither leans nor falls', () => {
    expect(spaceFor(getStage('CR6'), body, { baseM: 0 }).kind).toBe('mat');
    for (const id of stageIds)
      expect(spaceFor(getStage(id), body, { baseM: 0.5 }).heightM).toBeGreaterThan(1);
  });
});

const span = (id: string, length: number, lowestM = 2.8): Span => ({
  id,
  wall: 'north',
  fromM: 0,
  toM: length,
  lowestM,
});
const lanes = (...widths: number[]): Lane[] =>
  widths.map((alongM, index) => ({ id: `p${index}`, alongM, heightM: 2.3 }));

/** Every assignment of lanes to spans, tried out: the truth for small classes. */
function canPack(spans: readonly Span[], list: readonly Lane[]): boolean {
  const used = spans.map(() => 0);
  const place = (index: number): boolean =>
    index === list.length ||
    spans.some((one, at) => {
      const { alongM, heightM } = list[index]!;
      if (one.lowestM < heightM || used[at]! + alongM > one.toM - one.fromM + 1e-9) return false;
      used[at]! += alongM;
      const isDone = place(index + 1);
      used[at]! -= alongM;
      return isDone;
    });
  return place(0);
}

describe('packing along the walls', () => {
  it('finds the one way where widest-first alone would fail', () => {
    const spans = [span('a', 6), span('b', 6)];
    const packing = packLanes(spans, lanes(3, 3, 2, 2, 2));
    expect(packing.status).toBe('packed');
  });

  it('says how much is missing, and who is too tall for every wall', () => {
    expect(packLanes([span('a', 2)], lanes(1, 1, 1))).toMatchObject({
      status: 'full',
      missingM: 1,
    });
    const packing = packLanes([span('a', 9, 2.1)], lanes(1));
    expect(packing).toMatchObject({ status: 'full', tooLow: ['p0'] });
    expect(packLanes([], lanes(1)).status).toBe('full');
    expect(packLanes([span('a', 1)], [])).toEqual({ status: 'packed', lanes: [] });
  });

  it('agrees with trying everything, and what it places holds', () => {
    const width = fc.integer({ min: 8, max: 21 }).map((tenths) => tenths / 10);
    const spans = fc.array(fc.tuple(fc.integer({ min: 10, max: 60 }), fc.constantFrom(2.1, 2.8)), {
      minLength: 1,
      maxLength: 3,
    });
    fc.assert(
      fc.property(spans, fc.array(width, { maxLength: 6 }), (list, widths) => {
        const walls = list.map(([tenths, lowest], index) => span(`s${index}`, tenths / 10, lowest));
        const people = lanes(...widths);
        const packing = packLanes(walls, people);
        expect(packing.status === 'packed').toBe(canPack(walls, people));
        if (packing.status !== 'packed') return;
        for (const wall of walls) {
          const here = packing.lanes
            .filter(({ spanId }) => spanId === wall.id)
            .sort((a, b) => a.fromM - b.fromM);
          here.forEach((lane, index) => {
            expect(lane.toM).toBeLessThanOrEqual(wall.toM + 1e-9);
            if (index > 0) expect(lane.fromM).toBeGreaterThanOrEqual(here[index - 1]!.toM - 1e-9);
          });
          if (here.length > 0) expect(wall.lowestM).toBeGreaterThanOrEqual(2.3);
        }
        expect(packing.lanes.map(({ id }) => id)).toEqual(people.map(({ id }) => id));
      }),
    );
  });
});

describe('clear circles', () => {
  const floor = { left: 0, right: 8, bottom: 0, top: 6 };

  it('lie whole on the floor and never overlap', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.8, max: 2.6, noNaN: true }), { maxLength: 4 }),
        (radii) => {
          const placed = placeCircles(
            floor,
            radii.map((radiusM, index) => ({ id: `c${index}`, radiusM })),
          );
          if (placed === null) return;
          placed.forEach((one, index) => {
            expect(one.x - one.radiusM).toBeGreaterThanOrEqual(floor.left - 1e-6);
            expect(one.x + one.radiusM).toBeLessThanOrEqual(floor.right + 1e-6);
            expect(one.y - one.radiusM).toBeGreaterThanOrEqual(floor.bottom - 1e-6);
            expect(one.y + one.radiusM).toBeLessThanOrEqual(floor.top + 1e-6);
            for (const other of placed.slice(0, index)) {
              expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThanOrEqual(
                one.radiusM + other.radiusM - 1e-6,
              );
            }
          });
        },
      ),
    );
  });

  it('find their place where there is plenty, and none where there cannot be', () => {
    expect(
      placeCircles(floor, [
        { id: 'a', radiusM: 2 },
        { id: 'b', radiusM: 2 },
      ]),
    ).toHaveLength(2);
    expect(placeCircles(floor, [{ id: 'a', radiusM: 3.1 }])).toBeNull();
    expect(
      placeCircles(
        floor,
        [2, 2, 2].map((radiusM, i) => ({ id: `${i}`, radiusM })),
      ),
    ).toBeNull();
    expect(placeCircles(floor, [])).toEqual([]);
  });
});
