/** The worker that says what a clip says; one question after the other. */
export const makeClipReader = (): Worker =>
  new Worker(new URL('../../../workers/clip.worker.ts', import.meta.url), { type: 'module' });
