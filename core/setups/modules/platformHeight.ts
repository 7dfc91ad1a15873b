/** How high the shoulders lie over the head, and what they lie on. Source: handbook 04. */
import { profileTable } from '../../catalog/profiles';
import { radians } from '../../posture/geometry';
import { neckLeverM } from '../../posture/supine';
import { measuring, type SetupInput } from '../setup';
import { platformShares } from '../shares';
import { adviseStack } from '../stackAdvice';

/** The neck bends over this much of height besides skull base to C7. */
const headShare = 0.06;
/** Beyond the shoulders and the upper arms. */
const overM = 0.1;

/** Height over which an upright trunk bends the neck by the profile's wanted angle. */
export function platformHeight(input: SetupInput) {
  const { body, profile, settings } = input;
  const { neckFlexionDeg } = settings ?? profileTable[profile];
  const sine = Math.sin(radians(90 - neckFlexionDeg));
  const { measure, outgrown } = measuring(input, 'platform', {
    shares: platformShares,
    limits: { platformHeight: neckLeverM(body) },
  });
  const height = measure('platformHeight', (l) => (l.skullToC7 + headShare * body.heightM) * sine);
  const tooHigh = [
    ...outgrown(),
    ...(height.metres > neckLeverM(body) ? ['This platform is higher than the neck allows.'] : []),
  ];
  return { height, tooHigh };
}

export function stackForPlatform(input: SetupInput, heightM: number) {
  const { body, pieces } = input;
  const { outerShoulderWidth, upperArm } = body.lengths;
  return adviseStack(input, {
    targetM: heightM,
    footprintM: [outerShoulderWidth + overM, upperArm + overM],
    pieces,
  });
}
