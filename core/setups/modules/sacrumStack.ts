/** Sacrum stack, calves on a chair. Source: handbook 04. */
import { pieceTable } from '../../catalog/pieces';
import { radians } from '../../posture/geometry';
import { cm, measuring, specAtHand, type Setup } from '../setup';
import { adviseStack } from '../stackAdvice';
import { stackWays } from './stackWays';

const rules = {
  /** Share of hip joint to seat that lies under the sacrum. */
  underSacrum: 0.7,
  /** Thighs rise to the seat at this angle from the floor. */
  thighRiseDeg: 45,
  comfort: { low: 0.1, high: 0.2 },
  mostM: 0.25,
} as const;

export const sacrumStack: Setup = {
  label: 'Sacrum stack, calves on a chair',
  solve: (input) => {
    const rise = Math.sin(radians(rules.thighRiseDeg));
    const { measure } = measuring(input, 'sacrum-stack');
    const seatM = specAtHand(input.pieces, 'chair').loadedM;
    const height = measure('sacrumHeight', (l) =>
      Math.max(0, seatM - l.thigh * rise - rules.underSacrum * l.hipToSeat),
    );
    // Said where it is another one than everybody has.
    const isUsual = seatM === pieceTable.chair.loadedM;
    const distances = isUsual ? [height] : [height, measure('seatHeight', () => seatM)];
    if (height.metres > rules.mostM) {
      return {
        distances,
        cautions: ['Above 25 cm a stack is precarious: hips on the floor, calves on the seat.'],
        notes: [],
      };
    }
    const { stack, cautions } = adviseStack(input, {
      targetM: height.metres,
      footprintM: [0.28, 0.18],
      pieces: input.pieces,
      bears: 'sacrum',
    });
    const { low, high } = rules.comfort;
    return {
      distances,
      stack,
      cautions,
      notes: [
        `${cm(low)} to ${cm(high)} is comfortable; slide flat pieces in one by one, and out one by one.`,
      ],
    };
  },
  ways: stackWays((input) => sacrumStack.solve(input)),
  checkFirst: ['Nothing rocks', 'Under the sacrum, not the waist'],
  assist: 'Pieces slid in',
  exit: 'Pieces out one by one',
};
