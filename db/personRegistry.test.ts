import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { getTableColumns } from 'drizzle-orm';
import { studioPerson } from '@/core/files/studioFile';
import { findPerson } from './people';
import { addPerson } from './personChanges';
import { openDatabase, type OpenDatabase } from './open';
import { carriedColumns, personColumns, personTables, unitePeople } from './personRegistry';
import { mergePeople } from './removal';
import { person } from './schema';
import { StudioWriter } from './studioWrite';
import { readStudioHead, readStudioPeople } from './studioRead';

let folder: string;
const opened: OpenDatabase[] = [];
const open = () => {
  const studio = openDatabase(path.join(folder, `${opened.length}`, 'studio.sqlite'));
  opened.push(studio);
  return studio.db;
};

beforeAll(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-columns-'));
});
afterAll(() => {
  for (const { close } of opened) close();
  rmSync(folder, { recursive: true, force: true });
});

/** Something else than is usual in every column that the file carries. */
const full = {
  uid: 'a-uid',
  name: 'Odile Marsh',
  heightM: 1.62,
  heightTyped: '162',
  massKg: 58,
  forearmHands: 'clasped',
  consent: 'no',
  pictureConsent: 'ask',
  painClearedOn: '2026-10-02',
  screenedOn: '2026-09-01',
  otherWords: ['lately dizzy on stairs'],
  archivedOn: '2026-11-01',
} as const;

describe('the columns of a person', () => {
  it('all have a rule, and every field of the file that is a column is carried', () => {
    expect(Object.keys(personColumns).sort()).toEqual(Object.keys(getTableColumns(person)).sort());
    const inFile = Object.keys(studioPerson.shape).filter(
      (field) => field in getTableColumns(person),
    );
    expect([...carriedColumns].sort()).toEqual(inFile.sort());
    expect(Object.keys(full).sort()).toEqual([...carriedColumns].sort());
  });

  it('come back from a file as they went in, each of them', () => {
    const from = open();
    from
      .insert(person)
      .values({ ...full, otherWords: [...full.otherWords] })
      .run();
    const [one] = [...readStudioPeople(from)];
    const into = open();
    const writer = new StudioWriter(into);
    const { courses: _, ...head } = readStudioHead(from, '2026-11-25');
    writer.head(head);
    writer.person(studioPerson.parse(JSON.parse(JSON.stringify(one))));
    const [back] = into.select().from(person).all();
    for (const column of carriedColumns) expect(back![column]).toEqual(full[column]);
  });

  it('of somebody who is here already stay, but what restricts is united', () => {
    const db = open();
    db.insert(person)
      .values({ ...full, consent: 'yes', otherWords: ['x'], name: 'O. Marsh', massKg: null })
      .run();
    const writer = new StudioWriter(db);
    const source = open();
    source
      .insert(person)
      .values({ ...full, otherWords: [...full.otherWords] })
      .run();
    writer.person([...readStudioPeople(source)][0]!);
    const [row] = db.select().from(person).all();
    expect(row).toMatchObject({ name: 'O. Marsh', massKg: null, consent: 'no' });
    expect(row!.otherWords).toEqual(['x', ...full.otherWords]);
  });

  it('of two entries made one: nothing is lost, the stricter wins', () => {
    const here = {
      ...full,
      massKg: null,
      consent: 'ask' as const,
      screenedOn: null,
      otherWords: [],
      painClearedOn: '2026-10-01',
    };
    const other = { ...full, otherWords: [...full.otherWords] };
    expect(unitePeople('merged', here, other)).toMatchObject({
      massKg: 58,
      forearmHands: 'clasped',
      consent: 'no',
      pictureConsent: 'ask',
      screenedOn: '2026-09-01',
      painClearedOn: '2026-10-01',
      otherWords: ['lately dizzy on stairs'],
    });
    expect(unitePeople('merged', here, { ...other, painClearedOn: null }).painClearedOn).toBeNull();
  });
});

describe('the tables that know a person', () => {
  it('each stand in the file, and no list of the file is without a table', () => {
    const lists = Object.entries(studioPerson.shape)
      // A list with a usual value is a list as well.
      .filter(([, field]) => 'element' in ('innerType' in field.def ? field.def.innerType : field))
      .map(([name]) => name)
      .filter((name) => name !== 'otherWords');
    expect(
      Object.values(personTables)
        .map(({ list }) => list)
        .sort(),
    ).toEqual(lists.sort());
  });

  it('leave nothing with the entry that goes', () => {
    const db = open();
    const keep = addPerson(db, { name: 'Keep', heightM: 1.7, heightTyped: '170' });
    const drop = addPerson(db, { name: 'Drop', heightM: 1.7, heightTyped: '170' });
    mergePeople(db, keep, drop);
    expect(findPerson(db, drop)).toBeNull();
    expect(findPerson(db, keep)!.name).toBe('Keep');
  });
});
