/** Poses that several moves begin from. Shares of height and degrees: see the pose language. */
import type { BuiltPose } from './pose';

/** Ankles over flat soles and over the balls of the feet, knees and seat on the floor, shares of height. */
export const low = { ankle: 0.039, ball: 0.09, knee: 0.03, seat: 0.065, back: 0.05 } as const;

const upright = { trunk: 0, head: 0, arm: [180, 180] } as const;

export const standing = {
  at: 'ankle',
  place: [0, low.ankle],
  ...upright,
  leg: [180, 180, 'flat'],
} as const satisfies BuiltPose;

/** Fold from the hips, knees a little soft. */
export const fold = {
  ...standing,
  trunk: 158,
  head: 172,
  arm: [122, 168, 90],
  leg: [172, 187, 'flat'],
} as const satisfies BuiltPose;

/** On the shins, thighs upright. */
export const kneeling = {
  at: 'knee',
  place: [0, low.knee],
  ...upright,
  leg: [180, -90, 'pointed'],
} as const satisfies BuiltPose;

/** Sitting on the heels. */
export const onHeels = {
  ...kneeling,
  arm: [165, 100, 100],
  leg: [104, -90, 'pointed'],
} as const satisfies BuiltPose;

export const child = {
  ...kneeling,
  trunk: 101,
  head: 105,
  arm: [101, 98, 90],
  leg: [110, -90, 'pointed'],
} as const satisfies BuiltPose;

/** Hips over the knees, arms long, chest towards the floor. */
export const melt = {
  ...kneeling,
  trunk: 124,
  head: 100,
  arm: [109, 107, 90],
} as const satisfies BuiltPose;

/** Elbows under the shoulders, shins down, trunk level. */
export const forearmTable = {
  at: 'elbow',
  place: [0, 0],
  trunk: 108,
  head: 100,
  arm: [180, 90, 90],
  leg: [180, -90, 'pointed'],
} as const satisfies BuiltPose;

/** Cross-legged, tall. */
export const crossLegged = {
  at: 'hip',
  place: [0, low.seat],
  ...upright,
  arm: [160, 100],
  leg: [92, -80, 'pointed'],
} as const satisfies BuiltPose;

/** On a chair, soles down. */
export const onChair = {
  at: 'hip',
  place: [0, 0.29],
  ...upright,
  arm: [165, 110],
  leg: [92, 180, 'flat'],
} as const satisfies BuiltPose;

/** Flat on the back, head towards +x. */
export const lying = {
  at: 'hip',
  place: [0, low.seat],
  trunk: 92,
  head: 92,
  arm: [-99, -96],
  leg: [-91, -91, 'flexed'],
  isOnBack: true,
} as const satisfies BuiltPose;

/** On the back, soles down, knees up. */
export const lyingKneesUp = {
  ...lying,
  leg: [-42, -146, 'flat'],
} as const satisfies BuiltPose;

/** On the back, knees over the hips. */
export const lyingTuck = {
  ...lying,
  leg: [12, -88, 'pointed'],
} as const satisfies BuiltPose;

/** On the side of the belly: elbows down, chest up. */
export const sphinx = {
  at: 'elbow',
  place: [0, 0],
  trunk: 62,
  head: 30,
  arm: [178, 90, 90],
  leg: [-92, -90, 'pointed'],
} as const satisfies BuiltPose;
