/** The cupboard of the independent checker: its own counting of what stands for what. */
import {
  isOwnPiece,
  isShippedPiece,
  pieceTable,
  specOf,
  type PieceCount,
  type PieceSpec,
} from '../catalog/pieces';
import { slack } from './checkFloor';

/** A piece of one's own where a shipped one is asked for: of its kind and about its shape. */
function doesFor(own: PieceSpec, asked: PieceSpec): boolean {
  if (own.kind !== asked.kind) return false;
  switch (own.kind) {
    case 'pad':
      return own.lengthM >= 0.55 === asked.lengthM >= 0.55;
    case 'bolster':
      return own.thicknessM >= 0.9 * own.widthM === asked.thicknessM >= 0.9 * asked.widthM;
    case 'furniture':
      return (
        own.thicknessM >= 0.35 &&
        own.thicknessM <= 0.55 &&
        own.lengthM >= 0.8 === asked.lengthM >= 0.8
      );
    case 'blanket':
      return true;
    case 'block':
    case 'strap':
    case 'other':
      return false;
    default:
      return own.kind satisfies never;
  }
}

/** What was measured to a shipped piece, where some of another size are there: of what ships alone. */
function measuredAs(piece: string): PieceSpec | undefined {
  const [, id = ''] = /^own-as-(.+)$/.exec(piece) ?? [];
  return isShippedPiece(id) ? { ...pieceTable[id], label: id } : undefined;
}

/** Of what ships foam and cork do for each other; all else for itself alone. */
const isAsLarge = (piece: string, asked: PieceSpec): boolean =>
  piece === asked.label || (asked.label === 'foam-block' && piece === 'cork-block');

/**
 * Can these needs be served from these pieces? Straps by length, blocks by height, one each; what is
 * asked for by a name of one's own by that piece alone, before others take it.
 */
export function canServe(needs: readonly PieceCount[], pieces: readonly PieceCount[]): boolean {
  const left = pieces
    .flatMap((one) => Array.from({ length: one.count }, () => ({ ref: one, piece: specOf(one) })))
    .sort((a, b) => a.piece.lengthM - b.piece.lengthM);
  const named = needs.map((one): PieceCount => {
    const own = pieces.find(({ piece }) => piece === one.piece)?.own ?? measuredAs(one.piece);
    return own === undefined ? one : { ...one, own };
  });
  if (named.some(({ piece, own }) => isOwnPiece(piece) && own === undefined)) return false;
  const wanted = named
    .flatMap((one) => Array.from({ length: one.count }, () => ({ one, spec: specOf(one) })))
    .sort(
      (a, b) =>
        Number(b.one.own !== undefined) - Number(a.one.own !== undefined) ||
        b.spec.lengthM - a.spec.lengthM,
    );
  for (const { one, spec } of wanted) {
    const index = left.findIndex(({ ref, piece }) => {
      const asked = measuredAs(one.piece);
      if (asked !== undefined) return ref.own === undefined && isAsLarge(ref.piece, asked);
      if (one.own !== undefined && spec.kind !== 'strap') return ref.piece === one.piece;
      if (spec.kind === 'strap')
        return piece.kind === 'strap' && piece.lengthM >= spec.lengthM - slack;
      if (one.piece === 'foam-block') {
        return piece.kind === 'block' && piece.thicknessM >= 0.085 && piece.thicknessM <= 0.12;
      }
      if (one.piece === 'thin-foam-block')
        return piece.kind === 'block' && piece.thicknessM < 0.085;
      return ref.piece === one.piece || (ref.own !== undefined && doesFor(piece, spec));
    });
    if (index < 0) return false;
    left.splice(index, 1);
  }
  return true;
}
