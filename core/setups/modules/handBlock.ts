/** Block between the hands. Source: handbook 04 "Widths, loops, spacers". */
import { specOf } from '../../catalog/pieces';
import { forearmKickSetup } from '../forearmKick';
import { cm, noAssist, type Setup, type SetupInput } from '../setup';
import { kickShares } from '../shares';
import { blockWays } from './blockWays';

const withBlock = (input: SetupInput): SetupInput => ({
  ...input,
  body: { ...input.body, forearmHands: 'block' },
});

export const handBlock: Setup = {
  label: 'Block between the hands',
  shares: kickShares,
  // It is about the block: whoever stands on clasped hands elsewhere holds one here.
  solve: (given) => {
    const { distances, block, grip } = forearmKickSetup(withBlock(given));
    if (block === null) {
      return { distances: [distances.base], cautions: ['No block at hand.'], notes: [] };
    }
    const names = block.faces.map((face) => specOf(face).label.toLowerCase());
    return {
      // In the L of thumb and first finger it begins at the knuckles.
      inHands: {
        fromM: grip === 'lGrip' ? given.body.lengths.knuckle : 0,
        alongM: block.depthM,
        highM: block.heightM,
      },
      distances: [
        ...(distances.wristSpacing ? [distances.wristSpacing] : []),
        distances.base,
        ...distances.otherBases,
      ],
      cautions: [],
      notes: [`${names.join(' and ')}, long face across (${cm(block.acrossM)}), flat.`],
    };
  },
  ways: (input, result) => blockWays(withBlock(input), result, (own) => handBlock.solve(own)),
  hands: 'block',
  around: ({ inHands }, { joints }) => {
    if (inHands === undefined) return {};
    const left = joints.wrist[0] + inHands.fromM;
    return { rests: [{ left, right: left + inHands.alongM, top: inHands.highM }] };
  },
  checkFirst: ['Block flat, long face across'],
  assist: noAssist,
  exit: 'Knees down',
};
