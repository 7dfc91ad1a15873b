/** Handstand leaning into an upright bolster. Source: handbook 04 "Wall distances". */
import { profileTable } from '../../catalog/profiles';
import { armLengthM } from '../../posture/pose';
import { cm, countOf, measuring, refAtHand, specAtHand, type Setup } from '../setup';
import { ellReachM } from './ellReach';
import { palmShares, palmsApart } from '../palms';
import { wristNotes } from '../wrists';
import { wristWords } from './wristWords';

const bolsterShare = 0.06;
/** Rolled to its thickness and tied: it stands less well. */
const rolledLess = 0.02;

export const bolsterLean: Setup = {
  label: 'Handstand leaning into a bolster',
  shares: palmShares,
  solve: (input) => {
    const { body, pieces, profile, settings } = input;
    const { bolsterLeadM } = settings ?? profileTable[profile];
    const { thicknessM, lengthM } = specAtHand(pieces, 'bolster-round');
    const palms = palmsApart(input);
    const betweenM = palms.handWidth.metres - body.lengths.palmBreadth;
    const { measure, outgrown } = measuring(input, 'bolster-lean', {
      limits: { base: ellReachM(body, armLengthM(body)) },
    });
    const cautions: string[] = [];
    if (countOf(pieces, 'bolster-round') === 0) {
      cautions.push('No round bolster at hand: a blanket rolled to the same thickness, tied.');
    } else if (thicknessM >= betweenM) {
      cautions.push(
        `The bolster (${cm(thicknessM)}) does not fit between the palms (${cm(betweenM)}): use a rolled blanket.`,
      );
    }
    return {
      atWall: { widthM: thicknessM, highM: lengthM },
      distances: [
        measure('base', () => thicknessM + bolsterShare * body.heightM + bolsterLeadM, {
          ...wristWords,
          why: `bolster thickness + 0.06 of height + shoulder lead of ${cm(bolsterLeadM)}`,
        }),
        palms.handWidth,
      ],
      cautions: [...outgrown(), ...cautions],
      notes: [
        ...palms.notes,
        ...wristNotes(input),
        'Fingertips end beside the bolster, not in it and not in the wall.',
      ],
    };
  },
  ways: ({ pieces }, result) => ({
    ways: [
      { props: [{ ...refAtHand(pieces, 'bolster-round'), count: 1 }], less: 0, result },
      { variant: 'rolled', props: [{ piece: 'blanket', count: 1 }], less: rolledLess, result },
    ],
  }),
  around: ({ atWall }, { wall }) =>
    wall === undefined || atWall === undefined
      ? {}
      : { rests: [{ left: wall.x - atWall.widthM, right: wall.x, top: atWall.highM }] },
  checkFirst: ['Bolster upright and flush to the wall'],
  assist: 'Hips steadied',
  exit: 'One leg down, then the other',
  topView: 'lane',
};
