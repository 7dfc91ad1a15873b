/** Legs up the wall, on a bolster. Source: handbook 04. */
import { isOwnPiece, specOf, type PieceCount } from '../../catalog/pieces';
import { countOf, measuring, noAssist, type Setup } from '../setup';

const bolsters = ['bolster-rectangular', 'bolster-round'] as const;
/** What a bolster is rolled of where there is none. */
const rolled = { piece: 'blanket', count: 3 } as const;
/** Blankets of the shelf, those that a teacher has added too. */
const countBlankets = (pieces: readonly PieceCount[]) =>
  pieces
    .filter(
      (one) =>
        one.piece === rolled.piece || (isOwnPiece(one.piece) && specOf(one).kind === 'blanket'),
    )
    .reduce((sum, { count }) => sum + count, 0);
/** It holds its height less well. */
const rolledLess = 0.02;

export const legsUp: Setup = {
  label: 'Legs up the wall',
  solve: (input) => {
    const isThere = bolsters.some((id) => countOf(input.pieces, id) > 0);
    return {
      distances: [measuring(input, 'legs-up').measure('bolsterToWall', (l) => l.hand)],
      cautions: isThere ? [] : [`No bolster at hand: ${rolled.count} blankets rolled firmly.`],
      notes: ['Sacrum on the bolster, legs up the wall.'],
    };
  },
  ways: (input, result) => ({
    ways: [
      { props: [{ piece: 'bolster-rectangular', count: 1 }], less: 0, result },
      ...(countBlankets(input.pieces) < rolled.count
        ? []
        : [{ variant: 'rolled' as const, props: [rolled], less: rolledLess, result }]),
    ],
  }),
  checkFirst: ['Sacrum on the bolster'],
  assist: noAssist,
  exit: 'Slide off and roll to the side',
};
