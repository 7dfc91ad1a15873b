/** What a piece of a teacher's own may be. */
export const pieceKinds = [
  'block',
  'pad',
  'blanket',
  'bolster',
  'strap',
  'furniture',
  'other',
] as const;
