/** What of the cupboard can serve which need, so that nobody waits for foam while cork lies there. */
import {
  isOwnPiece,
  isShippedPiece,
  pieceTable,
  specOf,
  type PieceCount,
  type PieceId,
  type PieceRef,
} from '../catalog/pieces';

/** A row of the cupboard as the composer counts it: named after the piece that is asked for. */
export type RowId = PieceId;

const straps = ['strap-180', 'strap-240', 'strap-300'] as const;
const tolerance = 1e-9;

/** Heights at which one block does for another, metres. */
const blockHeights = { lowM: 0.085, highM: 0.12 } as const;
const longPadM = 0.55;
const seats = { lowM: 0.35, highM: 0.55, benchM: 0.8 } as const;

/** The rows a piece counts for; a long strap also does where a short one is asked for. */
export function rowsServed(ref: PieceRef): RowId[] {
  const spec = specOf(ref);
  const { kind, lengthM, widthM, thicknessM } = spec;
  if (kind === 'strap') {
    return straps.filter((strap) => pieceTable[strap].lengthM <= lengthM + tolerance);
  }
  if (kind === 'block') {
    const isFull = thicknessM >= blockHeights.lowM && thicknessM <= blockHeights.highM;
    return [isFull ? 'foam-block' : 'thin-foam-block'];
  }
  if (!isOwnPiece(ref.piece)) return [ref.piece];
  switch (kind) {
    case 'pad':
      return [lengthM >= longPadM ? 'shoulder-pad' : 'flat-foam'];
    case 'blanket':
      return ['blanket'];
    case 'bolster':
      return [thicknessM >= 0.9 * widthM ? 'bolster-round' : 'bolster-rectangular'];
    case 'furniture': {
      if (thicknessM < seats.lowM || thicknessM > seats.highM) return [ref.piece];
      return [lengthM >= seats.benchM ? 'bench' : 'chair'];
    }
    case 'other':
      return [ref.piece];
    default:
      return kind satisfies never;
  }
}

/** How many there are of each row. */
export function countRows(pieces: readonly PieceCount[]): Record<string, number> {
  const rows: Record<string, number> = {};
  for (const one of pieces) {
    for (const row of rowsServed(one)) rows[row] = (rows[row] ?? 0) + one.count;
  }
  return rows;
}

/**
 * What a need takes from each row. A need for a long strap takes from the short ones' row as well:
 * every strap there is serves one need (for nested rows these counts are enough and exact).
 */
export function rowsTaken(
  needs: readonly PieceCount[],
): { readonly piece: RowId; readonly count: number }[] {
  const rows = new Map<RowId, number>();
  for (const need of needs) {
    for (const row of rowsServed(need)) rows.set(row, (rows.get(row) ?? 0) + need.count);
  }
  return [...rows].map(([piece, count]) => ({ piece, count }));
}

/** `blocks`, `chairs`: what a row is called, however many. */
export const rowWords = (row: string): string =>
  isShippedPiece(row) ? pieceTable[row].words[1] : row;

/** `2 blocks`, `1 chair`: so many of a row in words. */
export function rowLabel(row: string, count: number): string {
  const [one, many] = isShippedPiece(row) ? pieceTable[row].words : [row, row];
  return `${count} ${count === 1 ? one : many}`;
}

/** `1 block, 1 strap`; `a mat` where nothing else is needed. */
export const propWords = (props: readonly PieceCount[]): string =>
  props.length === 0 ? 'a mat' : props.map(({ piece, count }) => rowLabel(piece, count)).join(', ');
