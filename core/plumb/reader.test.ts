import fc from 'fast-check';
import { guessCount, readDetection, wholeCrop } from './detection';
import {
  besideCrop,
  hasOthersBeside,
  segmentOfReading,
  isFrontal,
  isSamePerson,
  isSure,
  marksOfLook,
  marksOfLooks,
  modelPoints,
  modelSidePx,
  nextCrop,
  sayCutOff,
  scoreOf,
  toPicturePixel,
  type Crop,
  type Look,
} from './reader';

/** A picture in which nothing is cut off. */
const wide = { width: 2000, height: 2000 };
const crop: Crop = { centre: [400, 600], sidePx: 800, turnDeg: 0 };

/** Somebody upright, or upside down, seen by the model; right side seen, left hidden. */
function look(isUp: boolean, change: Partial<Look> = {}): Look {
  const way = isUp ? 1 : -1;
  const at = (y: number, x = 0) => ({ x: 400 + x, y: 600 + way * y });
  const heights: Readonly<Record<number, number>> = {
    7: -260,
    11: -200,
    13: -280,
    15: -360,
    19: -380,
    23: 0,
    25: 150,
    27: 300,
    29: 320,
    31: 330,
  };
  const points = Array.from({ length: modelPoints }, (_, index) => {
    const base = heights[index] ?? heights[index - 1];
    const isRight = heights[index] === undefined;
    return {
      ...at(base ?? -250, isRight ? 6 : 0),
      visibility: base === undefined ? 0.9 : isRight ? 0.9 : 0.2,
    };
  });
  // The nose looks to the left of the picture.
  points[0] = { ...at(-255, -40), visibility: 0.95 };
  return { crop, presence: 0.95, points, ...change };
}

it('brings a place of the square back to the picture, however it is turned', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -180, max: 180, noNaN: true }),
      fc.double({ min: 10, max: 3000, noNaN: true }),
      (turnDeg, sidePx) => {
        const turned: Crop = { centre: [300, 500], sidePx, turnDeg };
        const [x, y] = toPicturePixel(turned, [modelSidePx / 2, modelSidePx / 2]);
        expect(x).toBeCloseTo(300, 6);
        expect(y).toBeCloseTo(500, 6);
        const corner = toPicturePixel(turned, [0, 0]);
        expect(Math.hypot(corner[0] - 300, corner[1] - 500)).toBeCloseTo(sidePx / Math.SQRT2, 6);
      },
    ),
  );
  // Upside down: what is top left for the model is bottom right in the picture.
  const over = toPicturePixel({ ...crop, turnDeg: 180 }, [0, 0]);
  expect(over[0]).toBeCloseTo(800, 6);
  expect(over[1]).toBeCloseTo(1000, 6);
});

it('compares two looks only where they are at one person', () => {
  expect(isSamePerson(look(true), look(true, { crop: besideCrop(crop) }))).toBe(true);
  expect(isSamePerson(look(true), look(true, { crop: { ...crop, sidePx: 200 } }))).toBe(false);
  const aside = look(true).points.map((point) => ({ ...point, x: point.x + 300 }));
  expect(isSamePerson(look(true), look(true, { points: aside }))).toBe(false);
  expect(isSure(look(true))).toBe(true);
  expect(isSure(look(true, { presence: 0.3 }))).toBe(false);
});

it('reads the surest guess of a detector: where, how large and how turned', () => {
  const numbers = new Float32Array(guessCount * 13).fill(-20);
  // The middle of the coarsest grid, its first guess.
  const at = (28 * 28 * 2 + 14 * 14 * 2 + 24 * 6) * 13;
  numbers[at] = 3;
  numbers.set([0, 0, 0, -56], at + 5);
  const square = wholeCrop({ width: 900, height: 1200 }, 0);
  const { score, crop: found } = readDetection(numbers, square);
  expect(score).toBeCloseTo(0.953, 3);
  // The hips in the middle; the end of the body a quarter of the square above them.
  expect(found.centre[0]).toBeCloseTo(450, 4);
  expect(found.centre[1]).toBeCloseTo(600, 4);
  expect(found.sidePx).toBeCloseTo(2 * 1.25 * 300, 4);
  expect(found.turnDeg).toBeCloseTo(0, 6);
  // In the picture turned over, the same numbers mean somebody upside down.
  const over = readDetection(numbers, wholeCrop({ width: 900, height: 1200 }, 180));
  expect(Math.abs(over.crop.turnDeg)).toBeCloseTo(180, 6);
});

it('takes the side that is seen as near, and says nothing of what is not surely seen', () => {
  const found = marksOfLooks([look(false), look(false)], wide)!;
  expect(found.near.shoulder!.x).toBe(406);
  expect(found.near.knee!.y).toBe(450);
  expect(found.far).toEqual({});
  expect(found.left).toEqual({});
  // Upside down with the face to the left, the back is to the right: so are the fingers.
  expect(found.facing).toBe('right');
  expect(marksOfLooks([look(true), look(true)], wide)!.facing).toBe('left');
});

it('says nothing of what is cut off, however sure the model is, and what to do', () => {
  const all = marksOfLooks([look(false), look(false)], wide)!;
  expect(sayCutOff(all)).toBeNull();
  // Two pixels below the wrist, and above the knuckle, the picture ends.
  const height = all.near.wrist!.y + 2;
  const cut = marksOfLooks([look(false), look(false)], { width: 1000, height })!;
  expect(cut.near.wrist).toBeUndefined();
  expect(cut.near.shoulder).toEqual(all.near.shoulder);
  expect(sayCutOff(cut)).toMatch(/No hands are surely seen .* add them by hand/);
  expect(sayCutOff({ near: {} })).toMatch(/^No hands and no feet/);
  // Of a row as well, whose one look has nobody to disagree with.
  const row = marksOfLook(look(false), { width: 1000, height })!;
  expect(row.near.wrist).toBeUndefined();
  // Where nothing of the trunk is left nobody is there.
  expect(marksOfLooks([look(false), look(false)], { width: 100, height: 100 })).toBeNull();
});

