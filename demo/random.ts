export { seededRandom } from '@/core/random';

/** A standard normal draw, by the polar method of Box and Muller. */
export function normalDraw(random: () => number): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()));
  return radius * Math.cos(2 * Math.PI * random());
}
