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

/** What one takes at home in its place. */
export type AtHome =
  /** Every home has it in some form; what to call it there. */
  | { readonly kind: 'plain'; readonly words: string }
  /** A pile of hard things as high as the piece lies flat, which the stack solver finds. */
  | { readonly kind: 'pile' }
  /** It is a thing of the household itself. */
  | { readonly kind: 'household'; readonly one: string; readonly many: string };

/** Everything that is said of a shipped piece anywhere. */
export interface ShippedPiece extends PieceSpec {
  /** In a list: `2 blocks`. */
  readonly words: readonly [one: string, many: string];
  readonly atHome: AtHome;
  /** How a place on the plan of the room shows it. */
  readonly mark: 'block' | 'bolster' | 'chair' | null;
  /** Anybody's sock or towel does: never short of it. */
  readonly isEverywhere?: true;
  /** How much harder one more of it is to come by than one more block (handbook 04 names no prices). */
  readonly effort: number;
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
    words: ['block', 'blocks'],
    atHome: { kind: 'pile' },
    mark: 'block',
    effort: 1,
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
    words: ['thin block', 'thin blocks'],
    atHome: { kind: 'pile' },
    mark: 'block',
    effort: 1,
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
    words: ['cork block', 'cork blocks'],
    atHome: { kind: 'pile' },
    mark: 'block',
    effort: 1,
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
    words: ['flat foam pad', 'flat foam pads'],
    atHome: { kind: 'plain', words: 'a blanket folded small and firm' },
    mark: null,
    effort: 1,
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
    words: ['shoulder pad', 'shoulder pads'],
    atHome: { kind: 'plain', words: 'a blanket folded firmly, its smooth edge towards the head' },
    mark: null,
    effort: 1.5,
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
    words: ['blanket', 'blankets'],
    atHome: { kind: 'plain', words: 'a blanket folded twice' },
    mark: null,
    effort: 1,
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
    words: ['flat bolster', 'flat bolsters'],
    atHome: { kind: 'plain', words: 'a sofa cushion' },
    mark: 'bolster',
    effort: 2,
  },
  'bolster-round': {
    label: 'Round bolster',
    kind: 'bolster',
    lengthM: 0.62,
    widthM: 0.22,
    thicknessM: 0.22,
    loadedM: 0.17,
    isFirm: false,
    words: ['round bolster', 'round bolsters'],
    atHome: { kind: 'plain', words: 'a blanket rolled tightly' },
    mark: 'bolster',
    effort: 2,
  },
  'strap-180': {
    label: 'Strap, 1.8 m',
    kind: 'strap',
    lengthM: 1.8,
    widthM: 0.04,
    thicknessM: 0.002,
    loadedM: 0.002,
    isFirm: true,
    words: ['strap', 'straps'],
    atHome: { kind: 'plain', words: 'a belt, or the cord of a dressing gown' },
    mark: null,
    effort: 1,
  },
  'strap-240': {
    label: 'Strap, 2.4 m',
    kind: 'strap',
    lengthM: 2.4,
    widthM: 0.04,
    thicknessM: 0.002,
    loadedM: 0.002,
    isFirm: true,
    words: ['strap of 2.4 m or more', 'straps of 2.4 m or more'],
    atHome: { kind: 'plain', words: 'two belts buckled together, or a long scarf' },
    mark: null,
    effort: 1,
  },
  'strap-300': {
    label: 'Strap, 3 m',
    kind: 'strap',
    lengthM: 3,
    widthM: 0.04,
    thicknessM: 0.002,
    loadedM: 0.002,
    isFirm: true,
    words: ['strap of 3 m', 'straps of 3 m'],
    atHome: { kind: 'plain', words: 'two belts buckled together, or a long scarf' },
    mark: null,
    effort: 1,
  },
  chair: {
    label: 'Chair',
    kind: 'furniture',
    lengthM: 0.4,
    widthM: 0.4,
    thicknessM: 0.45,
    loadedM: 0.45,
    isFirm: true,
    words: ['chair', 'chairs'],
    atHome: { kind: 'plain', words: 'a kitchen chair, its back to the wall' },
    mark: 'chair',
    effort: 2,
  },
  bench: {
    label: 'Bench',
    kind: 'furniture',
    lengthM: 1,
    widthM: 0.35,
    thicknessM: 0.45,
    loadedM: 0.45,
    isFirm: true,
    words: ['bench', 'benches'],
    atHome: { kind: 'plain', words: 'the seat of a firm sofa' },
    mark: null,
    effort: 4,
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
    words: ['cushion', 'cushions'],
    atHome: { kind: 'household', one: 'cushion', many: 'cushions' },
    mark: null,
    effort: 1,
  },
  wedge: {
    label: 'Wrist wedge',
    kind: 'other',
    lengthM: 0.5,
    widthM: 0.15,
    thicknessM: 0.04,
    loadedM: 0.04,
    isFirm: true,
    words: ['wrist wedge', 'wrist wedges'],
    atHome: { kind: 'plain', words: 'a towel rolled under the heels of the hands' },
    mark: null,
    effort: 1,
  },
  cloth: {
    label: 'Cloth',
    kind: 'other',
    lengthM: 0.4,
    widthM: 0.4,
    thicknessM: 0.002,
    loadedM: 0.002,
    isFirm: false,
    words: ['cloth', 'cloths'],
    atHome: { kind: 'plain', words: 'a kitchen towel on a bare floor' },
    mark: null,
    effort: 1,
    isEverywhere: true,
  },
  mat: {
    label: 'Mat',
    kind: 'other',
    lengthM: 1.83,
    widthM: 0.61,
    thicknessM: 0.005,
    loadedM: 0.005,
    isFirm: true,
    words: ['mat', 'mats'],
    atHome: { kind: 'plain', words: 'a mat or a carpet that does not slip' },
    mark: null,
    effort: 1,
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
    words: ['hard book', 'hard books'],
    atHome: { kind: 'household', one: 'hard book', many: 'hard books' },
    mark: null,
    effort: 1,
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
    words: ['bath towel', 'bath towels'],
    atHome: { kind: 'household', one: 'folded towel', many: 'folded towels' },
    mark: null,
    effort: 1,
  },
  sandbag: {
    label: 'Sandbag, 4 kg',
    kind: 'other',
    lengthM: 0.4,
    widthM: 0.2,
    thicknessM: 0.06,
    loadedM: 0.05,
    isFirm: false,
    words: ['sandbag', 'sandbags'],
    atHome: { kind: 'plain', words: 'a bag of rice or sugar of about 4 kg' },
    mark: null,
    effort: 1,
  },
} as const satisfies Record<string, ShippedPiece>;

export type ShippedPieceId = keyof typeof pieceTable;
/** A teacher's own piece; what it is comes with it, as `own`. */
export type OwnPieceId = `own-${string}`;
export type PieceId = ShippedPieceId | OwnPieceId;
export const pieceIds = Object.keys(pieceTable) as [ShippedPieceId, ...ShippedPieceId[]];

/** A shipped piece's row, with the optional facts visible to the compiler. */
export const getPiece = (id: ShippedPieceId): ShippedPiece => pieceTable[id];

/** Nobody is ever short of it. */
export const isEverywhere = ({ piece }: PieceRef): boolean =>
  !isOwnPiece(piece) && getPiece(piece).isEverywhere === true;

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

export const isShippedPiece = (piece: string): piece is ShippedPieceId =>
  Object.hasOwn(pieceTable, piece);
