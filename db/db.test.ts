import {
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import Database from 'better-sqlite3';
import { NewerDatabaseError, openDatabase, type OpenDatabase } from './open';
import { findPerson } from './people';
import { saveBody, saveCare } from './personChanges';
import { addRecord, listRecords, removeRecord, type NewRecord } from './records';
import { getSettings, saveSettings } from './courses';
import { person } from './schema';

let folder: string;
let file: string;
let opened: OpenDatabase | undefined;
const open = () => (opened = openDatabase(file));

beforeEach(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-db-'));
  file = path.join(folder, 'data', 'levitar.sqlite');
});
afterEach(() => {
  opened?.close();
  opened = undefined;
  rmSync(folder, { recursive: true, force: true });
});

function addPerson(): number {
  return opened!.db
    .insert(person)
    .values({ name: 'Test', heightM: 1.7, heightTyped: '170 cm' })
    .returning({ id: person.id })
    .get().id;
}

const record: Omit<NewRecord, 'personId'> = {
  check: 'dolphin-hold',
  date: '2026-11-12',
  value: 40,
  breaths: 8,
  stoppedByTeacher: true,
  faults: ['shrug'],
  pain: false,
  painPlace: null,
  side: null,
  base: null,
};

describe('opening the database', () => {
  it('makes it with a log, foreign keys and for its owner alone', () => {
    open();
    const raw = new Database(file, { readonly: true });
    expect(raw.pragma('journal_mode', { simple: true })).toBe('wal');
    raw.close();
    expect(statSync(file).mode & 0o077).toBe(0);
    expect(() => addRecord(opened!.db, { personId: 999, ...record })).toThrow(/FOREIGN KEY/);
  });

  it('opens again without a copy when nothing is to be changed', () => {
    open().close();
    open();
    expect(existsSync(path.join(path.dirname(file), 'copies'))).toBe(false);
  });

  it('copies an older database before bringing it up to date', () => {
    open().close();
    const raw = new Database(file);
    raw.exec("CREATE TABLE keepsake (word TEXT); INSERT INTO keepsake VALUES ('here')");
    // As if an older version had written it: no table of ours, its migrations not noted.
    raw.pragma('foreign_keys = OFF');
    const tables = raw
      .prepare(`SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'`)
      .all() as { name: string }[];
    for (const { name } of tables) {
      if (name !== 'keepsake' && name !== '__drizzle_migrations') raw.exec(`DROP TABLE "${name}"`);
    }
    raw.exec('UPDATE __drizzle_migrations SET created_at = 1');
    raw.close();
    open();
    const copies = path.join(path.dirname(file), 'copies');
    const [copy] = readdirSync(copies);
    expect(copy).toMatch(/^studio_.*_version\.sqlite$/);
    const kept = new Database(path.join(copies, copy!), { readonly: true });
    expect(kept.prepare('SELECT word FROM keepsake').get()).toEqual({ word: 'here' });
    kept.close();
    expect(addPerson()).toBe(1);
  });

  it.each([
    ['a file of one byte', 'empty', null],
    ['nothing but a head', 'empty', 'VACUUM'],
    ['tables of something else', 'foreign', 'CREATE TABLE x (a)'],
  ])('never puts a studio in the place of %s', (_name, kind, sqlText) => {
    open().close();
    rmSync(file);
    if (sqlText === null) writeFileSync(file, 'x');
    else {
      const raw = new Database(file);
      raw.exec(sqlText);
      raw.close();
    }
    opened = undefined;
    const before = readFileSync(file);
    expect(() => openDatabase(file)).toThrow(expect.objectContaining({ kind }));
    expect(readFileSync(file).equals(before)).toBe(true);
  });

  it.each(['DROP TABLE person_length', 'ALTER TABLE person DROP COLUMN consent'])(
    'takes a studio for damaged after %s',
    (change) => {
      open().close();
      const raw = new Database(file);
      raw.exec(change);
      raw.close();
      opened = undefined;
      expect(() => openDatabase(file)).toThrow(expect.objectContaining({ kind: 'damaged' }));
    },
  );

  it('refuses a database from a newer version and leaves every byte of it', () => {
    open().close();
    const raw = new Database(file);
    raw.exec(`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)`);
    raw.pragma('wal_checkpoint(TRUNCATE)');
    raw.pragma('journal_mode = DELETE');
    raw.close();
    opened = undefined;
    const before = readFileSync(file);
    expect(() => openDatabase(file)).toThrow(NewerDatabaseError);
    expect(readFileSync(file).equals(before)).toBe(true);
    expect(existsSync(`${file}-wal`)).toBe(false);
  });
});

describe('people and records', () => {
  it('keeps a body with what was typed, and replaces it as a whole', () => {
    const { db } = open();
    const id = addPerson();
    saveBody(db, id, {
      heightM: 1.6764,
      heightTyped: '5\'6"',
      massKg: 60,
      lengths: [{ length: 'forearm', metres: 0.26, typed: '26 cm' }],
    });
    expect(findPerson(db, id)).toMatchObject({
      heightTyped: '5\'6"',
      body: { heightM: 1.6764, massKg: 60, lengths: { forearm: 0.26 } },
      typedLengths: { forearm: '26 cm' },
    });
    saveBody(db, id, { heightM: 1.7, heightTyped: '170 cm', massKg: null, lengths: [] });
    expect(findPerson(db, id)!.body).toEqual({ heightM: 1.7, lengths: {} });
  });

  it('keeps the reported cautions and nothing dropped', () => {
    const { db } = open();
    const id = addPerson();
    const on = '2026-11-12';
    const care = { consent: 'no', otherWords: [] } as const;
    saveCare(db, id, { ...care, cautions: ['reflux', 'wrist'], on });
    saveCare(db, id, { ...care, cautions: ['wrist'], on: '2026-11-19' });
    expect(findPerson(db, id)).toMatchObject({ consent: 'no', cautions: ['wrist'] });
  });

  it('returns records in order of day and entry, and takes one back for its person only', () => {
    const { db } = open();
    const id = addPerson();
    const other = addPerson();
    const late = addRecord(db, { personId: id, ...record, date: '2026-11-19' });
    const first = addRecord(db, { personId: id, ...record });
    const second = addRecord(db, { personId: id, ...record, value: 50 });
    expect(listRecords(db, [id]).map((r) => r.id)).toEqual([first, second, late]);
    expect(listRecords(db, [id])[0]).toMatchObject({ faults: ['shrug'], breaths: 8 });
    expect(listRecords(db, [id])[0]).not.toHaveProperty('side');
    expect(removeRecord(db, other, first)).toBe(false);
    expect(removeRecord(db, id, first)).toBe(true);
    expect(listRecords(db, [id, other])).toHaveLength(2);
    expect(listRecords(db, [])).toEqual([]);
  });

  it('changes one setting and leaves the other', () => {
    const { db } = open();
    saveSettings(db, { breathSeconds: 6 });
    saveSettings(db, { units: 'in' });
    expect(getSettings(db)).toMatchObject({ units: 'in', breathSeconds: 6 });
  });
});
