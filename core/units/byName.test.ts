import { byName } from './byName';

it('reads as a list of names does: accents beside their letter, small beside large', () => {
  const names = [
    'Zoe',
    'anna',
    'Ömer',
    'Änne',
    'Anna',
    'Olga',
    'Person 10',
    'Person 9',
    'Éva',
    'Eva',
  ];
  const sorted = names
    .map((name) => ({ name }))
    .sort(byName)
    .map(({ name }) => name);
  expect(sorted).toEqual([
    'anna',
    'Anna',
    'Änne',
    'Eva',
    'Éva',
    'Olga',
    'Ömer',
    'Person 9',
    'Person 10',
    'Zoe',
  ]);
});
