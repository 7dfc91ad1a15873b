/**
 * Kill after kill in the middle of imports, restores, copies and migrations: the file opens, its
 * pages hang together, and it holds either all of the work or nothing of it.
 */
import { spawn } from 'node:child_process';
import {
  copyFileSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import Database from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { markFolder, studioFileName } from '@/db/folder';
import { openDatabase } from '@/db/open';
import { seedDemo } from '@/demo/course';
import { today } from '../clock';
import { closeDatabase } from '../database';
import { writeStudioFile } from './studioFile';
import { withBundled } from './testing/bundled';
import { ofMany } from '@/core/testing/depth';

/** Of each kind. */
const kills = { each: ofMany(25, 3), atOnce: 2 } as const;

const task = withBundled(path.join('server', 'files', 'killedTask.ts'));
let base = '';
beforeAll(() => {
  base = mkdtempSync(path.join(os.tmpdir(), 'levitar-killed-'));
});
afterAll(() => rmSync(base, { recursive: true, force: true }));

const studioIn = (folder: string) => path.join(folder, studioFileName);

function makeStudio(name: string, fill: (file: string) => void): string {
  const folder = path.join(base, name);
  mkdirSync(folder);
  fill(studioIn(folder));
  return folder;
}

/** Starts the work on a folder; resolves to how long it took, or would have taken until the kill. */
function runOn(folder: string, kind: string, file: string, killAfterMs: number | null) {
  return new Promise<{ isDone: boolean; ms: number }>((resolve, reject) => {
    const child = spawn(process.execPath, [task.file, kind, file], {
      env: { ...process.env, LEVITAR_DATA: folder },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let isDone = false;
    let words = '';
    let began = 0;
    child.stdout.on('data', (piece: Buffer) => {
      const said = piece.toString();
      if (said.includes('begun')) {
        began = performance.now();
        if (killAfterMs !== null) setTimeout(() => child.kill('SIGKILL'), killAfterMs);
      }
      if (said.includes('done')) isDone = true;
    });
    child.stderr.on('data', (piece: Buffer) => (words += piece.toString()));
    child.once('close', (_code, signal) => {
      if (!isDone && signal !== 'SIGKILL') reject(new Error(words));
      else resolve({ isDone, ms: performance.now() - began });
    });
  });
}

/** What a file holds: how much of everything. Its pages hang together, and so do its rows. */
function contentOf(file: string): string {
  const raw = new Database(file, { fileMustExist: true });
  try {
    expect(raw.pragma('integrity_check', { simple: true })).toBe('ok');
    expect(raw.pragma('foreign_key_check')).toEqual([]);
    const tables = raw
      .prepare(`SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name`)
      .pluck()
      .all() as string[];
    const countOf = (name: string) =>
      raw.prepare(`SELECT count(*) FROM "${name}"`).pluck().get() as number;
    return tables.map((name) => `${name} ${countOf(name)}`).join(', ');
  } finally {
    raw.close();
  }
}

function expectSoundCopies(folder: string): void {
  const copies = path.join(folder, 'copies');
  const names = existsSync(copies) ? readdirSync(copies) : [];
  for (const name of names.filter((one) => one.endsWith('.sqlite'))) {
    contentOf(path.join(copies, name));
  }
}

type Kind = 'import' | 'restore' | 'backup' | 'migration';

/**
 * Kills the work at moments spread over its whole length, and looks at what is left each time.
 *
 * @returns how often nothing of it was done, and how often all
 */
async function killAgainAndAgain(kind: Kind, folder: string, file = '') {
  const copyTo = (name: string) => {
    const own = path.join(base, `${kind}-${name}`);
    cpSync(folder, own, { recursive: true });
    return own;
  };
  const before = contentOf(studioIn(folder));
  const start = copyTo('whole');
  const whole = await runOn(start, kind, file, null);
  const after = contentOf(studioIn(start));
  const counts = { nothing: 0, all: 0 };
  const one = async (turn: number) => {
    const own = copyTo(String(turn));
    const { isDone } = await runOn(own, kind, file, (whole.ms * (turn + 0.5)) / kills.each);
    const found = contentOf(studioIn(own));
    expect([before, after]).toContain(found);
    if (isDone) expect(found).toBe(after);
    counts[found === before ? 'nothing' : 'all'] += 1;
    // As the next start does: it opens, and brings its structure up to date.
    openDatabase(studioIn(own)).close();
    expect(contentOf(studioIn(own))).toBe(kind === 'migration' ? after : found);
    expectSoundCopies(own);
    rmSync(own, { recursive: true, force: true });
  };
  for (let turn = 0; turn < kills.each; turn += kills.atOnce) {
    const turns = Array.from({ length: kills.atOnce }, (_, index) => turn + index);
    await Promise.all(turns.filter((each) => each < kills.each).map(one));
  }
  return { before, after, counts };
}

jest.setTimeout(600_000);

/** A studio of the demo, and what comes out of it. */
function makeDemo(): { readonly folder: string; readonly text: string } {
  const folder = makeStudio('demo', (file) => {
    const opened = openDatabase(file);
    seedDemo(opened.db, today());
    opened.close();
  });
  process.env.LEVITAR_DATA = folder;
  const text = [...writeStudioFile()].join('');
  closeDatabase();
  return { folder, text };
}

it('keeps all or nothing of an import, a restored copy and a copy that is made', async () => {
  const { folder, text } = makeDemo();
  const empty = makeStudio('empty', (file) => openDatabase(file).close());
  const handed = path.join(base, 'handed-out.json');
  writeFileSync(handed, text);
  const imported = await killAgainAndAgain('import', empty, handed);
  expect(imported.after).toContain('person 22');
  expect(imported.counts.nothing).toBeGreaterThan(ofMany(2, 0));

  const copy = path.join(base, 'copy.sqlite');
  copyFileSync(studioIn(empty), copy);
  const restored = await killAgainAndAgain('restore', folder, copy);
  expect(restored.after).toContain('person 0');
  expect(restored.counts.nothing).toBeGreaterThan(ofMany(2, 0));

  const copied = await killAgainAndAgain('backup', folder);
  expect(copied.after).toBe(copied.before);
});

/** A studio as an earlier version left it: so many of the steps that have led to today's. */
function makeEarlier(steps: number): string {
  const source = path.join('db', 'migrations');
  const earlier = path.join(base, 'migrations');
  cpSync(source, earlier, { recursive: true });
  const journal = JSON.parse(readFileSync(path.join(source, 'meta', '_journal.json'), 'utf8')) as {
    entries: object[];
  };
  const shorter = { ...journal, entries: journal.entries.slice(0, steps) };
  writeFileSync(path.join(earlier, 'meta', '_journal.json'), JSON.stringify(shorter));
  return makeStudio('earlier', (file) => {
    const raw = new Database(file);
    migrate(drizzle(raw), { migrationsFolder: earlier });
    const add = raw.prepare(
      `INSERT INTO person (name, height_m, height_typed) VALUES (?, 1.7, '170')`,
    );
    for (let count = 0; count < 300; count += 1) add.run(`Somebody ${count}`);
    raw.close();
    markFolder(path.dirname(file));
  });
}

it('keeps all or nothing of a migration, and goes on with it at the next start', async () => {
  const { before, after, counts } = await killAgainAndAgain('migration', makeEarlier(2));
  expect(before).toContain('person 300');
  expect(after).toContain('person 300');
  expect(after).not.toBe(before);
  expect(counts.nothing).toBeGreaterThan(0);
});
