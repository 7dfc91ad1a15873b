/** The space one attempt needs, from the student's own size. Source: handbook 04 "Room". */
import type { Body } from '../body/body';
import { pieceTable } from '../catalog/pieces';
import type { StageSpec } from '../catalog/stage';
import { legsTopShare, type Raising } from '../setups/legsTop';
import { spaceRules } from './spaceRules';

export type Space =
  /** A lane at a wall: along it, and out from it. */
  | {
      readonly kind: 'lane';
      readonly alongM: number;
      readonly outM: number;
      readonly heightM: number;
    }
  /** A circle nobody else may be inside. */
  | { readonly kind: 'circle'; readonly radiusM: number; readonly heightM: number }
  /** A mat anywhere. */
  | { readonly kind: 'mat'; readonly heightM: number };

export interface SpaceOptions {
  /** Wrist or elbow to the wall, metres. */
  readonly baseM: number;
  readonly hasHelper?: boolean;
  readonly isStraddle?: boolean;
}

/** What a stage turns upside down on, for how far the feet reach. */
const baseOf = ({ family }: StageSpec) =>
  family === 'handstand' || family === 'arm-balance'
    ? 'hands'
    : family === 'headstand'
      ? 'head'
      : 'forearms';

/** Stages that lift the feet over the head take their whole reach in height. */
const goesUp = ({ isAttempt, isFree }: StageSpec) => isAttempt === true || isFree === true;

/** A plain lane at the wall, without straddle or helper. */
export function wallLane({ heightM }: Body, baseM: number): { alongM: number; outM: number } {
  return {
    alongM: pieceTable.mat.widthM + spaceRules.besideMatM,
    outM: baseM + spaceRules.walkInShare * heightM + spaceRules.behindM,
  };
}

/** Whatever is done there: nobody is put under less, metres. */
const lowestM = 1.5;

/**
 * How high it must be above somebody, metres: what takes the legs up wants their height on the way
 * and at the end, whether or not it is an attempt.
 */
export const heightFor = (stage: Raising, { heightM }: Body): number =>
  Math.max(lowestM, legsTopShare(stage) * heightM + spaceRules.overheadM);

/** Lane, circle or mat for one student at one stage, with the height it needs. */
export function spaceFor(stage: StageSpec, body: Body, options: SpaceOptions): Space {
  const { lengths, heightM } = body;
  const reach = spaceRules.reachShare[baseOf(stage)] * heightM;
  const own = heightFor(stage, body);
  const needed = goesUp(stage) ? Math.max(own, reach + spaceRules.overheadM) : own;
  if (stage.isFree) {
    return { kind: 'circle', radiusM: reach + spaceRules.circleMarginM, heightM: needed };
  }
  if (!stage.needsWall) return { kind: 'mat', heightM: needed };
  const leg = lengths.thigh + lengths.shank;
  const half = (spaceRules.straddleDeg / 2) * (Math.PI / 180);
  const mat = pieceTable.mat.widthM + spaceRules.besideMatM;
  const straddle = 2 * leg * Math.sin(half) + spaceRules.straddleMarginM;
  return {
    kind: 'lane',
    alongM: (options.isStraddle ? straddle : mat) + (options.hasHelper ? spaceRules.helperM : 0),
    outM: options.baseM + spaceRules.walkInShare * heightM + spaceRules.behindM,
    heightM: needed,
  };
}
