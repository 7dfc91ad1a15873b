/** Frames between two figures in which what is held stays where it is. */
import { bearing, between, distanceOf, turned } from '../posture/geometry';
import type { FigureJoints, Point } from '../posture/joints';
import {
  putArm,
  putLeg,
  putOnTrunk,
  putTogether,
  skeletonBetween,
  toSkeleton,
  type Anchor,
  type ArmBones,
  type LegBones,
  type Skeleton,
} from './skeleton';

/** What stays where it is besides the anchor. */
export type Held = Anchor | 'farKnee' | 'farAnkle';

/** A limb is never quite straight, so that it can always be bent on. */
const straight = 0.99999;

/** Where two circles meet, on the side of a place; the nearest place between them if they do not. */
function meetNear(a: Point, ra: number, b: Point, rb: number, near: Point): Point {
  const apart = Math.max(1e-9, distanceOf(a, b));
  const along = Math.min(ra, Math.max(-ra, (ra * ra - rb * rb + apart * apart) / (2 * apart)));
  const aside = Math.sqrt(Math.max(0, ra * ra - along * along));
  const [ux, uy] = [(b[0] - a[0]) / apart, (b[1] - a[1]) / apart];
  const foot: Point = [a[0] + ux * along, a[1] + uy * along];
  const one: Point = [foot[0] - uy * aside, foot[1] + ux * aside];
  const two: Point = [foot[0] + uy * aside, foot[1] - ux * aside];
  return distanceOf(one, near) <= distanceOf(two, near) ? one : two;
}

/** A place within reach of both of two others. */
function withinReach(at: Point, from: Point, fromM: number, to: Point, toM: number): Point {
  return distanceOf(at, to) <= toM ? at : meetNear(from, fromM, to, toM, at);
}

/** A leg bent until its ankle is there, its knee on the side it is. */
export function legTo(hip: Point, bones: LegBones, ankle: Point): LegBones {
  const knee = meetNear(hip, bones.thigh.m, ankle, bones.shank.m, putLeg(hip, bones).knee);
  return {
    ...bones,
    thigh: { ...bones.thigh, deg: bearing(hip, knee) },
    shank: { ...bones.shank, deg: bearing(knee, ankle) },
  };
}

function armTo(shoulder: Point, bones: ArmBones, wrist: Point): ArmBones {
  const elbow = meetNear(
    shoulder,
    bones.upper.m,
    wrist,
    bones.fore.m,
    putArm(shoulder, bones).elbow,
  );
  return {
    ...bones,
    upper: { ...bones.upper, deg: bearing(shoulder, elbow) },
    fore: { ...bones.fore, deg: bearing(elbow, wrist) },
  };
}

const placeOf = (joints: FigureJoints, held: Held): Point => {
  switch (held) {
    case 'farKnee':
      return (joints.otherLeg ?? joints).knee;
    case 'farAnkle':
      return (joints.otherLeg ?? joints).ankle;
    case 'fingertip':
    case 'wrist':
    case 'elbow':
    case 'shoulder':
    case 'crown':
    case 'hip':
    case 'knee':
    case 'ankle':
      return joints[held];
    default:
      return held satisfies never;
  }
};

const limbM = (a: { readonly m: number }, b: { readonly m: number }) => (a.m + b.m) * straight;

/** The hip may have to give way for a knee or a foot that stays. */
function hipFor(skeleton: Skeleton, held: Held, at: Point, shoulder: Point, hip: Point): Point {
  const leg = held === 'farKnee' || held === 'farAnkle' ? skeleton.farLeg : skeleton.leg;
  if (leg === null) return hip;
  switch (held) {
    case 'knee':
    case 'farKnee':
      return meetNear(shoulder, skeleton.trunk.m, at, leg.thigh.m, hip);
    case 'ankle':
    case 'farAnkle':
      return withinReach(hip, shoulder, skeleton.trunk.m, at, limbM(leg.thigh, leg.shank));
    case 'fingertip':
    case 'wrist':
    case 'elbow':
    case 'shoulder':
    case 'crown':
    case 'hip':
      return hip;
    default:
      return held satisfies never;
  }
}

/** And the shoulder for a hand or an elbow, where the figure is held from below. */
function shoulderFor(
  skeleton: Skeleton,
  held: Held,
  at: Point,
  hip: Point,
  shoulder: Point,
): Point {
  const { arm, trunk, head } = skeleton;
  switch (held) {
    case 'wrist':
    case 'fingertip':
      return withinReach(shoulder, hip, trunk.m, at, limbM(arm.upper, arm.fore));
    case 'elbow':
      return meetNear(hip, trunk.m, at, arm.upper.m, shoulder);
    case 'crown':
      return withinReach(shoulder, hip, trunk.m, at, head.m);
    case 'shoulder':
    case 'hip':
    case 'knee':
    case 'ankle':
    case 'farKnee':
    case 'farAnkle':
      return shoulder;
    default:
      return held satisfies never;
  }
}

const isAbove = new Set<Held>(['fingertip', 'wrist', 'elbow', 'shoulder', 'crown']);

