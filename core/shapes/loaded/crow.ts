import { crow as solve } from '../../posture/crow';
import { deg } from '../dials';
import { noDimensions, type Shape } from '../shape';

export const crow: Shape<'crow'> = {
  label: 'Crow',
  group: 'Arm balance',
  isLow: true,
  dials: [
    deg('elbowDeg', 'Elbow angle', [60, 175], 110),
    {
      parameter: 'kneeOnArm',
      label: 'Knee on the arm, from elbow to armpit',
      unit: 'share',
      low: 0,
      high: 1,
      usual: () => 0.6,
    },
  ],
  solve,
  dimensions: noDimensions,
  loads: { saysLead: true },
  setups: ['crow-cushion'],
};
