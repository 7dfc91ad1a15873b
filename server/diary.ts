/** The diary and what was set aside, for the Settings page. */
import { listDiary } from '@/db/desk';
import { z } from 'zod';
import { dropSetAside, listSetAside } from '@/db/setAside';
import { isWholePerson, takePersonBack } from '@/db/takeBack';
import { getSettings } from '@/db/courses';
import { readHeight } from './bodyForm';
import { nowMs } from './clock';
import { database } from './database';
import { noteErasing } from './erasing';
import { done, refuse, type Outcome } from './result';

export const readDiary = (most: number) => listDiary(database(), most);

export const readSetAside = () => listSetAside(database());

/** The same for the page: whether a row is a whole person, who can come back. */
export const readSetAsideLines = () =>
  readSetAside().map(({ id, place, words, row }) => ({
    id,
    place,
    words,
    isPerson: isWholePerson(place, row),
  }));

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

/** Drops for good what was set aside. */
export function dropAside(input: unknown): Outcome {
  const id = z.int().positive().safeParse(input);
  const isGone =
    id.success &&
    database().transaction((tx) => {
      const hasDropped = dropSetAside(tx, id.data);
      if (hasDropped) noteErasing(tx);
      return hasDropped;
    });
  return isGone ? done(undefined) : refuse(gone);
}
