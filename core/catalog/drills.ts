/** What a class or a home practice is made of. Source: handbook 03 "Drills". */
import type { DrillSpec, ShippedDrill } from './drillKinds';
import { drillsThatOpen } from './drillsThatOpen';
import { drillsThatStrengthen } from './drillsThatStrengthen';
import type { OwnKey } from './ownKey';

export {
  drillPositions,
  positionTable,
  workOf,
  type DrillPosition,
  type DrillPurpose,
  type DrillSpec,
  type DrillWork,
  type PreparationPart,
} from './drillKinds';

export const drillTable = {
  ...drillsThatOpen,
  ...drillsThatStrengthen,
} as const satisfies Record<string, ShippedDrill>;

/** A shipped drill, or a teacher's own. Whether an own one exists is the catalog's to say. */
export type DrillKey = DrillId | OwnKey;
/** The drills of a school: what ships with a teacher's own laid over it. */
export type DrillBook = Readonly<Partial<Record<DrillKey, DrillSpec>>>;

export type DrillId = keyof typeof drillTable;
export const drillIds = Object.keys(drillTable) as [DrillId, ...DrillId[]];
