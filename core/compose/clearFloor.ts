/** What of the floor is free of lanes and doors, and how many clear circles it takes. */
import { placeCircles } from '../room/pack';
import type { Floor, Room, Span } from '../room/room';

/** The floor in front of no usable wall, where a circle can never meet a lane or a door's leaf. */
export function clearFloor(room: Room, spans: readonly Span[], depthM: number): Floor {
  const off = (wall: Span['wall']) => {
    const leaves = room.doors
      .filter((door) => door.opensIn && door.wall === wall)
      .map(({ fromM, toM }) => toM - fromM);
    return Math.max(spans.some((span) => span.wall === wall) ? depthM : 0, ...leaves, 0);
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
