/**
 * Who asks: written by the guard in front of every page, sealed with a secret of this process, and
 * read by everything behind it. What carries no seal of ours was asked by nobody.
 */
import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { z } from 'zod';
import type { FloorRole } from '@/core/running/roles';

const askerShape = z.strictObject({
  /** `nobody`: reached the door, was not let in. */
  role: z.enum(['teacher', 'assistant', 'nobody']),
  /** The device that was let in; `null` at the desk itself. */
  deviceId: z.int().positive().nullable(),
  /** What this device or the teacher at the desk is called, for decisions and the diary. */
  name: z.string().max(80),
  isFromNetwork: z.boolean(),
  /** Signed in at the desk, and locked since: its taps go on, nothing else does. */
  isLocked: z.boolean(),
  /** The studio cannot be opened: whoever sits at the desk may look for a copy. */
  isInTrouble: z.boolean().default(false),
});

export type Asker = Omit<z.output<typeof askerShape>, 'isInTrouble'> & {
  readonly isInTrouble?: boolean;
};

export const nobody: Asker = {
  role: 'nobody',
  deviceId: null,
  name: '',
  isFromNetwork: true,
  isLocked: false,
};

/** The teacher at the desk, where no passphrase is set. */
export const atDesk = (name: string): Asker => ({
  role: 'teacher',
  deviceId: null,
  name,
  isFromNetwork: false,
  isLocked: false,
});

/** Whoever holds a device that was let in. */
export const atDevice = (device: {
  readonly id: number;
  readonly role: FloorRole;
  readonly name: string;
}): Asker => ({
  role: device.role,
  deviceId: device.id,
  name: device.name,
  isFromNetwork: true,
  isLocked: false,
});

/**
 * All that a page may go by: it may be given to everybody else who is the same in this. Who exactly
 * asks is known to changes alone.
 */
export type PageAsker = Pick<Asker, 'role' | 'isFromNetwork' | 'isLocked'>;

export const forPages = ({ role, isFromNetwork, isLocked }: PageAsker): PageAsker => ({
  role,
  isFromNetwork,
  isLocked,
});

/** Set by the guard alone; what somebody sends under this name is overwritten. */
export const askerHeader = 'x-levitar-asker';

/** One secret for the process: its modules may be loaded more than once. */
const sealSecret = (): string =>
  (process.env.LEVITAR_SEAL ??= randomBytes(32).toString('base64url'));

const sealOf = (text: string) => createHmac('sha256', sealSecret()).update(text).digest();

export function writeAsker(asker: Asker): string {
  const text = Buffer.from(JSON.stringify(asker)).toString('base64url');
  return `${text}.${sealOf(text).toString('base64url')}`;
}

/** @returns `nobody` for a header that is missing, or was not written by the guard of this process */
export function readAsker(headers: Pick<Headers, 'get'>): Asker {
  const [text, seal, ...rest] = (headers.get(askerHeader) ?? '').split('.');
  if (text === undefined || seal === undefined || rest.length > 0) return nobody;
  const given = Buffer.from(seal, 'base64url');
  const own = sealOf(text);
  if (given.length !== own.length || !timingSafeEqual(given, own)) return nobody;
  try {
    return askerShape.parse(JSON.parse(Buffer.from(text, 'base64url').toString('utf8')));
  } catch {
    return nobody;
  }
}
