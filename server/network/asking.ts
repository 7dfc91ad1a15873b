/** Whose change is being made, for what is kept under a name. */
import { AsyncLocalStorage } from 'node:async_hooks';
import type { DiaryKind } from '@/core/files/diaryKinds';
import { addDiary } from '@/db/desk';
import type { Db } from '@/db/open';
import type { Asker } from './asker';
import { nowMs } from '../clock';

const holder = globalThis as { levitarAsking?: AsyncLocalStorage<Asker> };
const asking = (holder.levitarAsking ??= new AsyncLocalStorage<Asker>());

export const askingAs = <T>(asker: Asker, work: () => T): T => asking.run(asker, work);

/** The name of the device or of the teacher at the desk; `desk` where none was given. */
export const whoAsks = (): string => {
  const name = asking.getStore()?.name ?? '';
  return name === '' ? 'desk' : name;
};

/** A line of the diary: who, when, what kind; never about whom. */
export function noteInDiary(db: Db, kind: DiaryKind, who = whoAsks()): void {
  addDiary(db, { atMs: nowMs(), who, kind });
}
