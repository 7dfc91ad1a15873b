'use client';

import { useEffect, useState } from 'react';

/** The page's monotonic clock, milliseconds, read so often. */
export function useNow(everyMs: number): number {
  const [now, setNow] = useState(() => performance.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(performance.now()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}

/** The clock on the wall, read so often. */
export function useWallClock(everyMs: number): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}

/** Keeps the screen awake while the class runs and the page is in sight, where the device can. */
export function useWakeLock(isRunning: boolean): void {
  useEffect(() => {
    if (!isRunning) return;
    let lock: WakeLockSentinel | null = null;
    let isOver = false;
    const ask = async () => {
      if (!('wakeLock' in navigator) || document.visibilityState !== 'visible') return;
      try {
        const got = await navigator.wakeLock.request('screen');
        if (isOver) await got.release();
        else lock = got;
      } catch {
        // Low battery, or not allowed: the class goes on without it.
      }
    };
    const onSight = () => void ask();
    void ask();
    document.addEventListener('visibilitychange', onSight);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', onSight);
      void lock?.release().catch(() => undefined);
    };
  }, [isRunning]);
}
