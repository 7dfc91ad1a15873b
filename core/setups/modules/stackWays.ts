import { getPiece, pieceIds } from '../../catalog/pieces';
import { asMeasured } from '../../pieces/rows';
import type { Setup, SetupInput, SetupResult } from '../setup';

/** So many more of each piece that stacks, when the cupboard alone makes nothing. */
const plenty = 6;

const fuller = pieceIds
  .filter((piece) => {
    const { kind, atHome } = getPiece(piece);
    return (kind === 'pad' || kind === 'block') && atHome.kind !== 'household';
  })
  .map((piece) => ({ piece, count: plenty }));

/**
 * A set-up that stands on a stack: the one the pieces make, or, where they make none, the one they
 * would with fuller shelves: what it takes then shows what is missing.
 */
export const stackWays =
  (
    solve: (input: SetupInput) => SetupResult,
    /** Stands so many times, the same each time. */
    { times }: { readonly times: number } = { times: 1 },
  ): Setup['ways'] =>
  (input, result) => {
    const { stack } = result;
    if (stack === undefined) return { ways: [{ props: [], less: 0, result }] };
    const found = stack.found
      ? stack
      : solve({ ...input, pieces: [...input.pieces, ...fuller] }).stack;
    if (!found?.found) return { ways: [], lack: result.cautions[0] ?? 'no stack fits' };
    const props = found.layers.map(
      ({ count, face: _, thicknessM: __, isRefolded: ___, ...piece }) => ({
        ...asMeasured(input.pieces, piece),
        count: count * times,
      }),
    );
    return { ways: [{ props, less: 0, result }] };
  };
