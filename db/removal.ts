/** Deleting people really: here, and in the copies that start-up has made. */
import { createHash } from 'node:crypto';
import path from 'node:path';
import Database from 'better-sqlite3';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { eq, inArray, sql } from 'drizzle-orm';
import type { Day } from '@/core/units/day';
import { forgetInClasses, renameInClasses } from './classPeople';
import type { Db } from './open';
import { mergePersonTables, unitePeople } from './personRegistry';
import * as schema from './schema';
import {
  attendance,
  checkRecord,
  course,
  decision,
  floorClass,
  peopleImport,
  person,
  removedPerson,
  savedSetup,
} from './schema';

/** What stays behind: nothing that leads back to a name. */
export const markOf = (uid: string) => createHash('sha256').update(`levitar:${uid}`).digest('hex');

export function isRemoved(db: Db, uid: string): boolean {
  return (
    db
      .select()
      .from(removedPerson)
      .where(eq(removedPerson.mark, markOf(uid)))
      .get() !== undefined
  );
}

/** Drops what could not be read about somebody and was set aside; before their own rows go. */
export function forgetSetAside(db: Db, id: number, uid: string): void {
  db.run(sql`DELETE FROM set_aside WHERE json_extract(row, '$.person_id') = ${id}
    OR json_extract(row, '$.uid') = ${uid} OR (place = 'decision'
    AND json_extract(row, '$.rowid_') IN (SELECT id FROM decision WHERE person_id = ${id}))`);
}

/** Deletes a person and everything about them; with a uid, the mark stays behind. */
export function removePerson(db: Db, id: number, uid: string | null, on: Day): void {
  forgetInClasses(db, String(id));
  if (uid !== null) forgetSetAside(db, id, uid);
  db.delete(person).where(eq(person.id, id)).run();
  if (uid === null) return;
  db.insert(removedPerson)
    .values({ mark: markOf(uid), removedOn: on })
    .onConflictDoNothing()
    .run();
}

/**
 * Overwrites what was deleted on disk, instead of only forgetting where it stood. Deleting itself
 * writes zeros over it (`secure_delete`); here they reach the file, and the log is emptied, which
 * needs no room on the disk. Where there is room the file is written anew, without its holes.
 *
 * @returns false when somebody still reads the log, so that it could not be emptied
 */
export function eraseDeleted(db: Db): boolean {
  const empty = () => db.get<{ busy: number }>(sql`PRAGMA wal_checkpoint(TRUNCATE)`).busy === 0;
  if (!empty()) return false;
  try {
    db.run(sql`VACUUM`);
  } catch (error) {
    // Only for room: what was deleted is overwritten already.
    if ((error as { code?: string }).code !== 'SQLITE_FULL') throw error;
  }
  return empty();
}

const hasTable = (raw: Database.Database, name: string): boolean =>
  raw.prepare('SELECT 1 FROM sqlite_master WHERE name = ?').get(name) !== undefined;

/** Who is to be taken out of the copies. */
export interface Gone {
  readonly id: number;
  readonly uid: string;
  readonly name: string;
}

/**
 * Takes a person out of every copy as well: by uid where the copy knows it. Copies from before
 * that know only ids, which are never given twice in one database; the copy put aside by a reset
 * is another database, so there the name must agree.
 *
 * @returns the names of copies that could not be opened and so still hold them
 */
export function purgeCopies(copies: readonly string[], { id, uid, name }: Gone): string[] {
  const left: string[] = [];
  for (const copy of copies) {
    try {
      const raw = new Database(copy, { fileMustExist: true });
      try {
        raw.pragma('foreign_keys = ON');
        raw.pragma('secure_delete = ON');
        const columns = raw.pragma('table_info(person)') as { readonly name: string }[];
        if (columns.some((column) => column.name === 'uid')) {
          const here = raw.prepare('SELECT id FROM person WHERE uid = ?').get(uid) as
            { readonly id: number } | undefined;
          // Plans, classes and taps of the copy name people as well.
          const db = drizzle(raw, { schema });
          if (here !== undefined) forgetInClasses(db, String(here.id));
          // Numbers begin at 1: nobody's, where the copy holds them set aside as a whole.
          if (hasTable(raw, 'set_aside')) forgetSetAside(db, here?.id ?? 0, uid);
          raw.prepare('DELETE FROM person WHERE uid = ?').run(uid);
        } else if (path.basename(copy) === 'before-reset.sqlite') {
          raw.prepare('DELETE FROM person WHERE id = ? AND name = ?').run(id, name);
        } else {
          raw.prepare('DELETE FROM person WHERE id = ?').run(id);
        }
        raw.exec('VACUUM');
        raw.pragma('wal_checkpoint(TRUNCATE)');
      } finally {
        raw.close();
      }
    } catch {
      left.push(path.basename(copy));
    }
  }
  return left;
}

/**
 * Gives everything of one entry to another of the same person and deletes the first. What
 * restricts is united, never dropped; where both say something else, what is kept wins.
 */
export function mergePeople(db: Db, keep: number, drop: number): void {
  db.run(sql`UPDATE set_aside SET row = json_set(row, '$.person_id', ${keep})
    WHERE json_extract(row, '$.person_id') = ${drop}`);
  mergePersonTables(db, keep, drop);
  renameInClasses(db, String(drop), String(keep));
  const rows = db
    .select()
    .from(person)
    .where(inArray(person.id, [keep, drop]))
    .all();
  const kept = rows.find(({ id }) => id === keep)!;
  const dropped = rows.find(({ id }) => id === drop)!;
  db.update(person)
    .set(unitePeople('merged', kept, dropped))
    .where(eq(person.id, keep))
    .run();
  db.delete(person).where(eq(person.id, drop)).run();
}

/** @returns the id of the import, written before its people */
export function addImport(db: Db, on: Day, people: number): number {
  return db
    .insert(peopleImport)
    .values({ importedOn: on, people })
    .returning({ id: peopleImport.id })
    .get().id;
}

/** People of an import that are still as they came: nothing was recorded or decided since. */
export function listImported(
  db: Db,
  importId: number,
): { id: number; uid: string; isUntouched: boolean }[] {
  return db
    .select({ id: person.id, uid: person.uid })
    .from(person)
    .where(eq(person.importId, importId))
    .all()
    .map((row) => {
      const has = (
        table: typeof checkRecord | typeof decision | typeof savedSetup | typeof attendance,
      ) =>
        db
          .select({ one: sql<number>`1` })
          .from(table)
          .where(eq(table.personId, row.id))
          .limit(1)
          .get() !== undefined;
      return { ...row, isUntouched: ![checkRecord, decision, savedSetup, attendance].some(has) };
    });
}

export interface StudioSize {
  readonly people: number;
  readonly records: number;
  readonly decisions: number;
  readonly courses: number;
  readonly classes: number;
}

/** How much a studio holds, for comparing two states of it. */
export function countStudio(db: Db): StudioSize {
  const count = (table: SQLiteTable) =>
    db
      .select({ count: sql<number>`count(*)` })
      .from(table)
      .get()?.count ?? 0;
  return {
    people: count(person),
    records: count(checkRecord),
    decisions: count(decision),
    courses: count(course),
    classes: count(floorClass),
  };
}

/** Every table emptied; the marks of the deleted stay. */
export function clearAll(db: Db): void {
  for (const table of [
    'course',
    'person',
    'profile_version',
    'own_entry',
    'own_piece',
    'people_import',
    'settings',
    'device',
    'pairing',
    'tap_device',
  ]) {
    db.run(sql.raw(`DELETE FROM \`${table}\``));
  }
}
