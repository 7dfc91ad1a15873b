/**
 * Who may ask for what. On this machine itself everything is the teacher's; through the network
 * door only devices that were let in, and an assistant's only what a running class needs.
 */
import { timingSafeEqual } from 'node:crypto';
import type { FloorRole } from '@/core/running/roles';

export const deviceCookie = 'levitar-device';
/** The network door marks what came through it; the mark is new at every start. */
export const doorHeader = 'x-levitar-door';

/** Did this request come through the network door? */
export function isFromNetwork(mark: string | null, secret: string | undefined): boolean {
  if (mark === null || secret === undefined || secret === '') return false;
  const [a, b] = [Buffer.from(mark), Buffer.from(secret)];
  return a.length === b.length && timingSafeEqual(a, b);
}

/** What pages are made of: the same for everybody, and only ever read. */
export const isBuildFile = (path: string): boolean =>
  path === '/icon.svg' ||
  /^\/_next\/static\/(?:[\w~.-]+\/)*[\w~.-]+\.(?:js|css|woff2|wasm|map)$/.test(path);

/** Open to every device that reaches the door: how to get in. */
const doorPages = [/^\/pair$/];
const doorWrites = [/^\/pair\/join$/];

/** All that an assistant's device may look at. */
const assistantPages = [
  ...doorPages,
  /^\/floor$/,
  /^\/floor\/[0-9a-f-]{36}$/,
  /^\/floor\/(sw\.js|manifest\.webmanifest)$/,
  /^\/solver$/,
  /^\/pair\/here$/,
];

/** All that an assistant's device may send anything to. Pages are none of it: they take actions. */
const assistantWrites = [...doorWrites, /^\/floor\/[0-9a-f-]{36}\/taps$/];

export type Ruling =
  | { readonly kind: 'pass'; readonly role: FloorRole | 'nobody' }
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
  if (isBuildFile(path)) {
    return isReading && !isAction ? { kind: 'pass', role: role ?? 'nobody' } : { kind: 'closed' };
  }
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
  if (allowed.some((one) => one.test(path))) return { kind: 'pass', role: role ?? 'nobody' };
  return { kind: role === null ? 'pair' : 'closed' };
}

/** Open at a desk that is locked: how to sign in, and the running class. */
const lockedPages = [
  /^\/desk$/,
  /^\/floor$/,
  /^\/floor\/[0-9a-f-]{36}$/,
  /^\/floor\/(sw\.js|manifest\.webmanifest)$/,
  /^\/solver$/,
];
const lockedWrites = [/^\/desk\/(in|recover)$/, /^\/floor\/[0-9a-f-]{36}\/taps$/];

/** At a desk with a passphrase: is this open to who has not signed in, or has locked it? */
export function isOpenAtDesk(
  { path, isReading, isAction }: Omit<Asking, 'role'>,
  isLocked: boolean,
): boolean {
  if (isBuildFile(path)) return isReading && !isAction;
  if (isAction) return false;
  const [pages, writes] = isLocked
    ? [lockedPages, lockedWrites]
    : [lockedPages.slice(0, 1), lockedWrites.slice(0, 1)];
  return (isReading ? pages : writes).some((one) => one.test(path));
}

const hostShape = /^(?:\[([0-9a-f:.]+)\]|([a-z0-9](?:[a-z0-9.-]*[a-z0-9])?))(?::(\d{1,5}))?$/i;

/** The name of a Host header without its port; `null` for what is no host. */
export function readHost(host: string | null): string | null {
  const found = hostShape.exec(host ?? '');
  if (found === null || Number(found[3] ?? 1) < 1 || Number(found[3] ?? 1) > 65_535) return null;
  return (host ?? '').replace(/:\d{1,5}$/, '').toLowerCase();
}
