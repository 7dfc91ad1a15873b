import { refOf, specOf, type PieceCount, type PieceRef } from '../catalog/pieces';

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
export function findStrap(loopM: number, pieces: readonly PieceCount[]): PieceRef | null {
  const long = pieces
    .filter((one) => one.count > 0 && specOf(one).kind === 'strap')
    .filter((one) => specOf(one).lengthM >= loopM + tailM)
    .sort((a, b) => specOf(a).lengthM - specOf(b).lengthM);
  return long.length === 0 ? null : refOf(long[0]!);
}
