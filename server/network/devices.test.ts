/** Devices on the network: let in, put out, and what is open to them. */
import { anybodysWords } from '../useCase';
import { readFileSync } from 'node:fs';
import { databaseFile } from '../database';
import { createPairing, dropDevice, findDeviceBy, joinDevice, readDevices } from './devices';
import { ruleOn, isFromNetwork } from './doorRules';
import { must, withThrowawayStudio } from '@/features/testing/studio';

withThrowawayStudio();

describe('the network door', () => {
  const wrong = (code: string) => String((Number(code) + 1) % 1e8).padStart(8, '0');

  it('lets a device in once by its code, knows it by its token, and puts it out', async () => {
    const { code } = must(await createPairing('assistant'));
    expect(code).toMatch(/^\d{8}$/);
    expect(joinDevice({ code: '1', name: 'x' }).ok).toBe(false);
    const spaced = `${code.slice(0, 4)} ${code.slice(4)}`;
    const { token, role } = must(joinDevice({ code: spaced, name: 'Tablet' }));
    expect(role).toBe('assistant');
    expect(joinDevice({ code, name: 'Another' }).ok).toBe(false);
    expect(findDeviceBy(token)).toMatchObject({ name: 'Tablet', role: 'assistant' });
    expect(findDeviceBy(`${token}x`)).toBeNull();
    expect(findDeviceBy(undefined)).toBeNull();
    const bytes = readFileSync(`${databaseFile()}-wal`);
    expect(bytes.includes(token)).toBe(false);
    expect(bytes.includes(code)).toBe(false);
    must(dropDevice(readDevices()[0]!.id));
    expect(findDeviceBy(token)).toBeNull();
    expect(dropDevice(99).ok).toBe(false);
  });

  it('voids a code after five wrong tries, and after five minutes', async () => {
    const { code } = must(await createPairing('teacher'));
    for (let index = 0; index < 5; index += 1) {
      expect(joinDevice({ code: wrong(code), name: 'x' }).ok).toBe(false);
    }
    expect(joinDevice({ code, name: 'x' }).ok).toBe(false);
    const later = must(await createPairing('teacher'));
    jest.spyOn(Date, 'now').mockReturnValue(later.expiresMs + 1);
    expect(joinDevice({ code: later.code, name: 'x' }).ok).toBe(false);
    jest.restoreAllMocks();
    expect((await anybodysWords(createPairing)('owner')).ok).toBe(false);
  });

  it('opens to an assistant what a running class needs, and nothing else', () => {
    const uid = '01234567-89ab-cdef-0123-456789abcdef';
    const rule = (path: string, role: 'teacher' | 'assistant' | null, isAction = false) =>
      ruleOn({ path, role, isReading: !isAction, isAction }).kind;
    const send = (path: string, role: 'teacher' | 'assistant' | null) =>
      ruleOn({ path, role, isReading: false, isAction: false }).kind;
    for (const path of ['/floor', `/floor/${uid}`, '/solver']) {
      expect(rule(path, 'assistant')).toBe('pass');
      expect(rule(path, null)).toBe('pair');
      // A form sent to a page may be an action without saying so.
      expect(send(path, 'assistant')).toBe('closed');
      expect(send(path, 'teacher')).toBe('pass');
    }
    expect(send(`/floor/${uid}/taps`, 'assistant')).toBe('pass');
    expect(send(`/floor/${uid}/taps`, null)).toBe('pair');
    expect([send('/pair/join', null), send('/pair', null)]).toEqual(['pass', 'pair']);
    const closed = [
      '/',
      '/people',
      '/people/1',
      '/settings/studio',
      `/review/${uid}`,
      '/plan/class',
    ];
    for (const path of [...closed, '/floor/scale', '/floor/../people', '/floor/x', '/devices']) {
      expect(rule(path, 'assistant')).toBe('closed');
      expect(rule(path, null)).toBe('pair');
      expect(rule(path, 'teacher')).toBe('pass');
    }
    // An action is called by its number, from whatever page.
    expect(rule('/floor', 'assistant', true)).toBe('closed');
    expect(rule('/pair', null, true)).toBe('pair');
    expect(isFromNetwork('abc', 'abc')).toBe(true);
    for (const mark of [null, '', 'abd', 'abcd']) expect(isFromNetwork(mark, 'abc')).toBe(false);
    expect(isFromNetwork('', '')).toBe(false);
  });
});
