/** Corner dolphin. Source: handbook 04 "Wall distances". */
import { elbowsApart } from '../elbows';
import { laidOut, noAssist, type Setup } from '../setup';
import { forearmShares } from '../shares';

export const cornerDolphin: Setup = {
  label: 'Corner dolphin',
  shares: forearmShares,
  solve: (input) => {
    const { elbowWidth, notes } = elbowsApart(input);
    return {
      distances: [elbowWidth],
      cautions: [],
      notes: [
        ...notes,
        'Elbows where floor and wall meet, forearms upright on the wall, block between the hands; knees bent, head off the floor.',
      ],
    };
  },
  ways: laidOut({ piece: 'foam-block', count: 1 }),
  checkFirst: ['Head off the floor'],
  assist: noAssist,
  exit: 'Knees down',
};
