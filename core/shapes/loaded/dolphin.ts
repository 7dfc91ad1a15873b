import { dolphin as solve } from '../../posture/dogs';
import { ballAt, deg, lead, metres } from '../dials';
import { fromFloor, type Shape } from '../shape';

export const dolphin: Shape<'dolphin'> = {
  label: 'Dolphin',
  group: 'Forearms',
  hasChosenHands: true,
  mayLiftLeg: true,
  isLow: true,
  dials: [
    ballAt('elbowToBallM', 'Elbows to feet', 0.7),
    lead,
    deg('kneeBendDeg', 'Knees bent', [0, 90], 0),
    metres('liftM', 'Under the forearms', [0, 0.12], () => 0, {
      is: 'forearmLift',
      mark: { at: ({ elbow }) => elbow, axis: 'y', sign: 1 },
    }),
  ],
  solve,
  supports: ({ elbow, fingertip }) => [
    { left: elbow[0] - 0.05, right: fingertip[0], top: elbow[1] },
  ],
  dimensions: ({ joints }) => [
    { kind: 'level', fromX: joints.heel[0], toX: joints.elbow[0] },
    fromFloor(joints.fingertip[0] + 0.24, joints.elbow[1], 'forearmLift'),
  ],
  loads: { hangsHead: true },
  setups: ['forearm-kick', 'strap-forearm', 'head-clearance'],
};
