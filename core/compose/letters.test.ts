import { byLetter, letterOf } from './letters';

it('sorts letters as they are given, also beyond Z, and nobody’s last', () => {
  const given = Array.from({ length: 60 }, (_, index) => letterOf(index));
  expect(given.slice(24, 30)).toEqual(['Y', 'Z', 'AA', 'AB', 'AC', 'AD']);
  expect(new Set(given).size).toBe(60);
  expect([null, ...given].reverse().sort(byLetter)).toEqual([...given, null]);
  expect(byLetter('B', 'B')).toBe(0);
  expect(byLetter(null, null)).toBe(0);
});
