/** What a shape can ask of a body that a caution may close. Source: handbook 07 "Screening". */
export const cautionColumns = {
  mild: 'head below heart, mild',
  light: 'inversions with little or no neck load',
  neck: 'neck-loading shapes',
  wrists: 'weight on the wrists',
  effort: 'curling and hard bracing',
  shoulders: 'weight on shoulders or the back of the head',
  reach: 'arms at the end of their range',
} as const;

/** What a shape asks of a body, as far as cautions go. */
export type CautionColumn = keyof typeof cautionColumns;
