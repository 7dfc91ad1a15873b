/** What can be done from anywhere, by name. */
import type { PaperInk } from '@/core/drawing/palette';
import type { LengthUnits } from '@/core/units/length';

export interface Doing {
  readonly label: string;
  readonly run: () => void;
}

/** How things stand, and what changes them. */
export interface Doable {
  readonly units: LengthUnits;
  readonly paperInk: PaperInk;
  /** The scheme that a change would bring. */
  readonly next: 'light' | 'dark';
  readonly save: (
    change: { readonly units: LengthUnits } | { readonly paperInk: PaperInk },
  ) => void;
  readonly switchScheme: () => void;
  readonly showKeys: () => void;
  /** `null`: no passphrase is set for this desk. */
  readonly lock: (() => void) | null;
}

export const listDoings = (now: Doable): readonly Doing[] => [
  now.units === 'cm'
    ? { label: 'Lengths in feet and inches', run: () => now.save({ units: 'in' }) }
    : { label: 'Lengths in centimetres', run: () => now.save({ units: 'cm' }) },
  { label: now.next === 'dark' ? 'Dark screen' : 'Light screen', run: now.switchScheme },
  now.paperInk === 'tones'
    ? { label: 'Paper in black alone', run: () => now.save({ paperInk: 'one' }) }
    : { label: 'Paper in tones of grey and brass', run: () => now.save({ paperInk: 'tones' }) },
  { label: 'The keys there are', run: now.showKeys },
  ...(now.lock === null ? [] : [{ label: 'Lock the desk', run: now.lock }]),
];
