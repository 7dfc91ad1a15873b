/** Head clearance in forearm shapes, and the lift that makes it. Source: handbook 04. */
import type { Lengths } from '../../body/body';
import { profileTable } from '../../catalog/profiles';
import { elbowsApart } from '../elbows';
import { laidOut, measuring, metresOf, type Setup } from '../setup';
import { forearmShares } from '../shares';
import { adviseStack } from '../stackAdvice';

const leastClearanceM = 0.03;

export const headClearance: Setup = {
  label: 'Head clearance and lift',
  shares: forearmShares,
  solve: (input) => {
    const { body, profile, settings, pieces } = input;
    const { shoulderLiftM } = settings ?? profileTable[profile];
    const { measure } = measuring(input, 'head-clearance');
    const clearance = (l: Lengths) => l.upperArm + shoulderLiftM - l.shoulderToCrown;
    const has = measure('headClearance', clearance);
    const lift = measure('forearmLift', (l) => Math.max(0, leastClearanceM - clearance(l)));
    if (lift.metres === 0) return { distances: [has, lift], cautions: [], notes: [] };
    const { stack, cautions } = adviseStack(input, {
      targetM: lift.metres,
      footprintM: [elbowsApart(input).outerElbowM(body.lengths), body.lengths.forearm],
      pieces,
      bears: 'forearms',
    });
    return {
      distances: [has, lift],
      stack,
      cautions,
      notes: ['This body cannot clear its head without a lift: proportion and not weakness.'],
    };
  },
  // A lift is only laid out where it stands in for a check; that is added where it does.
  ways: laidOut(),
  checkFirst: (_, distances) =>
    (metresOf(distances, 'forearmLift') ?? 0) === 0
      ? []
      : ['The same height under both forearms and hands', 'Nothing slides'],
  assist: 'Hips drawn back',
  exit: 'Knees down',
};
