import type { Body } from '../body/body';
import { shareFloor, shareWithWall, type ContactLoad } from './contacts';
import { crow, liftedTuck } from './crow';
import { dog, dolphin, kneePlank, plank, raisedDog, shortDog } from './dogs';
import type { FamilyId, Posture, PostureParameters } from './families';
import {
  forearmStand,
  handstand,
  headstand,
  headstandBase,
  headstandTuck,
  shoulderLiftM,
} from './free';
import { angleAt, bearing } from './geometry';
import type { FigureJoints, Point } from './joints';
import { armMoment, centreOfMass } from './mass';
import type { Pose } from './pose';
import { neckFlexionDeg, plough, shoulderStand } from './supine';
import { forearmStandWall, forearmWallL, handstandWall, wallL } from './walls';

const gravity = 9.81;

type Solver<Family extends FamilyId> = (body: Body, parameters: PostureParameters[Family]) => Pose;

const solvers: { readonly [Family in FamilyId]: Solver<Family> } = {
  plank,
  kneePlank,
  dog,
  shortDog,
  raisedDog,
  dolphin,
  wallL,
  forearmWallL,
  handstandWall,
  forearmStandWall,
  handstand,
  forearmStand,
  headstand,
  headstandBase,
  headstandTuck,
  crow,
  liftedTuck,
  shoulderStand,
  plough,
};

export const familyIds = Object.keys(solvers) as [FamilyId, ...FamilyId[]];

/** Joint positions and contacts of a posture. @throws UnreachableProblem when it cannot close */
export function solvePose(body: Body, posture: Posture): Pose {
  // One entry per family: the compiler checks the table, the cast only picks the row.
  return (solvers[posture.family] as Solver<FamilyId>)(body, posture);
}

/** Ranges somebody measured on this person, degrees; optional. */
export interface MeasuredRanges {
  readonly shoulderDeg?: number;
  /** Straight-leg raise. */
  readonly hamstringDeg?: number;
}

export interface Loads {
  readonly pose: Pose;
  readonly centreOfMass: Point;
  readonly contacts: readonly ContactLoad[];
  readonly angles: {
    readonly shoulderDeg: number;
    readonly hipDeg: number;
    readonly trunkDeg: number;
    readonly leanDeg?: number;
    readonly bendIfUpperArmsUprightDeg?: number;
  };
  readonly balance?: { readonly aheadM: number; readonly behindM: number };
  readonly neckFlexionDeg?: number;
  readonly headClearanceM?: number;
  /** Size of the moment about the shoulder, both arms together, per kilogram of body mass. */
  readonly shoulderMomentNmPerKg?: number;
  readonly shoulderLeadM?: number;
  readonly kickRiseM?: number;
  readonly beyondRange?: { readonly shoulderDeg?: number; readonly hamstringDeg?: number };
  readonly notes: readonly string[];
}

const forearmFamilies: readonly FamilyId[] = [
  'dolphin',
  'forearmWallL',
  'forearmStandWall',
  'forearmStand',
];

/**
 * Everything the model says about a posture: shares of weight, angles, shoulder moment, balance.
 * Lengths in metres, shares in percent of body weight, angles in degrees.
 *
 * @throws UnreachableProblem when the geometry cannot close
 */
export function computeLoads(body: Body, posture: Posture, ranges: MeasuredRanges = {}): Loads {
  const pose = solvePose(body, posture);
  const { joints, base } = pose;
  const mass = centreOfMass(body, joints);
  const contacts = pose.wall
    ? shareWithWall(pose.floor[0], pose.wall, mass[0])
    : shareFloor(pose.floor, mass[0]);
  const moment = shoulderMoment(body, pose, contacts);
  const angles = anglesOf(body, posture, joints);
  const beyond = beyondRange(angles, ranges);
  return {
    pose,
    centreOfMass: mass,
    contacts,
    angles,
    ...(base
      ? { balance: { aheadM: base.ahead - base.over, behindM: base.over - base.behind } }
      : {}),
    ...(posture.family === 'shoulderStand'
      ? { neckFlexionDeg: neckFlexionDeg(body, posture.trunkDeg, posture.platformM) }
      : {}),
    ...(forearmFamilies.includes(posture.family)
      ? {
          headClearanceM: body.lengths.upperArm + shoulderLiftM - body.lengths.shoulderToCrown,
        }
      : {}),
    ...(moment === null ? {} : { shoulderMomentNmPerKg: moment }),
    ...(posture.family === 'crow' ? { shoulderLeadM: joints.shoulder[0] } : {}),
    ...kickRise(body, posture, mass[1]),
    ...(beyond ? { beyondRange: beyond } : {}),
    notes: pose.notes,
  };
}

