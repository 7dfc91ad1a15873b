import { refOf, specOf, type PieceCount, type PieceRef } from '../catalog/pieces';
import { tolerance } from '../tolerance';

export interface ForearmLift extends PieceRef {
  /** Layers under each forearm. */
  readonly layers: number;
  /** Pieces altogether, both forearms. */
  readonly count: number;
  readonly heightM: number;
}

/** A forearm and the edge of the hand lie on it: narrower pieces let the wrist roll off. */
const leastWidthM = 0.15;

/**
 * The lowest firm, flat lift at hand that raises both forearms by at least `neededM`: equal layers
 * of one kind of pad, shared by both arms where one pad is wide enough, else one stack an arm.
 *
 * @param spanM outer elbow width, metres
 * @returns `null` when the pieces at hand do not make one
 */
export function findForearmLift(
  neededM: number,
  spanM: number,
  pieces: readonly PieceCount[],
): ForearmLift | null {
  const lifts = pieces.flatMap(({ count, ...one }): ForearmLift[] => {
    const spec = specOf(one);
    if (spec.kind !== 'pad' || !spec.isFirm || spec.widthM < leastWidthM) return [];
    const isShared = spec.lengthM >= spanM;
    const layers = Math.ceil((neededM - tolerance.roundingM) / spec.loadedM);
    const needed = isShared ? layers : 2 * layers;
    if (needed > count) return [];
    return [{ ...refOf(one), layers, count: needed, heightM: layers * spec.loadedM }];
  });
  lifts.sort((a, b) => a.heightM - b.heightM || a.count - b.count);
  return lifts[0] ?? null;
}
