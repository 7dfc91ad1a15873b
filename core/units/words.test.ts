import { inSentence } from './words';

it.each([
  ['Dolphin hold', 'dolphin hold'],
  ['L at the wall', 'L at the wall'],
  ['L, one leg up', 'L, one leg up'],
  ['', ''],
  ['Child’s pose', 'child’s pose'],
])('%j stands in a sentence as %j', (label, expected) => {
  expect(inSentence(label)).toBe(expected);
});
