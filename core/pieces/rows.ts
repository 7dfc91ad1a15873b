/** What of the cupboard can serve which need, so that nobody waits for foam while cork lies there. */
import {
  getPiece,
  isOwnPiece,
  isShippedPiece,
  pieceIds,
  pieceTable,
  specOf,
  type OwnPieceId,
  type PieceCount,
  type PieceKind,
  type PieceId,
  type PieceRef,
  type PieceSpec,
  type ShippedPieceId,
} from '../catalog/pieces';

/** A row of the cupboard as the composer counts it: named after the piece that is asked for. */
export type RowId = PieceId;

const straps = pieceIds
  .filter((id) => getPiece(id).kind === 'strap')
  .sort((a, b) => pieceTable[a].lengthM - pieceTable[b].lengthM);
const tolerance = 1e-9;

/** Heights at which one block does for another, metres. */
const blockHeights = { lowM: 0.085, highM: 0.12 } as const;
const longPadM = 0.55;
/** Pads that lie as high as each other under weight, metres. */
const padHeightM = 0.005;
const seats = { lowM: 0.35, highM: 0.55, benchM: 0.8 } as const;

/**
 * The rows a piece counts for, each within the one before: a long strap also does where a short one
 * is asked for, and an own block where any block is. What was found to fit with a piece of one's own
 * fits with no other, so that it has a row to itself as well.
 */
export function rowsServed(ref: PieceRef): RowId[] {
  if (!isOwnPiece(ref.piece)) return [...shippedRows(ref.piece)];
  return specOf(ref).kind === 'strap' ? rowsOfKind(ref) : [...rowsOfKind(ref), ref.piece];
}

/** Sides that agree to this are the same to whatever was measured, metres. */
const alikeM = 0.005 + tolerance;
type Side = 'lengthM' | 'widthM' | 'thicknessM' | 'loadedM';
const plan = ['lengthM', 'widthM'] as const;

/** What of a piece has to agree with what was measured, and where more of it does as well. */
const sidesOf: Readonly<
  Record<PieceKind, readonly [agree: readonly Side[], cover: readonly Side[]]>
> = {
  // Any of its faces may be what lies between the arms.
  block: [['loadedM', 'thicknessM', ...plan], []],
  // Folded anew, to whatever size is wanted.
  blanket: [['loadedM'], []],
  // It stands at the wall, and something was measured from it.
  bolster: [['loadedM', 'thicknessM'], plan],
  pad: [['loadedM'], plan],
  furniture: [['loadedM'], plan],
  // Told by their length already; and what is of no kind is only itself.
  strap: [[], []],
  other: [[], []],
};

/** Does a piece of one's own do where this one was measured? */
function doesFor(own: PieceSpec, shipped: PieceSpec): boolean {
  const [agree, cover] = sidesOf[shipped.kind];
  return (
    agree.every((side) => Math.abs(own[side] - shipped[side]) <= alikeM) &&
    cover.every((side) => own[side] >= shipped[side] - alikeM)
  );
}

/** Shipped pieces as themselves alone, where one's own of another size count for their kind too. */
const apartIds: ReadonlyMap<ShippedPieceId, OwnPieceId> = new Map(
  pieceIds.map((id) => [id, `own-as-${id}`]),
);
const apartOf: ReadonlyMap<string, ShippedPieceId> = new Map(
  [...apartIds].map(([id, apart]) => [apart, id]),
);

/** Somebody's own piece that counts for this row, and is of another size than what ships. */
const hasUnlike = (pieces: readonly PieceCount[], row: ShippedPieceId): boolean =>
  pieces.some(
    (one) =>
      one.count > 0 &&
      isOwnPiece(one.piece) &&
      !doesFor(specOf(one), pieceTable[row]) &&
      rowsServed(one).includes(row),
  );

/**
 * A piece that something was measured to, so that no other size is given for it: where the cupboard
 * has some of one's own that are another size, what ships is told apart from them and has a row of
 * its own within that of its kind, as theirs have. Foam and cork are as good as each other there.
 */
export function asMeasured<Ref extends PieceRef>(pieces: readonly PieceCount[], ref: Ref): Ref {
  const { piece } = ref;
  if (isOwnPiece(piece)) return ref;
  // Of a kind, or for itself alone: a towel is no blanket.
  const [row] = shippedRows(piece);
  if (!hasUnlike(pieces, row)) return ref;
  const { loadedM, label } = pieceTable[row];
  const words = `${label}, ${Math.round(loadedM * 1000) / 10} cm high`;
  return { ...ref, piece: apartIds.get(row)!, own: { ...getPiece(piece), label: words } };
}

/** The shipped piece that a row tells apart; any other row as it is. */
export const kindOfRow = (row: string): string => apartOf.get(row) ?? row;

function shippedRows(piece: ShippedPieceId): [ShippedPieceId, ...ShippedPieceId[]] {
  const { kind } = pieceTable[piece];
  const [first = piece, ...more] =
    kind === 'strap' || kind === 'block' ? rowsOfKind({ piece }) : [piece];
  return [first, ...more];
}

