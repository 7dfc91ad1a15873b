import { shapeIds } from './registry';
import { stillIds } from './stills';

let kinds: ReadonlySet<string> | null = null;

/** Every shape a stage may be drawn with, written as the stage writes it. */
export function getShapeKinds(): ReadonlySet<string> {
  kinds ??= new Set([
    ...shapeIds.map((family) => JSON.stringify({ family })),
    ...stillIds.map((still) => JSON.stringify({ still })),
  ]);
  return kinds;
}
