/** L at the wall on the hands, by the profile's method. Source: handbook 04 "Wall distances". */
import type { Lengths } from '../../body/body';
import { profileTable, settingsOf, type HandLMethod } from '../../catalog/profiles';
import { armLengthM } from '../../posture/pose';
import { distanceWords } from '../distanceWords';
import { laidOut, measuring, type Setup } from '../setup';
import { ellReachM } from './ellReach';
import { palmShares, palmsApart } from '../palms';
import { wristNotes } from '../wrists';
import { wristWords } from './wristWords';

export const handL: Setup = {
  label: 'L at the wall, hands',
  shares: palmShares,
  solve: (input) => {
    const { body, profile, settings } = input;
    const { measure, outgrown } = measuring(input, 'hand-L', {
      limits: { base: ellReachM(body, armLengthM(body)) },
    });
    const school = settings ?? settingsOf(profileTable[profile]);
    // Over the first knuckle: hips and shoulders stand that much further from the wall than the wrists.
    const isOverKnuckle = school.shoulderPlace === 'knuckle';
    const over = (l: Lengths) => (isOverKnuckle ? l.knuckle : 0);
    const methods = {
      sitting: (l) => l.sittingLegReach - over(l),
      table: (l) => l.shank + body.ankleM + l.trunk - over(l),
      reach: (l) => l.armReach + l.foot,
    } as const satisfies Record<HandLMethod, (lengths: Lengths) => number>;
    const chosen = school.handLMethod;
    const palms = palmsApart(input);
    const less = isOverKnuckle && chosen !== 'reach' ? ', less wrist to first knuckle' : '';
    return {
      distances: [
        measure('base', methods[chosen], {
          ...wristWords,
          why: `${distanceWords[`base.${chosen}`].why}${less}`,
        }),
        measure('base.sitting', methods.sitting),
        measure('base.table', methods.table),
        measure('base.reach', methods.reach),
        measure('footHeight', (l) => l.forearm + l.upperArm + l.trunk),
        palms.handWidth,
        ...palms.feetApart,
      ],
      cautions: outgrown(),
      notes: [
        ...palms.notes,
        ...wristNotes(input),
        'If the waist looks short, hands away from the wall until the sides are long; too strong, 5 cm further still.',
        'The L is full weight on the hands with the fear taken out.',
      ],
    };
  },
  onlyFor: { footHeight: ['wallL'] },
  ways: laidOut(),
  checkFirst: ({ shoulderPlace }) => [
    shoulderPlace === 'knuckle'
      ? 'Shoulders over the first knuckles, not past them'
      : 'Shoulders over the wrists, not past them',
    'Ribs in',
  ],
  assist: 'Blade tips drawn together until both feet are down',
  exit: 'One foot at a time',
  topView: 'lane',
};
