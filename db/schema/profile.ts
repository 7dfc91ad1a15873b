/** Copies of profiles and entries of a teacher’s own. */
import { integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { profileIds } from '@/core/catalog/profiles';
import type { ProfileChanges } from '@/core/catalog/school';

/** A teacher's copy of a profile; each saved state is a version of its own and stays. */
export const profileVersion = sqliteTable(
  'profile_version',
  {
    key: text('key').notNull(),
    version: integer('version').notNull(),
    label: text('label').notNull(),
    origin: text('origin', { enum: profileIds }).notNull(),
    changes: text('changes', { mode: 'json' }).$type<ProfileChanges>().notNull(),
    savedOn: text('saved_on').notNull(),
    /** The copy was put away with this version. */
    isRetired: integer('is_retired', { mode: 'boolean' }).notNull().default(false),
  },
  (table) => [primaryKey({ columns: [table.key, table.version] })],
);

/** A teacher's own stages, branches, drills and checks. */
export const ownEntry = sqliteTable('own_entry', {
  key: text('key').primaryKey(),
  kind: text('kind', { enum: ['stages', 'branches', 'drills', 'checks'] }).notNull(),
  spec: text('spec', { mode: 'json' }).$type<unknown>().notNull(),
});
