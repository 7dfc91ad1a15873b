import { leastHipDeg } from '../body/girths';
import type { Body } from '../body/body';
import { shareFloor, shareWithWall, type ContactLoad } from '../posture/contacts';
import { dog, dolphin } from '../posture/dogs';
import { shoulderLiftM } from '../posture/free';
import { angleAt, bearing } from '../posture/geometry';
import type { Point } from '../posture/joints';
import { armMoment, centreOfMass } from '../posture/mass';
import type { Pose } from '../posture/pose';
import type { Posture, PostureParameters, ShapeId } from './postures';
import { getShape } from './registry';
import type { LoadFacts } from './shape';

const gravity = 9.81;

/** Joint positions and contacts of a posture. @throws UnreachableProblem when it cannot close */
export function solvePose(body: Body, posture: Posture): Pose {
  // The registry pairs each shape with its own parameters, and so does the union of postures.
  return getShape(posture.family).solve(body, posture as PostureParameters[ShapeId] as never);
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
  readonly beyondRange?: {
    readonly shoulderDeg?: number;
    readonly hamstringDeg?: number;
    /** The fold goes this much further than belly and thighs leave. */
    readonly foldDeg?: number;
  };
  readonly notes: readonly string[];
}

/**
 * Everything the model says about a posture: shares of weight, angles, shoulder moment, balance.
 * Lengths in metres, shares in percent of body weight, angles in degrees.
 *
 * @throws UnreachableProblem when the geometry cannot close
 */
export function computeLoads(body: Body, posture: Posture, ranges: MeasuredRanges = {}): Loads {
  const pose = solvePose(body, posture);
  const facts: LoadFacts<ShapeId> = getShape(posture.family).loads;
  const { joints, base } = pose;
  const mass = centreOfMass(body, joints);
  const contacts = pose.wall
    ? shareWithWall(pose.floor[0]!, pose.wall, mass[0])
    : shareFloor(pose.floor, mass[0]);
  const moment = shoulderMoment(body, pose, contacts);
  const angles = anglesOf(body, pose, facts);
  const beyond = beyondRange(angles, ranges, leastHipDeg(body));
  return {
    pose,
    centreOfMass: mass,
    contacts,
    angles,
    ...(base
      ? { balance: { aheadM: base.ahead - base.over, behindM: base.over - base.behind } }
      : {}),
    ...(facts.neckFlexionDeg === undefined
      ? {}
      : { neckFlexionDeg: facts.neckFlexionDeg(body, posture as never) }),
    ...(facts.hangsHead
      ? {
          headClearanceM: body.lengths.upperArm + shoulderLiftM - body.lengths.shoulderToCrown,
        }
      : {}),
    ...(moment === null ? {} : { shoulderMomentNmPerKg: moment }),
    ...(facts.saysLead ? { shoulderLeadM: joints.shoulder[0] } : {}),
    ...(facts.kickFrom === undefined
      ? {}
      : { kickRiseM: Math.max(0, mass[1] - kickStartY(body, facts.kickFrom)) }),
    ...(beyond ? { beyondRange: beyond } : {}),
    notes: pose.notes,
  };
}

function anglesOf(
  body: Body,
  { joints, wall }: Pose,
  { leansToWall }: LoadFacts<ShapeId>,
): Loads['angles'] {
  const { shoulder, elbow, hip, knee } = joints;
  const angles = {
    shoulderDeg: angleAt(shoulder, elbow, hip),
    hipDeg: angleAt(hip, shoulder, knee),
    trunkDeg: bearing(shoulder, hip),
  };
  if (!leansToWall || wall === undefined) return angles;
  const { trunk, thigh, shank } = body.lengths;
  const upper = trunk + thigh + shank + body.ankleM;
  const baseM = wall.at[0];
  return {
    ...angles,
    leanDeg: bearing([0, 0], joints.heel),
    ...(baseM <= upper
      ? { bendIfUpperArmsUprightDeg: (Math.asin(baseM / upper) * 180) / Math.PI }
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

function beyondRange(
  { shoulderDeg, hipDeg }: Loads['angles'],
  { shoulderDeg: shoulderRange, hamstringDeg }: MeasuredRanges,
  leastHip: number | null,
): Loads['beyondRange'] {
  const shoulder = shoulderRange === undefined ? 0 : shoulderDeg - shoulderRange;
  const hamstring = hamstringDeg === undefined ? 0 : 180 - hipDeg - hamstringDeg;
  const fold = leastHip === null ? 0 : leastHip - hipDeg;
  if (shoulder <= 0 && hamstring <= 0 && fold <= 0) return undefined;
  return {
    ...(shoulder > 0 ? { shoulderDeg: shoulder } : {}),
    ...(hamstring > 0 ? { hamstringDeg: hamstring } : {}),
    ...(fold > 0 ? { foldDeg: fold } : {}),
  };
}
