/** The worker that reads marks; it loads its model only when it is told to, or asked something. */
export const makeReader = (): Worker =>
  new Worker(new URL('../../workers/marks.worker.ts', import.meta.url), { type: 'module' });
