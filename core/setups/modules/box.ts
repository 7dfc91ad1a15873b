/** Box at the wall, facing away. Source: handbook 04 "Wall distances". */
import { armLengthM } from '../../posture/pose';
import { laidOut, measuring, type Setup } from '../setup';
import { ellReachM } from './ellReach';
import { palmShares, palmsApart } from '../palms';
import { wristNotes } from '../wrists';
import { wristWords } from './wristWords';

export const box: Setup = {
  label: 'Box at the wall, facing away',
  shares: palmShares,
  solve: (input) => {
    const { measure, outgrown } = measuring(input, 'box', {
      limits: { base: ellReachM(input.body, armLengthM(input.body)) },
    });
    const palms = palmsApart(input);
    return {
      distances: [
        measure('base', (l) => l.armReach + l.foot, {
          ...wristWords,
          why: 'arm reach + one foot, facing away',
        }),
        measure('footHeight', (l) => l.forearm + l.upperArm + l.trunk),
        palms.handWidth,
        ...palms.feetApart,
      ],
      cautions: outgrown(),
      notes: [
        ...palms.notes,
        ...wristNotes(input),
        'If it goes, a step down; over into a bridge only for who has it and whose back may arch. The floor behind stays free.',
      ],
    };
  },
  ways: laidOut(),
  checkFirst: ['Floor behind is free'],
  assist: 'Shins held',
  exit: 'Step down',
  topView: 'lane',
};
