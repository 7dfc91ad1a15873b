/** Shapes on the shoulders. Origin at the shoulder line, y up from the floor. Handbook 04, 05. */
import type { Body } from '../body/body';
import type { PostureParameters } from '../shapes/postures';
import { between, degrees, turned, UnreachableProblem } from './geometry';
import type { Point } from './joints';
import { legLengthM, legOnBall, legPointed, pointContact, type Pose } from './pose';

/** The neck bends over this much of height besides skull base to C7 (handbook 04). */
const headShare = 0.06;

/** From the prominent neck bone to where the back of the head lies. */
export const neckLeverM = ({ lengths, heightM }: Body) => lengths.skullToC7 + headShare * heightM;

/**
 * Neck flexion over a platform.
 *
 * @param trunkDeg from the floor, 90 upright
 * @throws UnreachableProblem when the platform is higher than the neck lever
 */
export function neckFlexionDeg(body: Body, trunkDeg: number, platformM: number): number {
  const lever = neckLeverM(body);
  if (platformM > lever) {
    throw new UnreachableProblem(
      'the neck',
      platformM - lever,
      `The platform is ${Math.ceil((platformM - lever) * 100)} cm too high: the head would not reach the floor.`,
      ['posture', 'platformM'],
    );
  }
  return trunkDeg - degrees(Math.asin(platformM / lever));
}

/** Shoulders on the platform, head lower towards +x, elbows behind towards -x. */
function onShoulders(body: Body, platformM: number) {
  const { upperArm, shoulderToCrown } = body.lengths;
  const drop = Math.min(platformM, shoulderToCrown);
  const headX = Math.sqrt(shoulderToCrown ** 2 - drop ** 2);
  return {
    shoulder: [0, platformM] as Point,
    elbow: [-upperArm, platformM] as Point,
    crown: [headX, platformM - drop] as Point,
    floor: [
      pointContact('shoulders', 0),
      pointContact('forearms', -upperArm),
      pointContact('head', headX * (body.earM / shoulderToCrown)),
    ],
  };
}

export function shoulderStand(
  body: Body,
  { trunkDeg, platformM }: PostureParameters['shoulderStand'],
): Pose {
  neckFlexionDeg(body, trunkDeg, platformM);
  const { shoulder, elbow, crown, floor } = onShoulders(body, platformM);
  const hip = turned(shoulder, trunkDeg - 90, body.lengths.trunk);
  // Forearms up to the back: hands support the ribs.
  const back = between(shoulder, hip, 0.55);
  const wristDeg = degrees(Math.atan2(back[0] - elbow[0], back[1] - elbow[1]));
  const wrist = turned(elbow, wristDeg, body.lengths.forearm);
  return {
    joints: {
      shoulder,
      elbow,
      crown,
      hip,
      wrist,
      fingertip: turned(wrist, wristDeg, body.lengths.hand),
      ...legPointed(body, hip, 0),
    },
    floor,
    carriedBy: 'none',
    notes: ['Three contacts: elbows and shoulders share the load, the head may carry none.'],
  };
}

export function plough(body: Body, { platformM, toeSupportM }: PostureParameters['plough']): Pose {
  neckFlexionDeg(body, 90, platformM);
  const { shoulder, elbow, crown, floor } = onShoulders(body, platformM);
  const legM = legLengthM(body);
  const ankleY = toeSupportM + body.ankleOnBallM;
  // Upright trunk, unless the toes would hang above or below what straight legs can reach.
  const wanted = platformM + body.lengths.trunk;
  const hipY = Math.min(wanted, ankleY + legM);
  const rise = (hipY - platformM) / body.lengths.trunk;
  if (hipY < ankleY - legM || rise < 0) {
    throw new UnreachableProblem(
      'the legs',
      ankleY - legM - wanted,
      'The rest for the toes is too high for straight legs.',
      ['posture', 'toeSupportM'],
    );
  }
  const hip: Point = [body.lengths.trunk * Math.sqrt(Math.max(0, 1 - rise * rise)), hipY];
  const ankle: Point = [hip[0] + Math.sqrt(legM ** 2 - (hipY - ankleY) ** 2), ankleY];
  const knee = between(hip, ankle, body.lengths.thigh / legM);
  const wrist: Point = [elbow[0] - body.lengths.forearm, platformM];
  return {
    joints: {
      shoulder,
      elbow,
      crown,
      hip,
      wrist,
      fingertip: [wrist[0] - body.lengths.hand, platformM],
      ...legOnBall(knee, ankle, body),
    },
    // Arms rest on the floor or the platform and carry nothing: shoulders, head and toes share.
    floor: [floor[0]!, floor[2]!, pointContact('feet', ankle[0])],
    carriedBy: 'none',
    notes: [],
  };
}
