/** What a verdict can be. On its own, so that whoever names one need not carry the catalog. */
export const verdictKinds = [
  'advance',
  'advance-with-support',
  'stay',
  're-check',
  'step-back',
  'stop',
] as const;
export type VerdictKind = (typeof verdictKinds)[number];

/** The verdicts that let a student do the stage. */
export const opensStage = (kind: VerdictKind) =>
  kind === 'advance' || kind === 'advance-with-support';
