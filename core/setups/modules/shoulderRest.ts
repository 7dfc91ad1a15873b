/**
 * A low block a few centimetres out, and a pair flush to the wall that carries the upper back: the
 * pair's top somewhere between shoulder line and blade tips of upright upper arms. Source: handbook 04.
 */
import { specOf } from '../../catalog/pieces';
import { measuring, type Setup } from '../setup';
import { adviseStack } from '../stackAdvice';
import { stackWays } from './stackWays';

const rules = {
  /** From the wall to the low block the hands wrap round. */
  lowBlockOutM: 0.05,
  /** The blade tips lie this share of height beyond the shoulder line. */
  bladeShare: 0.09,
} as const;

export const shoulderRest: Setup = {
  label: 'Shoulder-rest stack',
  solve: (input) => {
    const { body, pieces } = input;
    const { measure } = measuring(input, 'shoulder-rest');
    const half = (rules.bladeShare / 2) * body.heightM;
    const target = measure('stackHeight', (l) => l.upperArm + half);
    // Low block and pair are blocks of one column, half a block wide enough for the upper back.
    const { stack, cautions } = adviseStack(input, {
      targetM: target.metres,
      toleranceM: half,
      footprintM: [0.14, 0.09],
      pieces: pieces.filter((one) => specOf(one).kind === 'block'),
    });
    return {
      distances: [measure('lowBlockOut', () => rules.lowBlockOutM), target],
      stack,
      cautions: [
        ...cautions,
        'The pair must lie on the low block by half its depth or on a column of its own; a stack that rocks is taken apart.',
      ],
      notes: ['Hands wrap round the low block, upper back against the pair, head free.'],
    };
  },
  ways: stackWays((input) => shoulderRest.solve(input)),
  checkFirst: ['Nothing rocks', 'Head hangs free'],
  assist: 'Lifted leg held',
  exit: 'That foot first',
};
