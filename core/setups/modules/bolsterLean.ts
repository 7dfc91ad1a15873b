/** Handstand leaning into an upright bolster. Source: handbook 04 "Wall distances". */
import { pieceTable } from '../../catalog/pieces';
import { profileTable } from '../../catalog/profiles';
import { armLengthM } from '../../posture/pose';
import { cm, countOf, laidOut, measuring, type Setup } from '../setup';
import { ellReachM } from './ellReach';
import { palmShares, palmsApart } from '../palms';
import { wristNotes } from '../wrists';
import { wristWords } from './wristWords';

const bolsterShare = 0.06;
const bolster = pieceTable['bolster-round'];

export const bolsterLean: Setup = {
  label: 'Handstand leaning into a bolster',
  shares: palmShares,
  solve: (input) => {
    const { body, pieces, profile, settings } = input;
    const { bolsterLeadM } = settings ?? profileTable[profile];
    const { thicknessM } = bolster;
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
  ways: laidOut(),
  around: (_, { wall }) =>
    wall === undefined
      ? {}
      : {
          rests: [{ left: wall.x - bolster.thicknessM, right: wall.x, top: bolster.lengthM }],
        },
  checkFirst: ['Bolster upright and flush to the wall'],
  assist: 'Hips steadied',
  exit: 'One leg down, then the other',
  topView: 'lane',
};
