/** The desk: its passphrase, who is signed in, and the diary of what matters. */
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { diaryKinds } from '@/core/files/diaryKinds';

/** One row where a passphrase is set; digests only. */
export const deskLock = sqliteTable('desk_lock', {
  id: integer('id').primaryKey(),
  /** As written by server/desk/digest: the derivation, its parameters, salt and digest. */
  passphrase: text('passphrase').notNull(),
  recovery: text('recovery').notNull(),
  wrongTries: integer('wrong_tries').notNull().default(0),
  /** No try is looked at before this moment. */
  nextTryMs: integer('next_try_ms').notNull().default(0),
});

/** A browser that signed in at the desk. */
export const deskSession = sqliteTable('desk_session', {
  id: integer('id').primaryKey({ autoIncrement: true }),
  tokenMark: text('token_mark').notNull().unique(),
  name: text('name').notNull(),
  seenMs: integer('seen_ms').notNull(),
  isLocked: integer('is_locked', { mode: 'boolean' }).notNull().default(false),
});

/** Who did what kind of thing when; about whom is not said. */
export const diary = sqliteTable(
  'diary',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    atMs: integer('at_ms').notNull(),
    who: text('who').notNull(),
    kind: text('kind', { enum: diaryKinds }).notNull(),
  },
  (table) => [index('diary_at').on(table.atMs)],
);

/**
 * What could not be read and would have kept pages from opening: the row as it stood, and why.
 * Nothing is thrown away; it is handed out with the studio's settings.
 */
export const setAside = sqliteTable('set_aside', {
  id: integer('id').primaryKey({ autoIncrement: true }),
  place: text('place').notNull(),
  words: text('words').notNull(),
  row: text('row', { mode: 'json' }).$type<unknown>().notNull(),
  onMs: integer('on_ms').notNull(),
});
