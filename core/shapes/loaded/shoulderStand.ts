import { shoulderStand as solve } from '../../posture/supine';
import { neckFlexionDeg } from '../../posture/supine';
import { underShoulders } from './platform';
import { deg, platformDial } from '../dials';
import { fromFloor, type Shape } from '../shape';

export const shoulderStand: Shape<'shoulderStand'> = {
  label: 'Shoulder stand on a platform',
  group: 'Shoulders',
  isOnBack: true,
  dials: [platformDial, deg('trunkDeg', 'Trunk from the floor', [60, 95], 85)],
  solve,
  supports: (joints, body) => [underShoulders(joints, body)],
  dimensions: ({ joints }) => [
    fromFloor(joints.elbow[0] - 0.22, joints.shoulder[1], 'platformHeight'),
  ],
  loads: {
    neckFlexionDeg: (body, { trunkDeg, platformM }) => neckFlexionDeg(body, trunkDeg, platformM),
  },
  setups: ['platform', 'strap-shoulder-stand'],
};
