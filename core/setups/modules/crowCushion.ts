/** Cushion, or a block, where a crow's forehead would land. Source: handbook 02 and 04 "Widths, loops, spacers". */
import type { Lengths } from '../../body/body';
import { pieceTable, specOf, type PieceCount } from '../../catalog/pieces';
import { asMeasured } from '../../pieces/rows';
import { crow } from '../../posture/crow';
import { countOf, measuring, metresOf, type Setup, type SetupInput } from '../setup';

/** Elbow and knee of a usual crow. */
const usual = { elbowDeg: 110, kneeOnArm: 0.6 } as const;
const { cushion } = pieceTable;
/** Harder to land on. */
const blockLess = 0.02;

/** The block that lies there where no cushion is; `null`: a cushion does. */
function findBlock({ pieces }: SetupInput): PieceCount | null {
  if (countOf(pieces, 'cushion') > 0) return null;
  const block = pieces.find((one) => one.count > 0 && specOf(one).kind === 'block');
  return block === undefined ? null : { ...asMeasured(pieces, block), count: 1 };
}

export const crowCushion: Setup = {
  label: 'Cushion for crow',
  solve: (input) => {
    const { body } = input;
    const leadM = (l: Lengths) => crow({ ...body, lengths: l }, usual).joints.shoulder[0];
    const block = findBlock(input);
    const { widthM, thicknessM } = block === null ? cushion : specOf(block);
    return {
      ahead: { widthM, highM: thicknessM },
      distances: [
        measuring(input, 'crow-cushion').measure('cushionAhead', (l) => leadM(l) + body.earM),
      ],
      cautions: [],
      notes: ['What the forehead would land on stays until ten clean holds.'],
    };
  },
  ways: (input, result) => {
    const withoutCushion = {
      ...input,
      pieces: input.pieces.filter(({ piece }) => piece !== 'cushion'),
    };
    const block = findBlock(withoutCushion);
    return {
      ways: [
        { props: [{ piece: 'cushion', count: 1 }], less: 0, result },
        ...(block === null
          ? []
          : [
              {
                variant: 'aheadBlock' as const,
                props: [block],
                less: blockLess,
                result: crowCushion.solve(withoutCushion),
              },
            ]),
      ],
    };
  },
  around: ({ distances, ahead }, { joints }) => {
    const aheadM = metresOf(distances, 'cushionAhead');
    if (aheadM === undefined || ahead === undefined) return {};
    const middle = joints.wrist[0] + aheadM;
    return {
      rests: [
        { left: middle - ahead.widthM / 2, right: middle + ahead.widthM / 2, top: ahead.highM },
      ],
      dimensions: [
        { kind: 'level', distance: 'cushionAhead', fromX: joints.wrist[0], toX: middle },
      ],
    };
  },
  checkFirst: ['The cushion or the block lies where the forehead would land'],
  assist: 'Hips steadied',
  exit: 'Feet down',
};
