/** By what one sees that nothing was written since. */
import type Database from 'better-sqlite3';
import type { Db } from './open';

const serials = new WeakMap<Db, number>();
let nextSerial = 1;

/** Of this opening of the file: a copy that took its place is another one. */
function serialOf(db: Db): number {
  const known = serials.get(db) ?? nextSerial++;
  serials.set(db, known);
  return known;
}

/**
 * Another number for every row that is written, through this connection or any other.
 *
 * @returns null within a transaction: what was written may yet be taken back
 */
export function countChanges(db: Db): readonly number[] | null {
  const { $client: client } = db as { readonly $client?: Database.Database };
  if (client === undefined || client.inTransaction) return null;
  const own = client.prepare('SELECT total_changes()').pluck().get() as number;
  // Changes with a commit of any other connection, and of none of this one's.
  const others = client.pragma('data_version', { simple: true }) as number;
  return [serialOf(db), own, others];
}
