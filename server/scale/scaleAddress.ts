/** Where a load scale may stand: on the studio's own network, and nowhere else. */
import { lookup } from 'node:dns/promises';
import os from 'node:os';
import ipaddr from 'ipaddr.js';

export const scaleAddressWords =
  'A scale stands on the studio’s own network, such as http://192.168.1.40/stream.';

/** @returns the address in parts; `null` for what is no address of a scale */
export function readScaleUrl(text: string): URL | null {
  try {
    const url = new URL(text);
    const isPlain = url.username === '' && url.password === '';
    return url.protocol === 'http:' && isPlain ? url : null;
  } catch {
    return null;
  }
}

const ownAddresses = (): Set<string> =>
  new Set(
    Object.values(os.networkInterfaces())
      .flat()
      .map((one) => one?.address ?? ''),
  );

/** A private address of a network, and not this machine under another name. */
export function isStudioAddress(
  address: string,
  own: ReadonlySet<string> = ownAddresses(),
): boolean {
  if (!ipaddr.isValid(address)) return false;
  const plain = ipaddr.process(address);
  const range = plain.range();
  return (range === 'private' || range === 'uniqueLocal') && !own.has(plain.toString());
}

/** Literal addresses can be judged as they are typed; names when they are looked up. */
export function isPossibleScale(text: string): boolean {
  const url = readScaleUrl(text);
  if (url === null) return false;
  const host = url.hostname.replace(/^\[|\]$/g, '');
  if (ipaddr.isValid(host)) return isStudioAddress(host);
  return !/^(localhost|.*\.localhost)$/.test(host);
}

export type Resolve = (host: string) => Promise<readonly string[]>;

const resolveByName: Resolve = async (host) =>
  (await lookup(host, { all: true, verbatim: true })).map(({ address }) => address);

/**
 * Looks a scale's name up once; what it means then is what is connected to, whatever the name means
 * a moment later.
 *
 * @returns `null` unless everything it means is on the studio's network
 */
export async function pinScale(url: URL, resolve: Resolve = resolveByName): Promise<string | null> {
  const host = url.hostname.replace(/^\[|\]$/g, '');
  try {
    const found = ipaddr.isValid(host) ? [host] : await resolve(host);
    return found.length > 0 && found.every((one) => isStudioAddress(one)) ? found[0]! : null;
  } catch {
    return null;
  }
}
