/** Legs up the wall, on a bolster. Source: handbook 04. */
import { countOf, laidOut, measuring, noAssist, type Setup } from '../setup';

const bolsters = ['bolster-rectangular', 'bolster-round'] as const;

export const legsUp: Setup = {
  label: 'Legs up the wall',
  solve: (input) => {
    const isThere = bolsters.some((id) => countOf(input.pieces, id) > 0);
    return {
      distances: [measuring(input, 'legs-up').measure('bolsterToWall', (l) => l.hand)],
      cautions: isThere ? [] : ['No bolster at hand: three blankets rolled firmly.'],
      notes: ['Sacrum on the bolster, legs up the wall.'],
    };
  },
  ways: laidOut(),
  checkFirst: ['Sacrum on the bolster'],
  assist: noAssist,
  exit: 'Slide off and roll to the side',
};
