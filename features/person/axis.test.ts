import { listTicks, tickUnit } from './axis';

it.each([
  [0.9, [0, 0.5, 1]],
  [1, [0, 0.5, 1]],
  [5, [0, 2, 4, 6]],
  [10.8, [0, 5, 10, 15]],
  [34, [0, 10, 20, 30, 40]],
  [40, [0, 10, 20, 30, 40]],
  [187, [0, 50, 100, 150, 200]],
])('marks an axis up to %d with round figures', (highest, ticks) => {
  expect(listTicks(highest)).toEqual(ticks);
});

it('has few marks and room for the highest, whatever it is', () => {
  for (let highest = 0.05; highest < 5_000; highest *= 1.07) {
    const ticks = listTicks(highest);
    expect(ticks.length).toBeLessThanOrEqual(5);
    expect(ticks.at(-1)! / highest).toBeGreaterThanOrEqual(1 - 1e-9);
    expect(ticks.at(-1)! / highest).toBeLessThan(2.001);
  }
  expect([listTicks(0), listTicks(Number.NaN)]).toEqual([
    [0, 1],
    [0, 1],
  ]);
});

it('puts signs behind a figure, and no words', () => {
  expect(['s', 'cm', 'in', '°', 'passes', 'of 10', '% of body weight', ''].map(tickUnit)).toEqual([
    ' s',
    ' cm',
    ' in',
    '°',
    '',
    '',
    '',
    '',
  ]);
});
