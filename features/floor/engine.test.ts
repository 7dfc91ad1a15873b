import type { FloorAct, Tap } from '@/core/running/tap';
import { FloorEngine, pace, type EngineParts } from './engine';
import { NotHeard, type Exchange } from './sync';

/** A device, a clock and a server that are turned by hand. */
function stage() {
  const kept: Tap[] = [];
  let now = 1000;
  let upTo = 0;
  let wallOff = 1e12;
  const timers: { at: number; run: () => void }[] = [];
  const told: string[] = [];
  let heard: (() => void) | null = null;
  let answer: () => Promise<Exchange> = () =>
    Promise.resolve({
      serverMs: 5e12 + now,
      roundTripMs: 4,
      monoMs: now,
      heard: false,
      revision: 7,
    });
  let calls = 0;
  let isBroken: Error | null = null;
  const parts: EngineParts = {
    store: {
      findDevice: () => Promise.resolve('d'),
      readTaps: () => Promise.resolve([...kept]),
      readMeta: () => Promise.resolve({ upTo }),
      keepTap: (_uid, at, act) => {
        if (isBroken) return Promise.reject(isBroken);
        const tap: Tap = { device: 'd', seq: kept.length + 1, at, act };
        kept.push(tap);
        return Promise.resolve(tap);
      },
    },
    exchange: () => {
      calls += 1;
      return answer();
    },
    clock: { monoMs: () => now, wallMs: () => wallOff + now },
    after: (ms, run) => {
      const timer = { at: now + ms, run };
      timers.push(timer);
      return () => {
        const index = timers.indexOf(timer);
        if (index >= 0) timers.splice(index, 1);
      };
    },
    alone: (work) => work(),
    others: (onHeard) => {
      heard = onHeard;
      return { tell: () => told.push('tap'), close: () => (heard = null) };
    },
    boot: 'b',
  };
  const engine = new FloorEngine('u', parts);
  const settle = async () => {
    for (let round = 0; round < 30; round += 1) await Promise.resolve();
  };
  return {
    engine,
    kept,
    told,
    timers,
    settle,
    calls: () => calls,
    answers: (next: () => Promise<Exchange>) => (answer = next),
    breaks: (error: Error | null) => (isBroken = error),
    jumps: (ms: number) => (wallOff += ms),
    delivered: (seq: number) => (upTo = seq),
    hear: () => heard?.(),
    /** Lets time go on to the next timer and what follows from it. */
    async next() {
      const [first] = timers.sort((a, b) => a.at - b.at);
      if (first === undefined) throw new Error('nothing is due');
      timers.splice(timers.indexOf(first), 1);
      const waited = Math.max(0, first.at - now);
      now += waited;
      first.run();
      await settle();
      return waited;
    },
    passes: (ms: number) => (now += ms),
  };
}

const halt: FloorAct = { kind: 'halt', person: '1' };
const acts = (taps: readonly Tap[]) => taps.map(({ act }) => act.kind);

describe('a tap', () => {
  it('counts as made once it is kept, and is shown at once', async () => {
    const { engine, kept, told } = stage();
    engine.start();
    const shown = jest.fn();
    engine.subscribe(shown);
    const made = await engine.say(halt, { timeStamp: 940 });
    expect(made).toBe(kept[0]);
    expect(made!.at).toEqual({ boot: 'b', monoMs: 940, wallMs: 1e12 + 940 });
    expect(engine.getSnapshot().state.halts).toHaveLength(1);
    expect(shown).toHaveBeenCalled();
    expect(told).toEqual(['tap']);
  });

  it('is never later than now, whatever the event says', async () => {
    const { engine, kept } = stage();
    await engine.say(halt, { timeStamp: 9e9 });
    expect(kept[0]!.at.monoMs).toBe(1000);
  });

  it('that could not be kept is said, and not shown', async () => {
    const { engine, breaks } = stage();
    breaks(new DOMException('full', 'QuotaExceededError'));
    expect(await engine.say(halt)).toBeNull();
    expect(engine.getSnapshot().problem).toMatch(/device is full/);
    expect(engine.getSnapshot().state.halts).toHaveLength(0);
    breaks(new Error('locked'));
    await engine.say(halt);
    expect(engine.getSnapshot().problem).toMatch(/Tap it again/);
  });

  it('of another page of the device is read when that page says so', async () => {
    const { engine, kept, hear, settle } = stage();
    engine.start();
    kept.push({ device: 'd', seq: 1, at: { boot: 'x', monoMs: 1, wallMs: 1 }, act: halt });
    hear();
    await settle();
    expect(engine.getSnapshot().state.halts).toHaveLength(1);
  });

  it('is taken back by its name', async () => {
    const { engine, settle, next } = stage();
    engine.start();
    await next();
    await engine.say(halt);
    engine.undo();
    await settle();
    expect(engine.getSnapshot().state.halts).toHaveLength(0);
  });
});

