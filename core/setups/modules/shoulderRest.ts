/**
 * A low block a few centimetres out, its long side away from the wall, and blocks across it flush to
 * the wall that carry the upper back: their top somewhere between shoulder line and blade tips of
 * upright upper arms. All lie flat: what stands on side or end tips. Where somebody wants the low
 * block further out, what lies across it rests on a second column. Source: handbook 04.
 */
import { specOf, type PieceCount } from '../../catalog/pieces';
import type { Stack } from '../../pieces/stack';
import { fingersM } from '../../shapes/still/shoulderRest';
import { tolerance } from '../../tolerance';
import { cm, measuring, type Setup } from '../setup';
import { adviseStack } from '../stackAdvice';
import { stackWays } from './stackWays';

const rules = {
  /** From the wall to the low block the hands wrap round. */
  lowBlockOutM: 0.05,
  /** Further than this the hands find no hold on it. */
  furthestOutM: 0.3,
  /** Of their depth, what lies across the low block has at least so much on it. */
  leastOverlap: 0.5,
  /** The blade tips lie this share of height beyond the shoulder line. */
  bladeShare: 0.09,
} as const;

export const shoulderRest: Setup = {
  label: 'Shoulder-rest stack',
  solve: (input) => {
    const { body, pieces } = input;
    const { measure, outgrown } = measuring(input, 'shoulder-rest', {
      limits: { lowBlockOut: rules.furthestOutM },
    });
    const half = (rules.bladeShare / 2) * body.heightM;
    const target = measure('stackHeight', (l) => l.upperArm + half);
    const lowBlockOut = measure('lowBlockOut', () => rules.lowBlockOutM);
    const { stack, cautions } = adviseStack(input, {
      targetM: target.metres,
      toleranceM: half,
      footprintM: [0.14, 0.09],
      pieces,
      bears: 'leans',
    });
    const carried = carryAcross(stack, lowBlockOut.metres, pieces);
    return {
      distances: [lowBlockOut, target],
      stack: carried.stack,
      cautions: [...outgrown(), ...cautions, ...carried.cautions],
      notes: [
        ...carried.notes,
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

interface Carried {
  readonly stack: Stack;
  readonly notes: readonly string[];
  readonly cautions: readonly string[];
}

/**
 * What lies across the low block rests on it with half of its depth or more. Where the low block is
 * too far out for that, a second one as high stands flush to the wall under all of it, if there is
 * room for it behind the first. Anything else tips, and is refused.
 */
function carryAcross(stack: Stack, outM: number, pieces: readonly PieceCount[]): Carried {
  const [low, ...across] = stack.layers;
  const alone: Carried = { stack, notes: [], cautions: [] };
  if (low === undefined || across.length === 0) return alone;
  const depthM = Math.min(...across.map((layer) => specOf(layer).widthM));
  const nearM = depthM * (1 - rules.leastOverlap);
  if (outM <= nearM + tolerance.lengthM) return alone;
  const columnM = specOf(low).widthM;
  const farM = columnM + fingersM;
  // What would tip is no stack, whatever its height.
  const refused = (caution: string): Carried => ({
    stack: { ...stack, found: false, heightM: null, layers: [] },
    notes: [],
    cautions: [caution],
  });
  if (outM < farM - tolerance.lengthM) {
    return refused(
      `At ${cm(outM)} from the wall the low block carries less than half of what lies across it: ${cm(nearM)} or nearer, or ${cm(farM)} or further with a second one flush to the wall.`,
    );
  }
  const name = specOf(low).label.toLowerCase();
  const same = (list: readonly PieceCount[]) =>
    list.reduce((sum, { piece, count }) => (piece === low.piece ? sum + count : sum), 0);
  const layers = [{ ...low, count: low.count + 1 }, ...across];
  if (same(layers) > same(pieces)) {
    return refused(`One more ${name} is needed for the column at the wall.`);
  }
  return {
    stack: { ...stack, layers },
    notes: [
      `Two columns: one ${name} flat and flush to the wall carries what lies across, the other, ${cm(outM)} out, is for the hands.`,
    ],
    cautions: [],
  };
}
