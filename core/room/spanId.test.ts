import { sayWallOf, saySpan, spanIdOf } from './spanId';

it.each([
  ['north', 1, 'north wall'],
  ['west', 3, 'west wall, stretch 3'],
] as const)('says part %s %i', (wall, part, words) => {
  const id = spanIdOf(wall, part);
  expect(saySpan(id)).toBe(words);
  expect(sayWallOf(id)).toBe(`${wall} wall`);
});

it.each(['', 'north', 'north-', '-1', 'north-x', 'a-1-2'])(
  'leaves %j, as a file may have it, as it stands',
  (id) => {
    expect(saySpan(id)).toBe(id);
    expect(sayWallOf(id)).toBe(id);
  },
);
