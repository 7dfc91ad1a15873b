/** Chances against what came: bins, Brier score, and whether the difference is more than chance. */
import type { Forecast } from './forecasts';

export interface Bin {
  /** From this chance on, and under the next; 0-1. */
  readonly low: number;
  readonly high: number;
  readonly count: number;
  /** Means over the bin; `null` where it is empty. */
  readonly said: number | null;
  readonly expected: number | null;
  readonly came: number | null;
  /** Nine in ten honest shares lie between (Wilson's interval). */
  readonly cameLow: number | null;
  readonly cameHigh: number | null;
}

export type Leaning = 'as-said' | 'more-often' | 'less-often' | 'too-little';

export interface Reliability {
  readonly count: number;
  /** Share that came, 0-1; `null` without forecasts. */
  readonly came: number | null;
  /** Mean squared distance of what was said from what came; 0 is perfect. */
  readonly brier: number | null;
  /** The same of the chance with one evening's scatter. */
  readonly brierExpected: number | null;
  /** The same of somebody who always says the overall share. */
  readonly brierOfShare: number | null;
  /** How many deviations more (or fewer) came than were to be expected. */
  readonly z: number | null;
  readonly leaning: Leaning;
  readonly bins: readonly Bin[];
}

export const reliabilityRules = {
  bins: 10,
  /** Under so many forecasts nothing is said. */
  least: 30,
  /** Further off than this is more than chance (one time in a hundred). */
  off: 2.58,
  /** Nine in ten. */
  wilsonZ: 1.645,
} as const;

const mean = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;

/** Wilson's interval of a share. Source: E. B. Wilson, 1927. */
export function wilson(came: number, count: number, z: number = reliabilityRules.wilsonZ) {
  const share = came / count;
  const factor = 1 + z ** 2 / count;
  const middle = (share + z ** 2 / (2 * count)) / factor;
  const half = (z / factor) * Math.sqrt((share * (1 - share)) / count + z ** 2 / (4 * count ** 2));
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

const numeric = (came: boolean) => (came ? 1 : 0);

function toBin(low: number, high: number, own: readonly Forecast[]): Bin {
  const came = own.filter((one) => one.came).length;
  const span = own.length === 0 ? null : wilson(came, own.length);
  return {
    low,
    high,
    count: own.length,
    said: mean(own.map(({ said }) => said)),
    expected: mean(own.map(({ expected }) => expected)),
    came: mean(own.map((one) => numeric(one.came))),
    cameLow: span?.low ?? null,
    cameHigh: span?.high ?? null,
  };
}

/** @param bins how many of equal width */
export function measureReliability(
  forecasts: readonly Forecast[],
  bins: number = reliabilityRules.bins,
): Reliability {
  const indexOf = ({ said }: Forecast) => Math.min(bins - 1, Math.floor(said * bins));
  const squares = (of: (one: Forecast) => number) =>
    mean(forecasts.map((one) => (of(one) - numeric(one.came)) ** 2));
  const came = mean(forecasts.map((one) => numeric(one.came)));
  const surplus = forecasts.reduce((sum, one) => sum + numeric(one.came) - one.expected, 0);
  const variance = forecasts.reduce((sum, { expected: p }) => sum + p * (1 - p), 0);
  const z = variance > 0 ? surplus / Math.sqrt(variance) : null;
  return {
    count: forecasts.length,
    came,
    brier: squares(({ said }) => said),
    brierExpected: squares(({ expected }) => expected),
    brierOfShare: came === null ? null : came * (1 - came),
    z,
    leaning: leaningOf(forecasts.length, z),
    bins: Array.from({ length: bins }, (_, index) =>
      toBin(
        index / bins,
        (index + 1) / bins,
        forecasts.filter((one) => indexOf(one) === index),
      ),
    ),
  };
}

function leaningOf(count: number, z: number | null): Leaning {
  if (count < reliabilityRules.least || z === null) return 'too-little';
  if (Math.abs(z) <= reliabilityRules.off) return 'as-said';
  return z > 0 ? 'more-often' : 'less-often';
}

/** One sentence for a person. */
export function leaningWords({ leaning, count }: Pick<Reliability, 'leaning' | 'count'>): string {
  switch (leaning) {
    case 'too-little':
      return `${count} looks: too little to say; ${reliabilityRules.least} are needed.`;
    case 'as-said':
      return 'What was said came about as often as it was to be expected.';
    case 'more-often':
      return 'It came more often than was said: the chances are too careful here.';
    case 'less-often':
      return 'It came less often than was said: the chances are too hopeful here.';
  }
}
