import { readSettings } from '@/server/judging/views';
import { hasDeskLock } from '@/server/desk/desk';
import type { askerOf } from '@/server/network/guarded';
import { Watch } from './Watch';

interface WatchOverProps {
  readonly asker: Awaited<ReturnType<typeof askerOf>>;
}

/** What looks after a page behind the doors: a device that is put out, a desk nobody sits at. */
export function WatchOver({ asker }: WatchOverProps) {
  if (asker.isFromNetwork) return <Watch at="device" />;
  if (!hasDeskLock() || asker.isLocked) return null;
  return <Watch at="desk" idleMinutes={readSettings().deskIdleMinutes} />;
}
