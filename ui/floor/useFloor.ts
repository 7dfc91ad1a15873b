'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { waitAfter } from '@/core/floor/queue';
import { replay, type FloorState } from '@/core/floor/replay';
import { tapId, uniteTaps, type FloorAct, type Tap } from '@/core/floor/tap';
import { findDevice, keepTap, readMeta, readTaps } from './store';
import { exchange, NotHeard, waitingOf } from './sync';

export type Link = 'starting' | 'heard' | NotHeard['kind'];

export interface Floor {
  readonly state: FloorState;
  readonly device: string | null;
  /** Taps that the server does not have yet. */
  readonly waiting: number;
  readonly link: Link;
  /** Why the last exchange failed, or a tap could not be kept. */
  readonly problem: string | null;
  /** Keeps a tap at the moment of the event; resolves once it is on disk, `null` when it is not. */
  readonly say: (act: FloorAct, event?: { readonly timeStamp: number }) => Promise<Tap | null>;
  readonly undo: () => void;
  /** A moment of the page's clock on the line that the taps of the class stand on, milliseconds. */
  readonly nowLine: (monoMs: number) => number;
  readonly boot: string;
  /** Newest number heard of what the class goes by; `null` before anything was heard. */
  readonly revision: number | null;
}

const everyMs = 2500;
/** How often the clocks are compared, and how far they may drift apart before it is done at once. */
const anchorEveryMs = 120_000;
const driftMs = 400;

/** A class on this device: its taps, what they say, and the queue to the server. */
export function useFloor(uid: string): Floor {
  const [taps, setTaps] = useState<readonly Tap[]>([]);
  const [upTo, setUpTo] = useState(0);
  const [device, setDevice] = useState<string | null>(null);
  const [link, setLink] = useState<Link>('starting');
  const [problem, setProblem] = useState<string | null>(null);
  const [revision, setRevision] = useState<number | null>(null);
  const [boot] = useState(() => Math.random().toString(36).slice(2, 12));
  const wake = useRef<() => void>(() => undefined);
  const anchor = useRef<{ monoMs: number; serverMs: number; drift: number } | null>(null);
  const channel = useRef<BroadcastChannel | null>(null);

  const stampAt = useCallback(
    (monoMs: number) => ({
      boot,
      monoMs,
      wallMs: Date.now() - (performance.now() - monoMs),
    }),
    [boot],
  );

  const reload = useCallback(async () => {
    const [all, meta, name] = await Promise.all([readTaps(uid), readMeta(uid), findDevice()]);
    setDevice(name);
    setTaps((shown) => (isSame(shown, all) ? shown : all));
    setUpTo(meta.upTo);
  }, [uid]);

  const keep = useCallback(
    async (act: FloorAct, monoMs: number): Promise<Tap | null> => {
      try {
        const made = await keepTap(uid, stampAt(monoMs), act);
        setTaps((list) => uniteTaps(list, [made]));
        channel.current?.postMessage('tap');
        return made;
      } catch (error) {
        const isFull = error instanceof DOMException && error.name === 'QuotaExceededError';
        setProblem(
          isFull
            ? 'This device is full: the last tap was not kept. Free some space; everything before it is safe.'
            : 'The last tap could not be kept on this device. Tap it again.',
        );
        return null;
      }
    },
    [stampAt, uid],
  );

  const say = useCallback(
    async (act: FloorAct, event?: { readonly timeStamp: number }) => {
      // Of the event, not of this line: React may come to it late.
      const at =
        event === undefined ? performance.now() : Math.min(event.timeStamp, performance.now());
      const made = await keep(act, at);
      wake.current();
      return made;
    },
    [keep],
  );

  useEffect(() => {
    let isOver = false;
    let failures = 0;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let isBusy = false;
    let isWanted = false;
    const own = new BroadcastChannel(`levitar-floor-${uid}`);
    channel.current = own;
    own.onmessage = () => void reload();
    const turn = async () => {
      clearTimeout(timer);
      if (isOver || isBusy) return;
      isBusy = true;
      isWanted = false;
      let next = everyMs;
      // What is on the device is shown before anybody is asked.
      await reload().catch(() => undefined);
      try {
        const name = await findDevice();
        // One page of this device at a time: deliveries would only overtake each other.
        await navigator.locks.request(`levitar-floor-${uid}`, async () => {
          const answer = await exchange(uid, name);
          setRevision(answer.revision);
          const drift = Date.now() - performance.now();
          const last = anchor.current;
          const isDue =
            last === null ||
            answer.monoMs - last.monoMs > anchorEveryMs ||
            Math.abs(drift - last.drift) > driftMs;
          if (isDue) {
            anchor.current = { monoMs: answer.monoMs, serverMs: answer.serverMs, drift };
            const { serverMs, roundTripMs } = answer;
            await keep({ kind: 'anchor', serverMs, roundTripMs }, answer.monoMs);
            next = 200;
          }
          if (answer.heard) own.postMessage('heard');
        });
        failures = 0;
        setLink('heard');
        setProblem(null);
      } catch (error) {
        failures += 1;
        next = Math.max(everyMs, waitAfter(failures));
        if (error instanceof NotHeard) {
          setLink(error.kind);
          setProblem(error.message);
          // Both sides know where to go on from: at once, but not for ever.
          if (error.kind === 'apart' && failures < 4) next = 50;
        } else {
          setLink('offline');
        }
      } finally {
        isBusy = false;
      }
      await reload().catch(() => undefined);
      // A tap made meanwhile goes at once, unless nobody answers anyway.
      const wait = isWanted && failures === 0 ? 0 : next;
      if (!isOver) timer = setTimeout(() => void turn(), wait);
    };
    const soon = () => {
      if (isBusy) isWanted = true;
      else void turn();
    };
    wake.current = soon;
    const onSight = () => document.visibilityState === 'visible' && soon();
    window.addEventListener('online', soon);
    document.addEventListener('visibilitychange', onSight);
    timer = setTimeout(() => void turn(), 0);
    return () => {
      isOver = true;
      clearTimeout(timer);
      own.close();
      window.removeEventListener('online', soon);
      document.removeEventListener('visibilitychange', onSight);
    };
  }, [keep, reload, uid]);

  const state = useMemo(() => replay(taps), [taps]);
  const undo = useCallback(() => {
    const last = device === null ? undefined : state.undoable.get(device);
    if (last !== undefined) void say({ kind: 'undo', tap: tapId(last) });
  }, [device, say, state]);
  const nowLine = useCallback((monoMs: number) => {
    const last = anchor.current;
    if (last !== null) return last.serverMs + (monoMs - last.monoMs);
    return Date.now() - (performance.now() - monoMs);
  }, []);
  const waiting = device === null ? 0 : waitingOf(taps, device, upTo).filter(isSaid).length;
  return { state, device, waiting, link, problem, say, undo, nowLine, boot, revision };
}

const isSaid = ({ act }: Tap) => act.kind !== 'anchor';

const isSame = (a: readonly Tap[], b: readonly Tap[]) =>
  a.length === b.length && new Set([...a, ...b].map(tapId)).size === a.length;
