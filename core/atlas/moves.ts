/** Every movement that is drawn. A row of the catalog names one of them. */
import type { Move } from './move';
import { backMoves } from './table/back';
import { balanceMoves } from './table/balance';
import { floorMoves } from './table/floor';
import { headMoves } from './table/head';
import { standMoves } from './table/stands';
import { uprightMoves } from './table/upright';
import { wayDownMoves } from './table/waysDown';

const moveTable = {
  ...floorMoves,
  ...backMoves,
  ...uprightMoves,
  ...standMoves,
  ...wayDownMoves,
  ...headMoves,
  ...balanceMoves,
} as const satisfies Record<string, Move>;

export type MoveId = keyof typeof moveTable;
export const moveIds = Object.keys(moveTable) as [MoveId, ...MoveId[]];
export const getMove = (id: MoveId): Move => moveTable[id];
