import { readDiary, writeCode } from '@/core/home/diary';
import { listHomeReports, listToAsk } from '@/db/homeReports';
import { findPerson } from '@/db/people';
import { database } from '@/server/database';
import { exportPerson } from '@/server/files/exportPerson';
import { today } from '@/server/clock';
import { addPerson, careOf, must, withThrowawayStudio } from '@/features/testing/studio';
import { changeCare } from '@/features/person/change';
import { takeDiary, undoDiary } from './diaryChanges';
import { noteSign } from '@/features/person/careChanges';
import { begin } from '@/features/testing/floor';
import { findClass } from '@/server/running/floor';
import { bundleOf } from '@/server/running/floorBundle';
import { dataOf, writeHomeFile } from './homeFile';
import { readHome } from './read';
import { sheetOf } from './sheet';

withThrowawayStudio();

const viewOf = (id: number) => readHome(id)!;
const diaryOf = (id: number, more: object = {}) => ({
  format: 'levitar-diary' as const,
  version: 1 as const,
  sheet: sheetOf(viewOf(id).uid),
  entries: [{ on: today(), item: 'boat', felt: 'right' as const, ...more }],
});

describe('home practice as one file', () => {
  it('holds all of it, asks nothing of any network, and is small', () => {
    const id = addPerson('Ottla Brandt');
    const view = viewOf(id);
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
    const { items } = dataOf(viewOf(id));
    expect(items.length).toBeGreaterThan(0);
    for (const item of items) {
      expect(item.steps.length).toBeGreaterThan(0);
      expect(dataOf(viewOf(id)).moves[item.move!]!.pictures.length).toBeGreaterThan(5);
      if (/ a side/.test(item.dose)) {
        expect(item.steps.map(({ label }) => label).join()).toMatch(/one side.*other side/);
      }
    }
  });

  it('cannot be broken out of by what a teacher wrote', () => {
    const id = addPerson('</script><b>Ann');
    const file = writeHomeFile(viewOf(id));
    expect(file).not.toContain('</script><b>');
  });
});

/** What is stored of somebody that a diary may touch. */
function plain(id: number) {
  const { pains, signs } = findPerson(database(), id)!;
  return { pains, signs, reports: listHomeReports(database(), id) };
}

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
