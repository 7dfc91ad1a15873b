import type { PaperInk } from '@/core/drawing/palette';

/** What the drawings are printed with, in words. */
export const inkWords = {
  tones: 'In tones of grey and brass',
  one: 'In black alone, for a copier or a stencil',
} as const satisfies Record<PaperInk, string>;
