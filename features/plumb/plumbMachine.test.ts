import { resolveBody } from '@/core/body/body';
import { readCoco, writeCoco } from '@/core/plumb/coco';
import { guessBase } from '@/core/plumb/guessBase';
import type { ReadMarks } from '@/core/plumb/reader';
import { readStill } from '@/core/plumb/still';
import { computeLoads } from '@/core/shapes/loads';
import type { ShapeId } from '@/core/shapes/postures';
import { shapeIds } from '@/core/shapes/registry';
import { toPosture, usualValues } from '@/core/shapes/values';
import { canGoBack } from '@/design/history';
import { measuresCsv } from './FilesPanel';
import { readLook } from './look';
import {
  beginPlumb,
  canUndo,
  reducePlumb,
  sheetOf,
  type PlumbEvent,
  type PlumbState,
} from './plumbMachine';
import {
  emptySheet,
  listHandles,
  lookAt,
  openedSheet,
  placeOf,
  takeMarks,
  toStill,
  type HandleId,
} from './sheet';
import { facingSheet, ghostSheet, lyingSheet } from './startSheet';

const image = { width: 900, height: 1200 };
const body = resolveBody({ heightM: 1.7 });
const after = (...events: readonly PlumbEvent[]) =>
  events.reduce(reducePlumb, beginPlumb(ghostSheet(emptySheet, body, 'handstandWall', image)));
const hip: HandleId = { kind: 'mark', whose: 'near', name: 'hip' };

describe('marks as they are placed', () => {
  it('moves a mark live, and takes one step of the way back for a whole drag', () => {
    const from = placeOf(sheetOf(after()), hip)!;
    const dragged = after(
      { kind: 'move', id: hip, to: [10, 10] },
      { kind: 'move', id: hip, to: [20, 30] },
      { kind: 'drop' },
    );
    expect(placeOf(sheetOf(dragged), hip)).toEqual([20, 30]);
    const back = reducePlumb(dragged, { kind: 'undo' });
    expect(placeOf(sheetOf(back), hip)).toEqual(from);
    expect(canGoBack(back.history)).toBe(false);
  });

  it('forgets a drag that was taken away, and an undo in the middle of one ends it', () => {
    const from = placeOf(sheetOf(after()), hip);
    const move: PlumbEvent = { kind: 'move', id: hip, to: [1, 2] };
    expect(placeOf(sheetOf(after(move, { kind: 'cancel' })), hip)).toEqual(from);
    expect(placeOf(sheetOf(after(move, { kind: 'undo' })), hip)).toEqual(from);
  });

  it('moves the ends of lines, and takes marks and lines away', () => {
    const end: HandleId = { kind: 'wall', end: 1 };
    expect(placeOf(sheetOf(after({ kind: 'move', id: end, to: [5, 6] })), end)).toEqual([5, 6]);
    const bare = sheetOf(after({ kind: 'remove', id: end }, { kind: 'remove', id: hip }));
    expect(bare.wall).toBeNull();
    expect(placeOf(bare, hip)).toBeNull();
    expect(listHandles(bare).some((id) => id.kind === 'wall')).toBe(false);
    // What is not there cannot be moved.
    const same = after({ kind: 'move', id: { kind: 'scale', end: 0 }, to: [1, 1] });
    expect(sheetOf(same).scale).toEqual({ kind: 'segment', segment: 'trunk' });
  });
});

