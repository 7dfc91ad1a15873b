import { supportUnderFeet } from '../../pieces/underWeight';
import { chairSize } from '../../posture/chair';
import { raisedDog as solve } from '../../posture/dogs';
import type { Point } from '../../posture/joints';
import { ballAt, lead, metres } from '../dials';
import { fromFloor, type Shape } from '../shape';

/** The feet stand so far behind the edge that faces the hands, metres. */
const edgeM = 0.12;
/** What is as high as a seat is one; what is not is a pile. */
const isOnSeat = ([, highM]: Point) => Math.abs(highM - chairSize.seatM) < 0.01;

export const raisedDog: Shape<'raisedDog'> = {
  label: 'Feet on a chair',
  group: 'Hands',
  isLow: true,
  dials: [
    ballAt('stanceM', 'Knuckles to feet', 0.52),
    metres('supportHeightM', 'Under the feet', [0, 0.9], () => 0.45, {
      mark: { at: ({ heel }) => [heel[0] - 0.12, heel[1]], axis: 'y', sign: 1 },
      stacks: () => supportUnderFeet,
    }),
    lead,
  ],
  solve,
  supports: ({ heel }) =>
    isOnSeat(heel) ? [] : [{ left: heel[0] - 0.28, right: heel[0] + edgeM, top: heel[1] }],
  chair: ({ heel }) => {
    const frontX = heel[0] + edgeM;
    return isOnSeat(heel) ? { frontX, backX: frontX - chairSize.depthM } : undefined;
  },
  dimensions: ({ joints }, { lengths }) => [
    { kind: 'level', fromX: joints.heel[0], toX: joints.wrist[0] + lengths.knuckle },
    fromFloor(joints.heel[0] - 0.34, joints.heel[1]),
  ],
  loads: {},
  setups: [],
};
