/** Two processes at one studio: each gets its turn, none takes the other's place. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { lockFolder } from '@/db/folder';
import { listPeople } from '@/db/people';
import { makeCopyNow } from '../copies/copies';
import { closeDatabase, database, databaseFile } from '../database';
import { isErasePending, retryErasing } from './erasing';
import { withBundled } from './testing/bundled';
import { beginClass } from '../running/floor';
import { deletePerson } from '@/features/people/change';
import { addPerson, must, fillWithDemo, withThrowawayStudio } from '@/features/testing/studio';
import { send, tapsOf } from '@/features/testing/floor';

const studio = withThrowawayStudio();

/** Another process that writes, and takes its time. Resolves once it has begun. */
function writeSlowly(holdMs: number): Promise<{ readonly ended: Promise<number | null> }> {
  const script = `
    const Database = require('better-sqlite3');
    const raw = new Database(process.argv[1]);
    raw.exec('BEGIN IMMEDIATE');
    raw.exec("UPDATE settings SET studio = 'The other window'");
    process.stdout.write('writing');
    setTimeout(() => { raw.exec('COMMIT'); raw.close(); }, ${holdMs});`;
  const child = spawn(process.execPath, ['-e', script, databaseFile()], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
  return new Promise((resolve) => child.stdout.once('data', () => resolve({ ended })));
}

it('waits for its turn while another window writes, and loses neither change', async () => {
  database().run('INSERT OR IGNORE INTO settings (id) VALUES (1)');
  for (const count of [1, 2, 3]) {
    const other = await writeSlowly(300);
    addPerson(`Ada ${count}`);
    expect(await other.ended).toBe(0);
  }
  expect(listPeople(database())).toHaveLength(3);
  expect(database().get<{ studio: string }>('SELECT studio FROM settings')).toMatchObject({
    studio: 'The other window',
  });
});

it('takes taps in while a copy is made', async () => {
  fillWithDemo();
  const uid = must(beginClass(1));
  let isOver = false;
  const copying = makeCopyNow('hand').finally(() => (isOver = true));
  let taps = 0;
  while (!isOver) {
    send(uid, tapsOf([{ kind: 'segment', index: taps % 20, roundsDone: 0 }]));
    taps += 1;
    await new Promise((resolve) => setImmediate(resolve));
  }
  const name = await copying;
  expect(taps).toBeGreaterThan(1);
  const copy = new Database(path.join(studio.folder(), 'copies', name), { readonly: true });
  const held = copy.prepare('SELECT count(*) FROM floor_tap').pluck().get() as number;
  copy.close();
  // A moment of it: never more than there were, and whole in itself.
  expect(held).toBeLessThanOrEqual(taps);
});

it('says that erasing is pending while something keeps the log open, and finishes it later', async () => {
  const id = addPerson('Wilhelmine Unverwechselbar');
  const reader = new Database(databaseFile(), { readonly: true });
  reader.exec('BEGIN');
  reader.prepare('SELECT count(*) FROM person').get();
  expect(must(await deletePerson(id))).toMatchObject({ isErasePending: true });
  expect(listPeople(database())).toEqual([]);
  expect(isErasePending()).toBe(true);
  reader.exec('COMMIT');
  reader.close();
  retryErasing();
  expect(isErasePending()).toBe(false);
  const files = ['', '-wal']
    .map((extra) => databaseFile() + extra)
    .filter((one) => existsSync(one));
  for (const file of files) {
    expect(readFileSync(file).includes('Unverwechselbar')).toBe(false);
  }
});

it('erases somebody where there is no room left for the file to grow', async () => {
  const id = addPerson('Wilhelmine Unverwechselbar');
  for (let count = 0; count < 40; count += 1) addPerson(`Somebody ${count}`);
  const pages = database().get<{ page_count: number }>('PRAGMA page_count')!.page_count;
  database().run(`PRAGMA max_page_count = ${pages}`);
  // What is written over needs no room of its own: the person goes, and their words with them.
  expect(must(await deletePerson(id))).toMatchObject({ isErasePending: false });
  database().run('PRAGMA max_page_count = 1073741823');
  expect(listPeople(database()).map(({ name }) => name)).not.toContain(
    'Wilhelmine Unverwechselbar',
  );
  expect(readFileSync(databaseFile()).includes('Unverwechselbar')).toBe(false);
});

const resetting = withBundled(path.join('scripts', 'reset.ts'));
const reset = () =>
  spawnSync(process.execPath, [resetting.file], {
    env: { ...process.env, LEVITAR_DATA: studio.folder() },
    encoding: 'utf8',
  });

it('puts a studio aside with what still stood in its log, twice without overwriting, never a served one', () => {
  const lock = lockFolder(studio.folder());
  addPerson('In the log');
  const refused = reset();
  expect(refused.status).toBe(1);
  expect(refused.stderr).toMatch(/already runs on this folder/);
  lock.release();
  expect(listPeople(database())).toHaveLength(1);
  // Killed: the newest changes are in the log alone.
  expect(existsSync(`${databaseFile()}-wal`)).toBe(true);
  const aside = () =>
    readdirSync(path.join(studio.folder(), 'copies')).filter((name) => name.endsWith('.sqlite'));
  expect(reset()).toMatchObject({ status: 0 });
  expect(aside()).toHaveLength(1);
  const copy = new Database(path.join(studio.folder(), 'copies', aside()[0]!));
  expect(copy.prepare('SELECT name FROM person').pluck().all()).toEqual(['In the log']);
  copy.close();
  closeDatabase();
  expect(reset().stdout).toMatch(/There was no studio yet/);
  expect(aside()).toHaveLength(1);
});
