/** The room of the independent checker: its own geometry of lanes, mats, doors and what hangs low. */
import type { PlanFile } from '../files/planFile';
import type { Room } from '../room/room';

export type Box = readonly [left: number, bottom: number, right: number, top: number];
export type Placed = PlanFile['rounds'][number]['people'][number];

/** What numbers may differ by. */
export const slack = 1e-6;
export const matWidthM = 0.61;

export function laneBox(room: Room, wall: string, fromM: number, toM: number, outM: number): Box {
  if (wall === 'north') return [fromM, room.depthM - outM, toM, room.depthM];
  if (wall === 'south') return [room.widthM - toM, 0, room.widthM - fromM, outM];
  if (wall === 'west') return [0, fromM, outM, toM];
  return [room.widthM - outM, room.depthM - toM, room.widthM, room.depthM - fromM];
}

export const meet = (a: Box, b: Box) =>
  a[0] < b[2] - slack && b[0] < a[2] - slack && a[1] < b[3] - slack && b[1] < a[3] - slack;

export const toBox = (plan: PlanFile, room: Room, { place }: Placed): Box | null => {
  if (place.kind === 'lane') {
    const span = plan.spans.find(({ id }) => id === place.span)!;
    return laneBox(room, span.wall, place.fromM, place.toM, place.outM);
  }
  if (place.kind !== 'mat') return null;
  const [w, h] = place.isAcross ? [1.83, 0.86] : [0.86, 1.83];
  return [place.x - w / 2, place.y - h / 2, place.x + w / 2, place.y + h / 2];
};

/** What a door's leaf may sweep, hung on either side. */
export const swingsOf = (room: Room): Box[] =>
  room.doors
    .filter(({ opensIn }) => opensIn)
    .map(({ wall, fromM, toM }) =>
      laneBox(room, wall, fromM - (toM - fromM), toM + (toM - fromM), toM - fromM),
    );

/** What is above somebody: the ceiling, or what hangs lower there. */
export function heightOver(plan: PlanFile, room: Room, one: Placed): number {
  const { place } = one;
  if (place.kind === 'lane') return plan.spans.find(({ id }) => id === place.span)!.lowestM;
  const box = toBox(plan, room, one);
  const low = room.low.filter(
    ({ xM, yM, widthM, depthM }) => box !== null && meet(box, [xM, yM, xM + widthM, yM + depthM]),
  );
  return Math.min(room.ceilingM, ...low.map(({ heightM }) => heightM));
}

/** Does a circle reach over a box? */
export function reaches({ x, y }: { readonly x: number; readonly y: number }, box: Box, r: number) {
  const nearX = Math.min(Math.max(x, box[0]), box[2]);
  const nearY = Math.min(Math.max(y, box[1]), box[3]);
  return Math.hypot(x - nearX, y - nearY) < r - slack;
}
