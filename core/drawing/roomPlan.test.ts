import { usableSpans, wallIds } from '../room/room';
import { roomFile } from '../room/roomFile';
import { fittedName, type PlanMark } from './placeMark';
import { roomFrame } from './roomFrame';
import { drawRoom, drawRoomPlan } from './roomPlan';
import { textWidth } from './scene';

const room = roomFile.parse({
  format: 'levitar-room',
  version: 1,
  widthM: 8,
  depthM: 6,
  ceilingM: 2.7,
  doors: [{ wall: 'south', fromM: 1, toM: 1.9, opensIn: true }],
  low: [{ xM: 7, yM: 0, widthM: 0.5, depthM: 6, heightM: 2.1, what: 'beam' }],
});
const spans = usableSpans(room);
const base = { heightM: 1.7, blocks: 1, hasChair: false, hasBolster: false, needsHand: false };
const lane = (id: string, wall: string): PlanMark => {
  const span = spans.find((one) => one.wall === wall)!;
  return {
    ...base,
    id,
    letter: id,
    name: 'Wilhelmina Longname',
    place: {
      kind: 'lane',
      span: span.id,
      fromM: span.fromM + 0.5,
      toM: span.fromM + 1.36,
      outM: 2.6,
    },
  };
};

describe('the room from above', () => {
  const frame = roomFrame(room, 760);

  it('is to scale, with the north wall on top', () => {
    expect(frame.x(8) - frame.x(0)).toBeCloseTo(8 * frame.pxPerM, 1);
    expect(frame.y(0) - frame.y(6)).toBeCloseTo(6 * frame.pxPerM, 1);
    expect(frame.y(6)).toBeLessThan(frame.y(0));
  });

  it.each(['cm', 'in'] as const)(
    'has its size on the sheet, however large it is, in %s',
    (units) => {
      for (const widthM of [3, 9.6, 23.45, 60]) {
        const large = { ...room, widthM, depthM: widthM - 0.37, blocked: [], doors: [], low: [] };
        const { shapes } = drawRoomPlan(large, usableSpans(large), {
          widthPx: 760,
          units,
          marks: [],
          withDimensions: true,
        });
        const words = shapes.flatMap((shape) => (shape.kind === 'text' ? [shape] : []));
        expect(words.map(({ role }) => role)).toEqual(['dimensionText', 'dimensionText']);
        for (const { x, text, sizePx, anchor } of words) {
          const left = x - textWidth(text, sizePx) * (anchor === 'end' ? 1 : 0.5);
          expect([text, left >= 0]).toEqual([text, true]);
        }
      }
    },
  );

  it('draws no letter over its neighbour, however small the room is drawn', () => {
    const place = (id: string, fromM: number): PlanMark => {
      const mark = lane(id, 'north');
      if (mark.place.kind !== 'lane') throw new Error('no lane');
      return { ...mark, place: { ...mark.place, fromM, toM: fromM + 0.86 } };
    };
    for (const widthPx of [140, 260, 760]) {
      const scene = drawRoomPlan(room, spans, {
        widthPx,
        units: 'cm',
        marks: [place('A', 0), place('B', 0.86), place('C', 1.72)],
      });
      const letters = scene.shapes.flatMap((shape) =>
        shape.kind === 'path' && shape.role === 'plumb'
          ? [(shape.d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number)]
          : [],
      );
      expect(letters).toHaveLength(3);
      const [first, second] = letters;
      // Each begins at its left edge; the second number after is the radius.
      const radius = first![2]!;
      expect(second![0]! - first![0]!).toBeGreaterThanOrEqual(2 * radius - 0.2);
    }
  });

  it.each(wallIds)(
    'puts a lane at the %s wall inside the room, its far end away from it',
    (wall) => {
      const scene = drawRoomPlan(room, spans, {
        widthPx: 760,
        units: 'cm',
        marks: [lane('A', wall)],
        withDimensions: true,
      });
      const letter = scene.shapes.find((shape) => shape.kind === 'text' && shape.text === 'A')!;
      if (letter.kind !== 'text') throw new Error('no letter');
      const from = {
        north: letter.y - frame.y(6),
        south: frame.y(0) - letter.y,
        west: letter.x - frame.x(0),
        east: frame.x(8) - letter.x,
      }[wall];
      expect(from / frame.pxPerM).toBeGreaterThan(0.8);
      expect(from / frame.pxPerM).toBeLessThan(1.83);
    },
  );

  it.each(['north', 'south'] as const)('writes a name whole on its mat at the %s wall', (wall) => {
    for (const baseM of [0.2, 0.5, 0.8, 1.1, 1.4]) {
      const scene = drawRoomPlan(room, spans, {
        widthPx: 760,
        units: 'cm',
        marks: [{ ...lane('A', wall), name: 'Cy', baseM }],
      });
      const name = scene.shapes.find((shape) => shape.kind === 'text' && shape.text === 'Cy')!;
      if (name.kind !== 'text') throw new Error('no name');
      // Ascenders above the line it is written on, descenders below it.
      const [top, bottom] = [name.y - 0.75 * name.sizePx, name.y + 0.25 * name.sizePx];
      const end = wall === 'north' ? bottom - frame.y(6) : frame.y(0) - top;
      expect(end / frame.pxPerM).toBeLessThan(1.85);
    }
  });

  it('says in words where everybody is', () => {
    const { sentences } = drawRoomPlan(room, spans, {
      widthPx: 500,
      units: 'cm',
      marks: [
        lane('A', 'north'),
        { ...base, id: 'b', name: 'Bo', place: { kind: 'aside' } },
        {
          ...base,
          id: 'c',
          letter: 'C',
          name: 'Cy',
          place: { kind: 'circle', x: 4, y: 3, radiusM: 2 },
        },
        {
          ...base,
          id: 'd',
          letter: 'D',
          name: 'Di',
          place: { kind: 'mat', x: 4, y: 2, isAcross: true },
        },
      ],
    });
    expect(sentences).toHaveLength(4);
    expect(sentences[0]).toMatch(/^A, Wilhelmina Longname: north wall, \d/);
    expect(sentences[1]).toBe('Bo rests: at the side.');
  });

  it('shortens a name to the room there is, and keeps letters alone on a small plan', () => {
    expect(fittedName('Bo', 100, 12)).toBe('Bo');
    expect(fittedName('Anna Berg', 40, 12)).toBe('Anna');
    const short = fittedName('Wilhelmina', 40, 12);
    expect(short.endsWith('.')).toBe(true);
    expect(textWidth(short, 12)).toBeLessThanOrEqual(40);
    const small = drawRoomPlan(room, spans, {
      widthPx: 400,
      units: 'in',
      marks: [lane('A', 'north')],
      withNames: false,
    });
    const words = small.shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));
    expect(words).toContain('A');
    expect(words.some((word) => word.startsWith('Wil'))).toBe(false);
  });
});

