import { and, asc, desc, eq } from 'drizzle-orm';
import { noEntries, type EntryKind, type OwnEntries } from '@/core/catalog/entries';
import type { ProfileVersion } from '@/core/catalog/school';
import type { Day } from '@/core/units/day';
import type { Db } from './open';
import { ownEntry, profileVersion } from './schema';

export interface StoredProfile extends ProfileVersion {
  readonly savedOn: Day;
  readonly isRetired: boolean;
}

/** The newest version of each copy, by name; those put away are left out. */
export function listProfiles(db: Db): StoredProfile[] {
  const newest = new Map<string, StoredProfile>();
  for (const row of db.select().from(profileVersion).orderBy(asc(profileVersion.version)).all()) {
    newest.set(row.key, row);
  }
  return [...newest.values()]
    .filter(({ isRetired }) => !isRetired)
    .sort((a, b) => a.label.localeCompare(b.label));
}

/** A version of a copy; the newest when none is named. */
export function findProfile(db: Db, key: string, version?: number): StoredProfile | null {
  const own = eq(profileVersion.key, key);
  const row = db
    .select()
    .from(profileVersion)
    .where(version === undefined ? own : and(own, eq(profileVersion.version, version)))
    .orderBy(desc(profileVersion.version))
    .limit(1)
    .get();
  return row ?? null;
}

/** Adds a version; earlier ones stay as they are, so that old verdicts can be explained. */
export function addProfileVersion(db: Db, profile: StoredProfile): void {
  db.insert(profileVersion).values(profile).run();
}

export function countProfiles(db: Db): number {
  return new Set(
    db
      .select({ key: profileVersion.key })
      .from(profileVersion)
      .all()
      .map(({ key }) => key),
  ).size;
}

export function readEntries(db: Db): OwnEntries {
  const entries = structuredClone(noEntries) as Record<EntryKind, Record<string, unknown>>;
  for (const { key, kind, spec } of db.select().from(ownEntry).orderBy(asc(ownEntry.key)).all()) {
    entries[kind][key] = spec;
  }
  return entries as unknown as OwnEntries;
}

export function saveEntry(db: Db, key: string, kind: EntryKind, spec: unknown): void {
  db.insert(ownEntry)
    .values({ key, kind, spec })
    .onConflictDoUpdate({ target: ownEntry.key, set: { kind, spec } })
    .run();
}

export function removeEntry(db: Db, key: string): boolean {
  return db.delete(ownEntry).where(eq(ownEntry.key, key)).run().changes > 0;
}
