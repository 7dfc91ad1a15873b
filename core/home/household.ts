/** What stands in for a prop at home. Source: handbook 04 "Stack solver", 08 "Home practice". */
import type { PieceCount, PieceId } from '../catalog/pieces';
import { pieceTable, type ShippedPieceId } from '../catalog/pieces';
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

/** Things every home has in some form, and what to call them there. */
const plainWords: Readonly<Partial<Record<string, string>>> = {
  'strap-180': 'a belt, or the cord of a dressing gown',
  'strap-240': 'two belts buckled together, or a long scarf',
  'strap-300': 'two belts buckled together, or a long scarf',
  chair: 'a kitchen chair, its back to the wall',
  blanket: 'a blanket folded twice',
  'bolster-rectangular': 'a sofa cushion',
  'bolster-round': 'a blanket rolled tightly',
  cushion: 'a cushion',
  cloth: 'a kitchen towel on a bare floor',
  mat: 'a mat or a carpet that does not slip',
};

const blocks: readonly string[] = ['foam-block', 'thin-foam-block', 'cork-block'];

const pieceWords: Readonly<Partial<Record<string, readonly [one: string, many: string]>>> = {
  book: ['hard book', 'hard books'],
  towel: ['folded towel', 'folded towels'],
  cushion: ['cushion', 'cushions'],
};

function layerWords(layers: readonly StackLayer[]): string {
  return layers
    .map(({ piece, count }) => {
      const words = pieceWords[piece];
      return words === undefined ? piece : `${count} ${count === 1 ? words[0] : words[1]}`;
    })
    .join(', then ');
}

/**
 * What to take at home instead of so many of a piece. Blocks become a pile that the stack solver
 * finds, as high as the block lies flat; never for under the shoulders or the neck.
 *
 * @returns `null` when the household has nothing that would do
 */
export function findStandIn(
  piece: PieceId,
  count: number,
  household: readonly PieceCount[],
): StandIn | null {
  if (!blocks.includes(piece)) {
    const words = plainWords[piece];
    return words === undefined ? null : { piece, count, words };
  }
  const spec = pieceTable[piece as ShippedPieceId];
  // What is pressed or stood on does not give: books alone.
  const firm = household.filter((one) => one.piece === 'book');
  // Each block is a pile of its own: the household is shared out among them.
  const each = firm.map((one) => ({ ...one, count: Math.floor(one.count / count) }));
  const stack = findStack({
    targetM: spec.loadedM,
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
