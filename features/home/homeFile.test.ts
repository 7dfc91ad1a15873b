import { seconds, times, type DoseStep } from '@/core/catalog/dose';
import { readDiary, tellingOf, writeCode } from '@/core/home/diary';
import { listHomeReports, listToAsk } from '@/db/homeReports';
import { findPerson } from '@/db/people';
import { addDays } from '@/core/units/day';
import { database } from '@/server/database';
import { exportPerson } from '@/server/files/exportPerson';
import { today } from '@/server/clock';
import { addPerson, careOf, must, withThrowawayStudio } from '@/features/testing/studio';
import { changeCare, notePainGone } from '@/features/person/change';
import { takeDiary, undoDiary } from './diaryChanges';
import { noteClearance, noteSign } from '@/features/person/careChanges';
import { begin } from '@/features/testing/floor';
import { findClass } from '@/server/running/floor';
import { bundleOf } from '@/server/running/floorBundle';
import { dataOf, writeHomeFile } from './homeFile';
import { readHome, readPhone } from './read';
import { sheetOf } from './sheet';

withThrowawayStudio();

const viewOf = (id: number) => readHome(id)!;
const phoneOf = (id: number) => readPhone(id)!;
const diaryOf = (id: number, more: object = {}) => ({
  format: 'levitar-diary' as const,
  version: 1 as const,
  sheet: sheetOf(viewOf(id).uid),
  entries: [{ on: today(), item: 'boat', felt: 'right' as const, ...more }],
});

