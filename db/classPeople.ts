/** Plans, classes and taps name people by their id inside a file; here they are found in there. */
import { eq, sql } from 'drizzle-orm';
import type { Db } from './open';
import { classPlan, floorClass, floorTap } from './schema';

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

/** Keys under which a file says who it is about; `id` only where the entry is a person's. */
const personKeys = ['person', 'sharesWith'];
const listKeys = ['people', 'absent', 'serves'];

const isPerson = (value: Json, id: string): boolean =>
  value !== null &&
  typeof value === 'object' &&
  !Array.isArray(value) &&
  (value.person === id || value.id === id);

/** The value without what is about one person. */
export function withoutPerson(value: unknown, id: string): unknown {
  const walk = (one: Json): Json => {
    if (Array.isArray(one)) {
      return one.filter((entry) => entry !== id && !isPerson(entry, id)).map(walk);
    }
    if (one === null || typeof one !== 'object') return one;
    const entries = Object.entries(one).filter(
      ([key, held]) => !(personKeys.includes(key) && held === id) && key !== id,
    );
    return Object.fromEntries(entries.map(([key, held]) => [key, walk(held)]));
  };
  return walk(value as Json);
}

/** The value with people under other ids: another entry's, or their uid in a file. */
export function withOtherPeople(value: unknown, others: ReadonlyMap<string, string>): unknown {
  const swap = (held: Json): Json => (typeof held === 'string' ? (others.get(held) ?? held) : held);
  const walk = (one: Json, key: string): Json => {
    if (Array.isArray(one)) {
      return one.map((entry) =>
        typeof entry === 'string'
          ? listKeys.includes(key)
            ? swap(entry)
            : entry
          : walk(entry, key),
      );
    }
    if (one === null || typeof one !== 'object') {
      return personKeys.includes(key) || key === 'id' ? swap(one) : one;
    }
    return Object.fromEntries(Object.entries(one).map(([name, held]) => [name, walk(held, name)]));
  };
  return walk(value as Json, '');
}

const names = (value: unknown, id: string) => JSON.stringify(value).includes(`"${id}"`);

/** A copy made by an earlier version has fewer tables. */
const hasTable = (db: Db, name: string): boolean =>
  db.get(sql`SELECT 1 AS found FROM sqlite_master WHERE type = 'table' AND name = ${name}`) !==
  undefined;

function rewrite(
  db: Db,
  id: string,
  change: (value: unknown) => unknown,
  dropsTaps: boolean,
): void {
  for (const row of hasTable(db, 'class_plan') ? db.select().from(classPlan).all() : []) {
    if (!names(row.wishes, id) && !names(row.plan, id)) continue;
    // A plan without one of its people is no plan any more: it is composed again when it is asked for.
    const plan = dropsTaps ? null : change(row.plan);
    db.update(classPlan)
      .set({ wishes: change(row.wishes), plan })
      .where(eq(classPlan.id, row.id))
      .run();
  }
  for (const row of hasTable(db, 'floor_class') ? db.select().from(floorClass).all() : []) {
    if (!names(row.bundle, id)) continue;
    db.update(floorClass)
      .set({ bundle: change(row.bundle) })
      .where(eq(floorClass.id, row.id))
      .run();
    for (const tap of db.select().from(floorTap).where(eq(floorTap.classId, row.id)).all()) {
      if (!names(tap.payload, id)) continue;
      db.update(floorTap)
        .set(
          dropsTaps && isAbout(tap.payload, id)
            ? blank(tap.payload)
            : { payload: change(tap.payload) },
        )
        .where(eq(floorTap.id, tap.id))
        .run();
    }
  }
}

const isAbout = (payload: unknown, id: string) =>
  (payload as { act?: { person?: string } }).act?.person === id;

/** The tap keeps its place in the row of taps and says nothing. */
const blank = (payload: unknown) => ({
  kind: 'undo',
  payload: { ...(payload as object), act: { kind: 'undo', tap: 'gone' } },
});

/** Takes a deleted person out of every plan, class and tap. */
export const forgetInClasses = (db: Db, id: string): void =>
  rewrite(db, id, (value) => withoutPerson(value, id), true);

/** Two entries of one person became one. */
export const renameInClasses = (db: Db, from: string, to: string): void =>
  rewrite(db, from, (value) => withOtherPeople(value, new Map([[from, to]])), false);
