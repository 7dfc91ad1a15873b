/** The same row of numbers each time: a failure can be looked at again. */
export function seeded(start: number) {
  let state = start;
  const next = () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return state / 4_294_967_296;
  };
  const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)];
  return { next, pick };
}
