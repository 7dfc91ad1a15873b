/** Somebody who was set aside whole comes back once their height is known. */
import { and, eq, sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Db } from './open';
import { isRemoved, type Gone } from './removal';
import { setAside } from './schema';
import { ofPerson, setBadRowsAside } from './setAside';

const rowShape = z.record(z.string(), z.union([z.string(), z.number(), z.null()]));
const heldShape = z.looseObject({
  id: z.int(),
  uid: z.string(),
  name: z.string(),
  story: z.partialRecord(z.enum(ofPerson), z.array(rowShape)),
});

export interface Height {
  readonly heightM: number;
  readonly heightTyped: string;
}

/** Writes a row as it was held, as far as the table still has its columns. */
function write(db: Db, table: string, row: Readonly<Record<string, unknown>>): void {
  const columns = db
    .all<{ name: string }>(sql`SELECT name FROM pragma_table_info(${table})`)
    .map(({ name }) => name)
    .filter((name) => row[name] !== undefined);
  const names = sql.join(
    columns.map((name) => sql.identifier(name)),
    sql`, `,
  );
  const values = sql.join(
    columns.map((name) => sql`${row[name]}`),
    sql`, `,
  );
  db.run(sql`INSERT OR IGNORE INTO ${sql.identifier(table)} (${names}) VALUES (${values})`);
}

const isGoneCourse = (error: unknown): boolean => {
  const codes = [error, (error as { cause?: unknown }).cause].map(
    (one) => (one as { code?: unknown } | undefined)?.code,
  );
  return codes.includes('SQLITE_CONSTRAINT_FOREIGNKEY');
};

/**
 * @param id of the row that was set aside
 * @returns the name of who is back; `null`: there is nobody to take back, or they were deleted
 */
export function takePersonBack(
  db: Db,
  id: number,
  { heightM, heightTyped }: Height,
  nowMs: number,
): string | null {
  const kept = db
    .select()
    .from(setAside)
    .where(and(eq(setAside.id, id), eq(setAside.place, 'person')))
    .get();
  const parsed = heldShape.safeParse(kept?.row);
  if (!parsed.success || isRemoved(db, parsed.data.uid)) return null;
  const { story, ...row } = parsed.data;
  write(db, 'person', { ...row, height_m: heightM, height_typed: heightTyped });
  for (const table of ofPerson) {
    for (const one of story[table] ?? []) {
      try {
        write(db, table, one);
      } catch (error) {
        // Of a course or class that is no longer there: the rest of the story comes back.
        if (!isGoneCourse(error)) throw error;
      }
    }
  }
  db.delete(setAside).where(eq(setAside.id, id)).run();
  // What else may have been wrong with it is set aside by itself.
  setBadRowsAside(db, nowMs);
  return parsed.data.name;
}

/** Who it is that was set aside as a whole; `null`: a row of another kind. */
export function findSetAsidePerson(db: Db, id: number): Gone | null {
  const kept = db.select().from(setAside).where(eq(setAside.id, id)).get();
  const parsed = heldShape.safeParse(kept?.row);
  return kept?.place === 'person' && parsed.success ? parsed.data : null;
}
