/** What is drawn of a line of the running order: what all of the class do in it. */
import type { MoveId } from '../atlas/moves';
import { ladderTable } from '../catalog/stage';
import type { DrillKey } from '../catalog/drills';
import { doneByAll, type Line } from './sittingOut';

type Drawn = Readonly<Partial<Record<DrillKey, { readonly move?: MoveId | undefined }>>>;

/** @returns `null` where everybody does something of their own, or nothing is drawn */
export function moveOfLine(line: Line, drills: Drawn): MoveId | null {
  switch (line.kind) {
    case 'pause':
    case 'drill':
    case 'release': {
      const drill = doneByAll(line);
      return drill === null ? null : (drills[drill]?.move ?? null);
    }
    case 'counter':
      return line.family === undefined ? null : ladderTable[line.family].counter.move;
    case 'rest':
      return 'rest';
    case 'arrive':
    case 'checks':
    case 'settle':
    case 'round':
    case 'reset':
      return null;
    default:
      return line.kind satisfies never;
  }
}

/** The lines of a plan that are drawn, in their order. */
export const listDrawn = <Item extends Line>(
  { timeline }: { readonly timeline: readonly Item[] },
  drills: Drawn,
): (Item & { readonly move: MoveId })[] =>
  timeline.flatMap((item) => {
    const move = moveOfLine(item, drills);
    return move === null ? [] : [{ ...item, move }];
  });
