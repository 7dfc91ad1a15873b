/** Use cases that write: validate at the door, then one transaction each. */
import { z } from 'zod';
import { getSettings, saveSettings } from '@/db/courses';
import { findPerson, saveBody, saveCare, savePainCleared } from '@/db/people';
import { addRecord, removeRecord } from '@/db/records';
import { readBodyForm } from './bodyForm';
import { careForm } from './careForm';
import { today } from './clock';
import { database } from './database';
import { readRecordForm } from './recordForm';
import { done, refuse, toProblems, type Outcome } from './result';

const gone = { form: 'This person is no longer here. Go back to the list of people.' };
const personId = z.int().positive();

export function changeBody(id: unknown, input: unknown): Outcome {
  return database().transaction((tx) => {
    const who = personId.safeParse(id);
    if (!who.success || findPerson(tx, who.data) === null) return refuse(gone);
    const read = readBodyForm(input, getSettings(tx).units);
    if (!read.ok) return read;
    saveBody(tx, who.data, read.value);
    return done(undefined);
  });
}

export function changeCare(id: unknown, input: unknown): Outcome {
  const parsed = careForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  return database().transaction((tx) => {
    const who = personId.safeParse(id);
    if (!who.success || findPerson(tx, who.data) === null) return refuse(gone);
    saveCare(tx, who.data, { ...parsed.data, on: today() });
    return done(undefined);
  });
}

/** @returns the id of the record, for undo */
export function recordCheck(id: unknown, input: unknown): Outcome<number> {
  return database().transaction((tx) => {
    const who = personId.safeParse(id);
    if (!who.success || findPerson(tx, who.data) === null) return refuse(gone);
    const { breathSeconds } = getSettings(tx);
    const read = readRecordForm(input, { today: today(), breathSeconds });
    if (!read.ok) return read;
    return done(addRecord(tx, { personId: who.data, ...read.value }));
  });
}

export function undoRecord(id: unknown, recordId: unknown): Outcome {
  const who = personId.safeParse(id);
  const record = personId.safeParse(recordId);
  if (!who.success || !record.success) return refuse(gone);
  return database().transaction((tx) =>
    removeRecord(tx, who.data, record.data)
      ? done(undefined)
      : refuse({ form: 'This record was already taken back.' }),
  );
}

/** The student reports that earlier pain is gone, and the teacher notes it. */
export function notePainGone(id: unknown): Outcome {
  return database().transaction((tx) => {
    const who = personId.safeParse(id);
    if (!who.success || findPerson(tx, who.data) === null) return refuse(gone);
    savePainCleared(tx, who.data, today());
    return done(undefined);
  });
}

const settingsForm = z.strictObject({
  units: z.enum(['cm', 'in'], 'Centimetres or inches.').optional(),
  breathSeconds: z
    .number('Write a number.')
    .min(3, 'A breath takes at least 3 s.')
    .max(8, 'A breath takes at most 8 s.')
    .optional(),
});

export function changeSettings(input: unknown): Outcome {
  const parsed = settingsForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  database().transaction((tx) => saveSettings(tx, parsed.data));
  return done(undefined);
}
