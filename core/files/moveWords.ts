/** What everybody does before and after a line of the running order, in words. */
import { positionTable } from '../catalog/drillKinds';
import { rowWords } from '../pieces/rows';
import type { PlanFile } from './planFile';

type Line = PlanFile['timeline'][number];

/** `on the back; fetch blocks; then put away straps`. */
export function sayMoves({ position, isMove, fetch = [], putAway = [] }: Partial<Line>): string {
  const rows = (list: readonly string[]) => list.map((row) => rowWords(row)).join(', ');
  return [
    ...(isMove && position !== undefined ? [positionTable[position].label] : []),
    ...(fetch.length > 0 ? [`fetch ${rows(fetch)}`] : []),
    ...(putAway.length > 0 ? [`then put away ${rows(putAway)}`] : []),
  ].join('; ');
}
