/**
 * Forearms on the floor, hands clasped: the width comes from the clasp, each hand round the other
 * arm, and nothing stands between the hands. Source: handbook 04 "Widths", 12 "HS2".
 */
import { elbowsApart } from '../elbows';
import { cm, laidOut, measuring, noAssist, type Setup } from '../setup';
import { forearmShares } from '../shares';

/** A grip further off than this is said, with the way to correct it (handbook 04). */
const gripOffM = 0.02;

export const claspedForearms: Setup = {
  label: 'Forearms, hands clasped',
  shares: { ...forearmShares, gripElbowWidth: 'forearm-kick' },
  solve: (input) => {
    const { elbowWidth, notes } = elbowsApart(input);
    const grip = measuring(input, 'clasped-forearms').measure(
      'gripElbowWidth',
      (l) => l.forearm + l.palmBreadth,
    );
    const off = grip.metres - elbowWidth.metres;
    return {
      distances: [elbowWidth, grip],
      cautions: [],
      notes: [
        ...notes,
        'Each hand round the other arm, elbows down; then clasp the hands without moving the elbows, and measure once more.',
        ...(Math.abs(off) > gripOffM
          ? [
              `The grip sets the elbows ${cm(Math.abs(off))} too ${off > 0 ? 'wide: draw them in' : 'narrow: let them out'}.`,
            ]
          : []),
      ],
    };
  },
  ways: laidOut(),
  hands: 'clasped',
  checkFirst: ['Elbows no wider after the clasp than before', 'Head off the floor'],
  assist: noAssist,
  exit: 'Knees down',
};
