/**
 * Shapes drawn to scale from the same chain, without loads: the model has none to give for them.
 * Handbook 02 for the shapes, 04 for their distances.
 */
import type { Body } from '../body/body';
import { calvesOnChair, chairSize, dolphinOnChair } from './chair';
import { bearing, between, meet, turned } from './geometry';
import { shifted, type FigureJoints, type Point } from './joints';
import { flatForearm, legLengthM, legOnBall, legPointed } from './pose';

/** Something a figure rests on: left, right and top of a box on the floor, metres. */
export interface Rest {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom?: number;
}

export interface Still {
  readonly joints: FigureJoints;
  readonly isOnBack: boolean;
  /** A wall at this x, on the side given. */
  readonly wall?: { readonly x: number; readonly side: 1 | -1 };
  /** Front edge of a chair's seat; the chair stands behind it, towards +x. */
  readonly chairFrontX?: number;
  readonly rests: readonly Rest[];
}

/** Flesh between joint and floor, as a share of height; for the drawing alone. */
const onFloor = { shoulder: 0.05, hip: 0.065, leg: 0.03 } as const;

function armsAlong(shoulder: Point, { lengths }: Body, floorY = 0) {
  const elbow: Point = [shoulder[0] - lengths.upperArm, floorY];
  const wrist: Point = [elbow[0] - lengths.forearm, floorY];
  return { elbow, wrist, fingertip: [wrist[0] - lengths.hand, floorY] as Point };
}

/** On the back, head towards +x: shoulders at the origin, hips at a height, legs as given. */
function onBack(body: Body, hip: Point, shoulderY: number, legDeg: number): FigureJoints {
  const shoulder: Point = [0, shoulderY];
  return {
    shoulder,
    crown: [body.lengths.shoulderToCrown, shoulderY],
    ...armsAlong(shoulder, body),
    hip,
    ...legPointed(body, hip, legDeg),
  };
}

function hipAt(body: Body, shoulderY: number, hipY: number): Point {
  const { trunk } = body.lengths;
  const drop = Math.min(trunk, Math.abs(hipY - shoulderY));
  return [-Math.sqrt(trunk * trunk - drop * drop), hipY];
}

/** One line from shoulder to ankle on the forearms. */
function forearmPlank(body: Body): Still {
  const shoulder: Point = [0, body.lengths.upperArm];
  const length = body.lengths.trunk + legLengthM(body);
  const drop = shoulder[1] - body.ankleOnBallM;
  const deg = bearing(shoulder, [-Math.sqrt(length ** 2 - drop ** 2), body.ankleOnBallM]);
  const hip = turned(shoulder, deg, body.lengths.trunk);
  const knee = turned(hip, deg, body.lengths.thigh);
  const ankle = turned(knee, deg, body.lengths.shank);
  return {
    joints: {
      ...flatForearm(body),
      shoulder,
      hip,
      crown: turned(shoulder, deg + 180, body.lengths.shoulderToCrown),
      ...legOnBall(knee, ankle, body),
    },
    isOnBack: false,
    rests: [],
  };
}

/** Hands wrapped round a low block, upper back on a pair flush to the wall, head free. */
function shoulderRest(body: Body): Still {
  const { upperArm, trunk, shoulderToCrown, forearm, hand } = body.lengths;
  const shoulder: Point = [-0.2, upperArm];
  const hip = turned(shoulder, 2, trunk);
  const elbow: Point = [shoulder[0], 0];
  return {
    joints: {
      elbow,
      wrist: [elbow[0] + forearm * 0.6, 0.03],
      fingertip: [elbow[0] + forearm * 0.6 + hand * 0.5, 0.05],
      shoulder,
      hip,
      crown: turned(shoulder, 184, Math.min(shoulderToCrown, upperArm * 0.98)),
      ...legPointed(body, hip, 6),
    },
    isOnBack: false,
    wall: { x: 0, side: 1 },
    rests: [
      { left: -0.2, right: -0.05, top: 0.1 },
      { left: -0.11, right: 0, top: upperArm + 0.045 * body.heightM, bottom: 0.1 },
    ],
  };
}

/** Trunk at 45 degrees on the hands, legs upright. */
function halfShoulderStand(body: Body): Still {
  const shoulderY = onFloor.shoulder * body.heightM;
  const shoulder: Point = [0, shoulderY];
  const hip = turned(shoulder, -45, body.lengths.trunk);
  const elbow: Point = [-body.lengths.upperArm, 0.02];
  const hold = between(shoulder, hip, 0.86);
  const deg = bearing(elbow, hold);
  const wrist = turned(elbow, deg, body.lengths.forearm);
  return {
    joints: {
      shoulder,
      hip,
      elbow,
      wrist,
      fingertip: turned(wrist, deg, body.lengths.hand * 0.7),
      crown: [body.lengths.shoulderToCrown, shoulderY],
      ...legPointed(body, hip, 2),
    },
    isOnBack: true,
    rests: [],
  };
}

