/** Shapes against a wall: the L, and stands with the heels on it. Handbook 04, 05, 11. */
import type { Body } from '../body/body';
import type { FloorContact } from './contacts';
import type { PostureParameters } from '../shapes/postures';
import { bearing, between, meet, turned, UnreachableProblem } from './geometry';
import type { Point } from './joints';
import {
  armLengthM,
  flatForearm,
  forearmContact,
  handContact,
  headInLine,
  legFlat,
  legLengthM,
  legPointed,
  straightArm,
  type Pose,
} from './pose';

/** Feet lower on the wall than this share of height need floor-like friction (handbook 05). */
const slipShare = 0.35;

interface LInput {
  readonly baseM: number;
  readonly footHeightM?: number;
  readonly oneLeg?: boolean;
}

interface Arm {
  readonly lengthM: number;
  readonly limb: string;
  readonly contact: FloorContact;
}

/** Arms and trunk in one line from the origin, straight legs to the soles on the wall behind; a lifted one goes on in line. */
function ell(body: Body, { baseM, footHeightM, oneLeg = false }: LInput, arm: Arm) {
  const lineM = arm.lengthM + body.lengths.trunk;
  const footM = footHeightM ?? lineM;
  const ankle: Point = [-baseM + body.ankleM, footM];
  const hip = meet(
    { from: [0, 0], lengthM: lineM, limb: `${arm.limb} and trunk` },
    { from: ankle, lengthM: legLengthM(body), limb: 'the legs' },
    // Hips over or beyond the hands, never folded against the wall.
    'nearHead',
  );
  // Lower than somebody sits there is no L, and what the wall carries cannot be told.
  const missingM = body.lengths.hipToSeat - hip[1];
  if (missingM > 0) {
    throw new UnreachableProblem(
      'the hips',
      missingM,
      `Out of reach: with the feet so low the hips would lie on the floor, ${Math.ceil(missingM * 100)} cm lower than anybody sits.`,
      ['posture', 'footHeightM'],
    );
  }
  const shoulder = between([0, 0], hip, arm.lengthM / lineM);
  const share = body.lengths.thigh / legLengthM(body);
  const leg = legFlat(body, between(hip, ankle, share), ankle, -90, 180);
  return {
    shoulder,
    pose: {
      floor: [arm.contact],
      wall: { at: [-baseM, footM] as Point, side: -1 as const },
      notes:
        footM < slipShare * body.heightM
          ? ['Feet this low on the wall need floor-like friction: they may slip.']
          : [],
    },
    joints: {
      shoulder,
      hip,
      crown: headInLine(body, shoulder, bearing(shoulder, hip)),
      ...leg,
      ...(oneLeg ? { otherLeg: legPointed(body, hip, bearing(shoulder, hip)) } : {}),
    },
  };
}

export function wallL(body: Body, input: PostureParameters['wallL']): Pose {
  const arm = { lengthM: armLengthM(body), limb: 'the arms', contact: handContact(body) };
  const { shoulder, pose, joints } = ell(body, input, arm);
  return { ...pose, joints: { ...straightArm(body, shoulder), ...joints }, carriedBy: 'hands' };
}

export function forearmWallL(body: Body, input: PostureParameters['forearmWallL']): Pose {
  const arm = {
    lengthM: body.lengths.upperArm,
    limb: 'the upper arms',
    contact: forearmContact(body),
  };
  const { pose, joints } = ell(body, input, arm);
  return { ...pose, joints: { ...flatForearm(body), ...joints }, carriedBy: 'forearms' };
}

/** One straight line from the base to the heels on the wall ahead. */
function lineToWall(body: Body, baseM: number, armM: number, limb: string) {
  const lineM = armM + body.lengths.trunk + legLengthM(body) + body.ankleM;
  if (baseM > lineM) {
    throw new UnreachableProblem(
      `${limb}, trunk and legs`,
      baseM - lineM,
      `Out of reach: ${limb}, trunk and legs together are ${Math.ceil((baseM - lineM) * 100)} cm too short for the wall.`,
      ['posture', 'baseM'],
    );
  }
  const deg = (Math.asin(baseM / lineM) * 180) / Math.PI;
  const shoulder = turned([0, 0], deg, armM);
  const hip = turned(shoulder, deg, body.lengths.trunk);
  const knee = turned(hip, deg, body.lengths.thigh);
  const ankle = turned(knee, deg, body.lengths.shank);
  const heel = turned(ankle, deg, body.ankleM);
  return {
    shoulder,
    heel,
    joints: {
      shoulder,
      hip,
      crown: headInLine(body, shoulder, deg),
      knee,
      ankle,
      heel,
      // Flexed feet: the heel touches, the toes point away from the wall.
      toe: turned(heel, deg - 90, body.lengths.foot),
      heelBackM: 0,
    },
  };
}

export function handstandWall(body: Body, { baseM }: PostureParameters['handstandWall']): Pose {
  const { shoulder, heel, joints } = lineToWall(body, baseM, armLengthM(body), 'arms');
  return {
    joints: { ...straightArm(body, shoulder), ...joints },
    floor: [handContact(body)],
    wall: { at: heel, side: 1 },
    carriedBy: 'hands',
    notes: [],
  };
}

export function forearmStandWall(
  body: Body,
  { baseM }: PostureParameters['forearmStandWall'],
): Pose {
  const { heel, joints } = lineToWall(body, baseM, body.lengths.upperArm, 'upper arms');
  return {
    joints: { ...flatForearm(body), ...joints },
    floor: [forearmContact(body)],
    wall: { at: heel, side: 1 },
    carriedBy: 'forearms',
    notes: [],
  };
}
