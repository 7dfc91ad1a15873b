import type { PeopleRow } from '@/features/ladders/read';
import { filterPeople, noFilter, plain, rungOf, type PeopleFilter } from './filter';
import { guessMapping, mapRows } from './mapping';

const row = (change: Partial<PeopleRow>): PeopleRow => ({
  id: 1,
  name: 'Jórun Pike',
  courses: ['Thursday'],
  heightM: 1.7,
  lastSeen: '2026-11-19',
  daysAway: 5,
  isScreeningDue: false,
  isArchived: false,
  consent: 'yes',
  rungs: [
    { family: 'forearm-stand', present: 'Dolphin, free', kind: 'advance', isElsewhere: false },
    { family: 'handstand', present: 'Wrists', kind: 'stay', isElsewhere: false },
  ],
  ...change,
});
const rows = [
  row({}),
  row({ id: 2, name: 'Ada Quill', courses: [], daysAway: null, rungs: [] }),
  row({ id: 3, name: 'Bo Pike', isArchived: true }),
  row({ id: 4, name: 'Cleo Marsh', isScreeningDue: true, daysAway: 40 }),
];
const ids = (filter: Partial<PeopleFilter>) =>
  filterPeople(rows, { ...noFilter, ...filter }).map(({ id }) => id);

describe('finding people', () => {
  it('shows everyone who is here, and those put away only when asked', () => {
    expect(ids({})).toEqual([1, 2, 4]);
    expect(ids({ isArchived: true })).toEqual([3]);
  });

  it('finds words in any order and without accents', () => {
    expect(ids({ text: 'pike jorun' })).toEqual([1]);
    expect(ids({ text: ' QUILL ' })).toEqual([2]);
    expect(ids({ text: 'nobody' })).toEqual([]);
    expect(plain('Élan Ñu')).toBe('elan nu');
  });

  it('narrows by course, family, verdict, screening and absence', () => {
    expect(ids({ course: 'Thursday' })).toEqual([1, 4]);
    expect(ids({ family: 'handstand' })).toEqual([1, 4]);
    expect(ids({ verdict: 'stay' })).toEqual([1, 4]);
    expect(ids({ verdict: 'stay', family: 'forearm-stand' })).toEqual([]);
    expect(ids({ isScreeningDue: true })).toEqual([4]);
    expect(ids({ isLongAbsent: true })).toEqual([2, 4]);
  });

  it('shows the rung of the family asked for', () => {
    expect(rungOf(rows[0]!, '')?.present).toBe('Dolphin, free');
    expect(rungOf(rows[0]!, 'handstand')?.present).toBe('Wrists');
    expect(rungOf(rows[0]!, 'headstand')).toBeUndefined();
  });
});

describe('the columns of a table', () => {
  it('are guessed from their headings, each used once', () => {
    expect(guessMapping(['Member no', 'Full name', 'Height (cm)', 'Weight', 'Touch ok?'])).toEqual({
      uid: 0,
      name: 1,
      height: 2,
      mass: 3,
      consent: 4,
    });
    expect(guessMapping(['Name', 'Name'])).toEqual({ name: 0 });
    expect(guessMapping(['a', 'b'])).toEqual({});
  });

  it('fill the fields, and what is missing is empty', () => {
    expect(mapRows([['Ada', '170'], ['Bo']], { name: 0, height: 1 })).toEqual([
      { name: 'Ada', height: '170', mass: '', consent: '', uid: '' },
      { name: 'Bo', height: '', mass: '', consent: '', uid: '' },
    ]);
  });
});
