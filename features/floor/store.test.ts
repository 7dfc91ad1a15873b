import 'fake-indexeddb/auto';
import type { FloorAct, Stamp, Tap } from '@/core/running/tap';
import {
  findDevice,
  keepTap,
  listUnsent,
  noteApart,
  noteDelivered,
  readMeta,
  readTaps,
  takeNewName,
  tidy,
  wipeDevice,
} from './store';
import { exchange, NotHeard, waitingOf } from './sync';

const at: Stamp = { boot: 'b', monoMs: 1, wallMs: 1000 };
const act = (index = 0): FloorAct => ({ kind: 'segment', index, roundsDone: 0 });
let uid = '';
let mine = '';
let count = 0;
beforeEach(async () => {
  mine = await findDevice();
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
      Array.from({ length: 20 }, (_, index) => keepTap(uid, at, act(index))),
    );
    expect(made.map(({ seq }) => seq).sort((a, b) => a - b)).toEqual(
      Array.from({ length: 20 }, (_, index) => index + 1),
    );
    expect(await readTaps(uid)).toHaveLength(20);
    expect(await readTaps('another')).toEqual([]);
  });

  it('wait until the server has said that it has them, and never share a name with lost ones', async () => {
    for (let index = 0; index < 3; index += 1) await keepTap(uid, at, act(index));
    await noteDelivered(uid, { era: 'e', upTo: 2, after: 7, taps: [foreign(1)] });
    const taps = await readTaps(uid);
    const meta = await readMeta(uid);
    expect(waitingOf(taps, mine, meta.upTo).map(({ seq }) => seq)).toEqual([3]);
    expect(taps).toContainEqual(foreign(1));
    // An older answer that comes late takes nothing back.
    await noteDelivered(uid, { era: 'e', upTo: 1, after: 3, taps: [] });
    expect(await readMeta(uid)).toMatchObject({ upTo: 2, after: 7 });
    // The server knows of a fifth that this browser has lost.
    await noteDelivered(uid, { era: 'e', upTo: 5, after: 9, taps: [] });
    expect((await keepTap(uid, at, act())).seq).toBe(6);
  });

  it('are forgotten a week later, but only once the server has them all', async () => {
    const week = 8 * 86_400_000;
    await keepTap(uid, at, act());
    await tidy(Date.now() + week);
    expect(await readTaps(uid)).toHaveLength(1);
    await noteDelivered(uid, { era: 'e', upTo: 1, after: 1, taps: [foreign(4)] });
    await tidy(Date.now() + week);
    expect(await readTaps(uid)).toEqual([]);
  });
});

describe('a row that has come apart from the server’s', () => {
  it('goes on from where the server’s ends, and what takes a tap back follows it', async () => {
    for (let index = 1; index <= 5; index += 1) await keepTap(uid, at, act(index));
    await keepTap(uid, at, { kind: 'undo', tap: `${mine}.5` });
    await noteDelivered(uid, { era: 'old', upTo: 6, after: 9, taps: [foreign(1)] });
    // A copy was taken back: the server has three, and the third is not the one that is here.
    await noteApart(uid, mine, { upTo: 3, differs: [3], era: 'new' });
    const meta = await readMeta(uid);
    expect(meta).toMatchObject({ upTo: 3, after: 0, nextSeq: 8, era: 'new' });
    const waiting = waitingOf(await readTaps(uid), mine, meta.upTo);
    expect(waiting.map(({ seq, act: one }) => [seq, one.kind === 'segment' && one.index])).toEqual([
      [4, 3],
      [5, 4],
      [6, 5],
      [7, false],
    ]);
    expect(waiting.at(-1)!.act).toEqual({ kind: 'undo', tap: `${mine}.6` });
    expect(await readTaps(uid)).toContainEqual(foreign(1));
  });

  it('goes under a new name where the old one is another’s, in every class, and once', async () => {
    await keepTap(uid, at, act(1));
    await keepTap(uid, at, act(2));
    await keepTap(uid, at, { kind: 'undo', tap: `${mine}.2` });
    await noteDelivered(uid, { era: 'e', upTo: 1, after: 4, taps: [] });
    await keepTap(`${uid}-second`, at, act(9));
    await Promise.all([takeNewName(mine), takeNewName(mine)]);
    const name = await findDevice();
    expect(name).not.toBe(mine);
    const own = (await readTaps(uid)).filter(({ device }) => device === name);
    expect(own.map(({ seq, act: one }) => [seq, one])).toEqual([
      [1, act(2)],
      [2, { kind: 'undo', tap: `${name}.1` }],
    ]);
    // What the server had stays under the name it has it by.
    expect((await readTaps(uid)).filter(({ device }) => device === mine)).toHaveLength(1);
    expect(await readMeta(uid)).toMatchObject({ upTo: 0, after: 0, nextSeq: 3 });
    expect((await readTaps(`${uid}-second`))[0]).toMatchObject({ device: name, seq: 1 });
    expect((await keepTap(uid, at, act(3))).seq).toBe(3);
  });
});