function anglesOf(body: Body, posture: Posture, joints: FigureJoints): Loads['angles'] {
  const { shoulder, elbow, hip, knee } = joints;
  const angles = {
    shoulderDeg: angleAt(shoulder, elbow, hip),
    hipDeg: angleAt(hip, shoulder, knee),
    trunkDeg: bearing(shoulder, hip),
  };
  if (posture.family !== 'handstandWall' && posture.family !== 'forearmStandWall') return angles;
  const { trunk, thigh, shank } = body.lengths;
  const upper = trunk + thigh + shank + body.ankleM;
  const lean = bearing([0, 0], joints.heel);
  return {
    ...angles,
    leanDeg: lean,
    ...(posture.baseM <= upper
      ? { bendIfUpperArmsUprightDeg: (Math.asin(posture.baseM / upper) * 180) / Math.PI }
      : {}),
  };
}

/** Moment of floor reaction and arm weight about the shoulder, size only; per kg of body mass. */
function shoulderMoment(
  body: Body,
  { joints, floor, wall, carriedBy }: Pose,
  contacts: readonly ContactLoad[],
): number | null {
  if (carriedBy === 'none') return null;
  const contact = floor.find(({ name }) => name === carriedBy)!;
  const load = contacts.find(({ name }) => name === carriedBy)!;
  const [shoulderX, shoulderY] = joints.shoulder;
  const up = load.verticalPercent.nominal / 100;
  const push = contacts.find(({ name }) => name === 'wallFeet')?.wallPercent?.nominal ?? 0;
  // The floor holds the hands against what the wall pushes the feet.
  const level = wall ? (push / 100) * wall.side : 0;
  let moment = up * (contact.nominal - shoulderX) + level * shoulderY;
  moment -= armMoment(body, joints, shoulderX);
  return Math.abs(moment) * gravity;
}

/** Shoulders over the base, standing foot walked in to this share of height: where kicks begin. */
const kickStanceShare = 0.45;

type Carrier = 'hands' | 'forearms';

/** The start of a kick depends on the body alone, and a drag asks for it with every step. */
const kickStarts = { hands: new WeakMap<Body, number>(), forearms: new WeakMap<Body, number>() };

/** Height of the centre of mass at the last foot contact: one leg lifted, shoulders over the base. */
function kickStartY(body: Body, carrier: Carrier): number {
  const known = kickStarts[carrier].get(body);
  if (known !== undefined) return known;
  const stanceM = kickStanceShare * body.heightM;
  const { joints } =
    carrier === 'hands'
      ? dog(body, { stanceM, shoulderLeadM: 0, oneLeg: true })
      : dolphin(body, { elbowToBallM: stanceM, shoulderLeadM: 0, oneLeg: true });
  const [, y] = centreOfMass(body, joints);
  kickStarts[carrier].set(body, y);
  return y;
}

const kicks: Readonly<Partial<Record<FamilyId, Carrier>>> = {
  handstandWall: 'hands',
  handstand: 'hands',
  forearmStandWall: 'forearms',
  forearmStand: 'forearms',
};

/** How far the centre of mass rises from the last foot contact to the top. */
function kickRise(body: Body, { family }: Posture, topY: number): { kickRiseM?: number } {
  const carrier = kicks[family];
  return carrier ? { kickRiseM: Math.max(0, topY - kickStartY(body, carrier)) } : {};
}

function beyondRange(
  { shoulderDeg, hipDeg }: Loads['angles'],
  { shoulderDeg: shoulderRange, hamstringDeg }: MeasuredRanges,
): Loads['beyondRange'] {
  const shoulder = shoulderRange === undefined ? 0 : shoulderDeg - shoulderRange;
  const hamstring = hamstringDeg === undefined ? 0 : 180 - hipDeg - hamstringDeg;
  if (shoulder <= 0 && hamstring <= 0) return undefined;
  return {
    ...(shoulder > 0 ? { shoulderDeg: shoulder } : {}),
    ...(hamstring > 0 ? { hamstringDeg: hamstring } : {}),
  };
}
