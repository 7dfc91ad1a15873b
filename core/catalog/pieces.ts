/** The props a teacher may have, with real sizes. Source: handbook 04 "Default pieces". Metres. */
export type PieceKind = 'block' | 'pad' | 'blanket' | 'bolster' | 'strap' | 'furniture' | 'other';

export interface PieceSpec {
  readonly label: string;
  readonly kind: PieceKind;
  /** Longest, middle and shortest side as it lies, unloaded. */
  readonly lengthM: number;
  readonly widthM: number;
  readonly thicknessM: number;
  /** Height of the flat face under load; on side or end a block keeps its nominal size. */
  readonly loadedM: number;
  readonly isFirm: boolean;
  /** May stand on its side or end. */
  readonly standsOnEdge?: true;
  /** May be folded once more: half the footprint, twice the thickness. */
  readonly refolds?: true;
  /** Usable as a layer of a stack. */
  readonly stacks?: true;
}

export const pieceTable = {
  'foam-block': {
    label: 'Foam block',
    kind: 'block',
    lengthM: 0.23,
    widthM: 0.15,
    thicknessM: 0.1,
    loadedM: 0.097,
    isFirm: true,
    standsOnEdge: true,
    stacks: true,
  },
  'thin-foam-block': {
    label: 'Thin foam block',
    kind: 'block',
    lengthM: 0.23,
    widthM: 0.15,
    thicknessM: 0.075,
    loadedM: 0.073,
    isFirm: true,
    standsOnEdge: true,
    stacks: true,
  },
  'cork-block': {
    label: 'Cork block',
    kind: 'block',
    lengthM: 0.225,
    widthM: 0.15,
    thicknessM: 0.095,
    loadedM: 0.095,
    isFirm: true,
    standsOnEdge: true,
    stacks: true,
  },
  'flat-foam': {
    label: 'Flat foam pad',
    kind: 'pad',
    lengthM: 0.3,
    widthM: 0.2,
    thicknessM: 0.05,
    loadedM: 0.048,
    isFirm: true,
    stacks: true,
  },
  'shoulder-pad': {
    label: 'Shoulder pad',
    kind: 'pad',
    lengthM: 0.6,
    widthM: 0.3,
    thicknessM: 0.03,
    loadedM: 0.028,
    isFirm: true,
    stacks: true,
  },
  blanket: {
    label: 'Blanket, folded',
    kind: 'blanket',
    lengthM: 0.75,
    widthM: 0.5,
    thicknessM: 0.03,
    loadedM: 0.022,
    isFirm: false,
    refolds: true,
    stacks: true,
  },
  'bolster-rectangular': {
    label: 'Flat bolster',
    kind: 'bolster',
    lengthM: 0.62,
    widthM: 0.3,
    thicknessM: 0.15,
    loadedM: 0.12,
    isFirm: false,
    stacks: true,
  },
  'bolster-round': {
    label: 'Round bolster',
    kind: 'bolster',
    lengthM: 0.62,
    widthM: 0.22,
    thicknessM: 0.22,
    loadedM: 0.17,
    isFirm: false,
  },
  'strap-180': {
    label: 'Strap, 1.8 m',
    kind: 'strap',
    lengthM: 1.8,
    widthM: 0.04,
    thicknessM: 0.002,
    loadedM: 0.002,
    isFirm: true,
  },
  'strap-240': {
    label: 'Strap, 2.4 m',
    kind: 'strap',
    lengthM: 2.4,
    widthM: 0.04,
    thicknessM: 0.002,
    loadedM: 0.002,
    isFirm: true,
  },
  'strap-300': {
    label: 'Strap, 3 m',
    kind: 'strap',
    lengthM: 3,
    widthM: 0.04,
    thicknessM: 0.002,
    loadedM: 0.002,
    isFirm: true,
  },
  chair: {
    label: 'Chair',
    kind: 'furniture',
    lengthM: 0.4,
    widthM: 0.4,
    thicknessM: 0.45,
    loadedM: 0.45,
    isFirm: true,
  },
  bench: {
    label: 'Bench',
    kind: 'furniture',
    lengthM: 1,
    widthM: 0.35,
    thicknessM: 0.45,
    loadedM: 0.45,
    isFirm: true,
  },
  cushion: {
    label: 'Cushion',
    kind: 'other',
    lengthM: 0.4,
    widthM: 0.4,
    thicknessM: 0.1,
    loadedM: 0.05,
    isFirm: false,
    stacks: true,
  },
  wedge: {
    label: 'Wrist wedge',
    kind: 'other',
    lengthM: 0.5,
    widthM: 0.15,
    thicknessM: 0.04,
    loadedM: 0.04,
    isFirm: true,
  },
  cloth: {
    label: 'Cloth',
    kind: 'other',
    lengthM: 0.4,
    widthM: 0.4,
    thicknessM: 0.002,
    loadedM: 0.002,
    isFirm: false,
  },
  mat: {
    label: 'Mat',
    kind: 'other',
    lengthM: 1.83,
    widthM: 0.61,
    thicknessM: 0.005,
    loadedM: 0.005,
    isFirm: true,
  },
  book: {
    label: 'Hard book',
    kind: 'pad',
    lengthM: 0.3,
    widthM: 0.22,
    thicknessM: 0.03,
    loadedM: 0.03,
    isFirm: true,
    stacks: true,
  },
  towel: {
    label: 'Bath towel, folded',
    kind: 'blanket',
    lengthM: 0.45,
    widthM: 0.35,
    thicknessM: 0.025,
    loadedM: 0.016,
    isFirm: false,
    refolds: true,
    stacks: true,
  },
  sandbag: {
    label: 'Sandbag, 4 kg',
    kind: 'other',
    lengthM: 0.4,
    widthM: 0.2,
    thicknessM: 0.06,
    loadedM: 0.05,
    isFirm: false,
  },
} as const satisfies Record<string, PieceSpec>;

