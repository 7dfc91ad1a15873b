import { counted, inSentence, keepTogether } from './words';

it.each([
  ['Dolphin hold', 'dolphin hold'],
  ['L at the wall', 'L at the wall'],
  ['L, one leg up', 'L, one leg up'],
  ['', ''],
  ['Child’s pose', 'child’s pose'],
])('%j stands in a sentence as %j', (label, expected) => {
  expect(inSentence(label)).toBe(expected);
});

it.each([
  ['2 × 4 breaths', '2\u00a0×\u00a04\u00a0breaths'],
  ['4 breaths a side, 3–4 times', '4\u00a0breaths a side, 3\u2060–\u20604\u00a0times'],
  ['the whole round', 'the whole round'],
])('%j keeps its figures beside what they count', (dose, expected) => {
  expect(keepTogether(dose)).toBe(expected);
});

it('counts one thing as one', () => {
  expect([0, 1, 2].map((count) => counted(count, 'row'))).toEqual(['0 rows', '1 row', '2 rows']);
  expect([1, 2].map((count) => counted(count, 'try', 'tries'))).toEqual(['1 try', '2 tries']);
});
