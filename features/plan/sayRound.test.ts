import { sayRound } from './sayRound';

const names = new Map([
  ['1', 'Ada'],
  ['2', 'Bo'],
  ['3', 'Cleo'],
  ['4', 'Di'],
]);
const at = (id: string, letter: string | null, label: string) => ({ id, letter, label });

it('says each thing once, with the letters it stands under and who is at which', () => {
  const people = [
    at('1', 'A', 'Dolphin'),
    at('2', 'A', 'Dolphin'),
    at('4', 'AA', 'Dolphin with strap'),
    at('3', 'G', 'Dolphin with strap'),
    at('5', null, 'Rest'),
  ];
  expect(sayRound({ people }, names)).toBe(
    'A Dolphin (Ada, Bo) · G, AA Dolphin with strap (G Cleo; AA Di) · Rest (5)',
  );
});

it('puts whoever needs no letter for the same thing behind', () => {
  const people = [at('1', null, 'Legs up the wall'), at('2', 'C', 'Legs up the wall')];
  expect(sayRound({ people }, names)).toBe('C Legs up the wall (C Bo; Ada)');
  expect(sayRound({ people: [] }, names)).toBe('');
});
