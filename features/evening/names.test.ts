import fc from 'fast-check';
import { shortNames } from './names';

const called = (...names: string[]) => [
  ...shortNames(names.map((name, index) => ({ id: String(index), name }))).values(),
];

it('calls people by their first names, with as much of what follows as tells them apart', () => {
  expect(called('Ada Lund', 'Bo')).toEqual(['Ada', 'Bo']);
  expect(called('Anna Berg', 'Anna Lund', 'Bo')).toEqual(['Anna B', 'Anna L', 'Bo']);
  expect(called('Anna Berg', 'Anna Brandt')).toEqual(['Anna Be', 'Anna Br']);
  expect(called('Anna', 'Anna Brandt')).toEqual(['Anna', 'Anna B']);
  expect(called('Anna Berg', 'Anna Bergmann')).toEqual(['Anna Berg', 'Anna Bergm']);
  expect(called('Anna van Berg', 'Anna van Lund')).toEqual(['Anna van B', 'Anna van L']);
});

it('counts those who are called the same to the last letter', () => {
  expect(called('Anna Berg', 'Anna Berg', 'Anna Lund')).toEqual(['Anna B 1', 'Anna B 2', 'Anna L']);
});

it('never calls two people the same', () => {
  const name = fc
    .array(fc.constantFrom('An', 'Anna', 'B', 'Be', 'Berg', 'Ö'), { minLength: 1, maxLength: 3 })
    .map((parts) => parts.join(' '));
  fc.assert(
    fc.property(fc.array(name, { maxLength: 12 }), (names) => {
      expect(new Set(called(...names)).size).toBe(names.length);
    }),
  );
});
