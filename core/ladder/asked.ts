/**
 * What can be read off something that is done, whoever does it: the regions it meets, whether it asks for
 * screening, whether a foot leaves the floor. On its own, since the floor's devices ask it too and judge
 * nobody.
 */
import type { CautionColumn } from '../catalog/cautionColumns';
import type { DrillSpec } from '../catalog/drills';
import type { BodyRegion, Region, RegionLoads } from '../catalog/regions';

interface Asked {
  readonly columns: readonly CautionColumn[];
  readonly loads: RegionLoads;
  readonly strains: readonly BodyRegion[];
  readonly isFree?: boolean;
  readonly isAttempt?: boolean;
}

/** Every region that something loads or strains. */
export const regionsOf = ({
  loads,
  // A class that was begun before strains were named has none.
  strains = [],
}: Pick<Asked, 'loads'> & Partial<Pick<Asked, 'strains'>>): BodyRegion[] => [
  ...(Object.keys(loads) as Region[]),
  ...strains,
];

/** Columns that nobody is let into unasked (handbook 07 "One gatekeeper"). */
const screenedColumns: readonly CautionColumn[] = ['light', 'neck', 'shoulders'];

/** Is it let into only after asking? */
export const isScreenedFor = ({
  columns,
  isAttempt,
}: Pick<Asked, 'columns' | 'isAttempt'>): boolean =>
  isAttempt === true || columns.some((column) => screenedColumns.includes(column));

/** Does a foot leave the floor? Whatever is upside down, every try, and what says so itself. */
export const liftsFeet = ({
  columns,
  isAttempt,
  isFree,
  feetUp,
}: Pick<Asked, 'columns' | 'isAttempt' | 'isFree'> & { readonly feetUp?: true }): boolean =>
  feetUp === true || isFree === true || isScreenedFor({ columns, isAttempt: isAttempt === true });

/** The same of a drill: one that asks for what a stage asks leaves the floor or turns upside down. */
export const drillLiftsFeet = (drill: DrillSpec): boolean =>
  drill.asStage !== undefined || liftsFeet(drill);
