/** The movements of a running order. Apart from what is drawn, so that a page need not carry the ladders. */
import type { MoveId } from '../atlas/moves';
import { ladderTable } from '../catalog/stage';
import { drawnIn, type Drawn, type DrawnDrills } from './drawnIn';
import type { Line } from './sittingOut';

export const moveOfDrawn = (drawn: Drawn): MoveId =>
  'move' in drawn ? drawn.move : ladderTable[drawn.counter].counter.move;

/** @returns `null` where everybody does something of their own, or nothing is drawn */
export function moveOfLine(line: Line, drills: DrawnDrills): MoveId | null {
  const drawn = drawnIn(line, drills);
  return drawn === null ? null : moveOfDrawn(drawn);
}

/** The lines of a plan that are drawn, in their order. */
export const listDrawn = <Item extends Line>(
  { timeline }: { readonly timeline: readonly Item[] },
  drills: DrawnDrills,
): (Item & { readonly move: MoveId })[] =>
  timeline.flatMap((item) => {
    const move = moveOfLine(item, drills);
    return move === null ? [] : [{ ...item, move }];
  });
