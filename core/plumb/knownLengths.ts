/** What of the cupboard gives a picture its scale: firm pieces by the sides that can be seen. */
import { getPiece, pieceIds } from '../catalog/pieces';

export interface KnownLength {
  readonly words: string;
  readonly metres: number;
}

const sides = [
  ['lengthM', 'long side'],
  ['widthM', 'middle side'],
  ['thicknessM', 'short side'],
] as const;
/** Shorter than this a mark's error is too large a share of it, metres. */
const shortestM = 0.09;

/** Firm pieces keep their size; the floor tape is there for everything else. */
export const knownLengths: readonly KnownLength[] = pieceIds.flatMap((id) => {
  const piece = getPiece(id);
  if (piece.kind !== 'block' && piece.kind !== 'furniture') return [];
  return sides.flatMap(([side, words]) =>
    piece[side] < shortestM ? [] : [{ words: `${piece.label}, ${words}`, metres: piece[side] }],
  );
});
