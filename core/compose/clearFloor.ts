/** What of the floor is free of lanes, doors and low spots, and how many clear circles it takes. */
import type { DrillBook, DrillKey } from '../catalog/drills';
import { placeCircles, type PlacedCircle } from '../room/pack';
import { doorSwings, wallIds, type Floor, type Room, type Span, type WallId } from '../room/room';
import { spaceRules } from '../room/spaceRules';
import { entriesOf } from '../units/keyed';
import { rememberFor } from '../units/remember';
import type { CircleRule } from './problem';

/** The floor off some walls, where nothing can meet a lane before them. */
function floorOff(room: Room, walls: readonly WallId[], depthM: number): Floor {
  const off = (wall: WallId) => (walls.includes(wall) ? depthM : 0);
  return {
    left: off('west'),
    right: room.widthM - off('east'),
    bottom: off('south'),
    top: room.depthM - off('north'),
  };
}

/** Where something hangs lower than this. */
export const listLow = (room: Room, heightM: number): Floor[] =>
  room.low
    .filter((one) => one.heightM < heightM - 1e-9)
    .map(({ xM, yM, widthM, depthM }) => ({
      left: xM,
      right: xM + widthM,
      bottom: yM,
      top: yM + depthM,
    }));

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
   * A circle for each of these beside lanes at these walls: as far from every usable wall as can be.
   * `null` where there is no room for all.
   */
  readonly placeBeside: (
    walls: ReadonlySet<WallId>,
    ids: readonly string[],
  ) => readonly PlacedCircle[] | null;
}

/** What one takes who hops on the hands away from a wall; metres. */
export function spaceToHop(heightM: number): Pick<Wanted, 'radiusM' | 'heightM'> {
  const reach = spaceRules.reachShare.hands * heightM;
  return { radiusM: reach + spaceRules.circleMarginM, heightM: reach + spaceRules.overheadM };
}

/** Drills in which the feet leave the floor, with no wall to meet. */
export const listLeaps = (drills: DrillBook): DrillKey[] =>
  entriesOf(drills).flatMap(([key, { leavesFloor }]) => (leavesFloor === true ? [key] : []));

/** Drills that somebody is too tall for in this room, wherever they are done. */
export function listTooLarge(drills: DrillBook, room: Room, heightM: number): DrillKey[] {
  const space = spaceToHop(heightM);
  return hasRoomForOne(room, space.radiusM, space.heightM) ? [] : listLeaps(drills);
}

/**
 * No more circles of one size than this lie in a rectangle, whole and apart: by the area and the edge
 * of where their middles may lie (Oler's inequality).
 */
function mostCircles({ left, right, bottom, top }: Floor, radiusM: number): number {
  const apart = 2 * radiusM;
  const [wide, deep] = [right - left - apart, top - bottom - apart];
  if (Math.min(wide, deep) < -1e-9) return 0;
  const area = Math.max(0, wide) * Math.max(0, deep);
  const edge = 2 * (Math.max(0, wide) + Math.max(0, deep));
  return Math.floor((2 / Math.sqrt(3)) * (area / apart ** 2) + edge / (2 * apart) + 1 + 1e-6);
}

const roomForOne = rememberFor<Room, boolean>();

/** Does the empty floor take one circle of this size, under this height? */
export const hasRoomForOne = (room: Room, radiusM: number, heightM: number): boolean =>
  roomForOne(
    room,
    `${radiusM}/${heightM}`,
    () => countBeside(room, [], { depthM: 0, radiusM, heightM, most: 1 }).most === 1,
  );

/**
 * How many circles the floor takes beside lanes at some of the walls: a wall that nobody stands at
 * needs no lane before it. None reaches into the swing of a door, or under something too low.
 */
export function countBeside(room: Room, spans: readonly Span[], wanted: Wanted): FreeFloor {
  const { radiusM, heightM } = wanted;
  const closed = [...doorSwings(room), ...listLow(room, heightM)];
  const place = (floor: Floor, ids: readonly string[]) =>
    room.ceilingM < heightM - 1e-9 && ids.length > 0
      ? null
      : placeCircles(
          floor,
          ids.map((id) => ({ id, radiusM })),
          closed,
        );
  /** So many fit on this floor, tried upwards from what fits anyway. */
  const countOn = (floor: Floor, known: number) => {
    const most = Math.min(wanted.most, mostCircles(floor, radiusM));
    const idsOf = (count: number) => Array.from({ length: count }, (_, at) => String(at));
    let count = known;
    while (count < most && place(floor, idsOf(count + 1)) !== null) count += 1;
    return count;
  };
  const sides = wallIds.filter((wall) => spans.some((span) => span.wall === wall));
  /** Every choice of walls, the most of them first. */
  const choices = Array.from({ length: 2 ** sides.length }, (_, bits) =>
    sides.filter((_one, at) => Math.floor(bits / 2 ** at) % 2 === 1),
  ).sort((a, b) => b.length - a.length);
  const found: { walls: readonly WallId[]; floor: Floor; most: number }[] = [];
  // Off more walls than must be is off those as well.
  const mostOff = (walls: readonly WallId[]) =>
    Math.max(
      0,
      ...found.flatMap((one) => (walls.every((wall) => one.walls.includes(wall)) ? one.most : [])),
    );
  for (const walls of choices) {
    const floor = floorOff(room, walls, wanted.depthM);
    const known = mostOff(walls);
    const count = countOn(floor, known);
    // Where this floor takes no more than one with more walls in use, that one is taken.
    if (count > known || found.length === 0) found.push({ walls, floor, most: count });
  }
  return {
    most: mostOff([]),
    rules: [...choices].reverse().flatMap((walls): CircleRule[] => {
      const most = mostOff(walls);
      // What fewer of these walls say already is said once.
      const isNew = walls.every((wall) => most < mostOff(walls.filter((one) => one !== wall)));
      return walls.length > 0 && isNew ? [{ walls, most }] : [];
    }),
    placeBeside: (walls, ids) => {
      const floor = found.find(
        (one) => one.most >= ids.length && [...walls].every((wall) => one.walls.includes(wall)),
      )?.floor;
      return floor === undefined ? null : place(floor, ids);
    },
  };
}
