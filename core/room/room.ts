/**
 * A room as a teacher would measure it: four walls, what blocks them, doors, low spots. Metres;
 * x runs along the south wall from its west end, y from the south wall to the north.
 * Source: handbook 04 "Room".
 */
import { spanIdOf } from './spanId';
import type { z } from 'zod';
import { InputProblem } from '../problem';
import type { roomFile } from './roomFile';

export const wallIds = ['south', 'east', 'north', 'west'] as const;
export type WallId = (typeof wallIds)[number];

export type Room = z.infer<typeof roomFile>;

/** A stretch of wall somebody can use, with the lowest spot over the floor before it. */
export interface Span {
  readonly id: string;
  readonly wall: WallId;
  readonly fromM: number;
  readonly toM: number;
  readonly lowestM: number;
}

export const roomRules = {
  /** Kept free on both sides of a door. */
  besideDoorM: 0.3,
  /** A shorter stretch holds nobody. */
  leastSpanM: 0.6,
  /**
   * How far a lane at the wall reaches into the room where nothing is known of who stands there: a
   * base half a metre out, and legs that swing up through 1.2 of a tall person's height.
   */
  stripM: 2.6,
  /** Legs on their way up describe an arc of this share of height about the base (handbook 08). */
  arcShare: 1.2,
  /** Two who may fall sideways keep a mat's width between them (handbook 04). */
  sidewaysM: 0.61,
} as const;

/** What a room can measure at all: least and most, metres; and how many of each thing it holds. */
export const roomBounds = {
  sideM: [1, 60],
  ceilingM: [1.5, 20],
  /** The height of the room under something low. */
  lowM: [0.5, 20],
  most: { blocked: 60, doors: 20, low: 40 },
} as const;

export const wallLength = (room: Pick<Room, 'widthM' | 'depthM'>, wall: WallId): number =>
  wall === 'south' || wall === 'north' ? room.widthM : room.depthM;

/** From the left end of a wall, as one faces it, metres. */
export interface Stretch {
  readonly fromM: number;
  readonly toM: number;
}

function assertBounds(room: Room): void {
  // What is no number at all lies outside as well.
  const within = (value: number, [least, most]: readonly [number, number]) =>
    value >= least && value <= most;
  const outside = (message: string, path: readonly (string | number)[]) =>
    new InputProblem('out-of-range', message, path);
  const [least, most] = roomBounds.sideM;
  for (const side of ['widthM', 'depthM'] as const) {
    if (!within(room[side], roomBounds.sideM)) {
      throw outside(`A room is at least ${least} m and at most ${most} m long and wide.`, [side]);
    }
  }
  if (!within(room.ceilingM, roomBounds.ceilingM)) {
    const [low, high] = roomBounds.ceilingM;
    throw outside(`A ceiling is at least ${low} m and at most ${high} m high.`, ['ceilingM']);
  }
  for (const list of ['blocked', 'doors', 'low'] as const) {
    if (room[list].length > roomBounds.most[list]) {
      throw outside('This is more than one room holds.', [list]);
    }
  }
  for (const list of ['blocked', 'doors'] as const) {
    room[list].forEach(({ fromM }, index) => {
      if (!(fromM >= 0)) {
        throw outside('A stretch begins at the end of its wall, or later.', [list, index, 'fromM']);
      }
    });
  }
  room.low.forEach(({ xM, yM, widthM, depthM, heightM }, index) => {
    if (!(xM >= 0 && yM >= 0)) {
      throw outside('This low spot lies outside the room.', ['low', index]);
    }
    const spans = [widthM, depthM].every((one) => one > 0 && one <= most);
    if (!spans || !within(heightM, roomBounds.lowM)) {
      throw outside('A low spot has a width, a depth, and room under it.', ['low', index]);
    }
  });
}

/**
 * Checks what can be measured at all, and what no single number shows.
 *
 * @throws InputProblem `invalid` or `out-of-range` with the path of the field
 */
export function assertRoom(room: Room): void {
  assertBounds(room);
  const check = (list: 'blocked' | 'doors') =>
    room[list].forEach(({ wall, fromM, toM }, index) => {
      if (!(toM > fromM)) {
        throw new InputProblem('invalid', 'A stretch must end after it begins.', [
          list,
          index,
          'toM',
        ]);
      }
      if (toM > wallLength(room, wall) + 1e-9) {
        throw new InputProblem(
          'out-of-range',
          `This stretch goes beyond the end of the ${wall} wall.`,
          [list, index, 'toM'],
        );
      }
    });
  check('blocked');
  check('doors');
  room.low.forEach(({ heightM, xM, yM }, index) => {
    if (heightM >= room.ceilingM) {
      throw new InputProblem('invalid', 'A low spot is lower than the ceiling.', [
        'low',
        index,
        'heightM',
      ]);
    }
    if (xM >= room.widthM || yM >= room.depthM) {
      throw new InputProblem('out-of-range', 'This low spot lies outside the room.', [
        'low',
        index,
      ]);
    }
  });
}

