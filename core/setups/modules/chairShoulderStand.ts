/** Shoulder stand on a chair. Source: handbook 04 "Platform for shoulder stand and plough". */
import { profileTable, settingsOf } from '../../catalog/profiles';
import { isFlat, usualNeckDeg } from '../flat';
import { countOf, measuring, type Setup, type SetupInput } from '../setup';
import { platformShares } from '../shares';
import { platformHeight, stackForPlatform, unlessTooLow } from './platformHeight';
import { stackWays } from './stackWays';

/** Up to this trunk the blankets touch the chair. */
const chairTrunkM = 0.47;

/** On the chair the shoulders always lie higher than the head, whatever a school does on the floor. */
function raised(input: SetupInput): SetupInput {
  const settings = input.settings ?? settingsOf(profileTable[input.profile]);
  return isFlat(settings)
    ? { ...input, settings: { ...settings, neckFlexionDeg: usualNeckDeg } }
    : input;
}

export const chairShoulderStand: Setup = {
  label: 'Shoulder stand on a chair',
  shares: platformShares,
  solve: (input) => {
    const { height, tooHigh, tooLow } = platformHeight(raised(input));
    const { stack, cautions } = stackForPlatform(input, height.metres);
    const noChair = countOf(input.pieces, 'chair') === 0 ? ['No chair at hand.'] : [];
    const { measure } = measuring(input, 'chair-shoulder-stand');
    return {
      distances: [height, measure('chairGap', (l) => Math.max(0, l.trunk - chairTrunkM))],
      stack,
      cautions: [...noChair, ...tooHigh, ...(tooLow === null ? [] : [tooLow]), ...cautions],
      notes: ['Blanket under the head and on the seat; hands hold the back legs of the chair.'],
    };
  },
  ways: (input, result) =>
    unlessTooLow(
      raised(input),
      result,
      stackWays((each) => chairShoulderStand.solve(each)),
    ),
  checkFirst: ['Chair against the wall, or on a second mat', 'Head on the blanket'],
  assist: 'Chair steadied',
  exit: 'Slide down until the hips are on the floor, without pushing the chair away; rest, roll to the side',
};
