/** Blocks hugged between the forearms. Source: handbook 04 "Widths, loops, spacers". */
import { findSpacer } from '../../pieces/spacer';
import { elbowsApart } from '../elbows';
import { cm, laidOut, measuring, noAssist, type Setup } from '../setup';
import { forearmShares } from '../shares';

/** A spacer off by more than this asks for a folded blanket. */
const offM = 0.02;

export const armSpacer: Setup = {
  label: 'Blocks between the forearms',
  shares: forearmShares,
  solve: (input) => {
    const { betweenM, notes } = elbowsApart(input);
    const gap = measuring(input, 'arm-spacer').measure('spacerGap', betweenM);
    const spacer = findSpacer(gap.metres, input.pieces);
    const cautions: string[] = [];
    if (spacer === null) {
      cautions.push('No block at hand: a folded blanket between the forearms.');
    } else if (Math.abs(spacer.errorM) > offM) {
      cautions.push(
        `The nearest blocks are ${cm(Math.abs(spacer.errorM))} ${spacer.errorM > 0 ? 'too wide' : 'too narrow'}: use a folded blanket.`,
      );
    }
    return { distances: [gap], ...(spacer ? { spacer } : {}), cautions, notes };
  },
  ways: laidOut(),
  checkFirst: ['Faces meet flat', 'Just below the elbow crease'],
  assist: noAssist,
  exit: 'Knees down, let the blocks drop',
  topView: 'arms',
};
