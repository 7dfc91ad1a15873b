/** Every small number the geometry leans on, in one place, so that no engine invents its own. */
export const tolerance = {
  /** Lengths closer than this are the same length (metres): a tenth of a millimetre. */
  lengthM: 1e-4,
  /** Rounding slack in sums of lengths (metres), far below anything a tape can show. */
  roundingM: 1e-9,
  /** The same in sums of seconds, far below a tenth. */
  roundingS: 1e-6,
} as const;
