/** Why a studio cannot be opened, in words for its teacher. */
import path from 'node:path';
import type Database from 'better-sqlite3';

const troubleWords = {
  missing: 'is not where it was. A studio has been kept in this folder, so no new one was begun.',
  empty: 'is there, but empty. A studio has been kept in this folder, so no new one was begun.',
  damaged: 'is damaged and was left as it is.',
  'read-only':
    'can be read but not written to. Look at the rights of the file and its folder, and at the disk.',
  closed: 'cannot be opened. Look at the rights of the file and its folder, and at the disk.',
  locked: 'is held by another program. End that one, then try again.',
  newer:
    'was written by a newer version of Levitar. It has not been changed. Start the newer version, or point LEVITAR_DATA at another folder.',
  foreign: 'is a database, but no studio of Levitar. It was left as it is.',
  full: 'cannot be opened because the disk is full. Free some space, then try again.',
} as const;

export type TroubleKind = keyof typeof troubleWords;

/** There is no sound studio to open. What is there was not touched. */
export class StudioTrouble extends Error {
  constructor(
    readonly kind: TroubleKind,
    readonly file: string,
  ) {
    super(`${path.basename(file)} ${troubleWords[kind]}`);
    this.name = 'StudioTrouble';
  }
}

/** The database was written by a newer Levitar; nothing in it was touched. */
export class NewerDatabaseError extends StudioTrouble {
  constructor(file: string) {
    super('newer', file);
    this.name = 'NewerDatabaseError';
  }
}

/** @throws StudioTrouble `damaged` when the pages of a database do not hang together */
export function assertWhole(raw: Database.Database, file: string): void {
  const found = raw.pragma('quick_check(1)', { simple: true });
  if (found !== 'ok') throw new StudioTrouble('damaged', file);
}

/** Codes of the driver and of the file system, by what they begin with. */
const byCode: readonly (readonly [string, TroubleKind])[] = [
  ['SQLITE_CORRUPT', 'damaged'],
  ['SQLITE_NOTADB', 'damaged'],
  ['SQLITE_READONLY', 'read-only'],
  ['SQLITE_BUSY', 'locked'],
  ['SQLITE_LOCKED', 'locked'],
  ['SQLITE_FULL', 'full'],
  ['SQLITE_CANTOPEN', 'closed'],
  ['SQLITE_IOERR', 'closed'],
  ['SQLITE_PERM', 'closed'],
  ['EROFS', 'read-only'],
  ['ENOSPC', 'full'],
  ['EACCES', 'closed'],
  ['EPERM', 'closed'],
  ['ENOTDIR', 'closed'],
];

/** What an error of the driver means for a studio; an error of ours comes back as it is. */
export function toTrouble(error: unknown, file: string): Error {
  if (error instanceof StudioTrouble) return error;
  const code = String((error as { code?: unknown } | null)?.code ?? '');
  const found = byCode.find(([start]) => code.startsWith(start));
  if (found !== undefined) return new StudioTrouble(found[1], file);
  return error instanceof Error ? error : new Error('The studio was not opened.');
}
