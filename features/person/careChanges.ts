/** Clinicians' words, stop signs, screening: what restricts and what lifts it. */
import { z } from 'zod';
import { cautionColumns, type CautionColumn } from '@/core/catalog/cautionColumns';
import { cautionIds } from '@/core/catalog/cautions';
import { stopSigns } from '@/core/catalog/regions';
import { ladderIds } from '@/core/catalog/stage';
import { day } from '@/core/files/schemas';
import { addDays, findDayNumber, type Day } from '@/core/units/day';
import {
  addClearance,
  addSign,
  removeClearance,
  removeSign,
  saveScreened,
} from '@/db/personChanges';
import { noteInDiary } from '@/server/network/asking';
import { judgeInRunningClasses } from '@/server/running/floorJudge';
import { done, refuse, type Outcome } from '@/server/result';
import { aPerson, change, numberOf } from '@/server/useCase';

const columns = Object.keys(cautionColumns) as [CautionColumn, ...CautionColumn[]];
/** Longer than this a clinician's word is asked for anew. */
const longestDays = 366;

const clearanceForm = z.strictObject({
  about: z.enum([...cautionIds, 'stop-sign'], 'Choose what the word is about.'),
  covers: z.array(z.enum(columns)),
  ladders: z.array(z.enum(ladderIds)),
  notedOn: z.string().refine((text) => findDayNumber(text) !== null, 'Write a date.'),
  until: z.string().refine((text) => findDayNumber(text) !== null, 'Write a date.'),
});

export type ClearanceForm = z.input<typeof clearanceForm>;

/** Notes that a clinician has given their word. The app clears nobody; it lifts what is named. */
export const noteClearance = change(
  [aPerson, clearanceForm],
  ({ db, today }, person, form): Outcome<number> => {
    const { about, covers, ladders, notedOn, until } = form;
    if (notedOn > today) return refuse({ notedOn: 'This date lies in the future.' });
    if (until < notedOn) return refuse({ until: 'It would end before it begins.' });
    if (until > addDays(notedOn, longestDays)) {
      return refuse({ until: 'At most a year; then ask again.' });
    }
    if (covers.length === 0) {
      return refuse({ covers: 'Name at least one kind of shape it covers.' });
    }
    if (about !== 'stop-sign' && !person.cautions.includes(about)) {
      return refuse({ about: 'This was never reported, so there is nothing to lift.' });
    }
    const note = { about, covers, notedOn, until, ...(ladders.length > 0 ? { ladders } : {}) };
    const added = addClearance(db, person.id, note);
    noteInDiary(db, 'note-entered');
    judgeInRunningClasses(db, person.id);
    return done(added);
  },
);

const backNote = { form: 'This note was already taken back.' };

export const dropClearance = change(
  [aPerson, numberOf(backNote.form)],
  ({ db }, person, note): Outcome => {
    if (!removeClearance(db, person.id, note)) return refuse(backNote);
    noteInDiary(db, 'note-removed');
    judgeInRunningClasses(db, person.id);
    return done(undefined);
  },
);

const signForm = z.strictObject({
  sign: z.enum(stopSigns, 'This sign is not in our list.'),
  date: z.string().refine((text) => findDayNumber(text) !== null, 'Write a date.'),
});

/** A stop sign was seen: everything head-down closes until a clinician's word is noted. */
export const noteSign = change(
  [aPerson, signForm],
  ({ db, today }, person, form): Outcome<number> => {
    if (form.date > today) return refuse({ date: 'This date lies in the future.' });
    const added = addSign(db, person.id, form);
    judgeInRunningClasses(db, person.id);
    return done(added);
  },
);

const backSign = { form: 'This sign was already taken back.' };

/** Only a slip of the finger is taken back, and only on the day. */
export const dropSign = change(
  [aPerson, numberOf(backSign.form)],
  ({ db, today }, person, sign): Outcome => {
    const row = person.signs.find((one) => one.id === sign);
    if (row === undefined) return refuse(backSign);
    if (row.date !== today) {
      return refuse({ form: 'A sign of an earlier day stays; note the clinician’s word instead.' });
    }
    removeSign(db, person.id, sign);
    noteInDiary(db, 'sign-lifted');
    judgeInRunningClasses(db, person.id);
    return done(undefined);
  },
);

/**
 * The screening was asked today.
 *
 * @returns the day on which it was asked before, for the way back
 */
export const noteScreened = change([aPerson], ({ db, today }, person): Outcome<Day | null> => {
  saveScreened(db, person.id, today);
  // Whoever was never asked has less open than whoever was.
  judgeInRunningClasses(db, person.id);
  return done(person.screenedOn);
});

/** Tapped by mistake: asked when it was asked, or never. */
export const undoScreened = change(
  [aPerson, z.strictObject({ was: day.nullable() })],
  ({ db, today }, person, { was }): Outcome => {
    if (person.screenedOn !== today || (was !== null && was > today)) {
      return refuse({ form: 'It was noted anew meanwhile, and stays.' });
    }
    saveScreened(db, person.id, was);
    judgeInRunningClasses(db, person.id);
    return done(undefined);
  },
);
