/**
 * How far apart the elbows stand in forearm work, and what follows from it. Source: handbook 04
 * "Widths, loops, spacers"; the widening is ours (docs/decisions).
 */
import type { Lengths } from '../body/body';
import { widerForTrunkM } from '../body/girths';
import { loopLength } from '../pieces/strap';
import type { Distance } from './distance';
import { cm, measuring, type SetupInput } from './setup';
import { forearmShares } from './shares';

const rules = {
  /** Arms overhead from here on want no wider elbows (the usual bar of the check). */
  easyFlexionDeg: 165,
  widerPerDegreeM: 0.002,
  mostWiderM: 0.06,
  /** Strap for forearm work: a shade under the outer elbows. */
  strapUnderM: 0.01,
} as const;

/** How much further out the elbows go where the shoulders do not open all the way, metres. */
const widerForShoulders = (shoulderFlexionDeg: number | undefined): number =>
  shoulderFlexionDeg === undefined
    ? 0
    : Math.min(
        rules.mostWiderM,
        Math.max(0, rules.easyFlexionDeg - shoulderFlexionDeg) * rules.widerPerDegreeM,
      );

export interface Elbows {
  readonly elbowWidth: Distance;
  /** Middle to middle, as they stand. */
  readonly widthM: (lengths: Lengths) => number;
  readonly outerElbowM: (lengths: Lengths) => number;
  /** Inside to inside, just below the crease. */
  readonly betweenM: (lengths: Lengths) => number;
  /** The strap's loop round both. */
  readonly loopM: (lengths: Lengths) => number;
  readonly notes: readonly string[];
}

export function elbowsApart(input: SetupInput): Elbows {
  const { measure } = measuring(input, 'forearm-kick', { shares: forearmShares });
  const forShouldersM = widerForShoulders(input.shoulderFlexionDeg);
  const forTrunkM = widerForTrunkM(input.body);
  // Room for the one is room for the other.
  const widerM = Math.max(forShouldersM, forTrunkM);
  const isForShoulders = forShouldersM >= forTrunkM;
  const elbowWidth = measure(
    'elbowWidth',
    (l) => l.shoulderJointWidth + widerM,
    widerM === 0
      ? {}
      : {
          why: `shoulder joint to shoulder joint and ${cm(widerM)} more for the ${isForShoulders ? 'shoulders' : 'trunk'}`,
        },
  );
  // Strap and spacer hold the elbows where they stand, wherever that was found to be.
  const beyondJointM = elbowWidth.metres - input.body.lengths.shoulderJointWidth;
  const widthM = (l: Lengths) => l.shoulderJointWidth + beyondJointM;
  const outerElbowM = (l: Lengths) => widthM(l) + l.upperArmThickness;
  const isWider = widerM > 0 && elbowWidth.found === undefined;
  return {
    elbowWidth,
    widthM,
    outerElbowM,
    betweenM: (l) => Math.max(0, widthM(l) - l.upperArmThickness),
    loopM: (l) => loopLength(outerElbowM(l) - rules.strapUnderM, l.upperArmThickness),
    notes: isWider
      ? [
          `Elbows ${cm(widerM)} wider than the shoulder joints, ${
            isForShoulders
              ? `since the arms go ${Math.round(input.shoulderFlexionDeg!)}° overhead`
              : 'so that the trunk has room between'
          }; the price: they slide out sooner, so the strap earns its place.`,
        ]
      : [],
  };
}
