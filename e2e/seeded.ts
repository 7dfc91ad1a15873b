import { seededRandom } from '@/core/random';

/** The same row of draws each time: a failure can be looked at again. */
export function seeded(start: number) {
  const next = seededRandom(start);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  return { next, pick };
}
