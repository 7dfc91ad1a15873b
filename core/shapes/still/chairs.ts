import type { Body } from '../../body/body';
import { calvesOnChair as calves, chairSize, dolphinOnChair } from '../../posture/chair';
import { plainStill, type StillPose } from './parts';

/** Beside a chair that stands with its back to the wall. */
const atChair =
  (pose: typeof calves) =>
  (body: Body): StillPose => {
    const { joints, seatFrontX } = pose(body);
    return {
      joints,
      isOnBack: false,
      chair: { frontX: seatFrontX, backX: seatFrontX + chairSize.depthM },
      wall: { x: 0, side: 1 },
    };
  };

export const dolphinChair = plainStill('Dolphin on a chair', atChair(dolphinOnChair));
export const calvesOnChair = plainStill('Calves on a chair', atChair(calves));
