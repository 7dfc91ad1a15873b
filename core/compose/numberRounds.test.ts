import { numberRounds } from './numberRounds';

const lines = (...kinds: Parameters<typeof numberRounds>[0][number]['kind'][]) =>
  kinds.map((kind) => ({ kind }));

it('counts the rounds in their order, whatever stands between them', () => {
  expect(numberRounds(lines('arrive', 'round', 'reset', 'round', 'counter'))).toEqual([
    null,
    0,
    null,
    1,
    null,
  ]);
});

it('finds none in an evening without rounds', () => {
  expect(numberRounds(lines('arrive', 'drill', 'rest'))).toEqual([null, null, null]);
  expect(numberRounds([])).toEqual([]);
});
