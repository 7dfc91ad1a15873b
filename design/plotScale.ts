/** Steps of an axis that are easily read. */
const steps = [0.5, 1, 2, 5, 10, 25, 50, 100, 250, 500, 1000];

/**
 * The round figures of an axis from nought; the last is at most `most`.
 *
 * @param count of steps at most
 */
export function ticksTo(most: number, count: number): number[] {
  const step = steps.find((one) => most / one <= count) ?? most;
  return Array.from({ length: Math.floor(most / step) + 1 }, (_, index) => index * step);
}
