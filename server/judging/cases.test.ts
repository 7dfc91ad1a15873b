/** What is kept of judging is what judging anew would say, whatever was changed meanwhile. */
import { listPieces, savePieces } from '@/db/cupboards';
import { addDiary } from '@/db/homeReports';
import { openDatabase, type Db } from '@/db/open';
import { findPerson } from '@/db/people';
import {
  addClearance,
  addSign,
  dropPlacing,
  removeClearance,
  removeSign,
  saveBody,
  saveCare,
  savePainCleared,
  savePlacing,
  saveRung,
  saveScreened,
} from '@/db/personChanges';
import { addRecord, removeRecord } from '@/db/records';
import { addSetup, removeSetup } from '@/db/setups';
import { fillWithDemo, withThrowawayStudio } from '@/features/testing/studio';
import { databaseFile } from '../database';
import { today } from '../clock';
import { readCase } from './cases';
import { findStandingPlan, readClass } from './classViews';
import { judgePerson } from './judgement';
import { readSchool } from './schools';
import { readStandings } from './standings';

withThrowawayStudio();

/** Somebody of the demo course with records, and on a ladder. */
const who = 3;
const stage = 'FS10';

/** Everything that is judged of one person, as it would be read by a screen. */
function look(db: Db) {
  const person = findPerson(db, who)!;
  const context = {
    school: readSchool(db, 'prop-led'),
    day: today(),
    pieces: listPieces(db, 1),
  };
  const { assessor: _, school: __, ...opened } = readCase(db, person, context);
  const { verdict, setup } = judgePerson(person, readCase(db, person, context), {
    stage,
    pieces: context.pieces,
  });
  const standing = readStandings(db, [person], () => context, true).get(who);
  return JSON.stringify({ opened, verdict, setup, standing });
}

/** The same through a connection that has kept nothing. */
function lookAnew() {
  const { db, close } = openDatabase(databaseFile());
  try {
    return look(db);
  } finally {
    close();
  }
}

const record = {
  personId: who,
  check: 'dolphin-hold',
  value: 12,
  breaths: null,
  stoppedByTeacher: false,
  faults: [],
  pain: false,
  painPlace: null,
  side: null,
  base: null,
} as const;

/** One of each kind of thing that is stored about somebody, there and back. */
function changes(db: Db): readonly (readonly [string, () => void])[] {
  let [noted, sign, word, kept] = [0, 0, 0, 0];
  const day = today();
  return [
    ['a record', () => (noted = addRecord(db, { ...record, date: day }))],
    ['the record taken back', () => removeRecord(db, who, noted)],
    [
      'a record with pain',
      () => (noted = addRecord(db, { ...record, date: day, pain: true, painPlace: 'wrist' })),
    ],
    ['it is gone', () => savePainCleared(db, who, day)],
    ['a stop sign', () => (sign = addSign(db, who, { sign: 'tingling', date: day }))],
    ['the sign taken back', () => removeSign(db, who, sign)],
    [
      'a caution',
      () =>
        saveCare(db, who, {
          consent: 'no',
          pictureConsent: 'no',
          cautions: ['eye'],
          otherWords: ['something'],
          on: day,
        }),
    ],
    [
      'a word about it',
      () =>
        (word = addClearance(db, who, {
          about: 'eye',
          covers: ['light'],
          notedOn: day,
          until: '2099-01-01',
        })),
    ],
    ['the word taken back', () => removeClearance(db, who, word)],
    ['a rung', () => saveRung(db, who, 'forearm-stand', 'FS3', day)],
    ['a placing', () => savePlacing(db, who, 'handstand', 'HS2', day)],
    ['the placing taken back', () => dropPlacing(db, who, 'handstand')],
    [
      'a body',
      () => saveBody(db, who, { heightM: 1.51, heightTyped: '151', massKg: null, lengths: [] }),
    ],
    [
      'a distance found by trying',
      () =>
        (kept = addSetup(db, {
          personId: who,
          family: 'forearm-kick',
          values: { wallGapM: 0.21 },
          note: '',
          savedOn: day,
        })),
    ],
    ['the distance taken back', () => removeSetup(db, who, kept)],
    [
      'a diary with pain',
      () => addDiary(db, who, [{ on: day, item: 'dolphin', felt: 'hard', pain: 'neck' } as never]),
    ],
    ['being asked', () => saveScreened(db, who, day)],
    ['the cupboard', () => savePieces(db, 1, [{ piece: 'blanket', count: 1 }])],
  ];
}

it('judges anew after every change, and says what judging from nothing says', () => {
  const db = fillWithDemo();
  expect(look(db)).toBe(lookAnew());
  for (const [name, change] of changes(db)) {
    look(db);
    change();
    expect([name, look(db)]).toEqual([name, lookAnew()]);
  }
});

it('remembers nothing of a transaction that was taken back, by whichever handle it was read', () => {
  const db = fillWithDemo();
  look(db);
  const takenBack = new Error('taken back');
  expect(() =>
    db.transaction((tx) => {
      addSign(tx, who, { sign: 'tingling', date: today() });
      // Read through the transaction, and through the handle that everybody else has.
      look(tx);
      look(db);
      throw takenBack;
    }),
  ).toThrow(takenBack);
  expect(look(db)).toBe(lookAnew());
  // The next change counts the revision up to where the one taken back had been.
  addRecord(db, { ...record, date: today() });
  expect(look(db)).toBe(lookAnew());
});

it('judges nobody again while nothing changed, and only whom a change is about', () => {
  const db = fillWithDemo();
  const context = { school: readSchool(db, 'prop-led'), day: today(), pieces: listPieces(db, 1) };
  const caseOf = (id: number) => readCase(db, findPerson(db, id)!, context);
  const [one, other] = [caseOf(who), caseOf(4)];
  expect(caseOf(who)).toBe(one);
  addRecord(db, { ...record, date: today() });
  expect(caseOf(who)).not.toBe(one);
  expect(caseOf(4)).toBe(other);
});

it('prepares a class and its quick plan once, and again when somebody in it changes', () => {
  const db = fillWithDemo();
  const first = readClass(1)!;
  const plan = findStandingPlan({ ...first, kept: null });
  expect(readClass(1)!.prepared).toBe(first.prepared);
  expect(findStandingPlan({ ...readClass(1)!, kept: null })).toBe(plan);
  addSign(db, who, { sign: 'tingling', date: today() });
  const second = readClass(1)!;
  expect(second.prepared).not.toBe(first.prepared);
  const before = new Map(first.prepared.people.map((person) => [person.id, person.options]));
  for (const { id, options } of second.prepared.people) {
    if (id === String(who)) expect(options).not.toEqual(before.get(id));
    else expect(options).toBe(before.get(id));
  }
});
