/** What happens when the server starts and ends, and what its front may ask. */
import { FolderBusyError } from '@/db/folder';
import { setBadRowsAside } from '@/db/setAside';
import { StudioTrouble, toTrouble } from '@/db/trouble';
import { nowMs } from './clock';
import { beginCopies, endCopies } from './copies/schedule';
import { database, databaseFile, endDatabase, holdFolder, noteTrouble } from './database';
import { answerState } from './network/answerState';
import { findDeviceBy } from './network/devices';
import { retryErasing } from './files/erasing';
import { forgetJudged } from './judging/forget';

interface Front {
  /** Was the device with this token let in? Asked for every request of the network door. */
  readonly isLetIn: (token: string) => boolean;
  /** Who asks and in which state the studio is, as a text; null: the answer is theirs alone. */
  readonly stateOf: typeof answerState;
  /** Takes the folder and opens the studio in it. */
  readonly begin: () => void;
  /** Everything is on the disk and the folder is free. */
  readonly end: () => Promise<void>;
}

const holder = globalThis as { levitarFront?: Front };

export function beginServing(): void {
  if (holder.levitarFront !== undefined) return;
  holder.levitarFront = {
    isLetIn: (token) => {
      try {
        return findDeviceBy(token) !== null;
      } catch {
        return false;
      }
    },
    stateOf: answerState,
    begin,
    end: async () => {
      await endCopies();
      endDatabase();
    },
  };
  begin();
}

/** What a studio that cannot be opened means is said by the page; here it goes to the terminal. */
function begin(): void {
  try {
    holdFolder();
  } catch (error) {
    if (!(error instanceof FolderBusyError)) throw error;
    console.error(error.message);
    process.exit(1);
  }
  try {
    lookThrough();
    retryErasing();
  } catch (error) {
    if (!(error instanceof StudioTrouble)) throw error;
    console.error(error.message);
    console.error('The page in the browser offers the copies there are.');
  }
  beginCopies();
}

/** Sets aside what no page could read. @returns how much that was */
function lookThrough(): number {
  const count = database().transaction((tx) => setBadRowsAside(tx, nowMs()));
  if (count > 0) {
    forgetJudged();
    console.error(`${count} rows could not be read and were set aside; see Settings.`);
  }
  return count;
}

/**
 * After a page could not be drawn: what the driver says of the file is remembered, and rows that
 * cannot be read are set aside, so that the next try opens.
 */
export function afterFailure(error: unknown): void {
  try {
    const trouble = toTrouble(error, databaseFile());
    if (trouble instanceof StudioTrouble) {
      if (trouble.kind === 'damaged') noteTrouble(trouble);
      return;
    }
    lookThrough();
  } catch (failure) {
    console.error('Looking through failed:', failure instanceof Error ? failure.name : 'unknown');
  }
}