/** Seat over the chair's front edge, shoulders on the support in front of it, legs up. */
function chairShoulderStand(body: Body): Still {
  const support = 0.12;
  const shoulder: Point = [0, support + onFloor.shoulder * body.heightM];
  const hip = meet(
    { from: shoulder, lengthM: body.lengths.trunk, limb: 'the trunk' },
    { from: [-0.42, chairSize.seatM + 0.02], lengthM: 0.24, limb: 'the seat' },
    'higher',
  );
  const elbow: Point = [-0.2, 0.24];
  const wrist: Point = [elbow[0] - body.lengths.forearm * 0.95, 0.2];
  return {
    joints: {
      shoulder,
      hip,
      elbow,
      wrist,
      fingertip: [wrist[0] - body.lengths.hand * 0.6, 0.2],
      crown: [body.lengths.shoulderToCrown * 0.9, 0.06],
      ...legPointed(body, hip, -8),
    },
    isOnBack: true,
    chairFrontX: -0.22 - chairSize.depthM,
    rests: [{ left: -0.2, right: 0.06, top: support }],
  };
}

/** Hips on a stack, calves on a chair seat. */
function sacrumStack(body: Body): Still {
  const { joints, seatFrontX } = calvesOnChair(body);
  const lift = 0.1;
  const hip: Point = [joints.hip[0], joints.hip[1] + lift];
  const knee = meet(
    { from: hip, lengthM: body.lengths.thigh, limb: 'the thighs' },
    { from: joints.ankle, lengthM: body.lengths.shank, limb: 'the shanks' },
    'higher',
  );
  const rise = hip[1] - joints.shoulder[1];
  const run = Math.sqrt(body.lengths.trunk ** 2 - rise ** 2);
  const dx = hip[0] - run - joints.shoulder[0];
  const upper = shifted(joints, dx, 0);
  return {
    joints: { ...upper, hip, knee, ankle: joints.ankle, heel: joints.heel, toe: joints.toe },
    isOnBack: false,
    chairFrontX: seatFrontX,
    rests: [{ left: hip[0] - 0.16, right: hip[0] + 0.08, top: lift }],
  };
}

/** Sacrum on a bolster a hand from the wall, legs up it. */
function legsUp(body: Body): Still {
  const lift = 0.12;
  const wallX = -0.16;
  const shoulderY = onFloor.shoulder * body.heightM;
  const start = hipAt(body, shoulderY, lift + onFloor.hip * body.heightM);
  const joints = shifted(onBack(body, start, shoulderY, 0), wallX + 0.16 - start[0], 0);
  return {
    joints: { ...joints, ...legPointed(body, joints.hip, -6) },
    isOnBack: true,
    wall: { x: wallX - 0.12, side: -1 },
    rests: [{ left: joints.hip[0] - 0.1, right: joints.hip[0] + 0.2, top: lift }],
  };
}

/** Head towards the wall, palms on it, feet walking down towards the hands. */
function wallPlough(body: Body): Still {
  const { trunk, forearm, hand, shoulderToCrown, upperArm } = body.lengths;
  const shoulderY = onFloor.shoulder * body.heightM;
  const wallX = shoulderToCrown + forearm;
  const shoulder: Point = [0, shoulderY];
  const hip = turned(shoulder, -30, trunk);
  const reach = legLengthM(body);
  const footX = wallX - body.ankleM;
  const ankleY = hip[1] + Math.sqrt(Math.max(0, reach ** 2 - (footX - hip[0]) ** 2)) * 0.999;
  const ankle: Point = [footX, ankleY];
  const knee = between(hip, ankle, body.lengths.thigh / reach);
  const elbow: Point = [upperArm * 0.8, upperArm * 0.55];
  const wrist: Point = [wallX - 0.03, 0.2];
  return {
    joints: {
      shoulder,
      hip,
      knee,
      ankle,
      heel: [wallX, ankleY],
      toe: [wallX, ankleY - body.lengths.foot * 0.75],
      heelBackM: body.lengths.foot * 0.2,
      elbow,
      wrist,
      fingertip: [wallX - 0.01, 0.2 + hand],
      crown: [shoulderToCrown, shoulderY],
    },
    isOnBack: true,
    wall: { x: wallX, side: 1 },
    rests: [],
  };
}

interface SeatDegrees {
  readonly trunk: number;
  readonly arms: number;
  readonly head: number;
  readonly legs: number;
}

