/**
 * Overwriting on the disk what was deleted. The deletion itself says that this is still to be done,
 * in the same transaction; where it cannot be done at once it is done at the next chance.
 */
import { getSettings, saveSettings } from '@/db/courses';
import type { Db } from '@/db/open';
import { eraseDeleted } from '@/db/removal';
import { database } from '../database';
import { forgetJudged } from '../judging/forget';

/** To be called within the transaction that deletes. */
export const noteErasing = (db: Db): void => saveSettings(db, { erasePending: true });

/** @returns whether nothing of what was deleted is left in the studio's file and its log */
export function finishErasing(): boolean {
  const db = database();
  if (!getSettings(db).erasePending) return true;
  forgetJudged();
  try {
    if (!eraseDeleted(db)) return false;
    saveSettings(db, { erasePending: false });
    return true;
  } catch (error) {
    // The deletion stands; that its traces are still there is said on the Settings page.
    console.error('Erasing is put off:', error instanceof Error ? error.name : 'unknown');
    return false;
  }
}

export const isErasePending = (): boolean => getSettings(database()).erasePending;

/** At the next chance: when the server starts, every night, and with the next deletion. */
export function retryErasing(): void {
  finishErasing();
}
