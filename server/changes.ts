/** Use cases that write: validate at the door, then one transaction each. */
import { exact } from '@/core/exact';
import { z } from 'zod';
import { resolveBody } from '@/core/body/body';
import { lengthIds, lengthTable } from '@/core/body/lengths';
import { cautionTable } from '@/core/catalog/cautions';
import { distanceWords } from '@/core/setups/distanceWords';
import { getSetup, keptDistances, type SetupId } from '@/core/setups/registry';
import { isShapeId, keptFromSaved, savedOfIds } from '@/core/setups/saved';
import { getDials, toPosture } from '@/core/shapes/values';
import { computeLoads } from '@/core/shapes/loads';
import { InputProblem } from '@/core/problem';
import { parseHeight, parseLength, type LengthUnits } from '@/core/units/length';
import { lineOf, wordsOf } from '@/core/units/text';
import { inSentence } from '@/core/units/words';
import { getSettings, saveSettings } from '@/db/courses';
import { findPerson, saveBody, saveCare, savePainCleared, type PersonRow } from '@/db/people';
import { addRecord, removeRecord } from '@/db/records';
import { addSetup, removeSetup } from '@/db/setups';
import { bodyForm, readBodyForm, type BodyForm } from './bodyForm';
import { careForm, type CareForm } from './careForm';
import { today } from './clock';
import { database } from './database';
import { judgeInRunningClasses } from './floorJudge';
import { readRecordForm } from './recordForm';
import { readCatalog } from './schools';
import { done, refuse, toProblems, type Outcome } from './result';
import { isPossibleScale, scaleAddressWords } from './scaleAddress';

const gone = { form: 'This person is no longer here. Go back to the list of people.' };
const personId = z.int().positive();

/** What the body form showed when it was opened; the second of two tabs is told what changed. */
function bodyNow(person: PersonRow): BodyForm {
  return {
    height: person.heightTyped,
    mass: person.body.massKg === undefined ? '' : String(person.body.massKg),
    lengths: person.typedLengths,
  };
}

const isSame = (a: string, b: string) => a.trim() === b.trim();

/** The fields that somebody else changed since the form was opened, in words. */
function describeBodyConflict(seen: BodyForm, now: BodyForm, units: LengthUnits): string[] {
  const lines: string[] = [];
  // Measures are compared and not their spelling: a unit that was added is no change.
  const isLike = (a: string, b: string, parse: typeof parseLength) =>
    isSame(a, b) || (parse(a, units) !== null && parse(a, units) === parse(b, units));
  if (!isLike(seen.height, now.height, parseHeight)) {
    lines.push(`height ${now.height} (was ${seen.height})`);
  }
  if (!isSame(seen.mass, now.mass)) {
    lines.push(`body mass ${now.mass || 'none'} (was ${seen.mass || 'none'})`);
  }
  for (const id of lengthIds) {
    const [was, is] = [seen.lengths[id] ?? '', now.lengths[id] ?? ''];
    if (!isLike(was, is, parseLength)) {
      const label = inSentence(lengthTable[id].label);
      lines.push(`${label} ${is || 'not measured'} (was ${was || 'not measured'})`);
    }
  }
  return lines;
}

const conflict = (lines: readonly string[], now: unknown): Outcome<never> => ({
  ok: false,
  problems: {
    form: `Changed in another window meanwhile: ${lines.join(', ')}. Nothing was overwritten. What you typed is still here; save again to keep yours.`,
  },
  now,
});

/** @param seen the form as it was when opened; absent: not compared */
export function changeBody(id: unknown, input: unknown, seen?: unknown): Outcome {
  return database().transaction((tx) => {
    const who = personId.safeParse(id);
    const person = who.success ? findPerson(tx, who.data) : null;
    if (person === null) return refuse(gone);
    const read = readBodyForm(input, getSettings(tx).units);
    if (!read.ok) return read;
    const before = bodyForm.safeParse(seen);
    if (before.success) {
      const lines = describeBodyConflict(before.data, bodyNow(person), getSettings(tx).units);
      if (lines.length > 0) return conflict(lines, bodyNow(person));
    }
    saveBody(tx, person.id, read.value);
    judgeInRunningClasses(tx, person.id);
    return done(undefined);
  });
}

const careNow = ({ consent, cautions, otherWords }: PersonRow): CareForm => ({
  consent,
  cautions: [...cautions],
  otherWords: [...otherWords],
});

function describeCareConflict(seen: CareForm, now: CareForm): string[] {
  const lines: string[] = [];
  if (seen.consent !== now.consent)
    lines.push(`hands-on help is now ${now.consent} (was ${seen.consent})`);
  const added = now.cautions.filter((one) => !seen.cautions.includes(one));
  const gone = seen.cautions.filter((one) => !now.cautions.includes(one));
  if (added.length > 0)
    lines.push(`now also reported: ${added.map((one) => cautionTable[one].label).join(', ')}`);
  if (gone.length > 0)
    lines.push(`no longer reported: ${gone.map((one) => cautionTable[one].label).join(', ')}`);
  if (seen.otherWords.join('\n') !== now.otherWords.join('\n')) lines.push('the words of your own');
  return lines;
}

export function changeCare(id: unknown, input: unknown, seen?: unknown): Outcome {
  const parsed = careForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  return database().transaction((tx) => {
    const who = personId.safeParse(id);
    const person = who.success ? findPerson(tx, who.data) : null;
    if (person === null) return refuse(gone);
    const before = careForm.safeParse(seen);
    if (before.success) {
      const lines = describeCareConflict(before.data, careNow(person));
      if (lines.length > 0) return conflict(lines, careNow(person));
    }
    saveCare(tx, person.id, { ...parsed.data, on: today() });
    judgeInRunningClasses(tx, person.id);
    return done(undefined);
  });
}

