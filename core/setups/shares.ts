/** Distances that several set-ups have in common, by the one they belong to. */
import type { Sharing } from './kept';

/** Between the arms in forearm work: the same wherever it is measured. */
export const forearmShares = {
  elbowWidth: 'forearm-kick',
  strapLoop: 'strap-forearm',
  spacerGap: 'arm-spacer',
  forearmLift: 'head-clearance',
} as const satisfies Sharing;

/** Forearms with a block between the hands, to a wall. */
export const kickShares = {
  ...forearmShares,
  base: 'forearm-kick',
  gap: 'forearm-kick',
  wristSpacing: 'hand-block',
} as const satisfies Sharing;

/** Under the shoulders, with a chair or without. */
export const platformShares = { platformHeight: 'platform' } as const satisfies Sharing;
