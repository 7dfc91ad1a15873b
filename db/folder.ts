/** The folder of a studio: its file, the mark that there was one, and the lock of whoever serves it. */
import { existsSync, mkdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { z } from 'zod';

export const studioFileName = 'levitar.sqlite';
const markName = 'studio-was-here.txt';
const lockName = 'server.lock';
const whoName = 'server.json';

const pathIn = (folder: string, name: string) => path.join(folder, name);

/** The file has something in it. SQLite takes an empty file for an empty database. */
export const hasContent = (file: string): boolean => existsSync(file) && statSync(file).size > 0;

/** Has this folder never held a studio? Only then is one made without being asked for. */
export function isNewFolder(folder: string): boolean {
  return !existsSync(pathIn(folder, markName)) && !hasContent(pathIn(folder, studioFileName));
}

/** From now on a missing file is a loss, not a beginning. */
export function markFolder(folder: string): void {
  const file = pathIn(folder, markName);
  if (existsSync(file)) return;
  writeFileSync(
    file,
    'A studio was kept in this folder. Levitar does not put a new one in its place unasked.\n',
    { mode: 0o600 },
  );
}

/** Undoes what was begun in a folder that was new, when nothing came of it. */
export function clearNewFolder(folder: string): void {
  for (const name of [markName, ...['', '-wal', '-shm'].map((extra) => studioFileName + extra)]) {
    rmSync(pathIn(folder, name), { force: true });
  }
}

const whoShape = z.object({ pid: z.int(), port: z.int().nullable() });
export type Server = z.infer<typeof whoShape>;

/** Somebody else serves this folder. */
export class FolderBusyError extends Error {
  constructor(readonly server: Server | null) {
    const who =
      server === null
        ? ''
        : ` (process ${server.pid}${server.port === null ? '' : `, http://localhost:${server.port}`})`;
    super(
      `Levitar already runs on this folder${who}. Stop it first, or point --data at another folder.`,
    );
    this.name = 'FolderBusyError';
  }
}

export interface FolderLock {
  readonly release: () => void;
}

const readServer = (folder: string): Server | null => {
  try {
    return whoShape.parse(JSON.parse(readFileSync(pathIn(folder, whoName), 'utf8')));
  } catch {
    return null;
  }
};

/**
 * Takes the folder for this process alone. The lock is one of the operating system's on a file
 * beside the studio, so it goes with the process, however that ends: none is ever left behind.
 *
 * @throws FolderBusyError when another process has it
 */
export function lockFolder(folder: string, port: number | null = null): FolderLock {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const raw = new Database(pathIn(folder, lockName), { timeout: 1500 });
  try {
    raw.pragma('locking_mode = EXCLUSIVE');
    raw.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    raw.close();
    if ((error as { code?: string }).code?.startsWith('SQLITE_BUSY') !== true) throw error;
    throw new FolderBusyError(readServer(folder));
  }
  const note = pathIn(folder, whoName);
  writeFileSync(note, JSON.stringify({ pid: process.pid, port }), { mode: 0o600 });
  return {
    release: () => {
      rmSync(note, { force: true });
      if (raw.open) raw.close();
    },
  };
}
