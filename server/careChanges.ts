/** Clinicians' words, stop signs, screening: what restricts and what lifts it. */
import { z } from 'zod';
import { cautionColumns, cautionIds, type CautionColumn } from '@/core/catalog/cautions';
import { stopSigns } from '@/core/catalog/regions';
import { ladderIds } from '@/core/catalog/stage';
import { addDays, findDayNumber } from '@/core/units/day';
import {
  addClearance,
  addSign,
  findPerson,
  removeClearance,
  removeSign,
  saveScreened,
} from '@/db/people';
import { noteInDiary } from './asking';
import { today } from './clock';
import { database } from './database';
import { judgeInRunningClasses } from './floorJudge';
import { done, refuse, toProblems, type Outcome } from './result';

const gone = { form: 'This person is no longer here. Go back to the list of people.' };
const id = z.int().positive();
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

/** Notes that a clinician has given their word. The app clears nobody; it lifts what is named. */
export function noteClearance(person: unknown, input: unknown): Outcome<number> {
  const parsed = clearanceForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  const { about, covers, ladders, notedOn, until } = parsed.data;
  if (notedOn > today()) return refuse({ notedOn: 'This date lies in the future.' });
  if (until < notedOn) return refuse({ until: 'It would end before it begins.' });
  if (until > addDays(notedOn, longestDays)) {
    return refuse({ until: 'At most a year; then ask again.' });
  }
  if (about !== 'stop-sign' && covers.length === 0) {
    return refuse({ covers: 'Name at least one kind of shape it covers.' });
  }
  return database().transaction((tx) => {
    const who = id.safeParse(person);
    const row = who.success ? findPerson(tx, who.data) : null;
    if (row === null) return refuse(gone);
    if (about !== 'stop-sign' && !row.cautions.includes(about)) {
      return refuse({ about: 'This was never reported, so there is nothing to lift.' });
    }
    const note = { about, covers, notedOn, until, ...(ladders.length > 0 ? { ladders } : {}) };
    const added = addClearance(tx, row.id, note);
    noteInDiary(tx, 'note-entered');
    judgeInRunningClasses(tx, row.id);
    return done(added);
  });
}

export function dropClearance(person: unknown, note: unknown): Outcome {
  const who = id.safeParse(person);
  const what = id.safeParse(note);
  if (!who.success || !what.success) return refuse(gone);
  return database().transaction((tx) => {
    if (!removeClearance(tx, who.data, what.data)) {
      return refuse({ form: 'This note was already taken back.' });
    }
    noteInDiary(tx, 'note-removed');
    judgeInRunningClasses(tx, who.data);
    return done(undefined);
  });
}

const signForm = z.strictObject({
  sign: z.enum(stopSigns, 'This sign is not in our list.'),
  date: z.string().refine((text) => findDayNumber(text) !== null, 'Write a date.'),
});

/** A stop sign was seen: everything head-down closes until a clinician's word is noted. */
export function noteSign(person: unknown, input: unknown): Outcome<number> {
  const parsed = signForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  if (parsed.data.date > today()) return refuse({ date: 'This date lies in the future.' });
  return database().transaction((tx) => {
    const who = id.safeParse(person);
    if (!who.success || findPerson(tx, who.data) === null) return refuse(gone);
    const added = addSign(tx, who.data, parsed.data);
    judgeInRunningClasses(tx, who.data);
    return done(added);
  });
}

/** Only a slip of the finger is taken back, and only on the day. */
export function dropSign(person: unknown, sign: unknown): Outcome {
  const who = id.safeParse(person);
  const what = id.safeParse(sign);
  if (!who.success || !what.success) return refuse(gone);
  return database().transaction((tx) => {
    const row = findPerson(tx, who.data)?.signs.find((one) => one.id === what.data);
    if (row === undefined) return refuse({ form: 'This sign was already taken back.' });
    if (row.date !== today()) {
      return refuse({ form: 'A sign of an earlier day stays; note the clinician’s word instead.' });
    }
    removeSign(tx, who.data, what.data);
    noteInDiary(tx, 'sign-lifted');
    judgeInRunningClasses(tx, who.data);
    return done(undefined);
  });
}

/** The screening was asked today. */
export function noteScreened(person: unknown): Outcome {
  return database().transaction((tx) => {
    const who = id.safeParse(person);
    if (!who.success || findPerson(tx, who.data) === null) return refuse(gone);
    saveScreened(tx, who.data, today());
    return done(undefined);
  });
}
