/** The diary and what was set aside, for the Settings page. */
import { listDiary } from '@/db/desk';
import { z } from 'zod';
import { dropSetAside, listSetAside } from '@/db/setAside';
import { removePerson } from '@/db/removal';
import { findSetAsidePerson, takePersonBack } from '@/db/takeBack';
import { getSettings } from '@/db/courses';
import { readHeight } from '@/features/person/bodyForm';
import { noteInDiary } from '@/server/network/asking';
import { purgeEverywhere } from '@/server/copies/purge';
import { database } from '@/server/database';
import { finishErasing, noteErasing } from '@/server/files/erasing';
import { done, refuse, type Outcome } from '@/server/result';
import { change, numberOf, work } from '@/server/useCase';

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

const gone = { form: 'This is no longer here, or was deleted on request.' };
const backForm = z.strictObject({ id: numberOf(gone.form), height: z.string().trim().max(20) });

/** Takes somebody back who was set aside for a height that nobody has. @returns their name */
export const takeBack = change([backForm], ({ db, nowMs }, { id, height }): Outcome<string> => {
  const read = readHeight(height, getSettings(db).units);
  if (!read.ok) return read;
  const name = takePersonBack(db, id, read.value, nowMs);
  return name === null ? refuse(gone) : done(name);
});

/** Drops for good what was set aside. A whole person is deleted with it, from the copies as well. */
export const dropAside = work(
  [numberOf(gone.form)],
  async ({ db, today }, id): Promise<Outcome> => {
    const who = findSetAsidePerson(db, id);
    const isGone = db.transaction((tx) => {
      const hasDropped = dropSetAside(tx, id);
      if (!hasDropped) return false;
      if (who !== null) {
        removePerson(tx, who.id, who.uid, today);
        noteInDiary(tx, 'deleted');
      }
      noteErasing(tx);
      return true;
    });
    if (!isGone) return refuse(gone);
    if (who !== null) await purgeEverywhere([who]);
    finishErasing();
    return done(undefined);
  },
);
