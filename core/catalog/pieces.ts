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

export type PieceId = keyof typeof pieceTable;
export const pieceIds = Object.keys(pieceTable) as [PieceId, ...PieceId[]];

export function getPiece(id: PieceId): PieceSpec {
  return pieceTable[id];
}

/** So many of one piece. A count of 0 means none. */
export interface PieceCount {
  readonly piece: PieceId;
  readonly count: number;
}
