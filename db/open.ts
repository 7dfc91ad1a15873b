import { chmodSync, copyFileSync, existsSync, mkdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import type { BaseSQLiteDatabase } from 'drizzle-orm/sqlite-core';
import * as schema from './schema';

/** The database, or a transaction on it. */
export type Db = BaseSQLiteDatabase<'sync', Database.RunResult, typeof schema>;

/** The database was written by a newer Levitar; nothing in it was touched. */
export class NewerDatabaseError extends Error {
  constructor(file: string) {
    super(
      `${path.basename(file)} was written by a newer version of Levitar. It has not been changed. ` +
        'Start the newer version, or point LEVITAR_DATA at another folder.',
    );
    this.name = 'NewerDatabaseError';
  }
}

interface Journal {
  readonly entries: readonly { readonly when: number; readonly tag: string }[];
}

const migrationsFolder = path.join(process.cwd(), 'db', 'migrations');

function newestKnown(): number {
  const file = path.join(migrationsFolder, 'meta', '_journal.json');
  const journal = JSON.parse(readFileSync(file, 'utf8')) as Journal;
  return Math.max(...journal.entries.map(({ when }) => when));
}

/** Time stamp of the newest migration in the file, 0 for a database without any. */
function newestApplied(file: string): number {
  const raw = new Database(file, { readonly: true });
  try {
    const table = raw
      .prepare(`SELECT name FROM sqlite_master WHERE name = '__drizzle_migrations'`)
      .get();
    if (!table) return 0;
    const row = raw.prepare('SELECT max(created_at) AS newest FROM __drizzle_migrations').get();
    return Number((row as { newest: number | null }).newest ?? 0);
  } finally {
    raw.close();
  }
}

/** A copy beside the database before anything changes its structure. */
function copyBefore(file: string, newest: number): void {
  // Empties the log into the main file, so that the copy is whole.
  const raw = new Database(file);
  raw.pragma('wal_checkpoint(TRUNCATE)');
  raw.close();
  const copy = path.join(path.dirname(file), `before-${newest}.sqlite`);
  copyFileSync(file, copy);
  chmodSync(copy, 0o600);
}

export interface OpenDatabase {
  readonly db: Db;
  readonly close: () => void;
}

/**
 * Opens the database file, brings its structure up to date and returns it ready for use: WAL,
 * foreign keys on, readable by its owner alone. Creates file and folder where missing.
 *
 * @throws NewerDatabaseError when a newer version wrote it; the file is left as it was
 */
export function openDatabase(file: string): OpenDatabase {
  mkdirSync(path.dirname(file), { recursive: true, mode: 0o700 });
  const known = newestKnown();
  if (existsSync(file)) {
    const applied = newestApplied(file);
    if (applied > known) throw new NewerDatabaseError(file);
    if (applied < known) copyBefore(file, known);
  }
  const raw = new Database(file);
  raw.pragma('journal_mode = WAL');
  // What was answered is on the disk, also when the power goes: a tap is told only once.
  raw.pragma('synchronous = FULL');
  raw.pragma('foreign_keys = ON');
  raw.pragma('busy_timeout = 5000');
  chmodSync(file, 0o600);
  const db = drizzle(raw, { schema });
  migrate(db, { migrationsFolder });
  return { db, close: () => raw.close() };
}
