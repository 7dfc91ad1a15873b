import { chmodSync, existsSync, mkdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { is } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { getTableConfig, SQLiteTable, type BaseSQLiteDatabase } from 'drizzle-orm/sqlite-core';
import { copyFileWhole } from './copyFile';
import { hasContent, isNewFolder, markFolder } from './folder';
import { assertWhole, NewerDatabaseError, StudioTrouble, toTrouble } from './trouble';
import * as schema from './schema';

export { NewerDatabaseError };

/** The database, or a transaction on it. */
export type Db = BaseSQLiteDatabase<'sync', Database.RunResult, typeof schema>;

/**
 * Is what is read through this handle what stands on the disk? Within a transaction it may yet be
 * taken back, by whichever handle it is read: nothing of it may be remembered.
 */
export function isSettled(db: Db): boolean {
  const { $client: client } = db as { readonly $client?: Database.Database };
  return client !== undefined && !client.inTransaction;
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

/** Time stamp of the newest migration in a file, 0 for a database without any. */
function newestApplied(raw: Database.Database): number {
  const table = raw
    .prepare(`SELECT name FROM sqlite_master WHERE name = '__drizzle_migrations'`)
    .get();
  if (!table) return 0;
  const row = raw.prepare('SELECT max(created_at) AS newest FROM __drizzle_migrations').get();
  return Number((row as { newest: number | null }).newest ?? 0);
}

/** What stands in a file, before anything in it is touched. */
function lookInto(file: string): { readonly applied: number } {
  const raw = new Database(file, { fileMustExist: true });
  try {
    raw.pragma('busy_timeout = 5000');
    assertWhole(raw, file);
    const applied = newestApplied(raw);
    const tables = raw.prepare(`SELECT count(*) AS count FROM sqlite_master`).get();
    if (applied === 0) {
      // A database of something else is not made into a studio; nor is what SQLite takes for an
      // empty one, such as a file of a few bytes.
      const isEmpty = (tables as { count: number }).count === 0;
      throw new StudioTrouble(isEmpty ? 'empty' : 'foreign', file);
    }
    return { applied };
  } finally {
    raw.close();
  }
}

export interface OpenDatabase {
  readonly db: Db;
  readonly file: string;
  /** Empties the log into the main file, so that the one file is the whole; then closes it. */
  readonly close: () => void;
}

/** Where the copy goes that is made before the structure changes. */
export type CopyBefore = (file: string) => void;

const copyBeside: CopyBefore = (file) => {
  const stamp = new Date().toISOString().replace(/[:.]/g, '-');
  copyFileWhole(file, path.join(path.dirname(file), 'copies', `studio_${stamp}_version.sqlite`));
};

/**
 * Opens the database file, brings its structure up to date and returns it ready for use: WAL,
 * foreign keys on, what is deleted overwritten, readable by its owner alone. A file is made only
 * in a folder that never had one.
 *
 * @throws StudioTrouble when there is no sound studio to open; nothing was touched
 */
export function openDatabase(file: string, copyBefore: CopyBefore = copyBeside): OpenDatabase {
  const folder = path.dirname(file);
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    if (!isNewFolder(folder)) {
      if (!existsSync(file)) throw new StudioTrouble('missing', file);
      if (!hasContent(file)) throw new StudioTrouble('empty', file);
      const known = newestKnown();
      const { applied } = lookInto(file);
      if (applied > known) throw new NewerDatabaseError(file);
      if (applied < known) copyBefore(file);
    }
    const opened = connect(file);
    markFolder(folder);
    return opened;
  } catch (error) {
    throw toTrouble(error, file);
  }
}

/**
 * A file that is to take the studio's place, brought up to date like the studio itself.
 *
 * @throws StudioTrouble when it is no sound studio, or a newer one
 */
export function openCopy(file: string, { isNew = false } = {}): OpenDatabase {
  try {
    if (!isNew) {
      if (!hasContent(file)) throw new StudioTrouble('empty', file);
      if (lookInto(file).applied > newestKnown()) throw new NewerDatabaseError(file);
    }
    return connect(file);
  } catch (error) {
    throw toTrouble(error, file);
  }
}

/** @throws StudioTrouble `damaged` when a table or a column of ours is not there */
function assertComplete(raw: Database.Database, file: string): void {
  const columns = raw.prepare('SELECT name FROM pragma_table_info(?)').pluck();
  for (const table of Object.values(schema)) {
    if (!is(table, SQLiteTable)) continue;
    const config = getTableConfig(table);
    const there = new Set(columns.all(config.name));
    if (!config.columns.every(({ name }) => there.has(name))) {
      throw new StudioTrouble('damaged', file);
    }
  }
}

/** Opens, migrates and prepares; the caller has made sure that there is something to open. */
function connect(file: string): OpenDatabase {
  const raw = new Database(file);
  try {
    raw.pragma('busy_timeout = 5000');
    raw.pragma('journal_mode = WAL');
    // What was answered is on the disk, also when the power goes: a tap is told only once.
    raw.pragma('synchronous = FULL');
    raw.pragma('foreign_keys = ON');
    // What is deleted is overwritten at once, so that erasing needs no room on the disk.
    raw.pragma('secure_delete = ON');
    chmodSync(file, 0o600);
    const db = drizzle(raw, { schema });
    migrate(db, { migrationsFolder });
    assertComplete(raw, file);
    // A transaction that began by reading cannot wait for somebody else's writing: it would be
    // refused at once. Every one of ours takes its turn at the beginning instead.
    const begin = db.transaction.bind(db);
    db.transaction = (work, config) => begin(work, { behavior: 'immediate', ...config });
    // Fails on a file, folder or disk that cannot be written to.
    raw.exec('BEGIN IMMEDIATE; ROLLBACK');
    return {
      db,
      file,
      close: () => {
        if (!raw.open) return;
        try {
          raw.pragma('wal_checkpoint(TRUNCATE)');
        } finally {
          raw.close();
        }
      },
    };
  } catch (error) {
    raw.close();
    throw error;
  }
}
