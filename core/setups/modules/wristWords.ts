/** A base that is measured at the wrists. */
export const wristWords = {
  label: 'Wrists from the wall',
  mark: 'wall to the wrist crease, along the floor',
} as const;