function rowsOfKind(ref: PieceRef): ShippedPieceId[] {
  const { kind, lengthM, widthM, thicknessM, loadedM } = specOf(ref);
  switch (kind) {
    case 'strap':
      return straps.filter((strap) => pieceTable[strap].lengthM <= lengthM + tolerance);
    case 'block': {
      const isFull = thicknessM >= blockHeights.lowM && thicknessM <= blockHeights.highM;
      return [isFull ? 'foam-block' : 'thin-foam-block'];
    }
    case 'pad': {
      // A stack is measured to the pad: one that is thinner or thicker is another height.
      const like = lengthM >= longPadM ? 'shoulder-pad' : 'flat-foam';
      return Math.abs(loadedM - pieceTable[like].loadedM) <= padHeightM + tolerance ? [like] : [];
    }
    case 'blanket':
      return ['blanket'];
    case 'bolster':
      return [thicknessM >= 0.9 * widthM ? 'bolster-round' : 'bolster-rectangular'];
    case 'furniture': {
      if (thicknessM < seats.lowM || thicknessM > seats.highM) return [];
      return [lengthM >= seats.benchM ? 'bench' : 'chair'];
    }
    case 'other':
      return [];
    default:
      return kind satisfies never;
  }
}

/** How many there are of each row. */
export function countRows(pieces: readonly PieceCount[]): Record<string, number> {
  const rows: Record<string, number> = {};
  for (const one of pieces.map((each) => asMeasured(pieces, each))) {
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

/** What there is to know of a row beside its name. */
export interface RowFacts {
  /** What a teacher calls a piece of their own. */
  readonly label?: string | undefined;
  /** The row that it counts for as well. */
  readonly within?: RowId | undefined;
}

/** The facts of those rows that have any. */
export function factsOfRows(pieces: readonly PieceCount[]): Record<string, RowFacts> {
  const shipped = pieceIds.map((piece) => ({ piece }));
  const kinds: readonly PieceRef[] = [
    ...shipped,
    ...shipped.map((one) => asMeasured(pieces, one)).filter(({ piece }) => isOwnPiece(piece)),
    ...pieces,
  ];
  return Object.fromEntries(
    kinds.flatMap((ref): [string, RowFacts][] => {
      const within = rowsServed(ref).at(-2);
      const isRow = rowsServed(ref).at(-1) === ref.piece;
      if (!isRow || (within === undefined && ref.own === undefined)) return [];
      return [
        [
          ref.piece,
          {
            ...(ref.own === undefined ? {} : { label: ref.own.label }),
            ...(within === undefined ? {} : { within }),
          },
        ],
      ];
    }),
  );
}

/** A row and what it counts for as well, from within outwards. */
export function rowsUpFrom(row: string, facts: Readonly<Record<string, RowFacts>>): string[] {
  const within = facts[row]?.within;
  return within === undefined ? [row] : [row, ...rowsUpFrom(within, facts)];
}

/** What of a row is in use, of how many. */
export interface RowInUse extends RowFacts {
  readonly row: RowId;
  readonly used: number;
  readonly of: number;
}

/** Rows that lie within others, without what is counted there: each piece is fetched once. */
export function listEachOnce(rows: readonly RowInUse[]): RowInUse[] {
  return rows.map((one) => {
    const inner = rows.filter(({ within }) => within === one.row);
    const without = (value: 'used' | 'of') =>
      Math.max(
        0,
        inner.reduce((left, row) => left - row[value], one[value]),
      );
    return { ...one, used: without('used'), of: without('of') };
  });
}

/** So many of a piece as a file gives them: an own one with what it is called. */
export interface NamedCount {
  readonly piece: string;
  readonly count: number;
  readonly label?: string | undefined;
  readonly own?: { readonly label: string };
}

/** `blocks`, `chairs`: what a row is called, however many. */
export const rowWords = (row: string, label?: string): string =>
  isShippedPiece(row) ? pieceTable[row].words[1] : (label ?? ownWords);

/** `2 blocks`, `1 chair`, `2 × low stool`: so many of a row in words. */
export function rowLabel(row: string, count: number, label?: string): string {
  if (!isShippedPiece(row)) return `${count} × ${label ?? ownWords}`;
  const [one, many] = pieceTable[row].words;
  return `${count} ${count === 1 ? one : many}`;
}

/** `one more block`, `3 more blocks`, `one more low stool`. */
export function moreLabel(row: string, more: number, label?: string): string {
  const [one, many] = isShippedPiece(row)
    ? pieceTable[row].words
    : ([label ?? ownWords, `of “${label ?? ownWords}”`] as const);
  return more === 1 ? `one more ${one}` : `${more} more ${many}`;
}

/** What a piece of one's own is called where its name did not come along. */
const ownWords = 'piece of one’s own';

/** `1 block, 1 strap`; `a mat` where nothing else is needed. */
export const propWords = (props: readonly NamedCount[]): string =>
  props.length === 0
    ? 'a mat'
    : props
        .map(({ piece, count, label, own }) => rowLabel(piece, count, label ?? own?.label))
        .join(', ');
