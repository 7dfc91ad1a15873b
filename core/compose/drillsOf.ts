import { drillTable, type DrillBook } from '../catalog/drills';
import type { PreparedClass } from './prepared';

/** The drills of a class. */
export const drillsOf = ({ drills }: Pick<PreparedClass, 'drills'>): DrillBook =>
  drills ?? drillTable;
