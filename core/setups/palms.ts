/**
 * How far apart hands and feet stand where the weight is on flat hands. Source: handbook 09 (hands
 * under the shoulders), 02 (wider hands for larger bodies); the widening is ours (docs/decisions/0014).
 */
import { feetApartM, widerForTrunkM } from '../body/girths';
import type { Distance } from './distance';
import { cm, measuring, type SetupInput } from './setup';
import type { Sharing } from './kept';

/** Between the hands: the same wherever it is measured. */
export const palmShares = {
  handWidth: 'hand-kick',
  feetApart: 'hand-L',
} as const satisfies Sharing;

export interface Palms {
  readonly handWidth: Distance;
  /** Empty where the feet may stand as they like. */
  readonly feetApart: readonly Distance[];
  readonly notes: readonly string[];
}

export function palmsApart(input: SetupInput): Palms {
  const { body } = input;
  const { measure } = measuring(input, 'hand-kick', { shares: palmShares });
  const widerM = widerForTrunkM(body);
  const handWidth = measure(
    'handWidth',
    (l) => l.shoulderJointWidth + widerM,
    widerM === 0
      ? {}
      : { why: `shoulder joint to shoulder joint and ${cm(widerM)} more for the trunk` },
  );
  const isWider = widerM > 0 && handWidth.found === undefined;
  return {
    handWidth,
    feetApart: feetBeside(input),
    notes: isWider
      ? [
          `Hands ${cm(widerM)} wider than the shoulder joints, so that the trunk has room between; the price: the arms carry at a slant and tire sooner.`,
        ]
      : [],
  };
}

/** Feet further apart than the hips, where the thighs want it. */
export function feetBeside(input: SetupInput): readonly Distance[] {
  const apartM = feetApartM(input.body);
  if (apartM === null) return [];
  const { measure } = measuring(input, 'hand-L', { shares: palmShares });
  return [measure('feetApart', () => apartM)];
}
