import { parse } from 'papaparse';
import type { StudioFile } from '@/core/files/studioFile';
import type { FloorAct } from '@/core/running/tap';
import { listPeople } from '@/db/people';
import { listRecords } from '@/db/records';
import { today } from '../clock';
import { clearStudio } from '@/features/beginning/clearStudio';
import { database } from '../database';
import { beginClass, takeTaps } from '../running/floor';
import { deletePerson } from '@/features/people/change';
import { peopleCsv, recordsCsv, takeRecordTable } from './recordTable';
import { takeStudioFile, writeStudioFile } from './studioFile';
import {
  addPerson,
  must,
  fillWithDemo,
  plainStudio,
  readStudio,
  withThrowawayStudio,
} from '@/features/testing/studio';
import { teacherTaps } from '@/features/testing/floor';

withThrowawayStudio();

const write = () => [...writeStudioFile()].join('');
function runAClass(): void {
  const uid = must(beginClass(1));
  const person = String(listPeople(database())[0]!.id);
  const acts: FloorAct[] = [
    {
      kind: 'hold-start',
      hold: 'h',
      check: 'dolphin-hold',
      base: null,
      side: null,
      people: [person],
    },
    { kind: 'hold-stop', hold: 'h' },
    { kind: 'sore', person, place: 'wrist' },
    { kind: 'end' },
  ];
  const taps = acts.map((act, index) => ({
    device: 't',
    seq: index + 1,
    at: { boot: 'b', monoMs: index * 20_000, wallMs: 1e12 + index * 20_000 },
    act,
  }));
  must(takeTaps(uid, { device: 't', after: 0, taps }, teacherTaps));
}

describe('everything as one file', () => {
  it('comes out of an empty studio as it went in, classes and their taps included', async () => {
    fillWithDemo();
    runAClass();
    const before = write();
    const people = listPeople(database()).length;
    must(clearStudio(people));
    addPerson('Somebody who moves every number by one');
    expect(must(takeStudioFile(before, true))).toMatchObject({
      peopleNew: people,
      peopleKnown: 0,
      coursesNew: 2,
      classesNew: 1,
    });
    const extra = listPeople(database()).find(({ name }) => name.startsWith('Somebody'))!;
    must(await deletePerson(extra.id));
    const [a, b] = [plainStudio(before), plainStudio(write())];
    expect(b.people).toEqual(a.people);
    expect(b.courses).toEqual(a.courses);
    expect(b.profiles).toEqual(a.profiles);
  });

  it('changes nothing while it is only looked at, and adds nothing that is here already', () => {
    fillWithDemo();
    const text = write();
    const look = must(takeStudioFile(text, false));
    expect(look).toMatchObject({ peopleNew: 0, recordsNew: 0, coursesNew: 0 });
    expect(look.recordsKnown).toBeGreaterThan(500);
    must(takeStudioFile(text, true));
    expect(plainStudio(write())).toEqual(plainStudio(text));
  });

  it('unites what restricts, adds what was seen elsewhere, and brings nobody back', async () => {
    fillWithDemo();
    const file = readStudio(write());
    const known = file.people[0]!;
    const removed = file.people[1]!;
    const changed: StudioFile = {
      ...file,
      people: [
        {
          ...known,
          name: 'Renamed elsewhere',
          cautions: [...known.cautions, { caution: 'reflux', notedOn: today() }],
          records: [...known.records, { check: 'dolphin-hold', date: today(), value: 71 }],
        },
        removed!,
      ],
    };
    const people = listPeople(database());
    must(await deletePerson(people.find(({ uid }) => uid === removed.uid)!.id));
    const counts = must(takeStudioFile(JSON.stringify(changed), true));
    expect(counts).toMatchObject({ peopleKnown: 1, peopleRemoved: 1, recordsNew: 1 });
    const now = listPeople(database());
    expect(now.some(({ uid }) => uid === removed.uid)).toBe(false);
    const one = now.find(({ uid }) => uid === known.uid)!;
    expect(one.name).toBe(known.name);
    expect(one.cautions).toContain('reflux');
    expect(listRecords(database(), [one.id]).filter(({ value }) => value === 71)).toHaveLength(1);
  });

  it('refuses what is broken with its line, and stores nothing of it', () => {
    fillWithDemo();
    const text = write();
    const told = (changed: string) => {
      const outcome = takeStudioFile(changed, true);
      return outcome.ok ? 'taken' : outcome.problems.form;
    };
    const lines = text.split('\n');
    const at = lines.findIndex((line) => line.includes('Bettina Quill'));
    const broken = [...lines];
    broken[at] = broken[at]!.replace('"heightM":', '"heightM":x');
    expect(told(broken.join('\n'))).toMatch(new RegExp(`line ${at + 1} .*Nothing was stored`));
    const odd = [...lines];
    odd[at] = odd[at]!.replace('"consent":', '"colour":"red","consent":');
    expect(told(odd.join('\n'))).toMatch(new RegExp(`^Line ${at + 1}: There is no field "colour"`));
    const low = text.replace(/"heightM":[\d.]+/, '"heightM":0.4');
    expect(told(low)).toMatch(/^Line \d+: .*heightM/);
    expect(told(text.replace('"version": 1', '"version": 2'))).toMatch(/version 2/);
    expect(told(text.slice(0, text.length / 2))).toMatch(/line \d+/);
    expect(plainStudio(write())).toEqual(plainStudio(text));
  });
});

describe('records as a table', () => {
  it('come in again elsewhere exactly as they went out', () => {
    fillWithDemo();
    const out = [...recordsCsv()].join('');
    const before = plainStudio(write()).people.map(({ uid, records }) => [uid, records]);
    const people = readStudio(write());
    must(clearStudio(listPeople(database()).length));
    const bare = { ...people, people: people.people.map((one) => ({ ...one, records: [] })) };
    must(takeStudioFile(JSON.stringify(bare), true));
    const rows = parse(out.trim(), { header: true }).data.length;
    expect(must(takeRecordTable(out, false))).toEqual({ rows, problems: [], stored: 0 });
    expect(must(takeRecordTable(out, true)).stored).toBe(rows);
    const drop = (list: typeof before) =>
      list.map(([uid, records]) => [
        uid,
        // The table goes by the day; how many breaths were counted is not in it, seconds are.
        (records as { breaths?: number; date: string }[])
          .map(({ breaths: _, ...record }) => record)
          .sort((one, other) => (one.date < other.date ? -1 : one.date > other.date ? 1 : 0)),
      ]);
    expect(drop(plainStudio(write()).people.map(({ uid, records }) => [uid, records]))).toEqual(
      drop(before),
    );
  });

  it('stores nothing while any line has an error, and says which', () => {
    const id = addPerson('Ada');
    addPerson('Bo');
    addPerson('Bo');
    const text = [
      'name,check,date,value',
      `Ada,dolphin-hold,${today()},40`,
      `Ada,dolphin-hold,2999-01-01,40`,
      `Bo,dolphin-hold,${today()},40`,
      `Nobody,dolphin-hold,${today()},40`,
      `Ada,cartwheel,${today()},1`,
    ].join('\n');
    const look = must(takeRecordTable(text, true));
    expect(look.problems.map(({ line }) => line)).toEqual([3, 4, 5, 6]);
    expect(look.stored).toBe(0);
    expect(listRecords(database(), [id])).toEqual([]);
    expect(takeRecordTable('who,what\nAda,40', true).ok).toBe(false);
    expect(peopleCsv()).toMatch(/^uid,name,height,mass,consent/);
  });
});
