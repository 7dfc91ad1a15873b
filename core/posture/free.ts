/** Free stands, and the headstand on its way up. Handbook 05 "Conventions". */
import type { Body } from '../body/body';
import type { PostureParameters } from '../shapes/postures';
import { between, findRoot, meet, turned, UnreachableProblem } from './geometry';
import type { FigureJoints, Leg, Point } from './joints';
import { centreOfMass } from './mass';
import {
  armLengthM,
  flatForearm,
  forearmContact,
  handContact,
  headInLine,
  legLengthM,
  legOnBall,
  legPointed,
  pointContact,
  straightArm,
  type Pose,
} from './pose';

/** A forearm stand balances this far ahead of the middle of the forearm (handbook 05). */
const aheadOfMiddleM = 0.03;
/** Shoulder lift in headstand and forearm shapes, metres: relaxed-active (handbook 04). */
export const shoulderLiftM = 0.03;
/** The widest whole-body lean searched for a balance, degrees either way. */
const mostLeanDeg = 60;

/** Leans the figure as one piece until its centre of mass stands over a place. */
function balanced(
  body: Body,
  overX: number,
  figureAt: (leanDeg: number) => FigureJoints,
): FigureJoints {
  const off = (lean: number) => centreOfMass(body, figureAt(lean))[0] - overX;
  const lean = findRoot(off, -mostLeanDeg, mostLeanDeg);
  if (lean === null) {
    throw new UnreachableProblem(
      'the balance',
      Math.abs(off(0)),
      'No lean brings the weight over the base: the arch is too large.',
      ['posture', 'archDeg'],
    );
  }
  return figureAt(lean);
}

/** Arms, trunk and legs with the arch shared by shoulder and hip, legs going over towards +x. */
function arched(body: Body, armM: number, archDeg: number, leanDeg: number) {
  const shoulder = turned([0, 0], leanDeg, armM);
  const trunkDeg = leanDeg + archDeg / 2;
  const hip = turned(shoulder, trunkDeg, body.lengths.trunk);
  return {
    shoulder,
    hip,
    crown: headInLine(body, shoulder, trunkDeg),
    ...legPointed(body, hip, leanDeg + archDeg),
  };
}

export function handstand(body: Body, { archDeg = 0 }: PostureParameters['handstand']): Pose {
  const over = body.lengths.knuckle;
  const joints = balanced(body, over, (lean) => {
    const chain = arched(body, armLengthM(body), archDeg, lean);
    return { ...straightArm(body, chain.shoulder), ...chain };
  });
  return {
    joints,
    floor: [handContact(body)],
    base: { behind: 0, ahead: body.lengths.hand, over },
    carriedBy: 'hands',
    notes: [],
  };
}

export function forearmStand(body: Body, { archDeg = 0 }: PostureParameters['forearmStand']): Pose {
  const over = body.lengths.forearm / 2 + aheadOfMiddleM;
  const joints = balanced(body, over, (lean) => ({
    ...flatForearm(body),
    ...arched(body, body.lengths.upperArm, archDeg, lean),
  }));
  return {
    joints,
    floor: [forearmContact(body)],
    base: { behind: 0, ahead: body.lengths.forearm + body.lengths.hand, over },
    carriedBy: 'forearms',
    notes: [],
  };
}

/**
 * Where the elbows of a headstand are: behind the crown by what the upper arm leaves over.
 *
 * @throws UnreachableProblem when the upper arm is shorter than head and neck less the lift
 */
function elbowBehindCrownM({ lengths }: Body): number {
  const rise = lengths.shoulderToCrown - shoulderLiftM;
  if (lengths.upperArm < rise) {
    throw new UnreachableProblem(
      'the upper arms',
      rise - lengths.upperArm,
      `The upper arms are ${Math.ceil((rise - lengths.upperArm) * 100)} cm too short to reach the floor beside this head and neck: raise the forearms.`,
    );
  }
  return Math.sqrt(lengths.upperArm ** 2 - rise ** 2);
}

/** Head upright on its crown at the origin, forearms round it. */
function onHead(body: Body) {
  const elbowX = -elbowBehindCrownM(body);
  const shoulder: Point = [0, body.lengths.shoulderToCrown];
  return {
    shoulder,
    arms: flatForearm(body, elbowX),
    floor: [pointContact('head', 0), forearmContact(body, elbowX)],
    crown: [0, 0] as Point,
  };
}

export function headstandBase(
  body: Body,
  { headToBallM }: PostureParameters['headstandBase'],
): Pose {
  const { shoulder, arms, floor, crown } = onHead(body);
  const ankle: Point = [-headToBallM, body.ankleOnBallM];
  const hip = meet(
    { from: shoulder, lengthM: body.lengths.trunk, limb: 'the trunk' },
    { from: ankle, lengthM: legLengthM(body), limb: 'the legs' },
    'higher',
  );
  const share = body.lengths.thigh / legLengthM(body);
  return {
    joints: {
      ...arms,
      shoulder,
      crown,
      hip,
      ...legOnBall(between(hip, ankle, share), ankle, body),
    },
    floor: [...floor, pointContact('feet', ankle[0])],
    carriedBy: 'forearms',
    notes: ['Three contacts: how much the head carries is decided by the push of the arms.'],
  };
}

/** Both knees in: thighs folded to the trunk, shanks to the thighs; the hips give back to balance. */
export function headstandTuck(body: Body): Pose {
  const { shoulder, arms, floor, crown } = onHead(body);
  const { trunk, thigh, shank } = body.lengths;
  const middle = (arms.elbow[0] + arms.wrist[0]) / 2;
  const figureAt = (trunkDeg: number): FigureJoints => {
    const hip = turned(shoulder, trunkDeg, trunk);
    // Belly side is towards the feet: knees come down in front, heels to the seat.
    const knee = turned(hip, trunkDeg - 130, thigh);
    const ankle = turned(knee, trunkDeg + 35, shank);
    const leg: Leg = { knee, ankle, heel: ankle, toe: ankle, heelBackM: 0 };
    return { ...arms, shoulder, crown, hip, ...leg };
  };
  return {
    joints: balanced(body, middle / 2, figureAt),
    floor,
    carriedBy: 'forearms',
    notes: [],
  };
}

export function headstand(body: Body, { archDeg = 0 }: PostureParameters['headstand']): Pose {
  const { shoulder, arms, floor, crown } = onHead(body);
  const middle = (arms.elbow[0] + arms.wrist[0]) / 2;
  const figureAt = (leanDeg: number): FigureJoints => {
    const hip = turned(shoulder, leanDeg + archDeg / 2, body.lengths.trunk);
    return { ...arms, shoulder, crown, hip, ...legPointed(body, hip, leanDeg + archDeg) };
  };
  return {
    joints: balanced(body, middle / 2, figureAt),
    floor,
    base: { behind: arms.elbow[0], ahead: arms.wrist[0] + body.lengths.hand, over: middle / 2 },
    carriedBy: 'forearms',
    notes: [],
  };
}
