/** Each migration is exercised on rows that the version before it wrote. */
import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createHash } from 'node:crypto';
import os from 'node:os';
import path from 'node:path';
import Database from 'better-sqlite3';
import { openDatabase, type OpenDatabase } from './open';
import { listPeople } from './people';
import { addRecord } from './records';

const migrations = path.join(process.cwd(), 'db', 'migrations');
let folder: string;
let opened: OpenDatabase | undefined;

beforeEach(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-migrations-'));
});
afterEach(() => {
  opened?.close();
  opened = undefined;
  rmSync(folder, { recursive: true, force: true });
});

/** A database as an earlier version left it: its migrations applied and noted. */
function writeOld(count: number): string {
  const file = path.join(folder, 'data', 'levitar.sqlite');
  mkdirSync(path.dirname(file), { recursive: true });
  const journal = JSON.parse(readFileSync(path.join(migrations, 'meta', '_journal.json'), 'utf8'));
  const raw = new Database(file);
  raw.exec(
    'CREATE TABLE __drizzle_migrations (id INTEGER PRIMARY KEY AUTOINCREMENT, hash text NOT NULL, created_at numeric)',
  );
  const note = raw.prepare('INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)');
  for (const { tag, when } of journal.entries.slice(0, count)) {
    const sql = readFileSync(path.join(migrations, `${tag}.sql`), 'utf8');
    for (const statement of sql.split('--> statement-breakpoint')) raw.exec(statement);
    note.run(createHash('sha256').update(sql).digest('hex'), when);
  }
  raw.exec(`
    INSERT INTO course (name, place, starts_on, starts_at, minutes, profile, stage)
      VALUES ('Old', 'Barn', '2026-10-01', '18:00', 60, 'prop-led', 'FS10');
    INSERT INTO person (name, height_m, height_typed, consent, present_stage)
      VALUES ('Ada', 1.7, '170 cm', 'yes', 'FS7'), ('Bo', 1.8, '180 cm', 'no', NULL);
    INSERT INTO check_record (person_id, "check", date, value, faults) VALUES (1, 'dolphin-hold', '2026-10-08', 40, '[]');
  `);
  raw.close();
  return file;
}

it('brings people of the first version onto the ladders, each with an id of their own', () => {
  opened = openDatabase(writeOld(2));
  const people = listPeople(opened.db);
  expect(people.map(({ name, present }) => [name, present])).toEqual([
    ['Ada', { 'forearm-stand': 'FS7' }],
    ['Bo', {}],
  ]);
  expect(new Set(people.map(({ uid }) => uid)).size).toBe(2);
  for (const { uid, otherWords, revision } of people) {
    expect(uid).toMatch(/^[0-9a-f]{32}$/);
    expect(otherWords).toEqual([]);
    expect(revision).toBeGreaterThan(0);
  }
});

it('lets the revision rise with every record, and with nothing else', () => {
  opened = openDatabase(writeOld(2));
  const { db } = opened;
  const revision = () => listPeople(db).map((person) => person.revision);
  const [ada, bo] = revision();
  addRecord(db, {
    personId: 1,
    check: 'dolphin-hold',
    date: '2026-10-15',
    value: 42,
    breaths: null,
    stoppedByTeacher: false,
    faults: [],
    pain: false,
    painPlace: null,
    side: null,
    base: null,
  });
  expect(revision()).toEqual([ada! + 1, bo]);
  expect(revision()).toEqual([ada! + 1, bo]);
});
