import { getPiece, type PieceCount, type PieceId } from '../catalog/pieces';

/** What is left over to thread and hold (handbook 04). */
const tailM = 0.2;

/**
 * The loop of a strap round two parallel arms: two straight runs between the arms' centres and half
 * a turn round each. Source: handbook 04, loop = 2 (w - a) + pi a.
 *
 * @param spanM outer edge to outer edge, metres
 * @param armThicknessM of each arm, metres
 */
export function loopLength(spanM: number, armThicknessM: number): number {
  return 2 * (spanM - armThicknessM) + Math.PI * armThicknessM;
}

/** The shortest strap at hand that makes the loop and leaves a tail, if any. */
export function findStrap(loopM: number, pieces: readonly PieceCount[]): PieceId | null {
  const long = pieces
    .filter(({ piece, count }) => count > 0 && getPiece(piece).kind === 'strap')
    .map(({ piece }) => piece)
    .filter((piece) => getPiece(piece).lengthM >= loopM + tailM)
    .sort((a, b) => getPiece(a).lengthM - getPiece(b).lengthM);
  return long[0] ?? null;
}