describe('delivering', () => {
  it('compares the clocks first, then comes back at its pace', async () => {
    const { engine, kept, next, calls } = stage();
    engine.start();
    expect(await next()).toBe(0);
    expect(acts(kept)).toEqual(['anchor']);
    expect(engine.getSnapshot()).toMatchObject({ link: 'heard', revision: 7, problem: null });
    expect(await next()).toBe(pace.afterAnchorMs);
    expect(await next()).toBe(pace.everyMs);
    expect(calls()).toBe(3);
    expect(acts(kept)).toEqual(['anchor']);
  });

  it('compares them again when the device’s clock was set, and after a while', async () => {
    const { engine, kept, next, jumps, passes } = stage();
    engine.start();
    await next();
    jumps(-3_600_000);
    await next();
    expect(acts(kept)).toEqual(['anchor', 'anchor']);
    passes(pace.anchorEveryMs + 1);
    await next();
    expect(acts(kept)).toHaveLength(3);
  });

  it('goes at once for a tap, once only, and does not double one that is made meanwhile', async () => {
    const { engine, next, answers, settle, calls, timers } = stage();
    engine.start();
    await next();
    let release: () => void = () => undefined;
    answers(
      () =>
        new Promise((resolve) => {
          release = () =>
            resolve({ serverMs: 5e12, roundTripMs: 1, monoMs: 1000, heard: true, revision: 8 });
        }),
    );
    await engine.say(halt);
    await settle();
    expect(calls()).toBe(2);
    await engine.say(halt);
    engine.wake();
    await settle();
    expect(calls()).toBe(2);
    release();
    await settle();
    expect(timers).toHaveLength(1);
    expect(await next()).toBe(0);
    expect(calls()).toBe(3);
  });

  it('counts what waits until the server has it, clocks left out', async () => {
    const { engine, next, delivered, settle } = stage();
    engine.start();
    await next();
    await engine.say(halt);
    expect(engine.getSnapshot().waiting).toBe(1);
    delivered(2);
    engine.wake();
    await settle();
    expect(engine.getSnapshot().waiting).toBe(0);
  });

  it('waits longer and longer while nobody answers, and says why', async () => {
    const { engine, next, answers } = stage();
    answers(() => Promise.reject(new NotHeard('offline', 'No connection.')));
    engine.start();
    await next();
    const waits = [await next(), await next(), await next(), await next(), await next()];
    expect(waits[0]).toBeGreaterThanOrEqual(pace.everyMs);
    expect([...waits].sort((a, b) => a - b)).toEqual(waits);
    expect(waits.at(-1)).toBeGreaterThan(waits[0]!);
    expect(engine.getSnapshot()).toMatchObject({ link: 'offline', problem: 'No connection.' });
  });

  it('agrees anew at once, but not for ever', async () => {
    const { engine, next, answers } = stage();
    answers(() => Promise.reject(new NotHeard('apart', 'Agreeing anew.')));
    engine.start();
    await next();
    const waits = [await next(), await next(), await next(), await next()];
    expect(waits.slice(0, 3)).toEqual([pace.apartMs, pace.apartMs, pace.apartMs]);
    expect(waits[3]).toBeGreaterThanOrEqual(pace.everyMs);
  });

  it('forgets the trouble when it is heard again', async () => {
    const { engine, next, answers } = stage();
    answers(() => Promise.reject(new TypeError('something else')));
    engine.start();
    await next();
    expect(engine.getSnapshot().link).toBe('offline');
    answers(() =>
      Promise.resolve({ serverMs: 5e12, roundTripMs: 1, monoMs: 1, heard: false, revision: 9 }),
    );
    await next();
    expect(engine.getSnapshot()).toMatchObject({ link: 'heard', problem: null, revision: 9 });
  });

  it('ends with the screen: no timer is left, and nothing is sent', async () => {
    const { engine, next, timers, calls } = stage();
    engine.start();
    await next();
    engine.stop();
    expect(timers).toHaveLength(0);
    engine.wake();
    expect(calls()).toBe(1);
  });
});

describe('the line of the class', () => {
  it('is the server’s clock once it was heard, the device’s before', async () => {
    const { engine, next } = stage();
    expect(engine.nowLine(900)).toBe(1e12 + 900);
    engine.start();
    await next();
    expect(engine.nowLine(1500)).toBe(5e12 + 1500);
  });
});
