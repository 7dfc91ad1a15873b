import { plough as solve } from '../../posture/supine';
import { underShoulders } from './platform';
import { metres, platformDial } from '../dials';
import { fromFloor, type Shape } from '../shape';

export const plough: Shape<'plough'> = {
  label: 'Plough from the platform',
  group: 'Shoulders',
  isLow: true,
  isOnBack: true,
  dials: [
    platformDial,
    metres('toeSupportM', 'Under the toes', [0, 0.6], () => 0, {
      is: 'toeRest',
      mark: { at: ({ heel }) => heel, axis: 'y', sign: 1 },
    }),
  ],
  solve,
  supports: (joints, body) => [
    underShoulders(joints, body),
    { left: joints.heel[0] - 0.12, right: joints.heel[0] + 0.28, top: joints.heel[1] },
  ],
  dimensions: ({ joints }) => [
    fromFloor(joints.elbow[0] - 0.34, joints.shoulder[1], 'platformHeight'),
    fromFloor(joints.heel[0] - 0.18, joints.heel[1], 'toeRest'),
  ],
  loads: {},
  setups: ['platform'],
};
