import { specOf, type PieceCount } from '../../catalog/pieces';
import { asMeasured } from '../../pieces/rows';
import { forearmKickSetup } from '../forearmKick';
import type { SetupInput, SetupResult, SetupWay, Ways } from '../setup';

/** What stands in for the block is a little less of a guide for the hands. */
const wayLess = { strap: 0.05, blanket: 0.1 } as const;

/**
 * A block between the hands, a strap round the arms, or a folded blanket. Without the block the
 * hands reach less far, so each way has its own distances.
 */
export function blockWays(
  input: SetupInput,
  result: SetupResult,
  solve: (input: SetupInput) => SetupResult,
): Ways {
  const { block, hands } = forearmKickSetup(input);
  // Flat hands, and hands that hold each other, need nothing between them.
  if (hands !== 'block') return { ways: [{ variant: hands, props: [], less: 0, result }] };
  const free = {
    ...input,
    pieces: input.pieces.filter((one) => specOf(one).kind !== 'block'),
  };
  const bare = solve({ ...free, isBare: true });
  const { strap } = forearmKickSetup(free);
  const faces = (block?.faces ?? []).map(({ metres: _, ...face }): PieceCount => ({
    ...asMeasured(input.pieces, face),
    count: 1,
  }));
  // Named also where the shelf is empty: the rows of the cupboard say no, and what one would do.
  const blocks: readonly PieceCount[] =
    faces.length > 0 ? faces : [{ piece: 'foam-block', count: 1 }];
  const straps: readonly PieceCount[] = [
    strap === null ? { piece: 'strap-180', count: 1 } : { ...strap, count: 1 },
  ];
  const ways: readonly SetupWay[] = [
    { props: blocks, less: 0, result },
    { variant: 'strap', props: straps, less: wayLess.strap, result: bare },
    // Without either a folded blanket is held between the hands (the card says so).
    {
      variant: 'blanket',
      props: [{ piece: 'blanket', count: 1 }],
      less: wayLess.blanket,
      result: bare,
    },
  ];
  return { ways };
}