/** @returns the id of the record, for undo */
export function recordCheck(id: unknown, input: unknown): Outcome<number> {
  return database().transaction((tx) => {
    const who = personId.safeParse(id);
    if (!who.success || findPerson(tx, who.data) === null) return refuse(gone);
    const { breathSeconds } = getSettings(tx);
    const read = readRecordForm(input, {
      today: today(),
      breathSeconds,
      checks: readCatalog(tx).checks,
    });
    if (!read.ok) return read;
    const added = addRecord(tx, { personId: who.data, ...read.value });
    if (read.value.pain) judgeInRunningClasses(tx, who.data);
    return done(added);
  });
}

export function undoRecord(id: unknown, recordId: unknown): Outcome {
  const who = personId.safeParse(id);
  const record = personId.safeParse(recordId);
  if (!who.success || !record.success) return refuse(gone);
  return database().transaction((tx) => {
    if (!removeRecord(tx, who.data, record.data)) {
      return refuse({ form: 'This record was already taken back.' });
    }
    judgeInRunningClasses(tx, who.data);
    return done(undefined);
  });
}

/** The student reports that earlier pain is gone, and the teacher notes it. */
export function notePainGone(id: unknown): Outcome {
  return database().transaction((tx) => {
    const who = personId.safeParse(id);
    if (!who.success || findPerson(tx, who.data) === null) return refuse(gone);
    savePainCleared(tx, who.data, today());
    judgeInRunningClasses(tx, who.data);
    return done(undefined);
  });
}

const mostNote = 300;
/** Further than anything in a room is set out, metres. */
const mostKeptM = 2.5;
/** With a block in the hands every distance of the kick is there. */
const everyBlock = [{ piece: 'foam-block', count: 2 }] as const;

const setupForm = z.strictObject({
  family: z.enum(savedOfIds, 'This is neither a shape nor a set-up of our list.'),
  values: z.record(z.string(), z.number('Write a number.')),
  note: z
    .string()
    .transform(wordsOf)
    .pipe(z.string().max(mostNote, `At most ${mostNote} signs.`)),
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
    if (!isShapeId(family)) {
      const problems = findKeptProblems(family, values, person);
      if (problems !== null) return refuse(problems);
      const row = { personId: person.id, family, values, note: note.trim(), savedOn: today() };
      const added = done(addSetup(tx, row));
      judgeInRunningClasses(tx, person.id);
      return added;
    }
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
    const added = done(addSetup(tx, setup));
    judgeInRunningClasses(tx, person.id);
    return added;
  });
}

export function dropSetup(id: unknown, setupId: unknown): Outcome {
  const who = personId.safeParse(id);
  const setup = personId.safeParse(setupId);
  if (!who.success || !setup.success) return refuse(gone);
  return database().transaction((tx) => {
    if (!removeSetup(tx, who.data, setup.data)) {
      return refuse({ form: 'This set-up was already taken back.' });
    }
    judgeInRunningClasses(tx, who.data);
    return done(undefined);
  });
}

/** What is wrong with figures of a set-up that somebody found by trying; `null`: nothing. */
function findKeptProblems(
  setup: SetupId,
  values: Readonly<Record<string, number>>,
  { body }: PersonRow,
): Record<string, string> | null {
  const size = resolveBody(body);
  const rows = keptFromSaved([{ family: setup, values, note: '', savedOn: today() }]);
  if (rows.length === 0 || rows.length !== Object.keys(values).length) {
    return { values: 'There is a figure here that no set-up measures.' };
  }
  const { distances } = getSetup(setup).solve({
    body: size,
    profile: 'prop-led',
    pieces: everyBlock,
    // Only measured where somebody's legs were: the plough has it then.
    straightLegRaiseDeg: 90,
    kept: keptDistances(rows),
  });
  for (const { distance, metres } of rows) {
    const { label, mayKeep } = distanceWords[distance];
    const solved = distances.find(({ id }) => id === distance);
    if (!mayKeep || solved === undefined) {
      return { [`values.${distance}`]: `${label}: not a figure of this set-up to be kept.` };
    }
    if (metres < 0 || metres > mostKeptM) {
      return { [`values.${distance}`]: `${label}: out of range.` };
    }
    if (solved.found === undefined) {
      return { [`values.${distance}`]: `${label}: out of reach for this body.` };
    }
  }
  return null;
}

const settingsForm = z.strictObject({
  units: z.enum(['cm', 'in'], 'Centimetres or inches.').optional(),
  studio: z.string().transform(lineOf).pipe(z.string().max(60, 'At most 60 signs.')).optional(),
  deskName: z.string().transform(lineOf).pipe(z.string().max(40, 'At most 40 signs.')).optional(),
  deskIdleMinutes: z
    .int('Whole minutes.')
    .min(1, 'At least one minute.')
    .max(240, 'At most 240 minutes.')
    .optional(),
  deviceIdleDays: z
    .int('Whole days.')
    .min(1, 'At least one day.')
    .max(400, 'At most 400 days.')
    .optional(),
  breathSeconds: z
    .number('Write a number.')
    .min(3, 'A breath takes at least 3 s.')
    .max(8, 'A breath takes at most 8 s.')
    .optional(),
  scaleAddress: z
    .string()
    .trim()
    .max(200, 'At most 200 signs.')
    .refine((text) => text === '' || isPossibleScale(text), scaleAddressWords)
    .transform((text) => (text === '' ? null : text))
    .optional(),
});

export function changeSettings(input: unknown): Outcome {
  const parsed = settingsForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  database().transaction((tx) => saveSettings(tx, exact(parsed.data)));
  return done(undefined);
}