/** Limbs that are held reach for where they are held; the trunk lies already. */
function reach(skeleton: Skeleton, held: Held, at: Point, hip: Point, shoulder: Point): Skeleton {
  const { arm, leg, farLeg, head } = skeleton;
  switch (held) {
    case 'wrist':
      return { ...skeleton, arm: armTo(shoulder, arm, at) };
    case 'fingertip':
      return {
        ...skeleton,
        arm: armTo(shoulder, arm, turned(at, arm.hand.deg + 180, arm.hand.m)),
      };
    case 'elbow':
      return { ...skeleton, arm: { ...arm, upper: { ...arm.upper, deg: bearing(shoulder, at) } } };
    case 'crown':
      return { ...skeleton, head: { ...head, deg: bearing(shoulder, at) } };
    case 'knee':
      return { ...skeleton, leg: { ...leg, thigh: { ...leg.thigh, deg: bearing(hip, at) } } };
    case 'ankle':
      return { ...skeleton, leg: legTo(hip, leg, at) };
    case 'farKnee':
      return farLeg === null
        ? skeleton
        : {
            ...skeleton,
            farLeg: { ...farLeg, thigh: { ...farLeg.thigh, deg: bearing(hip, at) } },
          };
    case 'farAnkle':
      return farLeg === null ? skeleton : { ...skeleton, farLeg: legTo(hip, farLeg, at) };
    case 'shoulder':
    case 'hip':
      return skeleton;
    default:
      return held satisfies never;
  }
}

const lowestEnd = ({ wrist, fingertip, ankle, heel, toe, otherLeg }: FigureJoints) =>
  Math.min(
    ...[
      wrist,
      fingertip,
      ankle,
      heel,
      toe,
      ...(otherLeg ? [otherLeg.ankle, otherLeg.heel, otherLeg.toe] : []),
    ].map(([, y]) => y),
  );

/** A leg whose foot would go through the floor bends so far that it does not. */
function offFloor(hip: Point, bones: LegBones, floorY: number): LegBones {
  const { ankle, heel, toe } = putLeg(hip, bones);
  const short = floorY - Math.min(ankle[1], heel[1], toe[1]);
  return short <= 0 ? bones : legTo(hip, bones, [ankle[0], ankle[1] + short]);
}

/** And an arm, whose hand would. */
function handOffFloor(shoulder: Point, bones: ArmBones, floorY: number): ArmBones {
  const { wrist, fingertip } = putArm(shoulder, bones);
  const short = floorY - Math.min(wrist[1], fingertip[1]);
  return short <= 0 ? bones : armTo(shoulder, bones, [wrist[0], wrist[1] + short]);
}

/** Feet and hands that are free stay above the floor. */
function lifted(
  skeleton: Skeleton,
  held: readonly Held[],
  hip: Point,
  shoulder: Point,
  floorY: number,
): Skeleton {
  const { arm, farArm, leg, farLeg } = skeleton;
  const isHandFree = !held.some((one) => one === 'wrist' || one === 'fingertip' || one === 'elbow');
  const isFree = (foot: Held, knee: Held) => !held.includes(foot) && !held.includes(knee);
  return {
    ...skeleton,
    arm: isHandFree ? handOffFloor(shoulder, arm, floorY) : arm,
    farArm: farArm === null ? null : handOffFloor(shoulder, farArm, floorY),
    leg: isFree('ankle', 'knee') ? offFloor(hip, leg, floorY) : leg,
    farLeg:
      farLeg !== null && isFree('farAnkle', 'farKnee') ? offFloor(hip, farLeg, floorY) : farLeg,
  };
}

/**
 * A skeleton with everything held at its place: the first by building from it, the rest by bending
 * limbs, and where a limb is too short by letting hip or shoulder give way.
 */
export function hold(
  skeleton: Skeleton,
  [anchor, ...others]: readonly [Anchor, ...Held[]],
  at: (held: Held) => Point,
  floorY = -Infinity,
): FigureJoints {
  const first = putTogether(skeleton, anchor, at(anchor));
  let { hip, shoulder } = first;
  const isFromAbove = isAbove.has(anchor);
  for (const held of others) {
    if (isFromAbove && !isAbove.has(held)) hip = hipFor(skeleton, held, at(held), shoulder, hip);
    if (!isFromAbove && isAbove.has(held)) {
      shoulder = shoulderFor(skeleton, held, at(held), hip, shoulder);
    }
  }
  const bent = others.reduce((so, held) => reach(so, held, at(held), hip, shoulder), skeleton);
  return putOnTrunk(lifted(bent, [anchor, ...others], hip, shoulder, floorY), hip, shoulder);
}

/**
 * The figure part of the way from one to another. Bones turn, and keep their lengths; what is held
 * goes straight from its place in the one to its place in the other, which mostly is the same.
 *
 * @param share 0 to 1
 */
export function figureBetween(
  a: FigureJoints,
  b: FigureJoints,
  share: number,
  held: readonly [Anchor, ...Held[]],
): FigureJoints {
  const skeleton = skeletonBetween(toSkeleton(a), toSkeleton(b), share);
  const floorY = Math.min(0, lowestEnd(a), lowestEnd(b));
  return hold(skeleton, held, (one) => between(placeOf(a, one), placeOf(b, one), share), floorY);
}

export { placeOf };
