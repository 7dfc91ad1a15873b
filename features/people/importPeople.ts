/** People from a table: read row by row, shown before anything is stored, taken back as a whole. */
import { z } from 'zod';
import { heightRangeM, massRangeKg } from '@/core/body/lengths';
import type { Consent } from '@/core/ladder/case';
import { lineOf } from '@/core/units/text';
import { formatHeight, parseHeight, unitOfBareHeight, type LengthUnits } from '@/core/units/length';
import { enrol, findCourse, getSettings } from '@/db/courses';
import { listPeople } from '@/db/people';
import { addPerson } from '@/db/personChanges';
import type { Db } from '@/db/open';
import { addImport, isRemoved, listImported, removePerson } from '@/db/removal';
import { noteInDiary } from '@/server/network/asking';
import { readCell } from '@/server/files/csv';
import { finishErasing, noteErasing } from '@/server/files/erasing';
import { done, refuse, type Outcome } from '@/server/result';
import { change, numberOf, work } from '@/server/useCase';

const mostRows = 5000;

/** One row as the mapping step hands it over: text as it stood in the file. */
const rowForm = z.strictObject({
  name: z.string().max(400),
  height: z.string().max(400),
  mass: z.string().max(400),
  consent: z.string().max(400),
  uid: z.string().max(400),
});

export type ImportRow = z.infer<typeof rowForm>;

const rowsForm = z
  .array(rowForm)
  .min(1, 'There are no rows in this file.')
  .max(mostRows, `At most ${mostRows} rows at a time.`);

export interface RowReading {
  /** Counted as the file's lines are: the heading is line 1. */
  readonly line: number;
  readonly name: string;
  readonly problems: readonly string[];
  /** Somebody of this name is here already, or earlier in the file. */
  readonly isTwin: boolean;
}

interface ReadRow extends RowReading {
  readonly person: {
    readonly name: string;
    readonly heightM: number;
    readonly heightTyped: string;
    readonly massKg: number | null;
    readonly consent: Consent;
    readonly uid?: string;
  } | null;
}

const consentWords: Readonly<Record<string, Consent>> = {
  '': 'ask',
  yes: 'yes',
  y: 'yes',
  ja: 'yes',
  '1': 'yes',
  true: 'yes',
  ask: 'ask',
  'ask each time': 'ask',
  no: 'no',
  n: 'no',
  nein: 'no',
  '0': 'no',
  false: 'no',
};

const plain = (name: string) => name.trim().toLowerCase().replace(/\s+/g, ' ');

function readRows(db: Db, rows: readonly ImportRow[]): ReadRow[] {
  const { units } = getSettings(db);
  const here = listPeople(db, true);
  const names = new Set(here.map(({ name }) => plain(name)));
  const uids = new Set(here.map(({ uid }) => uid));
  return rows.map((row, index) => {
    const problems: string[] = [];
    const name = lineOf(readCell(row.name));
    if (name === '') problems.push('no name');
    else if (name.length > 80) problems.push('name longer than 80 signs');
    const heightM = readHeight(row.height, units, problems);
    const massKg = readMass(row.mass, problems);
    const consent = consentWords[row.consent.trim().toLowerCase()];
    if (consent === undefined) problems.push(`"${row.consent.trim()}" is not yes, ask or no`);
    const uid = lineOf(row.uid);
    if (uid !== '' && isRemoved(db, uid)) problems.push('was deleted here on request and stays so');
    if (uid !== '' && uids.has(uid)) problems.push('is here already, under the same id');
    if (uid !== '') uids.add(uid);
    const isTwin = name !== '' && names.has(plain(name));
    names.add(plain(name));
    const person =
      problems.length > 0 || heightM === null || consent === undefined
        ? null
        : {
            name,
            heightM,
            heightTyped: withUnit(row.height.trim(), units),
            massKg,
            consent,
            ...(uid === '' ? {} : { uid }),
          };
    return { line: index + 2, name, problems, isTwin, person };
  });
}

/** As it is shown again: with the unit that it was read in. */
function withUnit(typed: string, units: LengthUnits): string {
  const unit = unitOfBareHeight(typed, units);
  return unit === null ? typed : `${typed} ${unit}`;
}

function readHeight(text: string, units: LengthUnits, problems: string[]): number | null {
  const heightM = parseHeight(text.trim(), units);
  if (heightM === null)
    problems.push(text.trim() === '' ? 'no height' : `"${text.trim()}" is not a height`);
  else if (heightM < heightRangeM.low || heightM > heightRangeM.high) {
    problems.push(
      `height outside ${formatHeight(heightRangeM.low, units)} to ${formatHeight(heightRangeM.high, units)}`,
    );
  } else return heightM;
  return null;
}

function readMass(text: string, problems: string[]): number | null {
  if (text.trim() === '') return null;
  const massKg = Number(
    text
      .trim()
      .replace(/\s*kg$/i, '')
      .replace(',', '.'),
  );
  if (massKg >= massRangeKg.low && massKg <= massRangeKg.high) return massKg;
  problems.push(`"${text.trim()}" is not a body mass in kg`);
  return null;
}

/** What each row would become; nothing is stored. */
export const previewImport = work([rowsForm], ({ db }, rows): Outcome<readonly RowReading[]> =>
  done(
    readRows(db, rows).map(({ line, name, problems, isTwin }) => ({
      line,
      name,
      problems,
      isTwin,
    })),
  ),
);

const importForm = z.strictObject({
  rows: rowsForm,
  courseId: z.int().positive().nullable(),
  /** Rows whose name is here already are left out. */
  skipTwins: z.boolean(),
});

export interface Imported {
  readonly importId: number;
  readonly added: number;
  readonly leftOut: number;
}

/** Stores every sound row in one transaction: after a crash there is all of it or nothing. */
export const importPeople = change([importForm], ({ db: tx, today }, form): Outcome<Imported> => {
  const { rows, courseId, skipTwins } = form;
  if (courseId !== null && findCourse(tx, courseId) === null) {
    return refuse({ courseId: 'This course is no longer here.' });
  }
  const sound = readRows(tx, rows).flatMap(({ person, isTwin }) =>
    person === null || (skipTwins && isTwin) ? [] : [person],
  );
  if (sound.length === 0) return refuse({ form: 'No row could be taken. Nothing was stored.' });
  noteInDiary(tx, 'imported');
  const importId = addImport(tx, today, sound.length);
  for (const person of sound) {
    const id = addPerson(tx, { ...person, importId });
    if (courseId !== null) enrol(tx, courseId, id);
  }
  return done({ importId, added: sound.length, leftOut: rows.length - sound.length });
});

/** Takes an import back: everyone it brought whom nobody has worked with since. */
export const undoImport = work([numberOf('There is no such import.')], ({ db, today }, which) => {
  const outcome = db.transaction((tx): Outcome<{ removed: number; kept: number }> => {
    const people = listImported(tx, which);
    if (people.length === 0) return refuse({ form: 'This import was already taken back.' });
    const untouched = people.filter(({ isUntouched }) => isUntouched);
    // Taken back is not deleted on request: no mark is left, the file may come again.
    for (const { id } of untouched) removePerson(tx, id, null, today);
    noteErasing(tx);
    return done({ removed: untouched.length, kept: people.length - untouched.length });
  });
  if (outcome.ok) finishErasing();
  return outcome;
});
