/** Pieces that nobody ships, for tests. */
import type { PieceSpec } from '../catalog/pieces';

/** A firm pad a little thicker than a shoulder pad. */
export const plank = {
  kind: 'pad',
  lengthM: 0.6,
  widthM: 0.4,
  thicknessM: 0.04,
  loadedM: 0.035,
  isFirm: true,
  stacks: true,
} as const satisfies Omit<PieceSpec, 'label'>;
