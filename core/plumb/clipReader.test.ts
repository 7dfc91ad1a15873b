import { guessFloor, sortSides } from './clipReader';
import type { MarkSet } from './marks';
import type { ReadMarks } from './reader';

const set = (x: number): MarkSet => ({
  shoulder: { x, y: 100, sd: 3 },
  hip: { x, y: 50, sd: 3 },
  ankle: { x, y: 10, sd: 3 },
});
const read = (leftX: number, seen: readonly [number, number], facing: ReadMarks['facing'] = null) =>
  ({
    near: {},
    far: {},
    left: set(leftX),
    right: set(leftX + 5),
    facing,
    seen: { left: seen[0], right: seen[1] },
  }) satisfies ReadMarks;

describe('a row of readings', () => {
  it('keeps one side near, even where the other is seen better for a frame', () => {
    const { frames } = sortSides([read(0, [9, 4]), read(1, [3, 8]), read(2, [9, 4])]);
    expect(frames.map(({ near }) => near.hip!.x)).toEqual([0, 1, 2]);
    // Of the far side the leg alone.
    expect(frames.map(({ far }) => Object.keys(far!))).toEqual([['ankle'], ['ankle'], ['ankle']]);
  });

  it('faces the way that most of it faces, and says so where nobody can tell', () => {
    const way = (...faces: ReadMarks['facing'][]) =>
      sortSides(faces.map((one) => read(0, [1, 0], one))).facing;
    expect(way('left', 'right', 'left')).toBe('left');
    expect(way('left', 'right')).toBeNull();
    expect(way(null)).toBeNull();
  });

  it('puts back what leaps away for one frame, and leaves what moves', () => {
    const leaping = [0, 1, 200, 3, 4].map((x) => read(x, [9, 1]));
    expect(sortSides(leaping).frames.map(({ near }) => near.hip!.x)).toEqual([0, 1, 3, 4, 4]);
    const moving = [0, 10, 40, 90, 160].map((x) => read(x, [9, 1]));
    expect(sortSides(moving).frames.map(({ near }) => near.hip!.x)).toEqual([0, 10, 40, 90, 160]);
  });

  it('guesses the floor a little above what most frames reach, so that a standing foot stands', () => {
    const frames = [900, 902, 2000, 898].map((y) => ({
      near: { shoulder: { x: 0, y: 500 }, hip: { x: 0, y: 212 }, wrist: { x: 0, y } },
    }));
    // A trunk of 288 pixels: a body of 1000, and 3 percent of it.
    expect(guessFloor(frames)).toEqual([
      [0, 901 - 30],
      [1, 901 - 30],
    ]);
    expect(guessFloor([{ near: {} }])).toBeNull();
  });

  it('lays the floor as the picture lies', () => {
    const slope = Math.tan((4 * Math.PI) / 180);
    const frames = [0, 300, 600].map((x) => ({
      near: {
        shoulder: { x, y: 500 },
        hip: { x, y: 212 },
        wrist: { x, y: 900 + x * slope },
      },
    }));
    const [[fromX, fromY], [toX, toY]] = guessFloor(frames, 4)!;
    expect([fromX, toX]).toEqual([0, 601]);
    expect(fromY).toBe(900 - 30);
    expect(toY - fromY).toBeCloseTo(601 * slope, 0);
    const tilts = (...degs: (number | null)[]) =>
      sortSides(degs.map((tiltDeg) => ({ ...read(0, [1, 0]), tiltDeg }))).tiltDeg;
    expect(tilts(3, 4, 40)).toBe(4);
    expect(tilts(null, 2)).toBe(2);
    expect(tilts(null)).toBeNull();
  });

  it('has an empty frame where nobody was seen', () => {
    const { frames } = sortSides([read(0, [9, 1]), null, read(2, [9, 1])]);
    expect(frames[1]).toEqual({ near: {}, far: {} });
    expect(sortSides([]).frames).toEqual([]);
  });
});
