/** Which drills there are to choose from, and for whom. */
import type { CheckKey } from '../catalog/checks';
import type { DrillBook, DrillKey, DrillSpec } from '../catalog/drills';
import type { PieceCount } from '../catalog/pieces';
import type { Region } from '../catalog/regions';
import type { LadderId } from '../catalog/stage';
import type { ThemeId } from '../catalog/themes';

export interface DrillPerson {
  readonly id: string;
  readonly weak: readonly { readonly check: CheckKey; readonly weight: number }[];
  readonly closedDrills: readonly DrillKey[];
}

export interface DrillTask {
  /** What the school has to choose from. */
  readonly drills: DrillBook;
  readonly people: readonly DrillPerson[];
  readonly pieces: readonly PieceCount[];
  readonly minutes: number;
  /** Minutes that no drill fills are missed; absent: they are wanted elsewhere. */
  readonly isToFill?: boolean;
  /** Regions that tries will load, and those that anything in the rounds loads. */
  readonly mainRegions: readonly Region[];
  readonly usedRegions: readonly Region[];
  /** What will be held or tried: each asks for its own preparation. */
  readonly families: readonly LadderId[];
  /** What the evening is about besides; absent: nothing. */
  readonly theme?: ThemeId;
  /** Clear circles for what leaves the floor away from a wall. */
  readonly circles: number;
  /** The teacher's word: in, or out. */
  readonly pins: readonly { readonly drill: DrillKey; readonly use: boolean }[];
  /** Sets that were found to tire too much: not all of one of them together. */
  readonly barred?: readonly (readonly DrillKey[])[];
}

export interface PlannedDrill {
  readonly drill: DrillKey;
  readonly spec: DrillSpec;
  readonly minutes: number;
  /** Two turns where the pieces go round only half. */
  readonly waves: 1 | 2;
  /** Students it is open to; absent in an order of the teacher's own. */
  readonly doing?: number;
}

/** Two turns take half as long again: one half looks on while the other works. */
export const usualMinutes = ({ minutes }: Pick<DrillSpec, 'minutes'>, waves: 1 | 2 = 1): number =>
  minutes * (waves === 2 ? 1.5 : 1);

/** How often a line of so many minutes holds the dose of its drill, at least once. */
export const timesOver = (
  spec: Pick<DrillSpec, 'minutes'>,
  minutes: number,
  waves: number | undefined,
): number => Math.max(1, Math.round(minutes / usualMinutes(spec, waves === 2 ? 2 : 1)));
