/** Use cases that write: validate at the door, then one transaction each. */
import { z } from 'zod';
import { resolveBody } from '@/core/body/body';
import { shapeIds } from '@/core/catalog/shapes';
import { getDials, toPosture } from '@/core/posture/handles';
import { computeLoads } from '@/core/posture/loads';
import { InputProblem } from '@/core/problem';
import { getSettings, saveSettings } from '@/db/courses';
import { findPerson, saveBody, saveCare, savePainCleared } from '@/db/people';
import { addRecord, removeRecord } from '@/db/records';
import { addSetup, removeSetup } from '@/db/setups';
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

const mostNote = 300;

const setupForm = z.strictObject({
  family: z.enum(shapeIds, 'This shape is not in our list.'),
  values: z.record(z.string(), z.number('Write a number.')),
  note: z.string().max(mostNote, `At most ${mostNote} signs.`),
});

/** Keeps a set-up that was tried, after checking that this body can be in it. */
export function keepSetup(id: unknown, input: unknown): Outcome<number> {
  const parsed = setupForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  const { family, values, note } = parsed.data;
  return database().transaction((tx) => {
    const who = personId.safeParse(id);
    const person = who.success ? findPerson(tx, who.data) : null;
    if (person === null) return refuse(gone);
    for (const { parameter, low, high, label } of getDials(family)) {
      const value = values[parameter];
      if (value === undefined || value < low - 1e-9 || value > high + 1e-9) {
        return refuse({ [`values.${parameter}`]: `${label}: out of range.` });
      }
    }
    if (Object.keys(values).length !== getDials(family).length) {
      return refuse({ values: 'There is a value here that this shape does not have.' });
    }
    try {
      computeLoads(resolveBody(person.body), toPosture(family, values));
    } catch (error) {
      if (error instanceof InputProblem) return refuse({ form: error.message });
      throw error;
    }
    const setup = { personId: person.id, family, values, note: note.trim(), savedOn: today() };
    return done(addSetup(tx, setup));
  });
}

export function dropSetup(id: unknown, setupId: unknown): Outcome {
  const who = personId.safeParse(id);
  const setup = personId.safeParse(setupId);
  if (!who.success || !setup.success) return refuse(gone);
  return database().transaction((tx) =>
    removeSetup(tx, who.data, setup.data)
      ? done(undefined)
      : refuse({ form: 'This set-up was already taken back.' }),
  );
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
