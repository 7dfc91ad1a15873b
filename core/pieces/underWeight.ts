/** What is stacked under a part of the body that bears weight (handbook 04 "Stacks under weight"). */
import type { Body } from '../body/body';
import { trunkAcrossM } from '../body/girths';
import type { StackRequest } from './stack';

/** All of a request but the height and what is at hand. */
export interface UnderWeight extends Omit<StackRequest, 'targetM' | 'pieces'> {
  /** The same so many times over: under each hand. */
  readonly times?: number;
}

/** Beyond the shoulders and the upper arms. */
const overM = 0.1;
/** A platform is as wide as the mat, its pads laid to the edge. */
const leastWidthM = 0.6;

/** A shoulder stand's platform carries shoulders and elbows. */
export function platformUnder(body: Pick<Body, 'heightM' | 'girths' | 'lengths'>): UnderWeight {
  const { outerShoulderWidth, upperArm } = body.lengths;
  const acrossM = Math.max(outerShoulderWidth, trunkAcrossM(body) ?? 0);
  return {
    footprintM: [Math.max(leastWidthM, acrossM + overM), upperArm + overM],
    bears: 'shoulders',
  };
}

/** Blocks under both hands, equally high. */
export const blocksUnderHands: UnderWeight = {
  footprintM: [0.15, 0.09],
  toleranceM: 0.03,
  bears: 'hands',
  times: 2,
};

/** What both feet stand on. */
export const supportUnderFeet: UnderWeight = { footprintM: [0.4, 0.25], bears: 'feet' };

/** A request for a height, from what is at hand. */
export function stackUnder(
  { times = 1, ...under }: UnderWeight,
  targetM: number,
  pieces: StackRequest['pieces'],
): StackRequest {
  const each = pieces.map((one) => ({ ...one, count: Math.floor(one.count / times) }));
  return { ...under, targetM, pieces: times === 1 ? pieces : each };
}
