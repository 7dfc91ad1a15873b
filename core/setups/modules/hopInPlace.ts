/**
 * Hops in place, the wall just in reach: a block laid out flat in front of it is what they aim at.
 * Source: handbook 09 (hop in place), the block's place is ours.
 */
import { specOf, type PieceCount, type PieceRef } from '../../catalog/pieces';
import { asMeasured } from '../../pieces/rows';
import { cm, metresOf, type Setup, type SetupInput, type SetupResult } from '../setup';
import { palmShares } from '../palms';
import { handKick } from './handKick';

/** Without anything to aim at it is a little less of a lesson. */
const bareLess = 0.02;
/** Fingertips never touch it. */
const clearM = 0.03;

/** The first block that lies flat between the wall and the fingertips. */
function findAim({ pieces }: SetupInput, gapM: number): PieceRef | null {
  const fits = ({ widthM, kind }: ReturnType<typeof specOf>) =>
    kind === 'block' && widthM + clearM <= gapM;
  return pieces.find((one) => one.count > 0 && fits(specOf(one))) ?? null;
}

const gapOf = ({ distances }: SetupResult) => metresOf(distances, 'gap') ?? 0;

export const hopInPlace: Setup = {
  ...handKick,
  label: 'Hop in place, the wall just in reach',
  shares: {
    ...palmShares,
    gap: 'hand-kick',
    base: 'hand-kick',
  },
  solve: (input) => {
    const solved = handKick.solve(input);
    const aim = findAim(input, gapOf(solved));
    if (aim === null) return solved;
    const spec = specOf(aim);
    return {
      ...solved,
      atWall: { widthM: spec.widthM, highM: spec.thicknessM },
      notes: [
        ...solved.notes,
        `${spec.label} flat in front of the wall, between the hands and ${cm(gapOf(solved) - spec.widthM)} beyond the fingertips: the hop aims at it, and the hips rise straight over the hands instead of flying past it.`,
      ],
    };
  },
  ways: (input, result) => {
    const aim = findAim(input, gapOf(result));
    const bare = { props: [], result: handKick.solve({ ...input, isBare: true }) };
    if (aim === null) return { ways: [{ ...bare, less: 0 }] };
    const block: PieceCount = { ...asMeasured(input.pieces, aim), count: 1 };
    return {
      ways: [
        { props: [block], less: 0, result },
        { ...bare, variant: 'bare', less: bareLess },
      ],
    };
  },
  around: (result, placed, body) => {
    const around = handKick.around!(result, placed, body);
    const { atWall } = result;
    const wall = around.wall ?? placed.wall;
    if (atWall === undefined || wall === undefined) return around;
    const { widthM, highM } = atWall;
    return { ...around, rests: [{ left: wall.x - widthM, right: wall.x, top: highM }] };
  },
};