describe('home practice as one file', () => {
  it('holds all of it, asks nothing of any network, and is small', () => {
    const id = addPerson('Ottla Brandt');
    const view = phoneOf(id);
    const file = writeHomeFile(view);
    expect(file.length).toBeLessThan(1_000_000);
    expect(file).toContain("default-src 'none'");
    const head = file.slice(0, file.indexOf('<script'));
    expect(head).not.toMatch(/ (src|href)=|url\(/);
    expect(file).not.toMatch(/fetch\(|XMLHttpRequest|WebSocket|import\(/);
    expect(file.match(/<\/script/g)).toHaveLength(3);
    for (const { label } of view.practice.items) expect(file).toContain(label);
    // The name alone that is called in class, and nothing of care.
    expect(file).not.toContain('Brandt');
  });

  it('counts the doses that the sheet says, side by side', () => {
    const id = addPerson('Ottla');
    const { items } = dataOf(phoneOf(id));
    expect(items.length).toBeGreaterThan(0);
    for (const item of items) {
      expect(item.steps.length).toBeGreaterThan(0);
      expect(dataOf(phoneOf(id)).moves[item.move!]!.pictures.length).toBeGreaterThan(5);
      if (/ a side/.test(item.dose)) {
        expect(item.steps.map(({ label }) => label).join()).toMatch(/one side.*other side/);
      }
    }
  });

  it('cannot be broken out of by what a teacher wrote', () => {
    const id = addPerson('</script><b>Ann');
    const file = writeHomeFile(phoneOf(id));
    expect(file).not.toContain('</script><b>');
  });
});

/** What is stored of somebody that a diary may touch. */
function plain(id: number) {
  const { pains, signs } = findPerson(database(), id)!;
  return { pains, signs, reports: listHomeReports(database(), id) };
}

describe('what is told at home', () => {
  it('names for every place, and for a sign, what stays open of what the file holds', () => {
    const { items, after } = dataOf(phoneOf(addPerson('Ottla')));
    const held = items.map(({ id }) => id);
    for (const { open, instead } of [...Object.values(after.places), after.sign]) {
      // Whoever has nothing left of the sheet finds what is for rest in the file.
      if (instead !== null) expect(held.filter((id) => open.includes(id))).not.toEqual([]);
    }
    expect(items.filter(({ isRest }) => !isRest).map(({ id }) => id)).not.toEqual(
      after.places.shoulder!.open.filter((id) => held.includes(id)),
    );
  });

  it('counts what has no length until somebody says that it is done', () => {
    const view = phoneOf(addPerson('Ottla'));
    const stepsOf = (paced: readonly DoseStep[]) => {
      const items = [{ ...view.practice.items[0]!, paced }];
      return dataOf({ ...view, practice: { ...view.practice, items } }).items[0]!.steps.map(
        ({ kind, seconds }) => [kind, seconds],
      );
    };
    // A teacher's own words, a hold as long as it is good, and one between what is counted.
    expect(stepsOf([])).toEqual([['hold', null]]);
    expect(stepsOf([{ hold: true, per: 'side' }])).toEqual([
      ['hold', null],
      ['hold', null],
    ]);
    expect(stepsOf([times(2), { hold: true }, seconds(20)])).toEqual([
      ['hold', 6],
      ['hold', null],
      ['hold', 20],
    ]);
  });

  it('rests between sets for the breaths that the sheet names', () => {
    const { items, breathS } = dataOf(phoneOf(addPerson('Ottla')));
    const resting = items.filter(({ dose }) => dose.includes('breaths between'));
    expect(resting).not.toEqual([]);
    for (const { dose, steps } of resting) {
      const named = Number(/(\d+) breaths between/.exec(dose)![1]);
      const rests = steps.filter(({ kind }) => kind === 'reset').map(({ seconds }) => seconds);
      expect(new Set(rests)).toEqual(new Set([named * breathS]));
    }
  });
});

describe('a diary handed back', () => {
  it('is taken in once, as a code or as a file, and grows', () => {
    const id = addPerson('Ottla');
    const diary = diaryOf(id);
    expect(must(takeDiary(id, { text: writeCode(diary) }))).toMatchObject({
      added: 1,
      isToAsk: false,
    });
    const longer = { ...diary, entries: [...diary.entries, ...diary.entries] };
    expect(must(takeDiary(id, { text: JSON.stringify(longer) })).added).toBe(1);
    expect(must(takeDiary(id, { text: JSON.stringify(longer) })).added).toBe(0);
    expect(listHomeReports(database(), id)).toHaveLength(2);
    // What the studio holds of somebody is theirs.
    expect(exportPerson(id)!.homeReports).toHaveLength(2);
    expect(readDiary(writeCode(longer))).toEqual(longer);
  });

  it('is of this person or of nobody', () => {
    const [one, other] = [addPerson('Ottla'), addPerson('Runa')];
    expect(takeDiary(other, { text: writeCode(diaryOf(one)) })).toMatchObject({
      ok: false,
      problems: { text: expect.stringContaining('another person') as string },
    });
    expect(takeDiary(one, { text: 'LV1.broken' })).toMatchObject({ ok: false });
    expect(takeDiary(one, { text: writeCode(diaryOf(one, { on: '2999-01-01' })) })).toMatchObject({
      ok: false,
    });
    expect(listHomeReports(database(), one)).toEqual([]);
  });

  it('opens nothing, and closes what hurt until the teacher notes that it is gone', () => {
    const id = addPerson('Ottla');
    must(changeCare(id, careOf()));
    const before = viewOf(id).practice.items.map((item) => item.id);
    must(takeDiary(id, { text: writeCode(diaryOf(id)) }));
    expect(viewOf(id).practice.items.map((item) => item.id)).toEqual(before);
    must(takeDiary(id, { text: writeCode(diaryOf(id, { pain: 'elsewhere' })) }));
    expect(findPerson(database(), id)!.pains).toEqual([{ place: 'elsewhere', date: today() }]);
    const after = viewOf(id).practice.items.map((item) => item.id);
    expect(after.filter((one) => before.includes(one))).toEqual([]);
    expect(listToAsk(database(), [id])).toEqual([id]);
  });

  it('goes out again as it came, and leaves what was noted otherwise', () => {
    const id = addPerson('Ottla');
    must(changeCare(id, careOf()));
    must(noteSign(id, { sign: 'tingling', date: today() }));
    must(takeDiary(id, { text: writeCode(diaryOf(id)) }));
    const before = plain(id);
    const told = diaryOf(id, { pain: 'neck', sign: 'tingling' });
    const { taken } = must(takeDiary(id, { text: writeCode(told) }));
    expect(taken.signs).toEqual([]);
    expect(plain(id)).not.toEqual(before);
    must(undoDiary(id, taken));
    expect(plain(id)).toEqual(before);
    // Nobody else's rows go with somebody's numbers.
    const other = addPerson('Bo');
    const { taken: theirs } = must(takeDiary(other, { text: writeCode(diaryOf(other)) }));
    must(undoDiary(id, theirs));
    expect(listHomeReports(database(), other)).toHaveLength(1);
  });

  it('closes at once what it closes in a class that is running', () => {
    const { uid, people } = begin();
    const id = Number(people[0]);
    const options = () =>
      bundleOf(findClass(uid)!).prepared.people.find((one) => one.id === people[0])!.options;
    const before = options();
    const { taken } = must(takeDiary(id, { text: writeCode(diaryOf(id, { pain: 'elsewhere' })) }));
    expect(options().length).toBeLessThan(before.length);
    must(undoDiary(id, taken));
    expect(options()).toEqual(before);
  });

  it('sends the next sheet with what was heard of, in no words', () => {
    const id = addPerson('Ottla');
    must(changeCare(id, careOf()));
    expect(phoneOf(id).heard).toEqual([]);
    const told = diaryOf(id, { pain: 'wrist' });
    must(takeDiary(id, { text: writeCode(told) }));
    must(takeDiary(id, { text: writeCode(diaryOf(id)) }));
    expect(phoneOf(id).heard).toEqual([tellingOf(told.entries[0]!)]);
    expect(phoneOf(id).heard.join()).not.toMatch(/wrist/);
  });

  it('is asked about until what it is about has its answer', () => {
    const [pained, signed] = [addPerson('Ottla'), addPerson('Runa')];
    const on = addDays(today(), -1);
    must(takeDiary(pained, { text: writeCode(diaryOf(pained, { on, pain: 'wrist' })) }));
    must(takeDiary(signed, { text: writeCode(diaryOf(signed, { on, sign: 'tingling' })) }));
    const word = {
      ...{ about: 'stop-sign' as const, covers: ['neck' as const], ladders: [] },
      ...{ notedOn: today(), until: addDays(today(), 30) },
    };
    const toAsk = () => listToAsk(database(), [pained, signed]);
    expect(toAsk()).toEqual([pained, signed]);
    // That pain is gone says nothing of a sign, and a word on a sign nothing of pain.
    must(notePainGone(signed));
    must(noteClearance(pained, word));
    expect(toAsk()).toEqual([pained, signed]);
    must(notePainGone(pained));
    must(noteClearance(signed, word));
    expect(toAsk()).toEqual([]);
  });

  it('counts a stop sign as one, once', () => {
    const id = addPerson('Ottla');
    const told = diaryOf(id, { sign: 'tingling' });
    must(takeDiary(id, { text: writeCode(told) }));
    must(
      takeDiary(id, {
        text: writeCode({
          ...told,
          entries: [...told.entries, { ...told.entries[0]!, item: 'cat' }],
        }),
      }),
    );
    expect(findPerson(database(), id)!.signs).toHaveLength(1);
  });
});
