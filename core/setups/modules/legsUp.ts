/** Legs up the wall, on a bolster. Source: handbook 04. */
import { countOf, measuring, noAssist, type Setup } from '../setup';

/** What a bolster is rolled of where there is none. */
const rolled = { piece: 'blanket', count: 3 } as const;
/** It holds its height less well; a round one rolls. */
const rolledLess = 0.02;
const roundLess = 0.01;

export const legsUp: Setup = {
  label: 'Legs up the wall',
  solve: (input) => {
    const isThere =
      countOf(input.pieces, 'bolster-rectangular') > 0 ||
      countOf(input.pieces, 'bolster-round') > 0;
    return {
      distances: [measuring(input, 'legs-up').measure('bolsterToWall', (l) => l.hand)],
      cautions: isThere ? [] : [`No bolster at hand: ${rolled.count} blankets rolled firmly.`],
      notes: ['Sacrum on the bolster, legs up the wall.'],
    };
  },
  ways: (input, result) => ({
    ways: [
      { props: [{ piece: 'bolster-rectangular', count: 1 }], less: 0, result },
      ...(countOf(input.pieces, 'bolster-round') === 0
        ? []
        : [
            {
              variant: 'roundBolster' as const,
              props: [{ piece: 'bolster-round', count: 1 } as const],
              less: roundLess,
              result,
            },
          ]),
      ...(countOf(input.pieces, rolled.piece) < rolled.count
        ? []
        : [{ variant: 'rolled' as const, props: [rolled], less: rolledLess, result }]),
    ],
  }),
  checkFirst: ['Sacrum on the bolster'],
  assist: noAssist,
  exit: 'Slide off and roll to the side',
};
