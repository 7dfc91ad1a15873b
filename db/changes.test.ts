import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { eq } from 'drizzle-orm';
import { countChanges, whileUnwritten } from './changes';
import { openDatabase, type Db, type OpenDatabase } from './open';
import { settings } from './schema';
import { getSettings, saveSettings } from './courses';

let folder: string;
let here: OpenDatabase;
let there: OpenDatabase;

beforeEach(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-changes-'));
  here = openDatabase(path.join(folder, 'studio.sqlite'));
  there = openDatabase(path.join(folder, 'studio.sqlite'));
  saveSettings(here.db, { studio: 'North room' });
});

afterEach(() => {
  here.close();
  there.close();
  rmSync(folder, { recursive: true, force: true });
});

/** A reading that counts how often it was done. */
function counted() {
  const times = { read: 0 };
  const read = whileUnwritten((db: Db, id: number) => {
    times.read += 1;
    return db.select().from(settings).where(eq(settings.id, id)).all();
  });
  return { times, read };
}

const studioOf = (rows: readonly { readonly studio: string }[]) => rows.map((row) => row.studio);

it('reads once for each key as long as nothing is written', () => {
  const { times, read } = counted();
  const first = read(here.db, 1);
  expect(read(here.db, 1)).toBe(first);
  expect(read(here.db, 2)).toEqual([]);
  expect(read(here.db, 2)).toEqual([]);
  expect(studioOf(read(here.db, 1))).toEqual(['North room']);
  expect(times.read).toBe(2);
});

it('reads anew after anything was written, also through another connection', () => {
  const { times, read } = counted();
  read(here.db, 1);
  saveSettings(here.db, { studio: 'South room' });
  expect(studioOf(read(here.db, 1))).toEqual(['South room']);
  saveSettings(there.db, { studio: 'West room' });
  expect(studioOf(read(here.db, 1))).toEqual(['West room']);
  expect(times.read).toBe(3);
});

it('keeps nothing of what a transaction may yet take back, by whichever handle it is read', () => {
  const { read } = counted();
  const inside: string[][] = [];
  expect(() =>
    here.db.transaction((tx) => {
      saveSettings(tx, { studio: 'Attic' });
      inside.push(studioOf(read(tx, 1)), studioOf(read(here.db, 1)));
      throw new Error('taken back');
    }),
  ).toThrow('taken back');
  expect(inside).toEqual([['Attic'], ['Attic']]);
  expect(studioOf(read(here.db, 1))).toEqual(['North room']);
  here.db.transaction((tx) => saveSettings(tx, { studio: 'Cellar' }));
  expect(studioOf(read(here.db, 1))).toEqual(['Cellar']);
});

it('gives two openings of a file a memory each', () => {
  const { times, read } = counted();
  read(here.db, 1);
  read(there.db, 1);
  expect(times.read).toBe(2);
  expect(countChanges(here.db)![0]).not.toBe(countChanges(there.db)![0]);
});

it('lets nobody change what others are given as well', () => {
  const given = getSettings(here.db) as { studio: string };
  expect(() => {
    given.studio = 'Mine';
  }).toThrow(TypeError);
  const deep = whileUnwritten((): { list: { name: string }[] } => ({ list: [{ name: 'one' }] }));
  expect(() => deep(here.db).list.push({ name: 'two' })).toThrow(TypeError);
  expect(() => {
    deep(here.db).list[0]!.name = 'other';
  }).toThrow(TypeError);
});
