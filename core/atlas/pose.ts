/**
 * The pose language: a figure told by what it is held at and by where its bones point, at the sizes
 * of a body. Lengths are shares of height, directions degrees from the upright towards +x, the way
 * the fingers point and, standing, the toes.
 */
import type { Body } from '../body/body';
import { turned } from '../posture/geometry';
import type { FigureJoints, Point } from '../posture/joints';
import { poseShape, type ShapeRef } from '../shapes/posed';
import { hold, placeOf, type Held } from './held';
import {
  putTogether,
  toSkeleton,
  type Anchor,
  type ArmBones,
  type LegBones,
  type Skeleton,
} from './skeleton';

/** How a foot is carried. */
export type Foot = 'flat' | 'ball' | 'pointed' | 'flexed';

/** Upper arm, forearm, hand; the hand goes on with the forearm where it is not told. */
export type ArmTurns = readonly [upper: number, fore: number, hand?: number];
/** Thigh and shank, and the foot. */
export type LegTurns = readonly [thigh: number, shank: number, foot: Foot];

/** A figure from nothing. */
export interface BuiltPose {
  readonly at: Anchor;
  /** Where that is, shares of height; the floor is 0. */
  readonly place: Point;
  readonly trunk: number;
  readonly head: number;
  readonly arm: ArmTurns;
  readonly farArm?: ArmTurns;
  readonly leg: LegTurns;
  readonly farLeg?: LegTurns;
  readonly isOnBack?: true;
}

/** Bones of a shape or of another pose turned by so many degrees; what is held stays. */
export interface TurnedPose {
  readonly from: ShapeRef | BuiltPose;
  readonly turn?: {
    readonly trunk?: number;
    readonly head?: number;
    readonly arm?: ArmTurns;
    readonly farArm?: ArmTurns;
    readonly leg?: readonly [thigh: number, shank: number];
    readonly farLeg?: readonly [thigh: number, shank: number];
  };
  readonly foot?: Foot;
  readonly farFoot?: Foot;
  /** Where it is moved to before its bones turn, shares of height. */
  readonly move?: Point;
  readonly held: readonly [Anchor, ...Held[]];
}

export type Pose = ShapeRef | BuiltPose | TurnedPose;

const ballDrop = 0.6;

function footBones(body: Body, shankDeg: number, foot: Foot, way: 1 | -1) {
  const { ankleM, ankleOnBallM, heightM } = body;
  const heelBackM = 0.22 * body.lengths.foot;
  const toeM = body.lengths.foot - heelBackM;
  const none = { deg: shankDeg, m: 0 };
  switch (foot) {
    case 'flat': {
      const toe = turned([0, -ankleM], 90 * way, toeM);
      return {
        heel: { deg: 180, m: ankleM },
        toe: { deg: (Math.atan2(toe[0], toe[1]) * 180) / Math.PI, m: Math.hypot(...toe) },
        heelBackM,
      };
    }
    case 'ball': {
      const ball = { deg: 180, m: ankleOnBallM };
      return { heel: ball, toe: ball, heelBackM: 0 };
    }
    case 'pointed':
      return {
        heel: none,
        toe: { deg: shankDeg, m: body.lengths.foot * ballDrop + 0.0144 * heightM },
        heelBackM: 0,
      };
    case 'flexed': {
      const heel = turned([0, 0], shankDeg, ankleM);
      const toe = turned(heel, shankDeg - 90 * way, toeM);
      return {
        heel: { deg: shankDeg, m: ankleM },
        toe: { deg: (Math.atan2(toe[0], toe[1]) * 180) / Math.PI, m: Math.hypot(...toe) },
        heelBackM,
      };
    }
    default:
      return foot satisfies never;
  }
}

function legBones(body: Body, [thigh, shank, foot]: LegTurns, way: 1 | -1): LegBones {
  return {
    thigh: { deg: thigh, m: body.lengths.thigh },
    shank: { deg: shank, m: body.lengths.shank },
    ...footBones(body, shank, foot, way),
  };
}

const armBones = ({ lengths }: Body, [upper, fore, hand = fore]: ArmTurns): ArmBones => ({
  upper: { deg: upper, m: lengths.upperArm },
  fore: { deg: fore, m: lengths.forearm },
  hand: { deg: hand, m: lengths.hand },
});

