/** What of the cupboard gives a picture its scale: firm pieces by the sides that can be seen. */
import { getPiece, pieceIds, type PieceSpec } from '../catalog/pieces';

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

/**
 * Firm pieces keep their size; the floor tape is there for everything else.
 *
 * @param own pieces that a teacher has measured, which come first
 */
export const listKnownLengths = (own: readonly PieceSpec[]): KnownLength[] =>
  [...own, ...pieceIds.map((id) => getPiece(id))].flatMap((piece) => {
    if (piece.kind !== 'block' && piece.kind !== 'furniture') return [];
    return sides.flatMap(([side, words]) =>
      piece[side] < shortestM ? [] : [{ words: `${piece.label}, ${words}`, metres: piece[side] }],
    );
  });
