/** Signing in at the desk, and whose taps are whose. */
import { findTap } from '@/db/floor';
import { listTaps } from '@/db/floor';
import { database } from '../database';
import {
  deskRule,
  changePassphrase,
  dropPassphrase,
  findAtDesk,
  hasDeskLock,
  lockDesk,
  noteAtDesk,
  recoverDesk,
  signIn,
} from './desk';
import { createPairing, findDeviceBy, joinDevice } from '../network/devices';
import { readDiary } from '@/features/settings/setAside';
import { isOpenAtDesk, readHost } from '../network/doorRules';
import { takeTaps } from '../running/floor';
import { must, withThrowawayStudio } from '@/features/testing/studio';
import { assistantTaps, begin, tapsOf, teacherTaps } from '@/features/testing/floor';

withThrowawayStudio();
afterEach(() => jest.restoreAllMocks());

const open = (change: object = {}) => ({
  present: '',
  passphrase: 'a few words',
  name: 'Vera',
  ...change,
});
const at = (ms: number) => jest.spyOn(Date, 'now').mockReturnValue(ms);

describe('the passphrase of the desk', () => {
  it('is asked for once it is set, by everybody, and opens under a name', async () => {
    expect(findAtDesk(undefined)).toMatchObject({ role: 'teacher', isLocked: false });
    const { token } = must(await changePassphrase(open()));
    expect(hasDeskLock()).toBe(true);
    expect(findAtDesk(undefined).role).toBe('nobody');
    expect(findAtDesk('x'.repeat(43)).role).toBe('nobody');
    expect(findAtDesk(token)).toMatchObject({ role: 'teacher', name: 'Vera', isLocked: false });
    const other = must(await signIn({ passphrase: 'a few words', name: 'Ines' }));
    expect(findAtDesk(other).name).toBe('Ines');
    expect((await changePassphrase(open({ present: 'no', passphrase: 'other words' }))).ok).toBe(
      false,
    );
    expect((await changePassphrase(open({ passphrase: 'short' }))).ok).toBe(false);
    must(await changePassphrase(open({ present: 'a few words', passphrase: 'other words' })));
    // Everybody signs in anew.
    expect(findAtDesk(other).role).toBe('nobody');
    must(await dropPassphrase('other words'));
    expect(findAtDesk(undefined).role).toBe('teacher');
    expect(readDiary(9).map(({ kind, who }) => [kind, who])).toContainEqual(['signed-in', 'Ines']);
  });

  it('locks by hand and by itself, and stays locked for that browser', async () => {
    const { token } = must(await changePassphrase(open()));
    const now = Date.now();
    at(now + 9 * 60_000);
    noteAtDesk(token);
    at(now + 18 * 60_000);
    expect(findAtDesk(token).isLocked).toBe(false);
    at(now + 20 * 60_000);
    expect(findAtDesk(token)).toMatchObject({ role: 'teacher', isLocked: true });
    at(now + 10 * 60_000);
    expect(findAtDesk(token).isLocked).toBe(true);
    const next = must(await signIn({ passphrase: 'a few words', name: '' }));
    lockDesk(next);
    expect(findAtDesk(next).isLocked).toBe(true);
    at(now + deskRule.longestMs * 2);
    expect(findAtDesk(next).role).toBe('nobody');
  });

  it('slows down after wrong tries, whoever makes them, and the code opens it once', async () => {
    const { recovery } = must(await changePassphrase(open()));
    const now = Date.now();
    at(now);
    for (let tries = 0; tries < 4; tries += 1) {
      expect((await signIn({ passphrase: `no ${tries}`, name: '' })).ok).toBe(false);
    }
    // Not even the right one is looked at yet.
    const waiting = await signIn({ passphrase: 'a few words', name: '' });
    expect(waiting).toMatchObject({ problems: { passphrase: expect.stringMatching(/next try/) } });
    at(now + 3000);
    must(await signIn({ passphrase: 'a few words', name: '' }));
    const typed = { recovery: recovery.toLowerCase(), passphrase: 'new words here', name: '' };
    must(await recoverDesk(typed));
    expect((await recoverDesk(typed)).ok).toBe(false);
    expect((await signIn({ passphrase: 'a few words', name: '' })).ok).toBe(false);
  });

  it('leaves the running class open at a locked desk, and nothing else', () => {
    const taps = '/floor/01234567-89ab-cdef-0123-456789abcdef';
    const isOpen = (path: string, isReading: boolean, isLocked: boolean, isAction = false) =>
      isOpenAtDesk({ path, isReading, isAction }, isLocked);
    expect([isOpen(taps, true, true), isOpen(`${taps}/taps`, false, true)]).toEqual([true, true]);
    expect([isOpen(taps, true, false), isOpen(`${taps}/taps`, false, false)]).toEqual([
      false,
      false,
    ]);
    for (const path of [
      '/',
      '/people',
      '/settings/studio',
      '/trouble',
      '/devices',
      '/desk/change',
    ]) {
      expect([path, isOpen(path, true, true), isOpen(path, false, true)]).toEqual([
        path,
        false,
        false,
      ]);
    }
    expect(isOpen('/floor', true, true, true)).toBe(false);
    expect(['localhost:99999', 'a b', '', 'x:0', '[::1', 'localhost:'].map(readHost)).toEqual(
      Array(6).fill(null),
    );
    expect(['LOCALHOST:80', '[::1]:3000'].map(readHost)).toEqual(['localhost', '[::1]']);
  });
});