export type ShippedPieceId = keyof typeof pieceTable;
/** A teacher's own piece; what it is comes with it, as `own`. */
export type OwnPieceId = `own-${string}`;
export type PieceId = ShippedPieceId | OwnPieceId;
export const pieceIds = Object.keys(pieceTable) as [ShippedPieceId, ...ShippedPieceId[]];

export const isOwnPiece = (piece: string): piece is OwnPieceId => piece.startsWith('own-');

/** A piece by name; an own one carries its faces along. */
export interface PieceRef {
  readonly piece: PieceId;
  readonly own?: PieceSpec;
}

/**
 * Faces and loaded thickness of a piece.
 *
 * @throws Error for an own piece that does not carry them
 */
export function specOf({ piece, own }: PieceRef): PieceSpec {
  if (own !== undefined) return own;
  if (isOwnPiece(piece)) throw new Error(`the own piece ${piece} came without its faces`);
  return pieceTable[piece];
}

/** Without `own` where there is none, as exact types ask. */
export const refOf = ({ piece, own }: PieceRef): PieceRef =>
  own === undefined ? { piece } : { piece, own };

/** The different pieces of a list that are there at all: the shipped ones in the catalog's order. */
export function listKinds(pieces: readonly PieceCount[]): PieceCount[] {
  const totals = new Map<PieceId, PieceCount>();
  for (const one of pieces) {
    const before = totals.get(one.piece)?.count ?? 0;
    totals.set(one.piece, { ...refOf(one), count: before + one.count });
  }
  const order = (piece: PieceId) => (isOwnPiece(piece) ? pieceIds.length : pieceIds.indexOf(piece));
  return [...totals.values()].sort(
    (a, b) => order(a.piece) - order(b.piece) || (a.piece < b.piece ? -1 : 1),
  );
}

/** So many of one piece. A count of 0 means none. */
export interface PieceCount extends PieceRef {
  readonly count: number;
}

/** A shipped piece's name in a sentence; an own one's key where nothing else is known. */
export function getPieceLabel(piece: string): string {
  const spec = (pieceTable as Readonly<Partial<Record<string, PieceSpec>>>)[piece];
  return spec === undefined ? piece : spec.label.charAt(0).toLowerCase() + spec.label.slice(1);
}
