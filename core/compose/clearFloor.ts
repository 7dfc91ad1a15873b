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
  const countOn = (floor: Floor) => {
    const ids: string[] = [];
    while (ids.length < wanted.most && place(floor, [...ids, `${ids.length}`]) !== null)
      ids.push(`${ids.length}`);
    return ids.length;
  };
  const sides = wallIds.filter((wall) => spans.some((span) => span.wall === wall));
  /** Every choice of walls, the most of them first. */
  const choices = Array.from({ length: 2 ** sides.length }, (_, bits) =>
    sides.filter((_one, at) => Math.floor(bits / 2 ** at) % 2 === 1),
  ).sort((a, b) => b.length - a.length);
  const found = choices.map((walls) => {
    const floor = floorOff(room, walls, wanted.depthM);
    return { walls, floor, most: countOn(floor) };
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
    placeBeside: (walls, ids) => {
      const floor = found.find(
        (one) => one.most >= ids.length && [...walls].every((wall) => one.walls.includes(wall)),
      )?.floor;
      return floor === undefined ? null : place(floor, ids);
    },
  };
}
