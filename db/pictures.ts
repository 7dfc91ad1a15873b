/** Marks of pictures that were kept, and the pictures where that was agreed to. */
import { and, desc, eq, isNotNull, sql } from 'drizzle-orm';
import type { Sheet } from '@/core/plumb/marks';
import type { Day } from '@/core/units/day';
import type { Db } from './open';
import { personPicture } from './schema';

export interface KeptPicture {
  readonly id: number;
  readonly on: Day;
  readonly width: number;
  readonly height: number;
  readonly sheet: Sheet;
  readonly hasPicture: boolean;
}

/** Newest first; the pictures themselves are read one by one. */
export function listPictures(db: Db, personId: number): KeptPicture[] {
  return db
    .select({
      id: personPicture.id,
      on: personPicture.on,
      width: personPicture.width,
      height: personPicture.height,
      sheet: personPicture.sheet,
      // Only whether there is one: pictures are large.
      hasPicture: sql<number>`${personPicture.jpeg} is not null`,
    })
    .from(personPicture)
    .where(eq(personPicture.personId, personId))
    .orderBy(desc(personPicture.on), desc(personPicture.id))
    .all()
    .map((row) => ({ ...row, hasPicture: row.hasPicture === 1 }));
}

export interface NewPicture {
  readonly personId: number;
  readonly on: Day;
  readonly width: number;
  readonly height: number;
  readonly sheet: Sheet;
  readonly jpeg: Buffer | null;
}

/** @returns the number of what was kept */
export const addPicture = (db: Db, values: NewPicture): number =>
  db.insert(personPicture).values(values).returning({ id: personPicture.id }).get().id;

/** @returns whether it was there */
export const removePicture = (db: Db, personId: number, id: number): boolean =>
  db
    .delete(personPicture)
    .where(and(eq(personPicture.personId, personId), eq(personPicture.id, id)))
    .run().changes > 0;

/** The picture itself; `null` where only its marks are kept, or nothing. */
export const findJpeg = (db: Db, id: number): Buffer | null =>
  db.select({ jpeg: personPicture.jpeg }).from(personPicture).where(eq(personPicture.id, id)).get()
    ?.jpeg ?? null;

/** How many pictures of somebody are kept. */
export const countJpegs = (db: Db, personId: number): number =>
  listPictures(db, personId).filter(({ hasPicture }) => hasPicture).length;

/** The numbers of all pictures that are kept, of anybody. */
export const listJpegIds = (db: Db): number[] =>
  db
    .select({ id: personPicture.id })
    .from(personPicture)
    .where(isNotNull(personPicture.jpeg))
    .all()
    .map(({ id }) => id);
