/**
 * A low block a few centimetres out, its long side away from the wall, and blocks across it flush to
 * the wall that carry the upper back: their top somewhere between shoulder line and blade tips of
 * upright upper arms. All lie flat: what stands on side or end tips. Source: handbook 04.
 */
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
    const { stack, cautions } = adviseStack(input, {
      targetM: target.metres,
      toleranceM: half,
      footprintM: [0.14, 0.09],
      pieces,
      bears: 'leans',
    });
    return {
      distances: [measure('lowBlockOut', () => rules.lowBlockOutM), target],
      stack,
      cautions,
      notes: [
        'The lowest block lies flat, long side out from the wall; the others lie flat across it, pushed back flush to the wall, half their depth or more on it.',
        'Hands wrap round the low block, upper back against the others, head free. A stack that rocks is taken apart.',
      ],
    };
  },
  ways: stackWays((input) => shoulderRest.solve(input)),
  checkFirst: [
    'Nothing rocks',
    'Every block flat, the upper ones flush to the wall',
    'Head hangs free',
  ],
  assist: 'Lifted leg held',
  exit: 'That foot first',
};
