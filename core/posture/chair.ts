/**
 * Two shapes with a chair, for whoever sits a stage out: drawn to scale, no loads worked out.
 * Source: handbook 07 "Always open".
 */
import type { Body } from '../body/body';
import { pieceTable } from '../catalog/pieces';
import { degrees } from './geometry';
import type { FigureJoints, Point } from './joints';

export const chairSize = {
  seatM: pieceTable.chair.loadedM,
  depthM: pieceTable.chair.widthM,
  backM: 0.8,
} as const;

/** How far the heel reaches behind the ankle, as a share of the foot. */
const heelShare = 0.22;

/** How far arms and trunk lean from the upright, degrees, where the legs are long enough. */
const usualRisingDeg = 52;
/** A leg is never quite straight. */
const nearlyStraight = 0.995;

/** Between the soles and the backrest. */
const clearOfBackM = 0.03;

export interface ChairPose {
  readonly joints: FigureJoints;
  /** Front edge of the seat, x in metres. */
  readonly seatFrontX: number;
}

const turned = ([x, y]: Point, fromUprightDeg: number, lengthM: number): Point => {
  const angle = (fromUprightDeg * Math.PI) / 180;
  return [x + lengthM * Math.sin(angle), y + lengthM * Math.cos(angle)];
};

/**
 * Dolphin with the forearms on a chair seat that stands against the wall (x = 0). Arms and trunk in
 * one gently rising line, legs straight, heels down where the chain lets them.
 */
export function dolphinOnChair(body: Body): ChairPose {
  const { lengths, ankleM } = body;
  const seatFrontX = -chairSize.depthM;
  // Fingertips end at the wall; a long forearm leaves the elbows before the seat's middle.
  const elbow: Point = [
    Math.min(seatFrontX + 0.04, -lengths.forearm - lengths.hand - 0.01),
    chairSize.seatM,
  ];
  const wrist: Point = [elbow[0] + lengths.forearm, chairSize.seatM];
  const leg = lengths.thigh + lengths.shank;
  // As steep as the line rises, and no steeper than leaves the soles on the floor.
  const highestM = ankleM + leg * nearlyStraight - chairSize.seatM;
  const lineM = lengths.upperArm + lengths.trunk;
  const leastDeg = degrees(Math.acos(Math.max(-1, Math.min(1, highestM / lineM))));
  const risingDeg = -Math.max(usualRisingDeg, leastDeg);
  const shoulder = turned(elbow, risingDeg, lengths.upperArm);
  const hip = turned(shoulder, risingDeg, lengths.trunk);
  // Straight legs to the floor: the ankles come to rest at their own height.
  const drop = Math.min(leg, hip[1] - ankleM);
  const back = Math.sqrt(Math.max(0, leg * leg - drop * drop));
  const along = (t: number): Point => [hip[0] - back * t, hip[1] - drop * t];
  const knee = along(lengths.thigh / leg);
  const ankle = along(1);
  const heel: Point = [ankle[0], ankle[1] - ankleM];
  return {
    seatFrontX,
    joints: {
      fingertip: [wrist[0] + lengths.hand, chairSize.seatM],
      wrist,
      elbow,
      shoulder,
      crown: turned(shoulder, risingDeg + 180, lengths.shoulderToCrown * 0.94),
      hip,
      knee,
      ankle,
      heel,
      toe: [heel[0] + lengths.foot * (1 - heelShare), heel[1]],
      heelBackM: heelShare * lengths.foot,
    },
  };
}

/** On the back, hips on the floor, calves on the seat of a chair against the wall (x = 0). */
export function calvesOnChair(body: Body, seatM: number = chairSize.seatM): ChairPose {
  const { lengths, ankleM, heightM } = body;
  const seatFrontX = -chairSize.depthM;
  // Flesh between the joints and the floor.
  const halfTrunkM = 0.055 * heightM;
  const hipY = 0.07 * heightM;
  const halfShankM = 0.03 * heightM;
  const kneeY = seatM + halfShankM;
  const rise = Math.min(lengths.thigh, kneeY - hipY);
  // The soles stay clear of the backrest; a long shank leaves the knees before the seat.
  const ankleX =
    Math.min(
      seatFrontX + 0.02,
      seatFrontX + chairSize.depthM - clearOfBackM - ankleM - lengths.shank,
    ) + lengths.shank;
  const ankle: Point = [ankleX, kneeY];
  // Short thighs leave the knees below the seat: the calves slope up onto it.
  const slope = kneeY - hipY - rise;
  const knee: Point = [
    ankleX - Math.sqrt(Math.max(0, lengths.shank ** 2 - slope ** 2)),
    hipY + rise,
  ];
  const hip: Point = [knee[0] - Math.sqrt(Math.max(0, lengths.thigh ** 2 - rise ** 2)), hipY];
  const shoulder: Point = [hip[0] - lengths.trunk, halfTrunkM];
  const elbow: Point = [shoulder[0] + lengths.upperArm, 0];
  const wrist: Point = [elbow[0] + lengths.forearm, 0];
  const heel: Point = [ankle[0] + ankleM, ankle[1]];
  return {
    seatFrontX,
    joints: {
      fingertip: [wrist[0] + lengths.hand, 0],
      wrist,
      elbow,
      shoulder,
      crown: [shoulder[0] - lengths.shoulderToCrown, halfTrunkM],
      hip,
      knee,
      ankle,
      heel,
      toe: [heel[0], heel[1] + lengths.foot * (1 - heelShare)],
      heelBackM: heelShare * lengths.foot,
    },
  };
}
