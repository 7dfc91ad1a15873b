/** Lifted tuck on blocks. Source: handbook 04 "Widths, loops, spacers". */
import { blocksUnderHands, stackUnder } from '../../pieces/underWeight';
import { measuring, noAssist, type Setup } from '../setup';
import { adviseStack } from '../stackAdvice';
import { stackWays } from './stackWays';

const clearanceM = 0.05;

export const liftedTuck: Setup = {
  label: 'Lifted tuck on blocks',
  solve: (input) => {
    const height = measuring(input, 'lifted-tuck').measure('blockHeight', (l) =>
      Math.max(0, l.trunk + l.hipToSeat + clearanceM - l.forearm - l.upperArm),
    );
    if (height.metres === 0) {
      return {
        distances: [height],
        cautions: [],
        notes: ['No blocks needed: the arms are long enough.'],
      };
    }
    // The same under each hand: half the pieces make one of the two.
    const { stack, cautions } = adviseStack(
      input,
      stackUnder(blocksUnderHands, height.metres, input.pieces),
    );
    return { distances: [height], stack, cautions, notes: ['The same under each hand.'] };
  },
  ways: stackWays((input) => liftedTuck.solve(input), { times: 2 }),
  checkFirst: ['Blocks beside the thighs, equally far', 'Nothing rocks'],
  assist: noAssist,
  exit: 'Seat down',
};
