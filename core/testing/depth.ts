/**
 * How far the tests look that try random people, classes and rooms: at a few of them each time, at
 * all of them in `npm run test:deep`. Few are spread evenly over all, and the same ones every time.
 */
const isDeep = () => (globalThis as { readonly LEVITAR_DEEP?: boolean }).LEVITAR_DEEP === true;

/** As many of something: `few` of them, and `all` in the deep run. */
export const ofMany = (all: number, few: number): number => (isDeep() ? all : few);

/** A few of a list, the middle of each of so many parts of it; all of it in the deep run. */
export function someOf<T>(all: readonly T[], few: number): readonly T[] {
  const count = ofMany(all.length, Math.min(few, all.length));
  return Array.from(
    { length: count },
    (_, at) => all[Math.floor(((at + 0.5) * all.length) / count)]!,
  );
}

/** Seeds from 1 to `last`, `few` of them unless the run is deep. */
export const seedsTo = (last: number, few: number): readonly number[] =>
  someOf(
    Array.from({ length: last }, (_, at) => at + 1),
    few,
  );