describe('a device that was put out', () => {
  it('hands out what was not taken in, then knows nothing any more', async () => {
    await keepTap(uid, at, act(1));
    await keepTap(uid, at, act(2));
    await keepTap(uid, at, { kind: 'anchor', serverMs: 1, roundTripMs: 1 });
    await noteDelivered(uid, { era: 'e', upTo: 1, after: 1, taps: [foreign(1)] });
    const cleared = jest.fn();
    const unsent = (await listUnsent()).find((one) => one.uid === uid)!;
    expect(unsent.taps.map(({ seq }) => seq)).toEqual([2]);
    const storage = { clear: cleared };
    const browser = { navigator: {}, window: {}, localStorage: storage, sessionStorage: storage };
    for (const [name, value] of Object.entries(browser)) {
      Object.defineProperty(globalThis, name, { value, configurable: true });
    }
    await wipeDevice();
    expect(cleared).toHaveBeenCalledTimes(2);
    expect(await readTaps(uid)).toEqual([]);
    expect(await listUnsent()).toEqual([]);
    expect(await findDevice()).not.toBe(mine);
  });
});

describe('an exchange', () => {
  const answer = (status: number, body: object = {}) =>
    jest
      .spyOn(globalThis, 'fetch')
      .mockImplementation(async () => new Response(JSON.stringify(body), { status }));

  it('sends what waits, oldest first, and keeps what the others tapped', async () => {
    for (let index = 0; index < 3; index += 1) await keepTap(uid, at, act(index));
    const sent = answer(200, { upTo: 3, after: 12, taps: [foreign(9)], serverMs: 5000 });
    const found = await exchange(uid, mine);
    const body = JSON.parse(String(sent.mock.calls[0]![1]!.body)) as { taps: Tap[]; after: number };
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
    await keepTap(uid, at, act());
    answer(status, { problem: 'x' });
    await expect(exchange(uid, mine)).rejects.toMatchObject({ kind });
    expect((await readMeta(uid)).upTo).toBe(0);
  });

  it('takes a new name and goes on where the server knows another device by it', async () => {
    await keepTap(uid, at, act());
    answer(403, { problem: 'x', reason: 'not-yours' });
    await expect(exchange(uid, mine)).rejects.toMatchObject({ kind: 'apart' });
    const name = await findDevice();
    expect(name).not.toBe(mine);
    const sent = answer(200, { upTo: 1, after: 1, taps: [], serverMs: 1, era: 'e' });
    await exchange(uid, name);
    expect(JSON.parse(String(sent.mock.calls.at(-1)![1]!.body))).toMatchObject({
      device: name,
      taps: [{ device: name, seq: 1 }],
    });
  });

  it('agrees anew where its row and the server’s have come apart', async () => {
    for (let index = 1; index <= 3; index += 1) await keepTap(uid, at, act(index));
    answer(409, { problem: 'x', upTo: 1, differs: [], era: 'n' });
    await expect(exchange(uid, mine)).rejects.toMatchObject({ kind: 'apart' });
    const sent = answer(200, { upTo: 3, after: 1, taps: [], serverMs: 1, era: 'n' });
    await exchange(uid, mine);
    const body = JSON.parse(String(sent.mock.calls.at(-1)![1]!.body)) as { taps: Tap[] };
    expect(body.taps.map(({ seq }) => seq)).toEqual([2, 3]);
  });

  it('takes a connection that is not there for just that', async () => {
    jest.spyOn(globalThis, 'fetch').mockRejectedValue(new TypeError('failed'));
    await expect(exchange(uid, mine)).rejects.toBeInstanceOf(NotHeard);
  });
});
