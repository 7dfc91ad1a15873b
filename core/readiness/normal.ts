/** The standard normal distribution, right far into the tails. */
import erfc from '@stdlib/math-base-special-erfc';
import erfcx from '@stdlib/math-base-special-erfcx';

const rootTwo = Math.SQRT2;
const rootTwoOverPi = Math.sqrt(2 / Math.PI);

/** P(Z >= a). */
export function upperTail(a: number): number {
  return 0.5 * erfc(a / rootTwo);
}

/**
 * The hazard phi(a) / (1 - Phi(a)): what censoring at `a` adds to the mean.
 * Written with the scaled complementary error function, so that neither factor underflows: the
 * plain quotient is 0/0 from about a = 38 and loses digits from 8.
 */
export function hazard(a: number): number {
  return rootTwoOverPi / erfcx(a / rootTwo);
}
