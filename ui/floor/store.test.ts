import 'fake-indexeddb/auto';
import type { FloorAct, Stamp, Tap } from '@/core/floor/tap';
import { findDevice, keepTap, noteDelivered, readMeta, readTaps, tidy } from './store';
import { exchange, NotHeard, waitingOf } from './sync';

const at: Stamp = { boot: 'b', monoMs: 1, wallMs: 1000 };
const act = (index = 0): FloorAct => ({ kind: 'segment', index, roundsDone: 0 });
let uid = '';
let count = 0;
beforeEach(() => {
  count += 1;
  uid = `class-${count}`;
});
afterEach(() => jest.restoreAllMocks());

const foreign = (seq: number): Tap => ({ device: 'other', seq, at, act: act(seq) });

describe('taps on the device', () => {
  it('get their numbers one after the other, also from two pages at once', async () => {
    const device = await findDevice();
    expect(await findDevice()).toBe(device);
    const made = await Promise.all(
      Array.from({ length: 20 }, (_, index) => keepTap(uid, device, at, act(index))),
    );
    expect(made.map(({ seq }) => seq).sort((a, b) => a - b)).toEqual(
      Array.from({ length: 20 }, (_, index) => index + 1),
    );
    expect(await readTaps(uid)).toHaveLength(20);
    expect(await readTaps('another')).toEqual([]);
  });

  it('wait until the server has said that it has them, and never share a name with lost ones', async () => {
    for (let index = 0; index < 3; index += 1) await keepTap(uid, 'mine', at, act(index));
    await noteDelivered(uid, { era: 'e', upTo: 2, after: 7, taps: [foreign(1)] });
    const taps = await readTaps(uid);
    const meta = await readMeta(uid);
    expect(waitingOf(taps, 'mine', meta.upTo).map(({ seq }) => seq)).toEqual([3]);
    expect(taps).toContainEqual(foreign(1));
    // An older answer that comes late takes nothing back.
    await noteDelivered(uid, { era: 'e', upTo: 1, after: 3, taps: [] });
    expect(await readMeta(uid)).toMatchObject({ upTo: 2, after: 7 });
    // The server knows of a fifth that this browser has lost.
    await noteDelivered(uid, { era: 'e', upTo: 5, after: 9, taps: [] });
    expect((await keepTap(uid, 'mine', at, act())).seq).toBe(6);
  });

  it('are forgotten a week later, but only once the server has them all', async () => {
    const week = 8 * 86_400_000;
    await keepTap(uid, 'mine', at, act());
    await tidy(Date.now() + week);
    expect(await readTaps(uid)).toHaveLength(1);
    await noteDelivered(uid, { era: 'e', upTo: 1, after: 1, taps: [foreign(4)] });
    await tidy(Date.now() + week);
    expect(await readTaps(uid)).toEqual([]);
  });
});

describe('an exchange', () => {
  const answer = (status: number, body: object = {}) =>
    jest
      .spyOn(globalThis, 'fetch')
      .mockImplementation(async () => new Response(JSON.stringify(body), { status }));

  it('sends what waits, oldest first, and keeps what the others tapped', async () => {
    for (let index = 0; index < 3; index += 1) await keepTap(uid, 'mine', at, act(index));
    const sent = answer(200, { upTo: 3, after: 12, taps: [foreign(9)], serverMs: 5000 });
    const found = await exchange(uid, 'mine');
    const body = JSON.parse(String(sent.mock.calls[0][1]!.body)) as { taps: Tap[]; after: number };
    expect(body.taps.map(({ seq }) => seq)).toEqual([1, 2, 3]);
    expect(body.after).toBe(0);
    expect(found).toMatchObject({ serverMs: 5000, heard: true });
    expect(await readMeta(uid)).toMatchObject({ upTo: 3, after: 12 });
    expect(await readTaps(uid)).toHaveLength(4);
  });

  it.each([
    [404, 'gone'],
    [507, 'full'],
    [401, 'out'],
    [400, 'unreadable'],
    [403, 'refused'],
    [500, 'offline'],
  ])('says what a %i means, and loses nothing', async (status, kind) => {
    await keepTap(uid, 'mine', at, act());
    answer(status, { problem: 'x' });
    await expect(exchange(uid, 'mine')).rejects.toMatchObject({ kind });
    expect((await readMeta(uid)).upTo).toBe(0);
  });

  it('takes a connection that is not there for just that', async () => {
    jest.spyOn(globalThis, 'fetch').mockRejectedValue(new TypeError('failed'));
    await expect(exchange(uid, 'mine')).rejects.toBeInstanceOf(NotHeard);
  });
});