function build(body: Body, pose: BuiltPose): FigureJoints {
  // Toes point to the front: standing to +x; on the back the front is up, seen from the other side.
  const way = pose.isOnBack === true ? -1 : 1;
  const skeleton: Skeleton = {
    trunk: { deg: pose.trunk, m: body.lengths.trunk },
    head: { deg: pose.head, m: body.lengths.shoulderToCrown },
    arm: armBones(body, pose.arm),
    farArm: pose.farArm === undefined ? null : armBones(body, pose.farArm),
    leg: legBones(body, pose.leg, way),
    farLeg: pose.farLeg === undefined ? null : legBones(body, pose.farLeg, way),
  };
  const [x, y] = pose.place;
  return putTogether(skeleton, pose.at, [x * body.heightM, y * body.heightM]);
}

const turnArm = (arm: ArmBones, [upper, fore, hand = fore]: ArmTurns): ArmBones => ({
  upper: { ...arm.upper, deg: arm.upper.deg + upper },
  fore: { ...arm.fore, deg: arm.fore.deg + fore },
  hand: { ...arm.hand, deg: arm.hand.deg + hand },
});

function turnLeg(
  body: Body,
  leg: LegBones,
  [thigh, shank]: readonly [number, number],
  foot: Foot | undefined,
  way: 1 | -1,
  isStanding: boolean,
): LegBones {
  const deg = leg.shank.deg + shank;
  return {
    ...leg,
    thigh: { ...leg.thigh, deg: leg.thigh.deg + thigh },
    shank: { ...leg.shank, deg },
    ...(foot !== undefined
      ? footBones(body, deg, foot, way)
      : isStanding
        ? {}
        : {
            heel: { ...leg.heel, deg: leg.heel.deg + shank },
            toe: { ...leg.toe, deg: leg.toe.deg + shank },
          }),
  };
}

function turn(body: Body, pose: TurnedPose): FigureJoints {
  const { joints, isOnBack } = solvePose(body, pose.from);
  const way = isOnBack ? -1 : 1;
  const by = pose.turn ?? {};
  const base = toSkeleton(joints);
  const [dx, dy] = pose.move ?? [0, 0];
  const farArm = by.farArm && turnArm(base.farArm ?? base.arm, by.farArm);
  const farLeg =
    by.farLeg &&
    turnLeg(
      body,
      base.farLeg ?? base.leg,
      by.farLeg,
      pose.farFoot,
      way,
      pose.held.includes('farAnkle'),
    );
  const skeleton: Skeleton = {
    trunk: { ...base.trunk, deg: base.trunk.deg + (by.trunk ?? 0) },
    head: { ...base.head, deg: base.head.deg + (by.head ?? 0) },
    arm: by.arm === undefined ? base.arm : turnArm(base.arm, by.arm),
    farArm: farArm ?? base.farArm,
    leg:
      by.leg === undefined && pose.foot === undefined
        ? base.leg
        : turnLeg(
            body,
            base.leg,
            by.leg ?? [0, 0],
            pose.foot,
            way,
            // A foot that stays stays as it stands.
            pose.held.includes('ankle'),
          ),
    farLeg: farLeg ?? base.farLeg,
  };
  return hold(skeleton, pose.held, (held) => {
    const [x, y] = placeOf(joints, held);
    return [x + dx * body.heightM, y + dy * body.heightM];
  });
}

export interface SolvedPose {
  readonly joints: FigureJoints;
  readonly isOnBack: boolean;
}

/**
 * A pose at the sizes of a body, metres.
 *
 * @throws UnreachableProblem when this body cannot be in a shape it names
 */
export function solvePose(body: Body, pose: Pose): SolvedPose {
  if ('family' in pose || 'still' in pose) {
    const { joints, isOnBack } = poseShape({ body }, pose, undefined, null);
    return { joints, isOnBack };
  }
  if ('at' in pose) return { joints: build(body, pose), isOnBack: pose.isOnBack === true };
  return { joints: turn(body, pose), isOnBack: solvePose(body, pose.from).isOnBack };
}
