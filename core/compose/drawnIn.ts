/** What is drawn of a line of the running order: what all of the class do in it. */
import type { MoveId } from '../atlas/moves';
import type { DrillKey } from '../catalog/drills';
import type { LadderId } from '../catalog/stage';
import { doneByAll, type Line } from './sittingOut';

/** A movement, or a ladder’s counterpose: whoever shows it looks that up (`moveOfDrawn`). */
export type Drawn = { readonly move: MoveId } | { readonly counter: LadderId };

export type DrawnDrills = Readonly<
  Partial<Record<DrillKey, { readonly move?: MoveId | undefined }>>
>;

/** @returns `null` where everybody does something of their own, or nothing is drawn */
export function drawnIn(line: Line, drills: DrawnDrills): Drawn | null {
  switch (line.kind) {
    case 'pause':
    case 'drill':
    case 'release': {
      const drill = doneByAll(line);
      const move = drill === null ? undefined : drills[drill]?.move;
      return move === undefined ? null : { move };
    }
    case 'counter':
      return line.family === undefined ? null : { counter: line.family };
    case 'rest':
      return { move: 'rest' };
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
