/** What of the floor is free of lanes and doors, and how many clear circles it takes. */
import { placeCircles } from '../room/pack';
import { wallIds, type Floor, type Room, type Span, type WallId } from '../room/room';
import type { CircleRule } from './problem';

/** The floor off some walls, where a circle can never meet a lane before them or a door's leaf. */
export function clearFloor(room: Room, walls: ReadonlySet<WallId>, depthM: number): Floor {
  const off = (wall: WallId) => {
    const leaves = room.doors
      .filter((door) => door.opensIn && door.wall === wall)
      .map(({ fromM, toM }) => toM - fromM);
    return Math.max(walls.has(wall) ? depthM : 0, ...leaves, 0);
  };
  return {
    left: off('west'),
    right: room.widthM - off('east'),
    bottom: off('south'),
    top: room.depthM - off('north'),
  };
}

/** The lowest spot over a piece of floor: a clear circle may end up anywhere on it. */
export function lowestOver(room: Room, floor: Floor): number {
  const over = room.low.filter(
    ({ xM, yM, widthM, depthM }) =>
      xM < floor.right && xM + widthM > floor.left && yM < floor.top && yM + depthM > floor.bottom,
  );
  return Math.min(room.ceilingM, ...over.map(({ heightM }) => heightM));
}

/** How many circles of one size it takes, at most so many. */
export function countCircles(floor: Floor, radiusM: number, most: number): number {
  let count = 0;
  while (count < most) {
    const circles = Array.from({ length: count + 1 }, (_, index) => ({
      id: String(index),
      radiusM,
    }));
    if (placeCircles(floor, circles) === null) break;
    count += 1;
  }
  return count;
}

/** What is asked of the floor by those who stand free. */
export interface Wanted {
  /** How far a lane reaches out from its wall, metres. */
  readonly depthM: number;
  /** Of the widest circle, metres. */
  readonly radiusM: number;
  /** What the highest of them reaches, metres. */
  readonly heightM: number;
  /** Circles wanted at the most. */
  readonly most: number;
}

/** The clear circles of a room, whoever stands at which wall. */
export interface FreeFloor {
  /** Where nobody stands at a wall. */
  readonly most: number;
  readonly rules: readonly CircleRule[];
  /**
   * Floor off all these walls that takes so many circles: as far from every usable wall as can be.
   * `null` where there is none.
   */
  readonly floorBeside: (walls: ReadonlySet<WallId>, count: number) => Floor | null;
}

/**
 * How many circles the floor takes beside lanes at some of the walls: a wall that nobody stands at
 * needs no lane before it. Under something low none is counted.
 */
export function countBeside(room: Room, spans: readonly Span[], wanted: Wanted): FreeFloor {
  const sides = wallIds.filter((wall) => spans.some((span) => span.wall === wall));
  /** Every choice of walls, the most of them first. */
  const choices = Array.from({ length: 2 ** sides.length }, (_, bits) =>
    sides.filter((_one, at) => Math.floor(bits / 2 ** at) % 2 === 1),
  ).sort((a, b) => b.length - a.length);
  const found = choices.map((walls) => {
    const floor = clearFloor(room, new Set(walls), wanted.depthM);
    const isHighEnough = lowestOver(room, floor) >= wanted.heightM - 1e-9;
    return {
      walls,
      floor,
      most: isHighEnough ? countCircles(floor, wanted.radiusM, wanted.most) : 0,
    };
  });
  // Off more walls than must be is off those as well.
  const mostOff = (walls: readonly WallId[]) =>
    Math.max(
      ...found.flatMap((one) => (walls.every((wall) => one.walls.includes(wall)) ? one.most : [])),
    );
  return {
    most: mostOff([]),
    rules: [...choices].reverse().flatMap((walls): CircleRule[] => {
      const most = mostOff(walls);
      // What fewer of these walls say already is said once.
      const isNew = walls.every((wall) => most < mostOff(walls.filter((one) => one !== wall)));
      return walls.length > 0 && isNew ? [{ walls, most }] : [];
    }),
    floorBeside: (walls, count) =>
      found.find((one) => one.most >= count && [...walls].every((wall) => one.walls.includes(wall)))
        ?.floor ?? null,
  };
}
