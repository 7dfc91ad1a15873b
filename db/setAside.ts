/**
 * Rows that no form and no file of ours would have let in: written by another program, by an
 * earlier version, or damaged. They are set aside with a sentence, so that every page opens. What
 * restricts somebody is never lost by that: it stays as words of the teacher's own.
 */
import { desc, eq, sql } from 'drizzle-orm';
import type { Db } from './open';
import { personTableSqlNames } from './personRegistry';
import { setAside } from './schema';
import { jsonColumns, parseJson, rules, type Row, type Rule } from './setAsideRules';

const selectOf = ({ table, where = 'true' }: Rule) =>
  table === 'person_length'
    ? `SELECT l.rowid AS rowid_, l.*, p.height_m AS height_of FROM person_length l JOIN person p ON p.id = l.person_id`
    : `SELECT rowid AS rowid_, * FROM "${table}" WHERE ${where}`;

/**
 * Looks through the studio and sets aside what cannot be read.
 *
 * @param nowMs when
 * @returns how many rows or values that was
 */
export function setBadRowsAside(db: Db, nowMs: number): number {
  let count = 0;
  const keep = (place: string, words: string, row: Row) => {
    count += 1;
    db.insert(setAside).values({ place, words, row, onMs: nowMs }).run();
  };
  for (const [table, column, usual] of jsonColumns) {
    const rows = db.all<Row>(
      sql.raw(`SELECT rowid AS rowid_, "${column}" AS held FROM "${table}"
        WHERE "${column}" IS NOT NULL AND NOT json_valid("${column}")`),
    );
    for (const row of rows) {
      keep(table, 'Something that was kept could not be read.', row);
      const value = usual === 'null' ? sql`NULL` : sql`${usual}`;
      db.run(
        sql`UPDATE ${sql.identifier(table)} SET ${sql.identifier(column)} = ${value} WHERE rowid = ${row.rowid_}`,
      );
    }
  }
  count += setOrphansAside(db, nowMs);
  for (const rule of rules) {
    // A row may be wrong in several ways: it is looked at until nothing is found.
    for (let round = 0; round < 6; round += 1) {
      let changed = 0;
      for (const row of db.all<Row>(sql.raw(selectOf(rule)))) {
        const finding = rule.find(row);
        if (finding === null) continue;
        changed += 1;
        keep(
          rule.place,
          finding.words,
          rule.table === 'person' && finding.set === undefined ? withStory(db, row) : row,
        );
        if (finding.restricts !== undefined) restrict(db, row, finding.restricts);
        const table = sql.identifier(rule.table);
        if (finding.set === undefined) {
          db.run(sql`DELETE FROM ${table} WHERE rowid = ${row.rowid_}`);
          continue;
        }
        for (const [column, value] of Object.entries(finding.set)) {
          db.run(
            sql`UPDATE ${table} SET ${sql.identifier(column)} = ${value} WHERE rowid = ${row.rowid_}`,
          );
        }
      }
      if (changed === 0) break;
    }
  }
  return count;
}

interface Orphan {
  readonly table: string;
  readonly rowid: number;
  readonly fkid: number;
}

/**
 * Rows that belong to somebody or something that is not there. Where a row may do without (a record
 * whose class is gone), it stays and only lets go; else it is set aside.
 *
 * @returns how many
 */
function setOrphansAside(db: Db, nowMs: number): number {
  let count = 0;
  // What goes may have had rows of its own.
  for (let round = 0; round < 6; round += 1) {
    const orphans = db.all<Orphan>(sql`PRAGMA foreign_key_check`);
    if (orphans.length === 0) break;
    for (const { table, rowid, fkid } of orphans) {
      const name = sql.identifier(table);
      const row = db.get<Row | undefined>(sql`SELECT * FROM ${name} WHERE rowid = ${rowid}`);
      // Two of its ties may have been loose.
      if (row === undefined) continue;
      const tie = db.get<{ column: string; rule: string }>(
        sql`SELECT "from" AS "column", on_delete AS "rule" FROM pragma_foreign_key_list(${table})
          WHERE id = ${fkid}`,
      );
      count += 1;
      const words = 'A row belongs to nobody and nothing that is here.';
      db.insert(setAside).values({ place: table, words, row, onMs: nowMs }).run();
      if (tie.rule === 'SET NULL') {
        db.run(sql`UPDATE ${name} SET ${sql.identifier(tie.column)} = NULL WHERE rowid = ${rowid}`);
      } else db.run(sql`DELETE FROM ${name} WHERE rowid = ${rowid}`);
    }
  }
  return count;
}

/** What restricts somebody outlives the row it stood in. */
function restrict(db: Db, { person_id }: Row, words: string): void {
  const now = db.get<{ other_words: string }>(
    sql`SELECT other_words FROM person WHERE id = ${person_id}`,
  );
  const list = parseJson(now?.other_words);
  const next = [...(Array.isArray(list) ? list : []), words.slice(0, 200)];
  db.run(sql`UPDATE person SET other_words = ${JSON.stringify(next)} WHERE id = ${person_id}`);
}

export const ofPerson = personTableSqlNames;

/** Everything about somebody whose entry goes. */
const withStory = (db: Db, row: Row): Row => ({
  ...row,
  story: Object.fromEntries(
    ofPerson.map((table) => [
      table,
      db.all(sql`SELECT * FROM ${sql.identifier(table)} WHERE person_id = ${row.id}`),
    ]),
  ),
});

export const listSetAside = (db: Db) => db.select().from(setAside).orderBy(desc(setAside.id)).all();

export const dropSetAside = (db: Db, id: number): boolean =>
  db.delete(setAside).where(eq(setAside.id, id)).run().changes > 0;