it('puts the disagreement of two looks into the error', () => {
  const one = look(false);
  const moved = {
    ...one,
    points: one.points.map((point, index) =>
      index === 26 ? { ...point, x: point.x + 60 } : point,
    ),
  };
  const agreed = marksOfLooks([one, one], wide)!.near.knee!;
  const apart = marksOfLooks([one, moved], wide)!.near.knee!;
  expect(apart.x - agreed.x).toBeCloseTo(30, 9);
  expect(apart.sd!).toBeGreaterThan(29);
  expect(agreed.sd!).toBeGreaterThan(3);
  expect(agreed.sd!).toBeLessThan(12);
});

it('finds nobody where nobody surely is', () => {
  expect(marksOfLooks([look(true), look(true, { presence: 0.2 })], wide)).toBeNull();
  const hidden = look(true, {
    points: look(true).points.map((point) => ({ ...point, visibility: 0.1 })),
  });
  expect(marksOfLooks([hidden, hidden], wide)).toBeNull();
  expect(scoreOf(hidden)).toBeLessThan(scoreOf(look(true)));
});

describe('a row of pictures', () => {
  it('looks round whoever was seen last, turned so that they are upright', () => {
    const next = nextCrop(look(false));
    expect(next.centre[0]).toBeCloseTo(403, 6);
    expect(next.centre[1]).toBeCloseTo(600, 6);
    // Hips to fingers, 380 pixels and a little aside, with a margin all round.
    expect(next.sidePx).toBeGreaterThan(2 * 380);
    expect(next.sidePx).toBeLessThan(2.6 * 380);
    expect(Math.abs(next.turnDeg)).toBeCloseTo(180, 6);
    expect(nextCrop(look(true)).turnDeg).toBeCloseTo(0, 6);
  });

  it('is less sure of one look than of two that agree', () => {
    const [one, two] = [
      marksOfLook(look(false), wide)!,
      marksOfLooks([look(false), look(false)], wide)!,
    ];
    expect(one.near.knee!.x).toBe(two.near.knee!.x);
    expect(one.near.knee!.sd!).toBeGreaterThan(1.5 * two.near.knee!.sd!);
    expect(marksOfLook({ ...look(false), presence: 0.2 }, wide)).toBeNull();
  });
});

it('knows a picture from the front by shoulders and hips side by side', () => {
  const at = (x: number, y: number) => ({ x, y });
  const side = { shoulder: at(0, 300), hip: at(0, 0) };
  const beside = (shoulder: number, hip: number) => ({
    shoulder: at(shoulder, 300),
    hip: at(hip, 0),
  });
  expect(isFrontal({ left: side, right: beside(190, 110) })).toBe(true);
  expect(isFrontal({ left: side, right: beside(60, 20) })).toBe(false);
  // Shoulders apart and hips not: twisted, or misread.
  expect(isFrontal({ left: side, right: beside(190, 10) })).toBe(false);
  expect(isFrontal({ left: side, right: {} })).toBe(false);
});

it('says where somebody else seems to be in the picture as well', () => {
  const numbers = new Float32Array(guessCount * 13);
  const square = wholeCrop({ width: 900, height: 1200 }, 0);
  const guess = (index: number, logit: number) => {
    numbers[index * 13] = logit;
    // The body reaches a tenth of the square above its hips.
    numbers[index * 13 + 8] = -22.4;
  };
  for (let index = 0; index < guessCount; index += 1) guess(index, -10);
  guess(700, 3);
  expect(readDetection(numbers, square).others).toEqual([]);
  // Guesses beside it are the same body.
  guess(701, 2.5);
  expect(readDetection(numbers, square).others).toEqual([]);
  guess(100, 0.2);
  expect(readDetection(numbers, square).others).toEqual([]);
  guess(100, 2);
  expect(readDetection(numbers, square).others).toHaveLength(1);
});

it('takes nothing within the body that was read, or close beside it, for somebody else', () => {
  const at = (x: number, y: number) => ({ x, y });
  const marks = {
    left: { wrist: at(300, 1000), hip: at(340, 500), ankle: at(350, 100) },
    right: { wrist: at(500, 1000), hip: at(430, 500), ankle: at(420, 100) },
  };
  const seen = (...others: [number, number][]) => hasOthersBeside(marks, others);
  expect(seen()).toBe(false);
  expect(seen([400, 150], [390, 900], [460, 260])).toBe(false);
  expect(seen([285, 700], [520, 1040])).toBe(false);
  expect(seen([400, 150], [640, 500])).toBe(true);
  expect(seen([150, 900])).toBe(true);
  // Where nobody was read there is nobody to stand beside.
  expect(hasOthersBeside({ left: {}, right: {} }, [[10, 10]])).toBe(false);
});

it('takes its scale from a thigh that lies in the picture, else from the trunk', () => {
  const at = (x: number, y: number) => ({ x, y });
  const legs = { hip: at(400, 500), knee: at(420, 300), ankle: at(410, 110) };
  expect(segmentOfReading(legs)).toBe('thigh');
  expect(segmentOfReading({ ...legs, ankle: at(560, 380) })).toBe('trunk');
  expect(segmentOfReading({ hip: legs.hip, knee: legs.knee })).toBe('trunk');
  expect(segmentOfReading({})).toBe('trunk');
});
