/** What stands in for a prop at home. Source: handbook 04 "Stack solver", 08 "Home practice". */
import {
  getPiece,
  isOwnPiece,
  type PieceCount,
  type PieceId,
  type PieceSpec,
} from '../catalog/pieces';
import { findStack, type StackLayer } from '../pieces/stack';

export interface StandIn {
  readonly piece: PieceId;
  readonly count: number;
  /** What to take, in words. */
  readonly words: string;
  /** The pile that the solver found, bottom first; absent: no pile. */
  readonly layers?: readonly StackLayer[];
  readonly heightM?: number;
}

/** A usual household: hard books, towels, a sofa cushion, a kitchen chair. */
export const usualHousehold: readonly PieceCount[] = [
  { piece: 'book', count: 8 },
  { piece: 'towel', count: 6 },
  { piece: 'cushion', count: 2 },
  { piece: 'chair', count: 1 },
];

function wordsAtHome(piece: PieceId, count: number): string {
  if (isOwnPiece(piece)) return piece;
  const { atHome, words } = getPiece(piece);
  const [one, many] = atHome.kind === 'household' ? [atHome.one, atHome.many] : words;
  return count === 1 ? one : many;
}

function layerWords(layers: readonly StackLayer[]): string {
  return layers.map(({ piece, count }) => `${count} ${wordsAtHome(piece, count)}`).join(', then ');
}

/**
 * What to take at home instead of so many of a piece; never for under the shoulders or the neck.
 *
 * @returns `null` when the household has nothing that would do
 */
export function findStandIn(
  piece: PieceId,
  count: number,
  household: readonly PieceCount[],
): StandIn | null {
  if (isOwnPiece(piece)) return null;
  const spec = getPiece(piece);
  switch (spec.atHome.kind) {
    case 'plain':
      return { piece, count, words: spec.atHome.words };
    case 'household':
      return {
        piece,
        count,
        words: `${count === 1 ? 'a' : count} ${wordsAtHome(piece, count)}`,
      };
    case 'pile':
      return findPile(piece, count, spec, household);
    default:
      return spec.atHome satisfies never;
  }
}

/** Books come as they come; within this a pile does for a block. */
const pileToleranceM = 0.015;

/** Blocks become a pile that the stack solver finds, as high as the block lies flat. */
function findPile(
  piece: PieceId,
  count: number,
  spec: PieceSpec,
  household: readonly PieceCount[],
): StandIn | null {
  // What is pressed or stood on does not give: books alone.
  const firm = household.filter((one) => one.piece === 'book');
  // Each block is a pile of its own: the household is shared out among them.
  const each = firm.map((one) => ({ ...one, count: Math.floor(one.count / count) }));
  const stack = findStack({
    targetM: spec.loadedM,
    toleranceM: pileToleranceM,
    footprintM: [Math.min(spec.lengthM, 0.2), Math.min(spec.widthM, 0.13)],
    pieces: each,
  });
  if (!stack.found || stack.heightM === null) return null;
  const pile = layerWords(mergeLayers(stack.layers));
  return {
    piece,
    count,
    words: count === 1 ? `${pile}, tied together` : `${count} piles, each ${pile}, tied together`,
    layers: stack.layers,
    heightM: stack.heightM,
  };
}

function mergeLayers(layers: readonly StackLayer[]): StackLayer[] {
  const merged: StackLayer[] = [];
  for (const layer of layers) {
    const last = merged.at(-1);
    if (last?.piece === layer.piece) {
      merged[merged.length - 1] = { ...last, count: last.count + layer.count };
    } else merged.push(layer);
  }
  return merged;
}
