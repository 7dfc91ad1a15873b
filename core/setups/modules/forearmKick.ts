/** Forearm stand, kick at the wall. Source: handbook 04 "Wall distances". */
import { type Setup } from '../setup';
import { forearmKickSetup } from '../forearmKick';
import { kickShares } from '../shares';
import { blockWays } from './blockWays';
import { wallAhead } from './wallAhead';

export const forearmKick: Setup = {
  label: 'Forearm stand, kick at the wall',
  shares: kickShares,
  solve: (input) => {
    const setup = forearmKickSetup(input);
    const {
      otherBases,
      spacerGap: _,
      forearmLift: __,
      strapLoop: ___,
      ...distances
    } = setup.distances;
    const { leanDeg, bendIfUpperArmsUprightDeg } = setup.lean;
    return {
      distances: [...Object.values(distances).filter((d) => d !== undefined), ...otherBases],
      cautions: setup.cautions,
      notes: [
        `The distance forces a lean of ${Math.round(leanDeg)}°, or, with the upper arms upright, a back bend of ${Math.round(bendIfUpperArmsUprightDeg)}°.`,
        ...setup.notes,
      ],
    };
  },
  ways: (input, result) => blockWays(input, result, (own) => forearmKick.solve(own)),
  hasHands: true,
  around: wallAhead('elbow'),
  checkFirst: [
    'Elbows at their width, measured again once the hands are set',
    'Head free of the floor',
  ],
  assist: 'Lifted leg held firmly while the student presses it down',
  exit: 'One leg down, slowly, then the other',
  topView: 'lane',
  sideView: 'kick',
};