describe('the room itself, small', () => {
  const drawn = (widthM: number, depthM: number) => {
    const one = {
      ...room,
      widthM,
      depthM,
      doors: [],
      low: [],
      blocked: [
        { wall: 'south' as const, fromM: 0, toM: widthM, what: 'a very long row of coats' },
      ],
    };
    return drawRoom(one, usableSpans(one), roomFrame(one, 358), {
      units: 'cm',
      withDimensions: true,
      textPx: 12,
      withWalls: true,
      withObstacleNames: false,
    });
  };

  it.each([
    [9.6, 7.2],
    [20, 6],
    [6, 20],
    [5, 4],
  ])('names its walls apart from each other, and nothing else: %d by %d m', (widthM, depthM) => {
    const words = drawn(widthM, depthM).flatMap((shape) =>
      shape.kind === 'text' && shape.role !== 'dimensionText' ? [shape] : [],
    );
    const names = words.filter(({ text }) => text.endsWith('wall'));
    expect(names).toHaveLength(4);
    expect(words.some(({ text }) => text.includes('coats'))).toBe(false);
    const boxes = names.map(({ x, y, text, sizePx, anchor }) => {
      const wide = textWidth(text, sizePx);
      const left = { start: x, middle: x - wide / 2, end: x - wide }[anchor];
      return { left, right: left + wide, top: y - sizePx * 0.8, bottom: y };
    });
    for (const [at, one] of boxes.entries()) {
      for (const other of boxes.slice(at + 1)) {
        const isApart =
          one.right <= other.left ||
          other.right <= one.left ||
          one.bottom <= other.top ||
          other.bottom <= one.top;
        expect(isApart).toBe(true);
      }
    }
  });
});
