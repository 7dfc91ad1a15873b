/**
 * What a teacher can record about a student, and the bar each check opens at.
 * Source: handbook 03 "Checks"; identifiers from handbook 11 "readiness".
 */
import type { ShippedCheck } from './checkKinds';
import { checksOfRange } from './checksOfRange';
import { checksOnForearms } from './checksOnForearms';
import { checksUpsideDown } from './checksUpsideDown';
import { comparedChecks } from './comparedChecks';
import type { OwnKey } from './ownKey';

export * from './checkKinds';
export * from './faults';

export const checkTable = {
  ...checksOnForearms,
  ...checksUpsideDown,
  ...checksOfRange,
  ...comparedChecks,
} as const satisfies Record<string, ShippedCheck<string>>;

export type CheckId = keyof typeof checkTable;
/** A check of the table, or a teacher's own. Whether an own one exists is the catalog's to say. */
export type CheckKey = CheckId | OwnKey;
export const checkIds = Object.keys(checkTable) as [CheckId, ...CheckId[]];
export const isShippedCheck = (check: string): check is CheckId => Object.hasOwn(checkTable, check);

/** The check's row, with the optional fields visible to the compiler. */
export function getCheck(id: CheckId): ShippedCheck {
  return checkTable[id];
}
