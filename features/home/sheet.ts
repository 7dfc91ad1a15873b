import { createHash } from 'node:crypto';

/** Whose practice it is, without saying who: a diary goes back to the person it is of. */
export const sheetOf = (uid: string) =>
  createHash('sha256').update(`sheet ${uid}`).digest('hex').slice(0, 16);
