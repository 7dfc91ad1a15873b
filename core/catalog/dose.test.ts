import { breaths, sayDose, seconds, times } from './dose';
import { drillTable } from './drills';

describe('a dose in words', () => {
  it.each([
    [[times(4)], '4 times'],
    [[times(3, 5)], '3–5 times'],
    [[times(10), times(3, 3, { per: 'side' })], '10 times, 3 times a side'],
    [[breaths(5, 5, { sets: 2 })], '2 × 5 breaths'],
    [[times(1)], 'once'],
    [[times(5), { hold: true } as const], '5 times, a hold'],
    [
      [times(10, 10, { of: 'rolls' }), times(3, 3, { per: 'way', of: 'turns' })],
      '10 rolls, 3 turns each way',
    ],
    [[breaths(2, 2, { sets: 6, high: 2 })], '6 × 2 breaths low, 2 high'],
    [[seconds(10, { per: 'side', of: 'crush' })], '10 s crush a side'],
    ['as long as it is light', 'as long as it is light'],
  ])('%j', (dose, words) => {
    expect(sayDose(dose)).toBe(words);
  });

  it('holds no longer than somebody can, and only where the seconds are that hold', () => {
    const dose = [seconds(30, { sets: 5, held: 'hollow-hold' }), seconds(10, { per: 'side' })];
    expect(sayDose(dose, () => 12)).toBe('5 × 12 s, 10 s a side');
    expect(sayDose(dose, () => 90)).toBe('5 × 30 s, 10 s a side');
  });

  it('says a unit for every number of every drill', () => {
    for (const { dose } of Object.values(drillTable)) {
      for (const part of sayDose(dose).split(', ')) {
        expect(part).toMatch(/(\d(–\d+)? (s|breaths|times|[a-z])|once|a hold)/);
      }
    }
  });
});
