import { supportUnderFeet } from '../../pieces/underWeight';
import { raisedDog as solve } from '../../posture/dogs';
import { ballAt, lead, metres } from '../dials';
import { fromFloor, type Shape } from '../shape';

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
  supports: ({ heel }) => [{ left: heel[0] - 0.28, right: heel[0] + 0.12, top: heel[1] }],
  dimensions: ({ joints }, { lengths }) => [
    { kind: 'level', fromX: joints.heel[0], toX: joints.wrist[0] + lengths.knuckle },
    fromFloor(joints.heel[0] - 0.34, joints.heel[1]),
  ],
  loads: {},
  setups: [],
};
