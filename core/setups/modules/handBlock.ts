/** Block between the hands. Source: handbook 04 "Widths, loops, spacers". */
import { specOf } from '../../catalog/pieces';
import { forearmKickSetup } from '../forearmKick';
import { cm, noAssist, type Setup } from '../setup';
import { kickShares } from '../shares';
import { blockWays } from './blockWays';

export const handBlock: Setup = {
  label: 'Block between the hands',
  shares: kickShares,
  solve: (input) => {
    const { distances, block } = forearmKickSetup(input);
    if (block === null) {
      return { distances: [distances.base], cautions: ['No block at hand.'], notes: [] };
    }
    const names = block.faces.map((face) => specOf(face).label.toLowerCase());
    return {
      distances: [
        ...(distances.wristSpacing ? [distances.wristSpacing] : []),
        distances.base,
        ...distances.otherBases,
      ],
      cautions: [],
      notes: [`${names.join(' and ')}, long face across (${cm(block.acrossM)}), flat.`],
    };
  },
  ways: (input, result) => blockWays(input, result, (own) => handBlock.solve(own)),
  checkFirst: ['Block flat, long face across'],
  assist: noAssist,
  exit: 'Knees down',
};
