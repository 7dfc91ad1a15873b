import type { FloorRole } from '@/core/floor/roles';

/** Set by the guard in front of every page, never by whoever asks. */
export const roleHeader = 'x-levitar-role';

/** Whose device is asking. On this machine itself it is the teacher's. */
export const readRole = (headers: Pick<Headers, 'get'>): FloorRole =>
  headers.get(roleHeader) === 'assistant' ? 'assistant' : 'teacher';
