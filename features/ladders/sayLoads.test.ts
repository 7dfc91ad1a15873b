import { sayLoads } from './sayLoads';

it.each([
  [{}, 'nothing to speak of'],
  [{ wrist: 0 }, 'nothing to speak of'],
  [{ wrist: 1 }, 'wrists fully'],
  [
    { core: 0.5, wrist: 1, scapula: 0.9, shoulder: 1 },
    'wrists and shoulders fully; shoulder blades 90 %, trunk 50 % of full load',
  ],
  [{ neck: 0.1, shoulder: 0.2 }, 'shoulders 20 %, neck 10 % of full load'],
] as const)('says of %j: %s', (loads, words) => {
  expect(sayLoads(loads)).toBe(words);
});
