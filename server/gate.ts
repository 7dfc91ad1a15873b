/**
 * Who may ask for what. On this machine itself everything is the teacher's; through the network
 * door only devices that were let in, and an assistant's only what a running class needs.
 */
import { timingSafeEqual } from 'node:crypto';
import type { FloorRole } from '@/core/floor/roles';

export const deviceCookie = 'levitar-device';
/** The network door marks what came through it; the mark is new at every start. */
export const gateHeader = 'x-levitar-gate';

/** Did this request come through the network door? */
export function isFromNetwork(mark: string | null, secret: string | undefined): boolean {
  if (mark === null || secret === undefined || secret === '') return false;
  const [a, b] = [Buffer.from(mark), Buffer.from(secret)];
  return a.length === b.length && timingSafeEqual(a, b);
}

/** Open to every device that reaches the door: how to get in, and what pages are made of. */
const doorPages = [/^\/pair$/, /^\/icon\.svg$/];
const doorWrites = [/^\/pair\/join$/];

/** All that an assistant's device may look at. */
const assistantPages = [
  ...doorPages,
  /^\/floor$/,
  /^\/floor\/[0-9a-f-]{36}$/,
  /^\/floor\/(sw\.js|manifest\.webmanifest)$/,
  /^\/solver$/,
];

/** All that an assistant's device may send anything to. Pages are none of it: they take actions. */
const assistantWrites = [...doorWrites, /^\/floor\/[0-9a-f-]{36}\/taps$/];

export type Ruling =
  | { readonly kind: 'pass'; readonly role: FloorRole }
  /** Nobody let this device in yet. */
  | { readonly kind: 'pair' }
  /** Let in, but not to this. */
  | { readonly kind: 'closed' };

export interface Asking {
  readonly path: string;
  /** Asks, and changes nothing. */
  readonly isReading: boolean;
  /** A server action: called by its number from any page, so the path says nothing about it. */
  readonly isAction: boolean;
  /** Null: nobody let it in. */
  readonly role: FloorRole | null;
}

/** The rule for a request through the network door. */
export function ruleOn({ path, isReading, isAction, role }: Asking): Ruling {
  if (role === 'teacher') return { kind: 'pass', role };
  if (isAction) return { kind: role === null ? 'pair' : 'closed' };
  const allowed =
    role === 'assistant'
      ? isReading
        ? assistantPages
        : assistantWrites
      : isReading
        ? doorPages
        : doorWrites;
  if (allowed.some((one) => one.test(path))) return { kind: 'pass', role: 'assistant' };
  return { kind: role === null ? 'pair' : 'closed' };
}
