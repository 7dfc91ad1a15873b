'use client';

export const lockKey = 'alt+shift+L';

/** Locks the desk; the running class stays in sight as a helper sees it, everything else is closed. */
export async function lockDesk(): Promise<void> {
  try {
    await fetch('/desk/lock', { method: 'POST' });
  } catch {
    // Without an answer it is not locked: the page that asks says so.
  }
  const isFloor = /^\/floor\/.+/.test(window.location.pathname);
  if (isFloor) window.location.reload();
  else window.location.assign('/desk');
}
