/** Hands seen from above, in units of their own pictures, 132 by 132, and an arm to scale. */
import type { Body } from '../../body/body';
import { flesh } from '../figure/flesh';
import { limb, toPath, type Station } from '../figure/outline';
import { makeFrame } from '../scene';

/** Fingers up, the thumb to the left; the wrist crease at `creaseY`. */
export const openHand = {
  d: 'M50,132V96L34,78q-5,-10 6,-10L54,82L56,34q5,-9 11,0V70L70,22q6,-9 11,0V70L85,30q6,-9 11,0L94,74L100,44q7,-7 10,3L106,96V132Z',
  creaseY: 118,
  middleTipY: 17,
  /** The four knuckles. */
  knuckles: { y: 84, left: 50, right: 106 },
  thumb: { tip: [33, 70], web: [54, 92] },
} as const;

/** A loose fist from the back of the hand; the first knuckle of the middle finger at `knuckleY`. */
export const fist = {
  d: 'M52,132V94L42,82q-6,-8 2,-16q6,-6 14,-2q2,-12 12,-8q4,-6 11,-1q6,-4 11,2q9,-2 10,9V96V132Z',
  creaseY: 118,
  knuckleY: 56,
} as const;

/** What is shown of an arm on a table, metres, and where the width is taken: a hand above the elbow. */
const armShown = { wideM: 0.66, aboveElbow: 0.42 } as const;

/** Half-widths along a hand from above, as shares of the palm's breadth. */
const handShares = [
  [0, 0.34, 0.34],
  [0.3, 0.5, 0.46],
  [0.55, 0.5, 0.48],
  [0.85, 0.4, 0.38],
  [1, 0.16, 0.16],
] as const satisfies readonly Station[];
const thumbShares = [
  [0, 0.14, 0.14],
  [0.6, 0.13, 0.13],
  [1, 0.08, 0.08],
] as const satisfies readonly Station[];

/**
 * An arm that lies on a table, from above: to scale, the hand on the left.
 *
 * @returns its paths, and the tape across the upper arm; drawing units
 */
export function lyingArm({ heightM, lengths }: Body, sidePx: number) {
  const pxPerM = sidePx / armShown.wideM;
  const frame = makeFrame(pxPerM, 4, sidePx / 2);
  const y = 0;
  const wristX = lengths.hand;
  const elbowX = wristX + lengths.forearm;
  const shoulderX = elbowX + lengths.upperArm;
  const half = lengths.upperArmThickness / 2;
  const upper = [
    [0, half * 0.86, half * 0.86],
    [armShown.aboveElbow, half, half],
    [1, half * 1.12, half * 1.12],
  ] as const satisfies readonly Station[];
  const x = elbowX + armShown.aboveElbow * lengths.upperArm;
  const palm = lengths.palmBreadth;
  return {
    pieces: [
      limb([elbowX, y], [shoulderX, y], upper, 1),
      limb([wristX, y], [elbowX, y], flesh.forearm, heightM * 1.12),
      limb([wristX, y], [0.004, y], handShares, palm),
      limb([wristX * 0.8, y + palm * 0.3], [wristX * 0.42, y + palm * 0.86], thumbShares, palm),
    ].map((outline) => toPath(frame, outline)),
    tape: { x: frame.x(x), top: frame.y(y + half), bottom: frame.y(y - half) },
  };
}
