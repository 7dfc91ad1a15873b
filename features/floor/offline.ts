'use client';

/** The running class is kept on the device, page and all, so that it opens without a connection. */
export async function keepOffline(): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  try {
    await navigator.serviceWorker.register('/floor/sw.js', { scope: '/floor' });
    await navigator.serviceWorker.ready;
    if (navigator.serviceWorker.controller === null) {
      await new Promise<void>((resolve) => {
        navigator.serviceWorker.addEventListener('controllerchange', () => resolve(), {
          once: true,
        });
        setTimeout(resolve, 5000);
      });
    }
    // Through the worker, so that the page as it is now and the solver are kept.
    await Promise.allSettled([
      fetch(window.location.href, { headers: { 'x-keep': 'page' } }),
      fetch('/solver', { headers: { 'x-keep': 'solver' } }),
    ]);
  } catch {
    // Without it the class runs all the same, as long as the page stays open.
  }
}
