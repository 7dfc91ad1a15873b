/** Where a room lies on its sheet, and the few shapes that everything on it is drawn with. */
import { pieceTable } from '../catalog/pieces';
import type { Floor, Room } from '../room/room';
import type { LengthUnits } from '../units/length';
import { rectangle, rounded, type Shape } from './scene';

export const sizes = {
  marginPx: 46,
  /** Where the depth stands, to a quarter of an inch in the largest room there may be. */
  dimensionPx: { cm: 64, in: 94 },
  bareMarginPx: 24,
  hatchPx: 8,
  letterPx: 15,
  namePx: 11,
} as const;
export const mat = { long: pieceTable.mat.lengthM, wide: pieceTable.mat.widthM } as const;

export interface RoomFrame {
  readonly pxPerM: number;
  readonly x: (metres: number) => number;
  /** y runs up in the room and down on the sheet. */
  readonly y: (metres: number) => number;
}

/**
 * Where the room lies on a sheet of this width.
 *
 * @param units of its dimensions; `null`: without any
 */
export function roomFrame(
  room: Pick<Room, 'widthM' | 'depthM'>,
  widthPx: number,
  units: LengthUnits | null = 'cm',
): RoomFrame & { readonly heightPx: number } {
  const marginPx = units === null ? sizes.bareMarginPx : sizes.marginPx;
  const leftPx = units === null ? sizes.bareMarginPx : sizes.dimensionPx[units];
  const pxPerM = (widthPx - leftPx - marginPx) / room.widthM;
  return {
    pxPerM,
    x: (metres) => rounded(leftPx + metres * pxPerM),
    y: (metres) => rounded(marginPx + (room.depthM - metres) * pxPerM),
    heightPx: rounded(room.depthM * pxPerM + 2 * marginPx),
  };
}

export const box = (role: Shape['role'], frame: RoomFrame, floor: Floor): Shape =>
  rectangle(
    role,
    frame.x(floor.left),
    frame.y(floor.top),
    (floor.right - floor.left) * frame.pxPerM,
    (floor.top - floor.bottom) * frame.pxPerM,
  );

export const text = (
  role: Shape['role'],
  x: number,
  y: number,
  words: string,
  sizePx: number,
  anchor: 'start' | 'middle' | 'end' = 'middle',
): Shape => ({ kind: 'text', role, x: rounded(x), y: rounded(y), text: words, sizePx, anchor });

export function ellipse(role: Shape['role'], x: number, y: number, rx: number, ry: number): Shape {
  const [l, r, a, b] = [x - rx, x + rx, rx, ry].map(rounded);
  const at = rounded(y);
  return {
    kind: 'path',
    role,
    d: `M${l},${at}A${a},${b} 0 1 0 ${r},${at}A${a},${b} 0 1 0 ${l},${at}Z`,
  };
}