/** Seat or low back down, everything else lifted; directions in degrees from the upright. */
const onSeat =
  (towards: SeatDegrees) =>
  (body: Body): Still => {
    const hip: Point = [0, onFloor.hip * body.heightM];
    const shoulder = turned(hip, towards.trunk, body.lengths.trunk);
    const elbow = turned(shoulder, towards.arms, body.lengths.upperArm);
    const wrist = turned(elbow, towards.arms, body.lengths.forearm);
    return {
      joints: {
        hip,
        shoulder,
        elbow,
        wrist,
        fingertip: turned(wrist, towards.arms, body.lengths.hand),
        crown: turned(shoulder, towards.head, body.lengths.shoulderToCrown),
        ...legPointed(body, hip, towards.legs),
      },
      isOnBack: true,
      rests: [],
    };
  };

/** Boat: trunk and legs lifted, arms reaching. */
const boat = onSeat({ trunk: 38, arms: -72, head: 28, legs: -48 });
/** Hollow hold: shoulders and heels a little off the floor, arms overhead. */
const hollow = onSeat({ trunk: 80, arms: 78, head: 72, legs: -78 });

/** Facing away from the wall, feet on it at hip height, trunk upright over the hands. */
function box(body: Body): Still {
  const arm = body.lengths.forearm + body.lengths.upperArm;
  const share = body.lengths.forearm / arm;
  const line = arm + body.lengths.trunk;
  const baseM = body.lengths.armReach + body.lengths.foot;
  const ankle: Point = [baseM - body.ankleM, line];
  const hip = meet(
    { from: [0, 0], lengthM: line, limb: 'arms and trunk' },
    { from: ankle, lengthM: legLengthM(body), limb: 'the legs' },
    'higher',
  );
  const shoulder = between([0, 0], hip, arm / line);
  return {
    joints: {
      wrist: [0, 0],
      fingertip: [-body.lengths.hand, 0],
      elbow: between([0, 0], shoulder, share),
      shoulder,
      crown: turned(shoulder, bearing(hip, shoulder), body.lengths.shoulderToCrown),
      hip,
      knee: between(hip, ankle, body.lengths.thigh / legLengthM(body)),
      ankle,
      heel: [baseM, line],
      toe: [baseM, line + body.lengths.foot * 0.78],
      heelBackM: body.lengths.foot * 0.2,
    },
    isOnBack: false,
    wall: { x: baseM, side: 1 },
    rests: [],
  };
}

/** Knees under hips, wrists under shoulders. */
function allFours(body: Body): Still {
  const { forearm, upperArm, thigh, shank, trunk, hand } = body.lengths;
  const arm = forearm + upperArm;
  const shoulder: Point = [0, arm];
  // The trunk slopes by what arms and thighs differ.
  const drop = Math.max(-trunk, Math.min(trunk, arm - thigh - onFloor.leg * body.heightM));
  const kneeY = onFloor.leg * body.heightM;
  const hip: Point = [-Math.sqrt(trunk ** 2 - drop ** 2), arm - drop];
  const knee: Point = [hip[0], hip[1] - thigh];
  const ankle: Point = [knee[0] - shank, kneeY];
  return {
    joints: {
      wrist: [0, 0],
      fingertip: [hand, 0],
      elbow: [0, forearm],
      shoulder,
      hip,
      knee,
      ankle,
      heel: ankle,
      toe: ankle,
      heelBackM: 0,
      crown: turned(shoulder, bearing(hip, shoulder), body.lengths.shoulderToCrown),
    },
    isOnBack: false,
    rests: [],
  };
}

const chairStill =
  (pose: typeof calvesOnChair) =>
  (body: Body): Still => {
    const { joints, seatFrontX } = pose(body);
    return { joints, isOnBack: false, chairFrontX: seatFrontX, wall: { x: 0, side: 1 }, rests: [] };
  };

export const stillTable = {
  'all-fours': { label: 'All fours', solve: allFours },
  'forearm-plank': { label: 'Forearm plank', solve: forearmPlank },
  'dolphin-chair': { label: 'Dolphin on a chair', solve: chairStill(dolphinOnChair) },
  'shoulder-rest': { label: 'Shoulder-rest stack', solve: shoulderRest },
  box: { label: 'Box at the wall', solve: box },
  'half-shoulder-stand': { label: 'Half shoulder stand', solve: halfShoulderStand },
  'chair-shoulder-stand': { label: 'Chair shoulder stand', solve: chairShoulderStand },
  'sacrum-stack': { label: 'Sacrum stack, calves on a chair', solve: sacrumStack },
  'calves-on-chair': { label: 'Calves on a chair', solve: chairStill(calvesOnChair) },
  'legs-up': { label: 'Legs up the wall', solve: legsUp },
  'wall-plough': { label: 'Wall plough', solve: wallPlough },
  boat: { label: 'Boat', solve: boat },
  hollow: { label: 'Hollow hold', solve: hollow },
} as const satisfies Record<string, { label: string; solve: (body: Body) => Still }>;

export type StillId = keyof typeof stillTable;
export const stillIds = Object.keys(stillTable) as [StillId, ...StillId[]];