describe('whose taps', () => {
  const deliver = (uid: string, device: string, taps: readonly unknown[], tapper = teacherTaps) =>
    takeTaps(uid, { device, after: 0, taps }, tapper);

  it('takes none under the name of another device, from whoever', () => {
    const { uid, row, people } = begin();
    const stop = tapsOf([{ kind: 'sign', person: people[0]!, sign: 'dizzy' as never }], 'desk-1');
    const [tap] = stop;
    const real = { ...tap, seq: 1 };
    deliver(uid, 'desk-1', [{ ...real, act: { kind: 'halt', person: people[0] } }]);
    // Undoing the teacher's stop, or sending numbers ahead of it, as the teacher's own tablet.
    const lies = [2, 3, 4].map((seq) => ({ ...real, seq, act: { kind: 'undo', tap: 'desk-1.1' } }));
    for (const tapper of [assistantTaps, { ...teacherTaps, deviceId: 7 }]) {
      expect(deliver(uid, 'desk-1', lies, tapper)).toMatchObject({ reason: 'not-yours' });
    }
    expect(listTaps(database(), row.id)).toHaveLength(1);
    const sore = {
      ...real,
      seq: 2,
      at: { ...real.at, monoMs: 9 },
      act: { kind: 'sore', person: people[0], place: 'neck' },
    };
    expect(deliver(uid, 'desk-1', [sore])).toMatchObject({ ok: true, value: { upTo: 2 } });
    expect(findTap(database(), row.id, 'desk-1', 2)?.act.kind).toBe('sore');
  });

  it('never says that a tap is kept whose number something else has', () => {
    const { uid, row } = begin();
    const make = (seq: number, monoMs: number) => ({
      device: 'd',
      seq,
      at: { boot: 'b', monoMs, wallMs: 1 },
      act: { kind: 'segment', index: seq, roundsDone: 0 },
    });
    deliver(uid, 'd', [make(1, 1), make(2, 2)]);
    expect(deliver(uid, 'd', [make(2, 99)])).toMatchObject({
      reason: 'apart',
      upTo: 2,
      differs: [2],
    });
    expect(deliver(uid, 'd', [make(7, 7)])).toMatchObject({
      reason: 'apart',
      upTo: 2,
      differs: [],
    });
    expect(deliver(uid, 'd', [make(1, 1), make(3, 3)])).toMatchObject({
      ok: true,
      value: { upTo: 3 },
    });
    expect(deliver(uid, 'd', [])).toMatchObject({ ok: true, value: { upTo: 3 } });
    expect(listTaps(database(), row.id)).toHaveLength(3);
    expect(deliver(uid, 'd.1', [])).toMatchObject({ reason: 'unreadable' });
    expect(deliver('gone', 'd', [])).toMatchObject({ reason: 'gone' });
  });

  it('puts a device out that was not heard of for ninety days', async () => {
    const { code } = must(await createPairing('assistant'));
    const { token } = must(joinDevice({ code, name: 'Lent' }));
    const now = Date.now();
    expect(findDeviceBy(token)?.name).toBe('Lent');
    at(now + 89 * 86_400_000);
    expect(findDeviceBy(token)?.name).toBe('Lent');
    at(now + 180 * 86_400_000);
    expect(findDeviceBy(token)).toBeNull();
  });
});
