/** What a stretch of wall is called: its name is made and said here alone. */
import type { WallId } from './room';

/** @param part of its wall, counted from 1, left to right */
export const spanIdOf = (wall: WallId, part: number): string => `${wall}-${part}`;

function readSpanId(id: string): { readonly wall: string; readonly part: number } | null {
  const [, wall, part] = /^(\w+)-(\d+)$/.exec(id) ?? [];
  return wall === undefined || part === undefined ? null : { wall, part: Number(part) };
}

/** `north wall`. A file may name a stretch otherwise: then as it stands there. */
export function sayWallOf(id: string): string {
  const found = readSpanId(id);
  return found === null ? id : `${found.wall} wall`;
}

/** `north wall`, `north wall, stretch 2`: most walls are one stretch. */
export function saySpan(id: string): string {
  const found = readSpanId(id);
  return found === null || found.part === 1
    ? sayWallOf(id)
    : `${found.wall} wall, stretch ${found.part}`;
}
