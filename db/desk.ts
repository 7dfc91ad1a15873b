/** The passphrase of the desk, who is signed in, and the diary. */
import { desc, eq, lt } from 'drizzle-orm';
import type { DiaryKind } from '@/core/files/diaryKinds';
import type { Db } from './open';
import { deskLock, deskSession, diary } from './schema';

export type DeskLockRow = typeof deskLock.$inferSelect;
export type DeskSessionRow = typeof deskSession.$inferSelect;
export type DiaryRow = typeof diary.$inferSelect;

const lockId = 1;

export const findDeskLock = (db: Db): DeskLockRow | null =>
  db.select().from(deskLock).where(eq(deskLock.id, lockId)).get() ?? null;

export function saveDeskLock(
  db: Db,
  values: { readonly passphrase: string; readonly recovery: string },
): void {
  const row = { ...values, wrongTries: 0, nextTryMs: 0 };
  db.insert(deskLock)
    .values({ id: lockId, ...row })
    .onConflictDoUpdate({ target: deskLock.id, set: row })
    .run();
}

export function removeDeskLock(db: Db): void {
  db.delete(deskLock).run();
}

export function saveTries(db: Db, values: { wrongTries: number; nextTryMs: number }): void {
  db.update(deskLock).set(values).run();
}

export const findDeskSession = (db: Db, tokenMark: string): DeskSessionRow | null =>
  db.select().from(deskSession).where(eq(deskSession.tokenMark, tokenMark)).get() ?? null;

export function addDeskSession(db: Db, values: Omit<DeskSessionRow, 'id' | 'isLocked'>): void {
  db.insert(deskSession).values(values).run();
}

export function saveDeskSession(
  db: Db,
  id: number,
  change: { readonly seenMs?: number; readonly isLocked?: boolean },
): void {
  db.update(deskSession).set(change).where(eq(deskSession.id, id)).run();
}

/** Everybody signs in anew; or who was last seen before a moment. */
export function clearDeskSessions(db: Db, beforeMs?: number): void {
  db.delete(deskSession)
    .where(beforeMs === undefined ? undefined : lt(deskSession.seenMs, beforeMs))
    .run();
}

export function addDiary(db: Db, values: { atMs: number; who: string; kind: DiaryKind }): void {
  db.insert(diary).values(values).run();
}

/** Newest first. */
export const listDiary = (db: Db, most: number): DiaryRow[] =>
  db.select().from(diary).orderBy(desc(diary.id)).limit(most).all();
