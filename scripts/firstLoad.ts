/** How much script a page asks for before anybody touches it. */
import { gzipSync } from 'node:zlib';

/** At most so much, KiB compressed: what was reached, so that it does not grow unseen. */
export const scriptBudgets = {
  '/': 180,
  '/people': 176,
  '/people/1': 180,
  '/floor': 178,
  // With the poses of the movements, as which some rungs are drawn, and what counts a cupboard of pieces of two sizes.
  '/plan': 359,
  '/bench': 305,
  '/room': 274,
} as const;

/**
 * The same for a class that runs, whose address is not known beforehand: line, people, clock and stop.
 * Drawings and what a tap opens come when it stands.
 */
export const classBudget = 179;

const tags = /<script\b[^>]*>/g;
const address = /\bsrc="(\/_next\/static\/[^"]+\.js)"/;

/**
 * Scripts of a page that a browser of today loads at once, compressed, in KiB. What is for browsers
 * without modules is left out: no other loads it.
 *
 * @param read fetches an address of the same server as text
 */
export async function firstLoadKiB(
  path: string,
  read: (path: string) => Promise<string>,
): Promise<number> {
  const html = await read(path);
  const sources = new Set(
    [...html.matchAll(tags)].flatMap(([tag]) =>
      /\bnomodule\b/i.test(tag) ? [] : (address.exec(tag)?.[1] ?? []),
    ),
  );
  if (sources.size === 0) throw new Error(`${path} has no scripts: is it the page that was meant?`);
  const sizes = await Promise.all(
    [...sources].map(async (source) => gzipSync(await read(source)).length),
  );
  return sizes.reduce((sum, size) => sum + size, 0) / 1024;
}
