/** Cushion where a crow's forehead would land. Source: handbook 04 "Widths, loops, spacers". */
import type { Lengths } from '../../body/body';
import { pieceTable } from '../../catalog/pieces';
import { crow } from '../../posture/crow';
import { laidOut, measuring, metresOf, type Setup } from '../setup';

/** Elbow and knee of a usual crow. */
const usual = { elbowDeg: 110, kneeOnArm: 0.6 } as const;
const { widthM, thicknessM } = pieceTable.cushion;

export const crowCushion: Setup = {
  label: 'Cushion for crow',
  solve: (input) => {
    const { body } = input;
    const leadM = (l: Lengths) => crow({ ...body, lengths: l }, usual).joints.shoulder[0];
    return {
      distances: [
        measuring(input, 'crow-cushion').measure('cushionAhead', (l) => leadM(l) + body.earM),
      ],
      cautions: [],
      notes: ['The cushion stays until ten clean holds.'],
    };
  },
  ways: laidOut(),
  around: ({ distances }, { joints }) => {
    const aheadM = metresOf(distances, 'cushionAhead');
    if (aheadM === undefined) return {};
    const middle = joints.wrist[0] + aheadM;
    return {
      rests: [{ left: middle - widthM / 2, right: middle + widthM / 2, top: thicknessM }],
      dimensions: [
        { kind: 'level', distance: 'cushionAhead', fromX: joints.wrist[0], toX: middle },
      ],
    };
  },
  checkFirst: ['The cushion lies where the forehead would land'],
  assist: 'Hips steadied',
  exit: 'Feet down',
};
