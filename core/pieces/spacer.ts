import { listKinds, refOf, specOf, type PieceCount, type PieceRef } from '../catalog/pieces';
import { tolerance } from '../tolerance';

export type Face = 'length' | 'width' | 'thickness';
const faces = ['length', 'width', 'thickness'] as const satisfies readonly Face[];

export interface SpacerFace extends PieceRef {
  readonly face: Face;
  readonly metres: number;
}

export interface Spacer {
  readonly sumM: number;
  /** Sum less gap: positive when the spacer is too wide. */
  readonly errorM: number;
  readonly faces: readonly SpacerFace[];
}

const mostBlocks = 3;
/** Within this of the nearest sum, fewer blocks win (handbook 04). */
const fewerWinsM = 0.01;

/**
 * The faces of one to three blocks whose sum comes nearest to a gap between the forearms; within a
 * centimetre of the nearest, fewer blocks win, then the nearer sum. Complete search over the
 * multisets of faces: three blocks of three kinds are a few hundred.
 *
 * @returns `null` without a block
 */
export function findSpacer(gapM: number, pieces: readonly PieceCount[]): Spacer | null {
  // In the catalog's order, so that equal spacers do not depend on the order of the input.
  const blocks = listKinds(pieces).filter((one) => one.count > 0 && specOf(one).kind === 'block');
  const options: SpacerFace[] = blocks.flatMap((block) =>
    faces.map((face) => ({ ...refOf(block), face, metres: specOf(block)[`${face}M`] })),
  );
  const countOf = ({ piece }: PieceRef) =>
    blocks.find((block) => block.piece === piece)?.count ?? 0;
  const found: SpacerFace[][] = [];
  const extend = (chosen: SpacerFace[], from: number) => {
    if (chosen.length > 0) found.push(chosen);
    if (chosen.length === mostBlocks) return;
    for (let index = from; index < options.length; index += 1) {
      const option = options[index]!;
      const used = chosen.filter(({ piece }) => piece === option.piece).length;
      if (used < countOf(option)) extend([...chosen, option], index);
    }
  };
  extend([], 0);
  if (found.length === 0) return null;
  const sum = (chosen: SpacerFace[]) => chosen.reduce((total, { metres }) => total + metres, 0);
  const error = (chosen: SpacerFace[]) => Math.abs(sum(chosen) - gapM);
  const nearest = Math.min(...found.map(error));
  const best = found
    .filter((chosen) => error(chosen) <= nearest + fewerWinsM + tolerance.roundingM)
    .sort((a, b) => a.length - b.length || error(a) - error(b))[0]!;
  return { sumM: sum(best), errorM: sum(best) - gapM, faces: best };
}
