'use client';

import { useEffect, useState } from 'react';

const monotonic = () => performance.now();
const onTheWall = () => new Date();

function useClock<T extends number | Date>(read: () => T, everyMs: number): T {
  const [now, setNow] = useState(read);
  useEffect(() => {
    const timer = setInterval(() => setNow(read()), everyMs);
    return () => clearInterval(timer);
  }, [read, everyMs]);
  return now;
}

/** The page's monotonic clock, milliseconds, read so often. */
export const useNow = (everyMs: number): number => useClock(monotonic, everyMs);

/** The clock on the wall, read so often. */
export const useWallClock = (everyMs: number): Date => useClock(onTheWall, everyMs);

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
