/** The diary and what was set aside, for the Settings page. */
import { listDiary } from '@/db/desk';
import { z } from 'zod';
import { dropSetAside, listSetAside } from '@/db/setAside';
import { removePerson } from '@/db/removal';
import { findSetAsidePerson, takePersonBack } from '@/db/takeBack';
import { getSettings } from '@/db/courses';
import { readHeight } from './bodyForm';
import { noteInDiary } from './asking';
import { nowMs, today } from './clock';
import { purgeEverywhere } from './copies/purge';
import { database } from './database';
import { finishErasing, noteErasing } from './erasing';
import { done, refuse, type Outcome } from './result';

export const readDiary = (most: number) => listDiary(database(), most);

export const readSetAside = () => listSetAside(database());

/** The same for the page: whether a row is a whole person, who can come back. */
export const readSetAsideLines = () =>
  readSetAside().map(({ id, place, words }) => {
    const who = place === 'person' ? findSetAsidePerson(database(), id) : null;
    // Whose height it should be.
    return {
      id,
      place,
      words: who === null ? words : `${who.name}. ${words}`,
      isPerson: who !== null,
    };
  });

const backForm = z.strictObject({ id: z.int().positive(), height: z.string().trim().max(20) });
const gone = { form: 'This is no longer here, or was deleted on request.' };

/** Takes somebody back who was set aside for a height that nobody has. @returns their name */
export function takeBack(input: unknown): Outcome<string> {
  const parsed = backForm.safeParse(input);
  if (!parsed.success) return refuse(gone);
  const { id, height } = parsed.data;
  const db = database();
  const { units } = getSettings(db);
  const read = readHeight(height, units);
  if (!read.ok) return read;
  const name = db.transaction((tx) => takePersonBack(tx, id, read.value, nowMs()));
  return name === null ? refuse(gone) : done(name);
}

/** Drops for good what was set aside. A whole person is deleted with it, from the copies as well. */
export async function dropAside(input: unknown): Promise<Outcome> {
  const id = z.int().positive().safeParse(input);
  if (!id.success) return refuse(gone);
  const who = findSetAsidePerson(database(), id.data);
  const isGone = database().transaction((tx) => {
    const hasDropped = dropSetAside(tx, id.data);
    if (!hasDropped) return false;
    if (who !== null) {
      removePerson(tx, who.id, who.uid, today());
      noteInDiary(tx, 'deleted');
    }
    noteErasing(tx);
    return true;
  });
  if (!isGone) return refuse(gone);
  if (who !== null) await purgeEverywhere([who]);
  finishErasing();
  return done(undefined);
}
