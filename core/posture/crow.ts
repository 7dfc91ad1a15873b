/** Arm balances with the knees on or between the arms. Handbook 05 "Conventions". */
import type { Body } from '../body/body';
import type { PostureParameters } from '../shapes/postures';
import { bearing, between, findRoot, meet, turned, UnreachableProblem } from './geometry';
import type { FigureJoints, Point } from './joints';
import { centreOfMass } from './mass';
import { armLengthM, handContact, straightArm, type Pose } from './pose';

/** The forearm may lean this far either way from the upright, degrees. */
const forearmRange = { low: -60, high: 75 } as const;

/**
 * Crow: elbows bent, knees on the upper arms, thighs and shanks folded, head level; leaned until the
 * centre of mass stands over the knuckle line.
 */
export function crow(body: Body, parameters: PostureParameters['crow']): Pose {
  const { elbowDeg, kneeOnArm } = parameters;
  const { knuckle, forearm, upperArm, thigh, trunk, shank, hand, shoulderToCrown } = body.lengths;
  // Trunk and thigh close over the arm only where the knee keeps their difference from the shoulder.
  const highest = upperArm - Math.abs(trunk - thigh);
  const figureAt = (leanDeg: number): FigureJoints => {
    const elbow = turned([0, 0], leanDeg, forearm);
    const armDeg = leanDeg + (180 - elbowDeg);
    const shoulder = turned(elbow, armDeg, upperArm);
    const knee = turned(elbow, armDeg, kneeOnArm * highest);
    const hip = meet(
      { from: shoulder, lengthM: trunk, limb: 'the trunk' },
      { from: knee, lengthM: thigh, limb: 'the thighs' },
      'higher',
    );
    // Folded fully: the shank lies along the thigh, back to the hip.
    const ankle = turned(knee, bearing(knee, hip), shank);
    return {
      wrist: [0, 0],
      fingertip: [hand, 0],
      elbow,
      shoulder,
      hip,
      knee,
      ankle,
      heel: ankle,
      toe: ankle,
      heelBackM: 0,
      crown: [shoulder[0] + shoulderToCrown, shoulder[1]],
    };
  };
  const off = (lean: number) => centreOfMass(body, figureAt(lean))[0] - knuckle;
  const lean = findRoot(off, forearmRange.low, forearmRange.high);
  if (lean === null) {
    throw new UnreachableProblem(
      'the balance',
      Math.abs(off(0)),
      'No lean brings the weight over the knuckles with this elbow and knee.',
    );
  }
  return {
    joints: figureAt(lean),
    floor: [handContact(body)],
    base: { behind: 0, ahead: hand, over: knuckle },
    carriedBy: 'hands',
    notes: parameters.footBlockM
      ? ['The block under the feet shortens the way up; once they are off it carries nothing.']
      : [],
  };
}

/** Lifted tuck on blocks: straight arms, back rounded over folded legs, seat and heels in the air. */
export function liftedTuck(body: Body, { blockM }: PostureParameters['liftedTuck']): Pose {
  const { knuckle, trunk, thigh, shank, hand, shoulderToCrown, hipToSeat } = body.lengths;
  const lift = blockM + armLengthM(body) - trunk - hipToSeat;
  if (lift < 0) {
    throw new UnreachableProblem(
      'the arms',
      -lift,
      `The seat stays on the floor: the blocks would have to be ${Math.ceil(-lift * 100)} cm higher.`,
      ['posture', 'blockM'],
    );
  }
  const figureAt = (leanDeg: number): FigureJoints => {
    const shoulder = turned([0, blockM], leanDeg, armLengthM(body));
    const hip = turned(shoulder, 180 + leanDeg / 2 + 4, trunk);
    const knee = turned(hip, 62, thigh);
    const ankle = turned(knee, -118, shank);
    const arm = straightArm(body, [shoulder[0], shoulder[1] - blockM]);
    const raise = ([x, y]: Point): Point => [x, y + blockM];
    return {
      wrist: raise(arm.wrist),
      fingertip: [hand, blockM],
      elbow: raise(arm.elbow),
      shoulder,
      hip,
      knee,
      ankle,
      heel: ankle,
      toe: between(ankle, hip, 0.1),
      heelBackM: 0,
      crown: turned(shoulder, 35, shoulderToCrown),
    };
  };
  const off = (lean: number) => centreOfMass(body, figureAt(lean))[0] - knuckle;
  const lean = findRoot(off, -45, 45) ?? 0;
  return {
    joints: figureAt(lean),
    floor: [handContact(body)],
    base: { behind: 0, ahead: hand, over: knuckle },
    carriedBy: 'hands',
    notes: [],
  };
}