describe('what a reader found', () => {
  const at = (x: number, y: number) => ({ x, y, sd: 5 });
  const marks = {
    near: { shoulder: at(100, 600), hip: at(100, 400), wrist: at(100, 900) },
    far: {},
    left: {},
    right: {},
    facing: 'left' as const,
    seen: { left: 9, right: 0 },
  };

  it('is laid over what was changed while it read, and is one step back', () => {
    const changed = reducePlumb(beginPlumb(), { kind: 'set', change: { base: 'forearms' } });
    const read = reducePlumb(changed, { kind: 'read', body: null, marks, image });
    expect(sheetOf(read)).toMatchObject({
      base: 'forearms',
      facing: 'left',
      floor: [
        [54, 900],
        [846, 900],
      ],
      scale: { kind: 'segment', segment: 'trunk' },
    });
    expect(sheetOf(reducePlumb(read, { kind: 'undo' })).marks.near).toEqual({});
  });

  it.each([
    ['handstandWall', 'right', 130],
    ['handstandWall', 'left', 90],
    // The L has its wall behind the hands.
    ['wallL', 'right', 90],
    ['handstand', 'right', null],
  ] as const)('guesses the wall of %s, fingers to the %s', (shape, facing, x) => {
    const set = reducePlumb(beginPlumb(), { kind: 'set', change: { shape } });
    const near = { ...marks.near, ankle: at(110, 100), heel: at(130, 90), toe: at(90, 60) };
    const found = { ...marks, near, facing };
    const { wall } = sheetOf(reducePlumb(set, { kind: 'read', body: null, marks: found, image }));
    expect(wall?.[0][0] ?? null).toBe(x);
  });

  it('lays the floor along the level edges of the picture, under what lies lowest', () => {
    const read = reducePlumb(beginPlumb(), {
      kind: 'read',
      body: null,
      marks: { ...marks, tiltDeg: 4 },
      image,
    });
    const [[x1, y1], [x2, y2]] = sheetOf(read).floor!;
    expect((Math.atan2(y2 - y1, x2 - x1) * 180) / Math.PI).toBeCloseTo(4, 1);
    // Through the wrist.
    expect(y1 + ((100 - x1) * (y2 - y1)) / (x2 - x1)).toBeCloseTo(900, 0);
  });

  it('stands the wall of a tilted picture upright on its floor, through the foot', () => {
    const set = reducePlumb(beginPlumb(), { kind: 'set', change: { shape: 'handstandWall' } });
    const near = { ...marks.near, ankle: at(500, 110), heel: at(520, 100) };
    const found = { ...marks, near, facing: 'right' as const, tiltDeg: 4 };
    const sheet = sheetOf(reducePlumb(set, { kind: 'read', body: null, marks: found, image }));
    const [[x1, y1], [x2, y2]] = sheet.wall!;
    expect((Math.atan2(x2 - x1, y1 - y2) * 180) / Math.PI).toBeCloseTo(4, 0);
    const heelAt = x1 + ((y1 - 100) * (x2 - x1)) / (y1 - y2);
    expect(Math.abs(heelAt - 520)).toBeLessThan(4);
  });

  it('leaves a floor and a scale that somebody has set', () => {
    const floor = [
      [0, 950],
      [900, 960],
    ] as const;
    const set = reducePlumb(beginPlumb(), {
      kind: 'set',
      change: { floor, scale: { kind: 'points', line: floor, metres: 2 } },
    });
    const read = sheetOf(reducePlumb(set, { kind: 'read', body: null, marks, image }));
    expect(read.floor).toEqual(floor);
    expect(read.scale).toMatchObject({ kind: 'points', metres: 2 });
  });

  it('comes back with its picture, when opening another is taken back', () => {
    const marked = reducePlumb(beginPlumb(), { kind: 'new-picture', picture: 1 });
    const read = reducePlumb(marked, {
      kind: 'set',
      change: ghostSheet(emptySheet, body, 'handstandWall', image),
    });
    const others = [2, 3].reduce(
      (state, picture) => reducePlumb(state, { kind: 'new-picture', picture }),
      read,
    );
    expect([others.picture, listHandles(sheetOf(others)).length]).toEqual([3, 0]);
    // Nothing was marked on the one between.
    const back = reducePlumb(others, { kind: 'undo' });
    expect(back.picture).toBe(1);
    expect(sheetOf(back)).toEqual(sheetOf(read));
    expect(canUndo(back)).toBe(true);
    expect(listHandles(sheetOf(reducePlumb(back, { kind: 'undo' })))).toEqual([]);
  });

  it('goes with its picture, and cannot come back onto another', () => {
    const next = reducePlumb(after(), { kind: 'new-picture', picture: 2 });
    expect(listHandles(sheetOf(next))).toEqual([]);
    expect(sheetOf(next).shape).toBe('handstandWall');
    expect(canGoBack(next.history)).toBe(false);
  });
});

describe('a start for the marks', () => {
  it('is the person’s own figure: what is read from it is what was computed', () => {
    const { angles } = computeLoads(
      body,
      toPosture('handstandWall', usualValues('handstandWall', body)),
    );
    const sheet = sheetOf(after());
    const reading = readStill(toStill(sheet, { heightM: 1.7 }, false)!);
    // Whole pixels are about half a degree here.
    expect(Math.abs(reading.measures.hipAngle!.value - angles.hipDeg)).toBeLessThan(1.5);
    expect(Math.abs(reading.measures.shoulderAngle!.value - angles.shoulderDeg)).toBeLessThan(1.5);
    expect(Math.abs(reading.measures.trunkLean!.value - angles.trunkDeg)).toBeLessThan(1.5);
    const scale = reading.metresPerPixel!.nominal;
    const { wallX } = { wallX: sheet.wall![0][0] };
    expect(reading.measures.baseToWall!.value).toBeCloseTo(
      (wallX - sheet.marks.near.wrist!.x) * scale,
      6,
    );
  });

  it.each(shapeIds)(
    '%s lies within the picture, mirrored as well, no two marks in one place',
    (shape) => {
      for (const facing of ['left', 'right'] as const) {
        const sheet = ghostSheet({ ...emptySheet, facing }, body, shape, image);
        for (const id of listHandles(sheet)) {
          const [x, y] = placeOf(sheet, id)!;
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(image.width);
          expect(y).toBeGreaterThanOrEqual(0);
          expect(y).toBeLessThanOrEqual(image.height);
        }
        expect(() => readStill(toStill(sheet, { heightM: 1.7 }, false)!)).not.toThrow();
      }
    },
  );

  it('stands for front and back with the person’s own left', () => {
    const back = facingSheet({ ...emptySheet, view: 'back', base: 'forearms' }, body, image);
    const front = facingSheet({ ...emptySheet, view: 'front' }, body, image);
    expect(back.marks.left.elbow!.x).toBeGreaterThan(back.marks.right.elbow!.x);
    expect(front.marks.left.elbow!.x).toBeLessThan(front.marks.right.elbow!.x);
    const { measures } = readStill(toStill(back, { heightM: body.heightM }, false)!);
    expect(measures.elbowSplay!.value).toBeCloseTo(0, 2);
    // By this person, and not by a length that nobody has shown.
    expect(measures.shoulderGap!.value).toBeCloseTo(body.lengths.shoulderJointWidth, 2);
  });

  it('says nothing while nothing is marked', () => {
    expect(toStill(emptySheet, { heightM: 1.7 }, false)).toBeNull();
  });
});

