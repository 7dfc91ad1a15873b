/** Handstand, kick at the wall. Source: handbook 04 "Wall distances". */
import { getWayUp } from '../../catalog/waysUp';
import { following } from '../distance';
import { laidOut, measuring, type Setup } from '../setup';
import { armLengthM } from '../../posture/pose';
import { ellReachM } from './ellReach';
import { wallAhead } from './wallAhead';
import { palmShares, palmsApart } from '../palms';
import { wristNotes } from '../wrists';
import { wristWords } from './wristWords';

/** Beyond one hand from the wall. */
const overM = 0.05;

export const handKick: Setup = {
  label: 'Handstand, kick at the wall',
  shares: palmShares,
  solve: (input) => {
    const { body, wayUp } = input;
    const { hand } = body.lengths;
    const fixed = wayUp === undefined ? undefined : getWayUp(wayUp).handGapM;
    // What was found by trying was found for the usual way: another way up has its own distance.
    const own = fixed === undefined ? input : { body };
    const { measure, findKept, outgrown } = measuring(own, 'hand-kick', {
      limits: { base: ellReachM(body, armLengthM(body)) },
    });
    const ownGap = measure('gap', (l) => fixed ?? l.hand + overM, {
      mark: 'wall to the fingertips',
      why: fixed === undefined ? 'one hand + 5 cm' : `for the ${getWayUp(wayUp!).label}`,
    });
    const ownBase = measure('base', (l) => l.hand + (fixed ?? l.hand + overM), {
      ...wristWords,
      why: 'gap + hand',
    });
    const palms = palmsApart(input);
    const isBaseKept = findKept('base') !== undefined;
    const gap = isBaseKept
      ? following(ownGap, ownBase, Math.max(0, ownBase.metres - hand))
      : ownGap;
    return {
      distances: [
        gap,
        isBaseKept ? ownBase : following(ownBase, ownGap, ownGap.metres + hand),
        measure('base.halfReach', (l) => l.armReach / 2),
        palms.handWidth,
      ],
      cautions: outgrown(),
      notes: [
        ...palms.notes,
        ...wristNotes(input, gap),
        'Bent-knee and straddle hops: fingertips 15 to 30 cm from the wall. Slow single leg: 10 to 15 cm.',
      ],
    };
  },
  ways: laidOut(),
  around: wallAhead('wrist'),
  checkFirst: ['Knuckles heavy, fingers awake', 'Wall free of sockets at heel height'],
  assist: 'Thigh guided',
  exit: 'One leg down, then the other',
  topView: 'lane',
};
