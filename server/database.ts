import { statSync } from 'node:fs';
import path from 'node:path';
import { lockFolder, studioFileName, type FolderLock } from '@/db/folder';
import { openDatabase, type Db, type OpenDatabase } from '@/db/open';
import { StudioTrouble, type TroubleKind } from '@/db/trouble';

export type { TroubleKind };

/** The folder in which everything the teacher enters lives. */
export const dataFolder = (): string =>
  process.env.LEVITAR_DATA ?? path.join(process.cwd(), 'levitar-data');

/** One file in a folder of its own. */
export const databaseFile = (): string =>
  path.join(/* turbopackIgnore: true */ dataFolder(), studioFileName);

// Kept on the global object, because the development server reloads modules and would otherwise
// open the file again and again.
const holder = globalThis as {
  levitarDatabase?: OpenDatabase | undefined;
  levitarTrouble?: StudioTrouble | undefined;
  levitarLock?: FolderLock | undefined;
};

/**
 * @throws StudioTrouble while there is no sound studio; the guard shows the page that helps
 */
export function database(): Db {
  if (holder.levitarDatabase === undefined) {
    try {
      holder.levitarDatabase = openDatabase(databaseFile());
      holder.levitarTrouble = undefined;
    } catch (error) {
      if (error instanceof StudioTrouble) holder.levitarTrouble = error;
      throw error;
    }
  }
  return holder.levitarDatabase.db;
}

/** What keeps the studio from being opened, tried anew; `null` when it is open. */
export function findTrouble(): StudioTrouble | null {
  try {
    database();
    return assertStillThere();
  } catch (error) {
    if (error instanceof StudioTrouble) return error;
    throw error;
  }
}

/** Somebody may move the file away while it is open; what is written then would go nowhere. */
function assertStillThere(): StudioTrouble | null {
  const file = databaseFile();
  try {
    if (statSync(/* turbopackIgnore: true */ file).size > 0) return null;
  } catch {
    // Gone.
  }
  return new StudioTrouble('missing', file);
}

/** Notes what the driver reported in the middle of work, so that the next page says it. */
export function noteTrouble(trouble: StudioTrouble): void {
  closeDatabase();
  holder.levitarTrouble = trouble;
}

export function closeDatabase(): void {
  try {
    holder.levitarDatabase?.close();
  } finally {
    holder.levitarDatabase = undefined;
  }
}

/** Takes the folder for this server; done once, when it starts. */
export function holdFolder(): void {
  holder.levitarLock ??= lockFolder(dataFolder(), Number(process.env.PORT) || null);
}

/** Everything is on the disk and the folder is free for the next one. */
export function endDatabase(): void {
  closeDatabase();
  holder.levitarLock?.release();
  holder.levitarLock = undefined;
}
