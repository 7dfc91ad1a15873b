/** What is kept of a person: body, what they report, records of checks. */
import { z } from 'zod';
import { day } from '@/core/files/schemas';
import type { Day } from '@/core/units/day';
import { getForearmHands } from '@/core/body/hands';
import { takenIds, takenTable } from '@/core/body/taken';
import { cautionTable } from '@/core/catalog/cautions';
import { parseHeight, parseLength, type LengthUnits } from '@/core/units/length';
import { inSentence } from '@/core/units/words';
import { getSettings } from '@/db/courses';
import { type PersonRow } from '@/db/people';
import { saveBody, saveCare, savePainCleared } from '@/db/personChanges';
import { countJpegs } from '@/db/pictures';
import { finishErasing, noteErasing } from '@/server/files/erasing';
import { addRecord, removeRecord } from '@/db/records';
import { bodyForm, readBodyForm, type BodyForm } from './bodyForm';
import { careForm, type CareForm } from './careForm';
import { judgeInRunningClasses } from '@/server/running/floorJudge';
import { readRecordForm, recordForm } from '@/server/files/recordForm';
import { readCatalog } from '@/server/judging/schools';
import { done, refuse, type Outcome } from '@/server/result';
import { aPerson, change, numberOf } from '@/server/useCase';

/** What the body form showed when it was opened; the second of two tabs is told what changed. */
function bodyNow(person: PersonRow): BodyForm {
  return {
    height: person.heightTyped,
    mass: person.body.massKg === undefined ? '' : String(person.body.massKg),
    forearmHands: person.body.forearmHands ?? '',
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
  const handsOf = ({ forearmHands }: BodyForm) =>
    forearmHands === '' ? 'as the profile has them' : getForearmHands(forearmHands).label;
  if (seen.forearmHands !== now.forearmHands) {
    lines.push(`hands in a forearm stand ${handsOf(now)} (was ${handsOf(seen)})`);
  }
  for (const id of takenIds) {
    const [was, is] = [seen.lengths[id] ?? '', now.lengths[id] ?? ''];
    if (!isLike(was, is, parseLength)) {
      const label = inSentence(takenTable[id].label);
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
export const changeBody = change(
  [aPerson, bodyForm, bodyForm.optional()],
  ({ db }, person, form, seen): Outcome => {
    const { units } = getSettings(db);
    const read = readBodyForm(form, units);
    if (!read.ok) return read;
    if (seen !== undefined) {
      const lines = describeBodyConflict(seen, bodyNow(person), units);
      if (lines.length > 0) return conflict(lines, bodyNow(person));
    }
    saveBody(db, person.id, read.value);
    judgeInRunningClasses(db, person.id);
    return done(undefined);
  },
);

const careNow = ({ consent, pictureConsent, cautions, otherWords }: PersonRow): CareForm => ({
  consent,
  pictureConsent,
  cautions: [...cautions],
  otherWords: [...otherWords],
});

function describeCareConflict(seen: CareForm, now: CareForm): string[] {
  const lines: string[] = [];
  if (seen.consent !== now.consent)
    lines.push(`hands-on help is now ${now.consent} (was ${seen.consent})`);
  if (seen.pictureConsent !== now.pictureConsent)
    lines.push(`pictures are now ${now.pictureConsent} (was ${seen.pictureConsent})`);
  const added = now.cautions.filter((one) => !seen.cautions.includes(one));
  const gone = seen.cautions.filter((one) => !now.cautions.includes(one));
  if (added.length > 0)
    lines.push(`now also reported: ${added.map((one) => cautionTable[one].label).join(', ')}`);
  if (gone.length > 0)
    lines.push(`no longer reported: ${gone.map((one) => cautionTable[one].label).join(', ')}`);
  if (seen.otherWords.join('\n') !== now.otherWords.join('\n')) lines.push('the words of your own');
  return lines;
}

const keepCare = change(
  [aPerson, careForm, careForm.optional()],
  ({ db, today }, person, form, seen): Outcome<{ readonly picturesWent: boolean }> => {
    if (seen !== undefined) {
      const lines = describeCareConflict(seen, careNow(person));
      if (lines.length > 0) return conflict(lines, careNow(person));
    }
    const before = countJpegs(db, person.id);
    saveCare(db, person.id, { ...form, on: today });
    // Pictures go with the consent.
    const picturesWent = countJpegs(db, person.id) < before;
    if (picturesWent) noteErasing(db);
    judgeInRunningClasses(db, person.id);
    return done({ picturesWent });
  },
);

/**
 * What pictures that are no longer agreed to leave on the disk is overwritten at once.
 *
 * @param seen the form as it was when opened; absent: not compared
 */
export function changeCare(...asked: Parameters<typeof keepCare>): Outcome {
  const kept = keepCare(...asked);
  if (!kept.ok) return kept;
  if (kept.value.picturesWent) finishErasing();
  return done(undefined);
}

/** @returns the id of the record, for undo */
export const recordCheck = change(
  [aPerson, recordForm],
  ({ db, today }, person, form): Outcome<number> => {
    const { breathSeconds } = getSettings(db);
    const read = readRecordForm(form, { today, breathSeconds, checks: readCatalog(db).checks });
    if (!read.ok) return read;
    const added = addRecord(db, { personId: person.id, ...read.value });
    judgeInRunningClasses(db, person.id);
    return done(added);
  },
);

const back = { form: 'This record was already taken back.' };

export const undoRecord = change(
  [aPerson, numberOf(back.form)],
  ({ db }, person, record): Outcome => {
    if (!removeRecord(db, person.id, record)) return refuse(back);
    judgeInRunningClasses(db, person.id);
    return done(undefined);
  },
);

/**
 * The student reports that earlier pain is gone, and the teacher notes it.
 *
 * @returns the day on which it was noted before, for the way back
 */
export const notePainGone = change([aPerson], ({ db, today }, person): Outcome<Day | null> => {
  savePainCleared(db, person.id, today);
  judgeInRunningClasses(db, person.id);
  return done(person.painClearedOn);
});

const notedBefore = z.strictObject({ was: day.nullable() });

/** Tapped by mistake: what hurt is closed again, as it was. */
export const undoPainGone = change(
  [aPerson, notedBefore],
  ({ db, today }, person, { was }): Outcome => {
    // What was noted since stands, and nothing is set to a day that opens more than today's did.
    if (person.painClearedOn !== today || (was !== null && was > today)) {
      return refuse({ form: 'It was noted anew meanwhile, and stays.' });
    }
    savePainCleared(db, person.id, was);
    judgeInRunningClasses(db, person.id);
    return done(undefined);
  },
);
