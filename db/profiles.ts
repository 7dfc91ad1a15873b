import { asc, eq } from 'drizzle-orm';
import { noEntries, type EntryKind, type OwnEntries } from '@/core/catalog/entries';
import type { ProfileVersion } from '@/core/catalog/school';
import type { Day } from '@/core/units/day';
import { whileUnwritten } from './changes';
import type { Db } from './open';
import { ownEntry, profileVersion } from './schema';

export interface StoredProfile extends ProfileVersion {
  readonly savedOn: Day;
  readonly isRetired: boolean;
}

/** Every version of every copy, oldest first. */
const listVersions = whileUnwritten((db): readonly StoredProfile[] =>
  db.select().from(profileVersion).orderBy(asc(profileVersion.version)).all(),
);

/** The newest version of each copy, by name; those put away are left out. */
export function listProfiles(db: Db): readonly StoredProfile[] {
  const newest = new Map(listVersions(db).map((row) => [row.key, row]));
  return [...newest.values()]
    .filter(({ isRetired }) => !isRetired)
    .sort((a, b) => a.label.localeCompare(b.label));
}

/** A version of a copy; the newest when none is named. */
export const findProfile = (db: Db, key: string, version?: number): StoredProfile | null =>
  listVersions(db).findLast(
    (row) => row.key === key && (version === undefined || row.version === version),
  ) ?? null;

/** Adds a version; earlier ones stay as they are, so that old verdicts can be explained. */
export function addProfileVersion(db: Db, profile: StoredProfile): void {
  db.insert(profileVersion).values(profile).run();
}

export const countProfiles = (db: Db): number =>
  new Set(listVersions(db).map(({ key }) => key)).size;

export const readEntries = whileUnwritten((db): OwnEntries => {
  const entries = structuredClone(noEntries) as Record<EntryKind, Record<string, unknown>>;
  for (const { key, kind, spec } of db.select().from(ownEntry).orderBy(asc(ownEntry.key)).all()) {
    entries[kind][key] = spec;
  }
  return entries as unknown as OwnEntries;
});

export function saveEntry(db: Db, key: string, kind: EntryKind, spec: unknown): void {
  db.insert(ownEntry)
    .values({ key, kind, spec })
    .onConflictDoUpdate({ target: ownEntry.key, set: { kind, spec } })
    .run();
}

export function removeEntry(db: Db, key: string): boolean {
  return db.delete(ownEntry).where(eq(ownEntry.key, key)).run().changes > 0;
}
