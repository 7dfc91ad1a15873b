/** Shapes between hands or forearms and the feet on something level. Handbook 05, 11. */
import type { Body } from '../body/body';
import type { PostureParameters } from '../shapes/postures';
import { ahead, bearing, meet, radians, turned } from './geometry';
import { shifted, type FigureJoints, type Leg, type Point } from './joints';
import {
  armLengthM,
  flatForearm,
  forearmContact,
  handContact,
  headInLine,
  legFlat,
  legLengthM,
  legOnBall,
  legPointed,
  pointContact,
  straightArm,
  type Pose,
} from './pose';

/** A straight leg between a hip and an ankle: where its knee is. */
const kneeOn = ({ lengths }: Body, hip: Point, ankle: Point): Point => {
  const share = lengths.thigh / (lengths.thigh + lengths.shank);
  return [hip[0] + (ankle[0] - hip[0]) * share, hip[1] + (ankle[1] - hip[1]) * share];
};

/** Push-up position: arms upright, one line from shoulder to ankle. */
export function plank(body: Body): Pose {
  const armM = armLengthM(body);
  const shoulder: Point = [0, armM];
  const lineM = body.lengths.trunk + legLengthM(body);
  const drop = armM - body.ankleOnBallM;
  const run = Math.sqrt(lineM ** 2 - drop ** 2);
  const deg = bearing(shoulder, [-run, body.ankleOnBallM]);
  const hip = turned(shoulder, deg, body.lengths.trunk);
  const knee = turned(hip, deg, body.lengths.thigh);
  const ankle = turned(knee, deg, body.lengths.shank);
  return {
    joints: {
      ...straightArm(body, shoulder),
      shoulder,
      hip,
      crown: headInLine(body, shoulder, deg),
      ...legOnBall(knee, ankle, body),
    },
    floor: [handContact(body), pointContact('feet', ankle[0])],
    carriedBy: 'hands',
    notes: [],
  };
}

/** The same on the knees: one line from shoulder to knee, shanks along the floor. */
export function kneePlank(body: Body): Pose {
  const armM = armLengthM(body);
  const shoulder: Point = [0, armM];
  const lineM = body.lengths.trunk + body.lengths.thigh;
  const run = Math.sqrt(lineM ** 2 - armM ** 2);
  const deg = bearing(shoulder, [-run, 0]);
  const hip = turned(shoulder, deg, body.lengths.trunk);
  const knee = turned(hip, deg, body.lengths.thigh);
  // Toes on the floor behind: the shanks' own weight stays there, so they lie level.
  const ankle: Point = [knee[0] - body.lengths.shank, 0];
  return {
    joints: {
      ...straightArm(body, shoulder),
      shoulder,
      hip,
      crown: headInLine(body, shoulder, deg),
      knee,
      ankle,
      heel: ankle,
      toe: ankle,
      heelBackM: 0,
    },
    floor: [handContact(body), pointContact('knees', knee[0])],
    carriedBy: 'hands',
    notes: [],
  };
}

/** Shoulder and hip over an arm of length `armM` from the origin and a leg of `legM` to the ankle. */
function archOver(
  body: Body,
  armM: number,
  arm: string,
  ankle: Point,
  legM: number,
  leadM: number | undefined,
): { shoulder: Point; hip: Point } {
  const leg = { from: ankle, lengthM: legM, limb: 'the legs' };
  if (leadM === undefined) {
    const lengthM = armM + body.lengths.trunk;
    const hip = meet({ from: [0, 0], lengthM, limb: `${arm} and trunk` }, leg, 'higher');
    const share = armM / lengthM;
    return { shoulder: [hip[0] * share, hip[1] * share], hip };
  }
  const shoulder = ahead([0, 0], armM, leadM, arm);
  const trunk = { from: shoulder, lengthM: body.lengths.trunk, limb: 'the trunk' };
  return { shoulder, hip: meet(trunk, leg, 'higher') };
}

/** A lifted leg goes in line with arms and trunk. */
const lifted = (body: Body, shoulder: Point, hip: Point): Leg =>
  legPointed(body, hip, bearing(shoulder, hip));

