import type { Body } from '../../body/body';
import { turned } from '../../posture/geometry';
import type { Point } from '../../posture/joints';
import { legPointed } from '../../posture/pose';
import { onFloor, plainStill, type StillPose } from './parts';

interface SeatDegrees {
  readonly trunk: number;
  readonly arms: number;
  readonly head: number;
  readonly legs: number;
}

/** Seat or low back down, everything else lifted; directions in degrees from the upright. */
const onSeat =
  (towards: SeatDegrees) =>
  (body: Body): StillPose => {
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
    };
  };

/** Boat: trunk and legs lifted, arms reaching. */
export const boat = plainStill('Boat', onSeat({ trunk: 38, arms: -72, head: 28, legs: -48 }));
/** Hollow hold: shoulders and heels a little off the floor, arms overhead. */
export const hollow = plainStill(
  'Hollow hold',
  onSeat({ trunk: 80, arms: 78, head: 72, legs: -78 }),
);
