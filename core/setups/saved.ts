/** Set-ups as they are kept: a posture from the bench, or figures of a set-up from its card. */
import type { ShapeId } from '../shapes/postures';
import { getShape, shapeIds } from '../shapes/registry';
import type { Day } from '../units/day';
import { distanceWords, type DistanceId } from './distanceWords';
import type { KeptDistance } from './kept';
import { setupIds, type SetupId } from './registry';

/** What was kept is of a shape (values by dial) or of a set-up (values by distance). */
export type SavedOf = ShapeId | SetupId;

export const savedOfIds: readonly [SavedOf, ...SavedOf[]] = [...shapeIds, ...setupIds];

export interface Saved {
  readonly family: SavedOf;
  /** Metres and degrees. */
  readonly values: Readonly<Record<string, number>>;
  readonly note: string;
  readonly savedOn: Day;
}

export const isShapeId = (of: SavedOf): of is ShapeId => shapeIds.some((id) => id === of);

const isDistanceId = (id: string): id is DistanceId => Object.hasOwn(distanceWords, id);

/** The distances in what was kept, in its order; what no set-up measures stays on the bench. */
export function keptFromSaved(rows: readonly Saved[]): KeptDistance[] {
  return rows.flatMap(({ family, values, note, savedOn }): KeptDistance[] => {
    const keep = (setup: SetupId, distance: DistanceId, metres: number | undefined) =>
      metres === undefined ? [] : [{ setup, distance, metres, on: savedOn, note }];
    if (!isShapeId(family)) {
      return Object.entries(values).flatMap(([id, metres]) =>
        isDistanceId(id) ? keep(family, id, metres) : [],
      );
    }
    const { dials, setups } = getShape(family);
    const [main] = setups;
    if (main === undefined) return [];
    return dials.flatMap(({ is, parameter }) => {
      const metres = values[parameter];
      // A dial at nothing says that nothing was put there, not that nothing is needed.
      return is === undefined || metres === undefined || metres <= 0 ? [] : keep(main, is, metres);
    });
  });
}