export function dog(
  body: Body,
  { stanceM, shoulderLeadM, oneLeg }: PostureParameters['dog'],
): Pose {
  return onHands(body, body.lengths.knuckle - stanceM, 0, shoulderLeadM, oneLeg);
}

export function raisedDog(
  body: Body,
  { stanceM, supportHeightM, shoulderLeadM }: PostureParameters['raisedDog'],
): Pose {
  return onHands(body, body.lengths.knuckle - stanceM, supportHeightM, shoulderLeadM, false);
}

function onHands(
  body: Body,
  ballX: number,
  ballY: number,
  leadM: number | undefined,
  oneLeg = false,
): Pose {
  const ankle: Point = [ballX, ballY + body.ankleOnBallM];
  const legM = legLengthM(body);
  const { shoulder, hip } = archOver(body, armLengthM(body), 'the arms', ankle, legM, leadM);
  return {
    joints: {
      ...straightArm(body, shoulder),
      shoulder,
      hip,
      crown: headInLine(body, shoulder, bearing(shoulder, hip)),
      ...legOnBall(kneeOn(body, hip, ankle), ankle, body),
      ...(oneLeg ? { otherLeg: lifted(body, shoulder, hip) } : {}),
    },
    floor: [handContact(body), pointContact('feet', ballX)],
    carriedBy: 'hands',
    notes: [],
  };
}

/** Heels at the wall, soles flat: the ankles stand straight above the heels. */
export function shortDog(
  body: Body,
  { baseM, shoulderLeadM, oneLeg }: PostureParameters['shortDog'],
): Pose {
  const ankle: Point = [-baseM, body.ankleM];
  const legM = legLengthM(body);
  const { shoulder, hip } = archOver(
    body,
    armLengthM(body),
    'the arms',
    ankle,
    legM,
    shoulderLeadM,
  );
  const leg = { ...legFlat(body, kneeOn(body, hip, ankle), ankle, 180, 90), heelBackM: 0 };
  return {
    joints: {
      ...straightArm(body, shoulder),
      shoulder,
      hip,
      crown: headInLine(body, shoulder, bearing(shoulder, hip)),
      ...leg,
      ...(oneLeg ? { otherLeg: lifted(body, shoulder, hip) } : {}),
    },
    floor: [
      handContact(body),
      {
        name: 'feet',
        low: -baseM,
        nominal: -baseM + body.lengths.foot / 2,
        high: -baseM + body.lengths.foot,
      },
    ],
    carriedBy: 'hands',
    notes: [],
  };
}

export function dolphin(body: Body, parameters: PostureParameters['dolphin']): Pose {
  const { elbowToBallM, shoulderLeadM, kneeBendDeg = 0, oneLeg = false, liftM = 0 } = parameters;
  const { thigh, shank, upperArm } = body.lengths;
  // On pads the forearms stand higher than the feet; worked out from the elbows, then raised.
  const ankle: Point = [-elbowToBallM, body.ankleOnBallM - liftM];
  // Bent knees shorten the leg between hip and ankle.
  const legM = Math.sqrt(
    thigh ** 2 + shank ** 2 + 2 * thigh * shank * Math.cos(radians(kneeBendDeg)),
  );
  const { shoulder, hip } = archOver(body, upperArm, 'the upper arms', ankle, legM, shoulderLeadM);
  const knee =
    kneeBendDeg === 0
      ? kneeOn(body, hip, ankle)
      : meet(
          { from: hip, lengthM: thigh, limb: 'the thighs' },
          { from: ankle, lengthM: shank, limb: 'the shanks' },
          'nearHead',
        );
  const joints: FigureJoints = {
    ...flatForearm(body),
    shoulder,
    hip,
    crown: headInLine(body, shoulder, bearing(shoulder, hip)),
    ...legOnBall(knee, ankle, body),
    ...(oneLeg ? { otherLeg: lifted(body, shoulder, hip) } : {}),
  };
  return {
    joints: shifted(joints, 0, liftM),
    floor: [forearmContact(body), pointContact('feet', ankle[0])],
    carriedBy: 'forearms',
    notes: [],
  };
}
