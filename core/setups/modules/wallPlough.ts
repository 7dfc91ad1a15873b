/** Wall plough. Source: handbook 04. */
import { laidOut, measuring, noAssist, type Setup } from '../setup';

export const wallPlough: Setup = {
  label: 'Wall plough',
  solve: (input) => ({
    distances: [measuring(input, 'wall-plough').measure('crownToWall', (l) => l.forearm)],
    cautions: [],
    notes: ['Head towards the wall, palms press it behind the head, walk the feet down.'],
  }),
  ways: laidOut(),
  checkFirst: ['Neck soft, head still'],
  assist: noAssist,
  exit: 'Roll down',
};
