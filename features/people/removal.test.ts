import { anybodysWords } from '@/server/useCase';
import { copyFileSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { listEnrolments } from '@/db/courses';
import { findPerson, listPeople } from '@/db/people';
import { listRecords } from '@/db/records';
import { isRemoved, markOf } from '@/db/removal';
import { changeCare, recordCheck } from '@/features/person/change';
import { clearStudio, isStudioEmpty } from '@/features/beginning/clearStudio';
import { database, databaseFile } from '@/server/database';
import { exportPerson } from '@/server/files/exportPerson';
import { importPeople, previewImport, undoImport, type ImportRow } from './importPeople';
import { deletePerson } from './change';
import {
  addCourse as course,
  addPerson as add,
  careOf as care,
  must,
  recordForm as record,
  withThrowawayStudio,
} from '@/features/testing/studio';

withThrowawayStudio();

describe('deleting', () => {
  it('takes everything, also out of the copies, and leaves a mark that says nothing', async () => {
    const id = add('Wilhelmine Unverwechselbar');
    must(recordCheck(id, record()));
    must(changeCare(id, care({ otherWords: ['ganz eigenes Wort'] })));
    const { uid } = findPerson(database(), id)!;
    const copy = path.join(path.dirname(databaseFile()), 'before-1.sqlite');
    const raw = new Database(databaseFile());
    raw.pragma('wal_checkpoint(TRUNCATE)');
    raw.close();
    copyFileSync(databaseFile(), copy);
    expect(readFileSync(copy).includes('Unverwechselbar')).toBe(true);

    expect(must(await deletePerson(id)).copiesLeft).toEqual([]);
    expect(findPerson(database(), id)).toBeNull();
    expect(listRecords(database(), [id])).toEqual([]);
    for (const file of [databaseFile(), copy, `${databaseFile()}-wal`]) {
      const bytes = readFileSync(file);
      expect(bytes.includes('Unverwechselbar')).toBe(false);
      expect(bytes.includes('ganz eigenes Wort')).toBe(false);
      expect(bytes.includes(uid)).toBe(false);
    }
    expect(isRemoved(database(), uid)).toBe(true);
    expect(markOf(uid)).toMatch(/^[0-9a-f]{64}$/);
    expect(recordCheck(id, record()).ok).toBe(false);
    expect((await deletePerson(id)).ok).toBe(false);
  });

  it('says which copy still holds somebody when it cannot be opened', async () => {
    const id = add('Ada');
    writeFileSync(path.join(path.dirname(databaseFile()), 'before-9.sqlite'), 'not a database');
    expect(must(await deletePerson(id)).copiesLeft).toEqual(['before-9.sqlite']);
  });

  it('leaves other people of a copy alone, also where only ids are known', async () => {
    const [ada, bo] = [add('Ada'), add('Bo')];
    const write = (name: string, rows: string) => {
      const raw = new Database(path.join(path.dirname(databaseFile()), name));
      raw.exec(
        `CREATE TABLE person (id INTEGER PRIMARY KEY, name TEXT); INSERT INTO person VALUES ${rows}`,
      );
      raw.close();
    };
    const names = (name: string) => {
      const raw = new Database(path.join(path.dirname(databaseFile()), name), { readonly: true });
      const rows = raw.prepare('SELECT name FROM person').all() as { name: string }[];
      raw.close();
      return rows.map((row) => row.name);
    };
    write('before-2.sqlite', `(${ada}, 'Ada as she was called then'), (${bo}, 'Bo')`);
    write('before-reset.sqlite', `(${ada}, 'Somebody of another database')`);
    must(await deletePerson(ada));
    expect(names('before-2.sqlite')).toEqual(['Bo']);
    expect(names('before-reset.sqlite')).toEqual(['Somebody of another database']);
  });

  it('does not let a file bring back who was deleted', async () => {
    const id = add('Ada');
    const { uid } = findPerson(database(), id)!;
    must(await deletePerson(id));
    const row: ImportRow = { name: 'Ada', height: '170', mass: '', consent: '', uid };
    expect(must(previewImport([row]))[0]!.problems[0]).toContain('deleted here on request');
    expect(importPeople({ rows: [row], courseId: null, skipTwins: false }).ok).toBe(false);
  });

  it('takes everything out as one file first', () => {
    const id = add('Ada');
    must(recordCheck(id, record()));
    const file = JSON.parse(JSON.stringify(exportPerson(id)));
    expect(file).toMatchObject({
      format: 'levitar-person',
      person: { name: 'Ada' },
      records: [{ check: 'dolphin-hold', value: 50 }],
      decisions: [],
    });
    expect(exportPerson(4711)).toBeNull();
  });

  it('empties the whole studio only for who saw how many there are', () => {
    add('Ada');
    expect(clearStudio(0).ok).toBe(false);
    must(clearStudio(1));
    expect(isStudioEmpty()).toBe(true);
  });
});

describe('people from a table', () => {
  const row = (change: Partial<ImportRow>): ImportRow => ({
    name: 'Ada',
    height: '170',
    mass: '',
    consent: '',
    uid: '',
    ...change,
  });

  it('reads each row and says what is wrong with it, by line', () => {
    add('Cleo');
    const readings = must(
      previewImport([
        row({}),
        row({ name: ' ' }),
        row({ name: 'Bo', height: 'tall', mass: 'heavy', consent: 'maybe' }),
        row({ name: 'cleo' }),
        row({ name: 'ADA' }),
        row({ name: 'Dina', height: '5\'6"', mass: '61,5 kg', consent: 'Yes' }),
      ]),
    );
    expect(readings.map(({ line, problems, isTwin }) => [line, problems.length, isTwin])).toEqual([
      [2, 0, false],
      [3, 1, false],
      [4, 3, false],
      [5, 0, true],
      [6, 0, true],
      [7, 0, false],
    ]);
    expect(listPeople(database())).toHaveLength(1);
  });

  it('stores the sound rows together and takes them back together', () => {
    const courseId = course();
    const rows = [
      row({}),
      row({ name: 'Bo', height: '0' }),
      row({ name: 'Cleo', consent: 'no', uid: 'c-1' }),
    ];
    const imported = must(importPeople({ rows, courseId, skipTwins: true }));
    expect(imported).toMatchObject({ added: 2, leftOut: 1 });
    const people = listPeople(database());
    expect(people.map(({ name, consent }) => [name, consent])).toEqual([
      ['Ada', 'ask'],
      ['Cleo', 'no'],
    ]);
    expect(listEnrolments(database())).toHaveLength(2);
    must(recordCheck(people[1]!.id, record()));
    expect(must(undoImport(imported.importId))).toEqual({ removed: 1, kept: 1 });
    expect(listPeople(database()).map(({ name }) => name)).toEqual(['Cleo']);
    // Taken back is not deleted on request: the same file may come again.
    expect(
      must(importPeople({ rows: [row({ uid: 'a-1' })], courseId: null, skipTwins: true })).added,
    ).toBe(1);
    expect(undoImport(99).ok).toBe(false);
  });

  it('refuses what is no table, and stores nothing of it', () => {
    for (const input of [[], 'rows', [{ name: 'Ada' }], [row({ extra: 1 } as never)]]) {
      expect(anybodysWords(previewImport)(input).ok).toBe(false);
      const form = { rows: input, courseId: null, skipTwins: true };
      expect(anybodysWords(importPeople)(form).ok).toBe(false);
    }
    expect(importPeople({ rows: [row({})], courseId: 77, skipTwins: true }).ok).toBe(false);
    expect(listPeople(database())).toEqual([]);
  });

  it('leaves nothing behind when it fails in the middle', () => {
    const rows = Array.from({ length: 50 }, (_, i) =>
      row({ name: `P${i}`, uid: i === 40 ? 'same' : `u${i}` }),
    );
    const raw = new Database(databaseFile());
    // As if the power went at the forty-first row.
    raw.exec(
      `CREATE TRIGGER cut BEFORE INSERT ON person WHEN NEW.uid = 'same' BEGIN SELECT RAISE(ABORT, 'cut'); END`,
    );
    raw.close();
    expect(() => importPeople({ rows, courseId: null, skipTwins: true })).toThrow(/cut/);
    expect(listPeople(database())).toEqual([]);
  });
});
