'use client';

import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { FloorEngine, type EngineParts, type FloorSnapshot } from './engine';
import { findDevice, keepTap, readMeta, readTaps } from './store';
import { exchange } from './sync';

export type { Link } from './engine';

/** A class on this device as its screens read it. */
export interface Floor
  extends FloorSnapshot, Pick<FloorEngine, 'say' | 'undo' | 'nowLine' | 'boot'> {}

/** The parts as a browser has them. */
function browserParts(uid: string): EngineParts {
  const name = `levitar-floor-${uid}`;
  return {
    store: { findDevice, keepTap, readMeta, readTaps },
    exchange,
    clock: { monoMs: () => performance.now(), wallMs: () => Date.now() },
    after: (ms, run) => {
      const timer = setTimeout(run, ms);
      return () => clearTimeout(timer);
    },
    // Deliveries of two pages would only overtake each other.
    alone: async (work) => {
      await navigator.locks.request(name, work);
    },
    others: (onHeard) => {
      const channel = new BroadcastChannel(name);
      channel.onmessage = onHeard;
      return { tell: () => channel.postMessage('tap'), close: () => channel.close() };
    },
    boot: Math.random().toString(36).slice(2, 12),
  };
}

/** Runs the class's engine while the screen is there. */
export function useFloor(uid: string): Floor {
  const [engine] = useState(() => new FloorEngine(uid, browserParts(uid)));
  useEffect(() => {
    const onSight = () => document.visibilityState === 'visible' && engine.wake();
    engine.start();
    window.addEventListener('online', engine.wake);
    document.addEventListener('visibilitychange', onSight);
    return () => {
      engine.stop();
      window.removeEventListener('online', engine.wake);
      document.removeEventListener('visibilitychange', onSight);
    };
  }, [engine]);
  const snapshot = useSyncExternalStore(engine.subscribe, engine.getSnapshot, engine.getSnapshot);
  return useMemo(
    () => ({
      ...snapshot,
      say: engine.say,
      undo: engine.undo,
      nowLine: engine.nowLine,
      boot: engine.boot,
    }),
    [engine, snapshot],
  );
}
