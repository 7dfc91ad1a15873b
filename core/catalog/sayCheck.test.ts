import { checkIds, getCheck } from './checks';
import { profileIds } from './profiles';
import { isLengthCheck, sayBar, sayValue, suffixOf, unitOf } from './sayCheck';

it('gives every value of every check its unit, and every bar its sense', () => {
  for (const id of checkIds) {
    const spec = getCheck(id);
    for (const profile of profileIds) {
      const bar = spec.opensAt[profile];
      // A bare number says nothing.
      expect([id, sayValue(spec, bar, 'cm')]).not.toEqual([id, expect.stringMatching(/^[\d.]+$/)]);
      expect([id, sayBar(spec, bar, 'cm')]).toEqual([
        id,
        expect.stringMatching(/^(at least|at most|passed|confirmed) /),
      ]);
    }
  }
});

it('says what is counted, held, measured, rated and passed', () => {
  const say = (id: (typeof checkIds)[number], value: number) => sayValue(getCheck(id), value, 'cm');
  expect(say('dolphin-hold', 22)).toBe('22 s');
  expect(say('dolphin-push-ups', 1)).toBe('once');
  expect(say('dolphin-push-ups', 5)).toBe('5 times');
  expect(say('head-clearance', 4)).toBe('4 cm');
  expect(say('wrist-extension', 79.04)).toBe('79°');
  expect(say('confidence', 5)).toBe('5 of 10');
  expect(say('lifted-tuck', 2)).toBe('2 of 3 (both heels)');
  expect(unitOf(getCheck('lifted-tuck'), 'cm')).toBe('of 3');
  expect(say('elbow-drift', 0.5)).toBe('0.5 cm');
  expect(say('controlled-exit', 1)).toBe('passed');
  expect(say('controlled-exit', 0)).toBe('not passed');
});

it('says which way a bar looks', () => {
  const bar = (id: (typeof checkIds)[number], value: number) => sayBar(getCheck(id), value, 'cm');
  expect(bar('dolphin-hold', 45)).toBe('at least 45 s');
  expect(bar('elbow-drift', 1)).toBe('at most 1 cm');
  expect(bar('head-load', 10)).toBe('at most 10 % of body weight');
});

it('puts behind a typed number what stands behind it in words', () => {
  expect(unitOf(getCheck('dolphin-hold'), 'cm')).toBe('s');
  expect(unitOf(getCheck('head-load'), 'cm')).toBe('% of body weight');
  expect(unitOf(getCheck('wrist-extension'), 'cm')).toBe('°');
  expect(unitOf(getCheck('confidence'), 'cm')).toBe('of 10');
  expect(unitOf(getCheck('controlled-exit'), 'cm')).toBe('passes');
});

it('says lengths in inches where the studio measures so, and nothing else', () => {
  for (const id of checkIds) {
    const spec = getCheck(id);
    const inInches = [sayValue(spec, 3, 'in'), sayBar(spec, 3, 'in'), unitOf(spec, 'in')];
    if (isLengthCheck(spec)) {
      expect([id, ...inInches, suffixOf(spec, 'in')]).toEqual([
        id,
        '1.2 in',
        expect.stringMatching(/^at (least|most) 1\.2 in$/),
        'in',
        ' in',
      ]);
    } else {
      expect(inInches).toEqual([
        sayValue(spec, 3, 'cm'),
        sayBar(spec, 3, 'cm'),
        unitOf(spec, 'cm'),
      ]);
    }
  }
});