it('takes marks in from a file, and writes measures as a table', () => {
  const sheet = ghostSheet(emptySheet, body, 'dolphin', image);
  const { near, far } = sheet.marks;
  const file: unknown = JSON.parse(JSON.stringify(writeCoco({ ...image, marks: { near, far } })));
  const taken = takeMarks(emptySheet, readCoco(file, 'side'));
  expect(taken.marks.near).toEqual(near);
  const reading = readStill(toStill({ ...sheet, marks: taken.marks }, { heightM: 1.7 }, false)!);
  const [header, ...rows] = measuresCsv(reading).split('\r\n');
  expect(header).toBe('measure,label,value,low,high,unit');
  expect(rows).toHaveLength(Object.keys(reading.measures).length);
});

it('is seen as a new picture says, where it says so, and there is nothing to take back', () => {
  const seen = reducePlumb(beginPlumb(), { kind: 'new-picture', picture: 1, view: 'front' });
  expect(sheetOf(seen).view).toBe('front');
  expect(sheetOf(reducePlumb(seen, { kind: 'undo' })).view).toBe('front');
  expect(sheetOf(reducePlumb(seen, { kind: 'new-picture', picture: 2 })).view).toBe('front');
});

describe('what carries', () => {
  const reading = (shape: ShapeId): ReadMarks => {
    const { near, far } = ghostSheet(emptySheet, body, shape, image).marks;
    return { near, far, left: {}, right: near, facing: 'right', seen: { left: 0, right: 9 } };
  };
  const read = (from: PlumbState, shape: ShapeId) =>
    sheetOf(reducePlumb(from, { kind: 'read', body: null, marks: reading(shape), image })).base;

  it('is told by the marks where nobody has said it', () => {
    expect(read(beginPlumb(), 'forearmStand')).toBe('forearms');
    expect(read(beginPlumb({ ...emptySheet, base: 'forearms' }), 'handstand')).toBe('hands');
  });

  it('is what was said, whatever the marks look like', () => {
    const said = reducePlumb(beginPlumb(), { kind: 'set', change: { base: 'head' } });
    expect(read(said, 'forearmStand')).toBe('head');
    // Marks that are put on by hand say nothing of it.
    const front = facingSheet({ ...emptySheet, view: 'front' }, body, image);
    const placed = reducePlumb(beginPlumb(), { kind: 'set', change: { ...front, view: 'side' } });
    expect(read(placed, 'forearmStand')).toBe('forearms');
    const next = reducePlumb(said, { kind: 'new-picture', picture: 2 });
    expect(read(next, 'forearmStand')).toBe('head');
    expect(read(beginPlumb(openedSheet(readLook({ shape: 'wallL' }))), 'dolphin')).toBe('hands');
  });

  it('goes with the shape that is chosen, painted or put on by hand', () => {
    expect(lookAt('headstandTuck')).toEqual({ shape: 'headstandTuck', base: 'head' });
    const painted = reducePlumb(beginPlumb(), {
      kind: 'new-picture',
      picture: 1,
      shape: 'dolphin',
    });
    expect(sheetOf(painted)).toMatchObject({ shape: 'dolphin', base: 'forearms' });
    expect(ghostSheet(emptySheet, body, 'forearmWallL', image).base).toBe('forearms');
  });

  it('has no floor guessed under it where it is not in the picture', () => {
    const { wrist: _, ...near } = ghostSheet(emptySheet, body, 'handstandWall', image).marks.near;
    const cut: ReadMarks = { ...reading('handstandWall'), near };
    const from = beginPlumb(openedSheet(readLook({ shape: 'handstandWall' })));
    const sheet = sheetOf(reducePlumb(from, { kind: 'read', body: null, marks: cut, image }));
    expect(sheet.floor).toBeNull();
    expect(sheet.wall).toBeNull();
    const whole = reducePlumb(from, {
      kind: 'read',
      body: null,
      marks: reading('handstandWall'),
      image,
    });
    expect(sheetOf(whole).floor).not.toBeNull();
    expect(sheetOf(whole).wall).not.toBeNull();
  });

  it('is the back of somebody who lies, and a straight leg is read of them', () => {
    const sheet = lyingSheet(openedSheet(readLook({ check: 'straight-leg-raise' })), body, image);
    const { measures } = readStill(toStill(sheet, { heightM: body.heightM }, false)!);
    expect(measures.straightLegRaise!.value).toBeCloseTo(90, 0);
    expect(guessBase(sheet.marks.near)).toBe('feet');
  });
});
