import { and, asc, eq, inArray } from 'drizzle-orm';
import type { SavedOf } from '@/core/setups/saved';
import type { Day } from '@/core/units/day';
import type { Db } from './open';
import { savedSetup } from './schema';

export interface SavedSetup {
  readonly id: number;
  readonly personId: number;
  /** A shape of the bench, or a set-up. */
  readonly family: SavedOf;
  /** Dial values of a shape, distances of a set-up; metres and degrees. */
  readonly values: Readonly<Record<string, number>>;
  readonly note: string;
  readonly savedOn: Day;
}

/** Set-ups of several people, oldest first. */
export function listSetups(db: Db, personIds: readonly number[]): SavedSetup[] {
  if (personIds.length === 0) return [];
  return db
    .select()
    .from(savedSetup)
    .where(inArray(savedSetup.personId, [...personIds]))
    .orderBy(asc(savedSetup.id))
    .all();
}

/** @returns the id of the new set-up */
export function addSetup(db: Db, setup: Omit<SavedSetup, 'id'>): number {
  const values = { ...setup, values: { ...setup.values } };
  return db.insert(savedSetup).values(values).returning({ id: savedSetup.id }).get().id;
}

/** @returns whether there was such a set-up of that person */
export function removeSetup(db: Db, personId: number, id: number): boolean {
  const own = and(eq(savedSetup.id, id), eq(savedSetup.personId, personId));
  return db.delete(savedSetup).where(own).run().changes > 0;
}
