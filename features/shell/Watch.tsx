'use client';

import { useHotkeys, useIdle } from '@mantine/hooks';
import { useEffect } from 'react';
import { lockDesk, lockKey } from './lock';

const everyMs = 20_000;

interface WatchProps {
  readonly at: 'device' | 'desk';
  readonly idleMinutes?: number;
}

/** A device that was put out shows nothing any more; a desk nobody sits at locks itself. */
export function Watch({ at, idleMinutes = 10 }: WatchProps) {
  return at === 'device' ? <WatchDevice /> : <WatchDesk idleMs={idleMinutes * 60_000} />;
}

function WatchDevice() {
  useEffect(() => {
    const ask = async () => {
      try {
        const { status } = await fetch('/pair/here', { cache: 'no-store' });
        if (status === 401) window.location.replace('/pair');
      } catch {
        // Nobody answers: what is on the device stays in use, as in a class without a connection.
      }
    };
    const onSight = () => document.visibilityState === 'visible' && void ask();
    const timer = setInterval(() => void ask(), everyMs);
    document.addEventListener('visibilitychange', onSight);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', onSight);
    };
  }, []);
  return null;
}

function WatchDesk({ idleMs }: { readonly idleMs: number }) {
  const isIdle = useIdle(idleMs, { initialState: false });
  // Also while a field has the focus: nobody types these.
  useHotkeys([[lockKey, () => void lockDesk()]], []);
  useEffect(() => {
    if (isIdle) void lockDesk();
  }, [isIdle]);
  return null;
}
