/**
 * A figure as directions of its bones, and a figure put together again from them: what moves turns,
 * and nothing changes its length. Directions are degrees from the upright, towards +x.
 */
import { bearing, distanceOf, turned } from '../posture/geometry';
import type { Arm, FigureJoints, Leg, Point } from '../posture/joints';

/** A bone: which way it points, and how long it is, metres. */
export interface Bone {
  readonly deg: number;
  readonly m: number;
}

export interface ArmBones {
  readonly upper: Bone;
  readonly fore: Bone;
  readonly hand: Bone;
}

export interface LegBones {
  readonly thigh: Bone;
  readonly shank: Bone;
  /** From the ankle to where the sole meets its line, and to the toe. */
  readonly heel: Bone;
  readonly toe: Bone;
  readonly heelBackM: number;
}

export interface Skeleton {
  /** From hip to shoulder. */
  readonly trunk: Bone;
  /** From shoulder to crown. */
  readonly head: Bone;
  readonly arm: ArmBones;
  readonly farArm: ArmBones | null;
  readonly leg: LegBones;
  readonly farLeg: LegBones | null;
}

const boneOf = (from: Point, to: Point): Bone => ({
  deg: bearing(from, to),
  m: distanceOf(from, to),
});

const armOf = (shoulder: Point, { elbow, wrist, fingertip }: Arm): ArmBones => ({
  upper: boneOf(shoulder, elbow),
  fore: boneOf(elbow, wrist),
  hand: boneOf(wrist, fingertip),
});

const legOf = (hip: Point, { knee, ankle, heel, toe, heelBackM }: Leg): LegBones => ({
  thigh: boneOf(hip, knee),
  shank: boneOf(knee, ankle),
  heel: boneOf(ankle, heel),
  toe: boneOf(ankle, toe),
  heelBackM,
});

/** The bones of a figure. */
export const toSkeleton = (joints: FigureJoints): Skeleton => ({
  trunk: boneOf(joints.hip, joints.shoulder),
  head: boneOf(joints.shoulder, joints.crown),
  arm: armOf(joints.shoulder, joints),
  farArm: joints.otherArm === undefined ? null : armOf(joints.shoulder, joints.otherArm),
  leg: legOf(joints.hip, joints),
  farLeg: joints.otherLeg === undefined ? null : legOf(joints.hip, joints.otherLeg),
});

const go = (from: Point, { deg, m }: Bone) => turned(from, deg, m);
const back = (from: Point, { deg, m }: Bone) => turned(from, deg + 180, m);

export function putArm(shoulder: Point, { upper, fore, hand }: ArmBones): Arm {
  const elbow = go(shoulder, upper);
  const wrist = go(elbow, fore);
  return { elbow, wrist, fingertip: go(wrist, hand) };
}

export function putLeg(hip: Point, { thigh, shank, heel, toe, heelBackM }: LegBones): Leg {
  const knee = go(hip, thigh);
  const ankle = go(knee, shank);
  return { knee, ankle, heel: go(ankle, heel), toe: go(ankle, toe), heelBackM };
}

/** Where a figure may be held: what does not move while it does. */
export type Anchor =
  'fingertip' | 'wrist' | 'elbow' | 'shoulder' | 'crown' | 'hip' | 'knee' | 'ankle';

function hipFrom(skeleton: Skeleton, anchor: Anchor, at: Point): Point {
  const { trunk, head, arm, leg } = skeleton;
  const fromShoulder = (shoulder: Point) => back(shoulder, trunk);
  const fromElbow = (elbow: Point) => fromShoulder(back(elbow, arm.upper));
  switch (anchor) {
    case 'fingertip':
      return fromElbow(back(back(at, arm.hand), arm.fore));
    case 'wrist':
      return fromElbow(back(at, arm.fore));
    case 'elbow':
      return fromElbow(at);
    case 'shoulder':
      return fromShoulder(at);
    case 'crown':
      return fromShoulder(back(at, head));
    case 'hip':
      return at;
    case 'knee':
      return back(at, leg.thigh);
    case 'ankle':
      return back(back(at, leg.shank), leg.thigh);
    default:
      return anchor satisfies never;
  }
}

/** Head and limbs on a trunk that lies where it lies. */
export function putOnTrunk(skeleton: Skeleton, hip: Point, shoulder: Point): FigureJoints {
  const { head, arm, farArm, leg, farLeg } = skeleton;
  return {
    hip,
    shoulder,
    crown: go(shoulder, head),
    ...putArm(shoulder, arm),
    ...putLeg(hip, leg),
    ...(farArm === null ? {} : { otherArm: putArm(shoulder, farArm) }),
    ...(farLeg === null ? {} : { otherLeg: putLeg(hip, farLeg) }),
  };
}

/** The figure with one of its places where it is told. */
export function putTogether(skeleton: Skeleton, anchor: Anchor, at: Point): FigureJoints {
  const hip = hipFrom(skeleton, anchor, at);
  return putOnTrunk(skeleton, hip, go(hip, skeleton.trunk));
}

/** The short way round from one direction to another. */
const turnOf = (from: number, to: number) => {
  const turn = (((to - from) % 360) + 360) % 360;
  return turn > 180 ? turn - 360 : turn;
};

function bone(a: Bone, b: Bone, share: number): Bone {
  // What has no length has no direction of its own.
  const from = a.m < 1e-9 ? b.deg : a.deg;
  const to = b.m < 1e-9 ? a.deg : b.deg;
  return { deg: from + turnOf(from, to) * share, m: a.m + (b.m - a.m) * share };
}

const armBetween = (a: ArmBones, b: ArmBones, share: number): ArmBones => ({
  upper: bone(a.upper, b.upper, share),
  fore: bone(a.fore, b.fore, share),
  hand: bone(a.hand, b.hand, share),
});

const legBetween = (a: LegBones, b: LegBones, share: number): LegBones => ({
  thigh: bone(a.thigh, b.thigh, share),
  shank: bone(a.shank, b.shank, share),
  heel: bone(a.heel, b.heel, share),
  toe: bone(a.toe, b.toe, share),
  heelBackM: a.heelBackM + (b.heelBackM - a.heelBackM) * share,
});

/** Bones part of the way from one figure to another; a limb that only one shows goes with its fellow. */
export const skeletonBetween = (a: Skeleton, b: Skeleton, share: number): Skeleton => ({
  trunk: bone(a.trunk, b.trunk, share),
  head: bone(a.head, b.head, share),
  arm: armBetween(a.arm, b.arm, share),
  farArm:
    a.farArm === null && b.farArm === null
      ? null
      : armBetween(a.farArm ?? a.arm, b.farArm ?? b.arm, share),
  leg: legBetween(a.leg, b.leg, share),
  farLeg:
    a.farLeg === null && b.farLeg === null
      ? null
      : legBetween(a.farLeg ?? a.leg, b.farLeg ?? b.leg, share),
});
