/** By what one sees that nothing was written since. */
import type Database from 'better-sqlite3';
import { isSettled, type Db } from './open';

const serials = new WeakMap<Db, number>();
let nextSerial = 1;

/** Of this opening of the file: a copy that took its place is another one. */
function serialOf(db: Db): number {
  const known = serials.get(db) ?? nextSerial++;
  serials.set(db, known);
  return known;
}

interface Counters {
  readonly own: Database.Statement<[], number>;
  readonly others: Database.Statement<[], number>;
}

const countersOf = new WeakMap<Database.Database, Counters>();

/** Asked many times for one page: prepared once for each opening of the file. */
function counters(client: Database.Database): Counters {
  const known = countersOf.get(client);
  if (known !== undefined) return known;
  const made = {
    own: client.prepare<[], number>('SELECT total_changes()').pluck(),
    // Changes with a commit of any other connection, and of none of this one's.
    others: client.prepare<[], number>('PRAGMA data_version').pluck(),
  };
  countersOf.set(client, made);
  return made;
}

/**
 * Another number for every row that is written, through this connection or any other.
 *
 * @returns null within a transaction: what was written may yet be taken back
 */
export function countChanges(db: Db): readonly [number, number, number] | null {
  const { $client: client } = db as { readonly $client?: Database.Database };
  if (client === undefined || !isSettled(db)) return null;
  const { own, others } = counters(client);
  return [serialOf(db), own.get()!, others.get()!];
}

interface Kept {
  readonly own: number;
  readonly others: number;
  readonly answers: Map<object, Map<string | number, unknown>>;
}

let keptOf = new WeakMap<Db, Kept>();

/** Where somebody was deleted, not even a day of theirs stays in memory. */
export function forgetRead(): void {
  keptOf = new WeakMap();
}

/** What was read since anything was last written; null where nothing may be kept. */
function keptSince(db: Db): Kept | null {
  const now = countChanges(db);
  if (now === null) return null;
  const [, own, others] = now;
  const known = keptOf.get(db);
  if (known?.own === own && known.others === others) return known;
  const fresh: Kept = { own, others, answers: new Map() };
  keptOf.set(db, fresh);
  return fresh;
}

/** All the way down: what many are given, nobody changes. */
function freeze<T>(value: T): T {
  if (typeof value !== 'object' || value === null || Object.isFrozen(value)) return value;
  for (const part of Object.values(value)) freeze(part);
  return Object.freeze(value);
}

/**
 * A reading that is done again only once something was written, by whomever: a page asks for the
 * same few rows dozens of times. For what is small; people have a memory of their own, by revision.
 *
 * @param read what it gives is frozen, and shared by all who ask
 */
export function whileUnwritten<Key extends [] | [string | number], Answer>(
  read: (db: Db, ...key: Key) => Answer,
): (db: Db, ...key: Key) => Answer {
  return (db, ...key) => {
    const kept = keptSince(db);
    if (kept === null) return read(db, ...key);
    const [own = ''] = key;
    const answers = kept.answers.get(read) ?? new Map<string | number, unknown>();
    kept.answers.set(read, answers);
    if (!answers.has(own)) answers.set(own, freeze(read(db, ...key)));
    return answers.get(own) as Answer;
  };
}
