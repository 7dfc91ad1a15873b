import type { BaseId, CheckKey } from '../catalog/checks';

/** How a closed check stands in a prepared class: with its base, where it is kept apart by base. */
export type ClosedKey = CheckKey | `${CheckKey}/${BaseId}`;

export const closedKey = (check: CheckKey, base: BaseId | null): ClosedKey =>
  base === null ? check : `${check}/${base}`;

/** The check of such a key. */
export const checkOfKey = (key: ClosedKey): CheckKey => key.split('/')[0] as CheckKey;
