import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { freeName, publish } from './copyFile';
import { hasContent, lockFolder } from './folder';

const stampOf = (now: Date) => now.toISOString().replace(/[:.]/g, '-');

/**
 * Moves the studio of a folder among its copies, under a name with the time in it. What stands in
 * its log is brought into the one file first; a file that cannot be read keeps its log beside it.
 *
 * @returns the new name; `null` where there was nothing
 * @throws FolderBusyError while somebody serves the folder
 */
export function putAside(folder: string, file: string, now = new Date()): string | null {
  const lock = lockFolder(folder);
  try {
    const mark = path.join(folder, 'studio-was-here.txt');
    if (!existsSync(file)) {
      rmSync(mark, { force: true });
      return null;
    }
    const copies = path.join(folder, 'copies');
    mkdirSync(copies, { recursive: true, mode: 0o700 });
    const target = path.join(copies, `studio_${stampOf(now)}_reset.sqlite`);
    const isWhole = emptyLog(file);
    const copy = isWhole ? publish(file, target) : freeName(target);
    if (!isWhole) {
      renameSync(file, copy);
      for (const extra of ['-wal', '-shm']) {
        if (existsSync(file + extra)) renameSync(file + extra, copy + extra);
      }
    }
    for (const extra of ['-wal', '-shm']) rmSync(file + extra, { force: true });
    rmSync(mark, { force: true });
    return copy;
  } finally {
    lock.release();
  }
}

/** @returns whether nothing of the studio stands anywhere but in the one file */
function emptyLog(file: string): boolean {
  try {
    const raw = new Database(file);
    try {
      const [{ busy }] = raw.pragma('wal_checkpoint(TRUNCATE)') as [{ busy: number }];
      if (busy !== 0) return false;
    } finally {
      raw.close();
    }
    return !hasContent(`${file}-wal`);
  } catch {
    return false;
  }
}