/** What is left of a stretch when others are taken out of it, in order. */
export function subtract(whole: Stretch, taken: readonly Stretch[]): Stretch[] {
  const sorted = [...taken].sort((a, b) => a.fromM - b.fromM);
  const left: Stretch[] = [];
  let at = whole.fromM;
  for (const { fromM, toM } of sorted) {
    if (fromM > at) left.push({ fromM: at, toM: Math.min(fromM, whole.toM) });
    at = Math.max(at, toM);
    if (at >= whole.toM) break;
  }
  if (at < whole.toM) left.push({ fromM: at, toM: whole.toM });
  return left.filter(({ fromM, toM }) => toM - fromM > 1e-9);
}

/** A rectangle of floor, metres. */
export interface Floor {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** The floor before a stretch of wall, so far out into the room. */
export function floorBefore(
  { widthM, depthM }: Pick<Room, 'widthM' | 'depthM'>,
  wall: WallId,
  { fromM, toM }: Stretch,
  strip: number,
): Floor {
  switch (wall) {
    // Left to right as one faces the wall: the north wall runs with x, the south against it.
    case 'north':
      return { left: fromM, right: toM, bottom: depthM - strip, top: depthM };
    case 'south':
      return { left: widthM - toM, right: widthM - fromM, bottom: 0, top: strip };
    case 'east':
      return { left: widthM - strip, right: widthM, bottom: depthM - toM, top: depthM - fromM };
    case 'west':
      return { left: 0, right: strip, bottom: fromM, top: toM };
  }
}

/** Where along a wall the low spots begin and end, so that a span is all of one height. */
function edgesOf(room: Room, wall: WallId): number[] {
  const length = wallLength(room, wall);
  return room.low.flatMap(({ xM, yM, widthM, depthM }) => {
    const [a, b] =
      wall === 'north'
        ? [xM, xM + widthM]
        : wall === 'south'
          ? [room.widthM - xM - widthM, room.widthM - xM]
          : wall === 'west'
            ? [yM, yM + depthM]
            : [room.depthM - yM - depthM, room.depthM - yM];
    return [a, b].filter((edge) => edge > 0 && edge < length);
  });
}

/** The floor that a door may sweep: its own width into the room, to whichever side it hangs on. */
export const doorSwings = (room: Room): Floor[] =>
  room.doors
    .filter(({ opensIn }) => opensIn)
    .map(({ wall, fromM, toM }) => {
      const leaf = toM - fromM;
      return floorBefore(room, wall, { fromM: fromM - leaf, toM: toM + leaf }, leaf);
    });

/**
 * Every usable stretch of wall, from left to right, wall by wall. Doors keep their sides free, and
 * one that opens inwards sweeps the floor before other walls as well; the height of a stretch is
 * that of the lowest spot over any of its floor.
 *
 * @param stripM how far the deepest lane reaches into the room
 */
export function usableSpans(room: Room, stripM: number = roomRules.stripM): Span[] {
  const swings = doorSwings(room);
  return wallIds.flatMap((wall) => {
    const whole = { fromM: 0, toM: wallLength(room, wall) };
    const lanes = floorBefore(room, wall, whole, stripM);
    const taken = [
      ...room.blocked.filter((one) => one.wall === wall),
      ...room.doors
        .filter((one) => one.wall === wall)
        .map(({ fromM, toM, opensIn }) => {
          // A door that opens inwards sweeps its own width to the side it hangs on, whichever it is.
          const beside = roomRules.besideDoorM + (opensIn ? toM - fromM : 0);
          return { fromM: fromM - beside, toM: toM + beside };
        }),
      ...swings.flatMap((swing) => {
        const swept = overlapOf(swing, lanes);
        return swept === null ? [] : [alongWall(room, wall, swept)];
      }),
    ];
    const free = subtract(whole, taken);
    const edges = edgesOf(room, wall);
    const pieces = free
      .flatMap((stretch) => splitAt(stretch, edges))
      .map((stretch) => ({ ...stretch, lowestM: lowestOver(room, wall, stretch, stripM) }));
    return joinEven(pieces)
      .filter(({ fromM, toM }) => toM - fromM >= roomRules.leastSpanM - 1e-9)
      .map((stretch, index): Span => ({ id: spanIdOf(wall, index + 1), wall, ...stretch }));
  });
}

type High = Stretch & Pick<Span, 'lowestM'>;

/** The lowest spot over the floor before a stretch. */
function lowestOver(room: Room, wall: WallId, stretch: Stretch, stripM: number): number {
  const area = floorBefore(room, wall, stretch, stripM);
  const over = room.low.filter(
    ({ xM, yM, widthM, depthM }) =>
      overlapOf(area, { left: xM, right: xM + widthM, bottom: yM, top: yM + depthM }) !== null,
  );
  return Math.min(room.ceilingM, ...over.map(({ heightM }) => heightM));
}

/** Neighbours of one height are one stretch: an edge that is over neither of them parts nothing. */
function joinEven(pieces: readonly High[]): High[] {
  const joined: High[] = [];
  for (const piece of pieces) {
    const last = joined[joined.length - 1];
    const isOne =
      last !== undefined &&
      piece.fromM - last.toM < 1e-9 &&
      Math.abs(piece.lowestM - last.lowestM) < 1e-9;
    if (isOne) joined[joined.length - 1] = { ...last, toM: piece.toM };
    else joined.push(piece);
  }
  return joined;
}

/**
 * Two who may fall sideways keep a mat's width between them also where they stand on two stretches
 * of one wall: the lower of two near neighbours gives way, if both are high enough to try in.
 *
 * @param tryM the height that the smallest try takes, metres
 */
export function partNeighbours(spans: readonly Span[], tryM: number): Span[] {
  let now = [...spans];
  for (const wall of wallIds) {
    const row = now.filter((span) => span.wall === wall && span.lowestM >= tryM - 1e-9);
    row.sort((a, b) => a.fromM - b.fromM);
    const ends = row.map(({ fromM, toM }) => ({ fromM, toM }));
    for (let index = 1; index < row.length; index += 1) {
      const short = roomRules.sidewaysM - (ends[index]!.fromM - ends[index - 1]!.toM);
      if (short <= 1e-9) continue;
      if (row[index - 1]!.lowestM < row[index]!.lowestM) ends[index - 1]!.toM -= short;
      else ends[index]!.fromM += short;
    }
    now = now.flatMap((span) => {
      const at = row.indexOf(span);
      if (at < 0) return [span];
      const cut = { ...span, ...ends[at]! };
      return cut.toM - cut.fromM >= roomRules.leastSpanM - 1e-9 ? [cut] : [];
    });
  }
  return now;
}

const overlapOf = (a: Floor, b: Floor): Floor | null => {
  const both = {
    left: Math.max(a.left, b.left),
    right: Math.min(a.right, b.right),
    bottom: Math.max(a.bottom, b.bottom),
    top: Math.min(a.top, b.top),
  };
  const isReal = both.right - both.left > 1e-6 && both.top - both.bottom > 1e-6;
  return isReal ? both : null;
};

/** The stretch of a wall that lies before a piece of floor. */
function alongWall({ widthM, depthM }: Room, wall: WallId, floor: Floor): Stretch {
  switch (wall) {
    case 'north':
      return { fromM: floor.left, toM: floor.right };
    case 'south':
      return { fromM: widthM - floor.right, toM: widthM - floor.left };
    case 'west':
      return { fromM: floor.bottom, toM: floor.top };
    case 'east':
      return { fromM: depthM - floor.top, toM: depthM - floor.bottom };
  }
}

/**
 * Stretches whose lanes never meet: where two walls share a corner, or face each other too near,
 * one of them gives way, so that the most lanes are left.
 *
 * @param depthM how far the deepest lane reaches into the room
 */
export function keepApart(room: Room, spans: readonly Span[], depthM: number): Span[] {
  let now = [...spans];
  for (let tries = 0; tries < 4 * spans.length + 4; tries += 1) {
    const clash = findClash(room, now, depthM);
    if (clash === null) break;
    const { gives, floor } = clash;
    const lost = alongWall(room, gives.wall, floor);
    const left = subtract(gives, [lost]).filter(
      ({ fromM, toM }) => toM - fromM >= roomRules.leastSpanM - 1e-9,
    );
    now = now.flatMap((span) =>
      span === gives ? left.map((stretch) => ({ ...span, ...stretch })) : [span],
    );
  }
  // Named anew from left to right, as people count them.
  return wallIds.flatMap((wall) =>
    now
      .filter((span) => span.wall === wall)
      .sort((a, b) => a.fromM - b.fromM)
      .map((span, index) => ({ ...span, id: spanIdOf(wall, index + 1) })),
  );
}

/** About a lane: a mat and what is kept free beside it. */
const laneM = 0.86;

function findClash(room: Room, spans: readonly Span[], depthM: number) {
  for (const [index, a] of spans.entries()) {
    for (const b of spans.slice(index + 1)) {
      if (a.wall === b.wall) continue;
      const floors = [a, b].map((span) => floorBefore(room, span.wall, span, depthM));
      const floor = overlapOf(floors[0]!, floors[1]!);
      if (floor === null) continue;
      const lanes = (stretches: readonly Stretch[]) =>
        stretches.reduce((sum, { fromM, toM }) => sum + Math.floor((toM - fromM) / laneM), 0);
      const left = (span: Span) => lanes(subtract(span, [alongWall(room, span.wall, floor)]));
      const length = ({ fromM, toM }: Span) => toM - fromM;
      const [ifA, ifB] = [left(a) + lanes([b]), lanes([a]) + left(b)];
      const aGives = ifA > ifB || (ifA === ifB && length(a) < length(b));
      return { gives: aGives ? a : b, floor };
    }
  }
  return null;
}

function splitAt({ fromM, toM }: Stretch, edges: readonly number[]): Stretch[] {
  const cuts = [...new Set(edges)]
    .filter((edge) => edge > fromM && edge < toM)
    .sort((a, b) => a - b);
  const points = [fromM, ...cuts, toM];
  return points.slice(1).map((end, index) => ({ fromM: points[index]!, toM: end }));
}
