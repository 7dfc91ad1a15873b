import { findAll, findMatch } from './match';

it('finds by the beginning, by words in any order, by initials, and by a part', () => {
  expect(findMatch('Corin Vale', 'cor')).toBe(0);
  expect(findMatch('Corin Vale', 'vale c')).toBe(1);
  expect(findMatch('Corin Vale', 'cv')).toBe(2);
  expect(findMatch('Corin Vale', 'C. V.')).toBe(1);
  expect(findMatch('Corin Vale', 'ale')).toBe(3);
  expect(findMatch('Corin Vale', 'vx')).toBeNull();
});

it('does not mind accents and capitals', () => {
  expect(findMatch('Zoë Größl', 'zoe')).toBe(0);
  expect(findMatch('Forearm stand, toes off the wall', 'TOES OFF')).toBe(1);
});

it('brings the closest first, and no more than asked for', () => {
  const all = ['Room', 'Rosalind Fenn', 'Forearm rocks', 'Petra Lune'].map((label) => ({ label }));
  expect(findAll(all, 'ro', 9).map(({ label }) => label)).toEqual([
    'Room',
    'Rosalind Fenn',
    'Forearm rocks',
  ]);
  expect(findAll(all, '', 2)).toHaveLength(2);
});
