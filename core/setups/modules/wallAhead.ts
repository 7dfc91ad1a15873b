import type { Setup } from '../setup';
import { metresOf } from '../setup';

/** The wall of a kick, before the shape has come to it: as far ahead as the set-up lists. */
export const wallAhead =
  (from: 'elbow' | 'wrist'): NonNullable<Setup['around']> =>
  ({ distances }, { joints, wall }) => {
    const baseM = metresOf(distances, 'base');
    if (wall !== undefined || baseM === undefined) return {};
    const [x] = joints[from];
    return {
      wall: { x: x + baseM, side: 1 },
      dimensions: [{ kind: 'level', distance: 'base', fromX: x, toX: x + baseM }],
    };
  };
