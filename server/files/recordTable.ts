/** Records as a table, out and in: a row a record, errors by line, all or nothing. */
import Papa from 'papaparse';
import { noteInDiary } from '../network/asking';
import { readCell, writeTable } from './csv';
import { readForeignRecord } from './recordForm';
import { addRecord, listRecords } from '@/db/records';
import { getSettings } from '@/db/courses';
import { listPeople } from '@/db/people';
import { today } from '../clock';
import { database } from '../database';
import { judgeAllInRunningClasses } from '../running/floorJudge';
import { done, refuse, type Outcome, sayProblems } from '../result';
import { readCatalog } from '../judging/schools';

const columns = [
  'uid',
  'name',
  'check',
  'date',
  'value',
  'stopped',
  'faults',
  'pain',
  'painPlace',
  'side',
  'base',
] as const;

/** People's own columns, as the import of people reads them. */
export const peopleCsv = (): string =>
  writeTable(
    listPeople(database(), true).map(({ uid, name, heightTyped, body, consent }) => ({
      uid,
      name,
      height: heightTyped,
      mass: body.massKg ?? '',
      consent,
    })),
  );

/** Every record of everybody, oldest first. */
export function* recordsCsv(): Generator<string> {
  const db = database();
  yield `${columns.join(',')}\r\n`;
  for (const { id, uid, name } of listPeople(db, true)) {
    const rows = listRecords(db, [id]).map((one) => [
      uid,
      name,
      one.check,
      one.date,
      one.value,
      one.stoppedByTeacher ? 'yes' : '',
      (one.faults ?? []).join(' '),
      one.pain ? 'yes' : '',
      one.painPlace ?? '',
      one.side ?? '',
      one.base ?? '',
    ]);
    if (rows.length > 0) yield `${writeTable(rows)}\r\n`;
  }
}

const mostRows = 100_000;
const isYes = (text: string | undefined) =>
  ['yes', 'true', '1'].includes((text ?? '').toLowerCase());

export interface TableLook {
  readonly rows: number;
  /** By line of the file; the heading is line 1. */
  readonly problems: readonly { readonly line: number; readonly words: string }[];
  readonly stored: number;
}

/**
 * Reads records from a table. With an error in any line nothing is stored.
 *
 * @param isFinal false: only a look
 */
export function takeRecordTable(text: string, isFinal: boolean): Outcome<TableLook> {
  const { data, meta } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: true,
    transform: readCell,
  });
  const lacking = ['check', 'date', 'value'].filter((name) => !meta.fields?.includes(name));
  if (lacking.length > 0) {
    return refuse({
      form: `The first line must name the columns; missing: ${lacking.join(', ')}.`,
    });
  }
  if (data.length > mostRows) return refuse({ form: `At most ${mostRows} rows at a time.` });
  const db = database();
  const people = listPeople(db, true);
  const { breathSeconds } = getSettings(db);
  const { checks } = readCatalog(db);
  const problems: { line: number; words: string }[] = [];
  const rows = data.flatMap((row, index) => {
    const line = index + 2;
    const uid = row.uid?.trim() ?? '';
    const named = people.filter(({ name }) => name === row.name?.trim());
    const person =
      uid !== ''
        ? people.find((one) => one.uid === uid)
        : named.length === 1
          ? named[0]
          : undefined;
    if (person === undefined) {
      const words =
        named.length > 1 ? 'two people have this name; give the uid' : 'nobody of this name or uid';
      problems.push({ line, words });
      return [];
    }
    const read = readForeignRecord(
      {
        check: row.check?.trim() ?? '',
        value: row.value ?? '',
        unit: 'plain',
        date: row.date?.trim() ?? '',
        stoppedByTeacher: isYes(row.stopped),
        faults: (row.faults ?? '').split(/[\s;]+/).filter((fault) => fault !== ''),
        pain: isYes(row.pain),
        painPlace: row.painPlace?.trim() || null,
        side: row.side?.trim() || null,
        base: row.base?.trim() || null,
      },
      { today: today(), breathSeconds, checks },
    );
    if (!read.ok) {
      problems.push({ line, words: sayProblems(read.problems) });
      return [];
    }
    return [{ personId: person.id, ...read.value }];
  });
  if (problems.length > 0 || !isFinal) {
    return done({ rows: data.length, problems: problems.slice(0, 200), stored: 0 });
  }
  db.transaction((tx) => {
    noteInDiary(tx, 'imported');
    for (const row of rows) addRecord(tx, row);
    judgeAllInRunningClasses(tx);
  });
  return done({ rows: data.length, problems: [], stored: rows.length });
}
