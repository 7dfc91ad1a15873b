/** How high the shoulders lie over the head, and what they lie on. Source: handbook 04. */
import type { Lengths } from '../../body/body';
import { profileTable } from '../../catalog/profiles';
import { platformUnder, stackUnder } from '../../pieces/underWeight';
import { degrees, radians } from '../../posture/geometry';
import { neckLeverM } from '../../posture/supine';
import { tolerance } from '../../tolerance';
import { flatCaution, isFlat } from '../flat';
import { cm, measuring, type Setup, type SetupInput, type SetupResult, type Ways } from '../setup';
import { platformShares } from '../shares';
import { adviseStack } from '../stackAdvice';

/** The neck bends over this much of height besides skull base to C7. */
const headShare = 0.06;
/** A platform kept lower than wanted by more than the stack's own tolerance is too low. */
const toleranceM = 0.01;

/** Height over which an upright trunk bends the neck by the profile's wanted angle. */
export function platformHeight(input: SetupInput) {
  const { body, profile, settings } = input;
  const { neckFlexionDeg } = settings ?? profileTable[profile];
  const sine = Math.sin(radians(90 - neckFlexionDeg));
  const { measure, outgrown } = measuring(input, 'platform', {
    shares: platformShares,
    limits: { platformHeight: neckLeverM(body) },
  });
  const wanted = (l: Lengths) => (l.skullToC7 + headShare * body.heightM) * sine;
  const height = measure('platformHeight', wanted);
  const tooHigh = [
    ...outgrown(),
    ...(height.metres > neckLeverM(body) ? ['This platform is higher than the neck allows.'] : []),
  ];
  const shortM = wanted(body.lengths) - height.metres;
  const bendDeg = 90 - degrees(Math.asin(Math.min(1, height.metres / neckLeverM(body))));
  /** Why it may not be used as it is; a sentence. */
  const tooLow =
    shortM > toleranceM + tolerance.roundingM
      ? `Kept ${cm(shortM)} lower than this neck wants: it would bend about ${Math.round(bendDeg)}°, not ${neckFlexionDeg}°. Closed until the platform is higher.`
      : null;
  const flat = isFlat({ neckFlexionDeg }) ? [flatCaution(neckFlexionDeg)] : [];
  return { height, tooHigh, tooLow, flat };
}

export function stackForPlatform(input: SetupInput, heightM: number) {
  return adviseStack(input, stackUnder(platformUnder(input.body), heightM, input.pieces));
}

/** A platform too low for this neck is none. */
export function unlessTooLow(input: SetupInput, result: SetupResult, ways: Setup['ways']): Ways {
  const { tooLow } = platformHeight(input);
  return tooLow === null ? ways(input, result) : { ways: [], lack: tooLow };
}
