import type { Body } from '../body/body';
import { alternativeTable, type AlternativeId } from '../catalog/alternatives';
import { pointsOf } from '../posture/joints';
import { calvesOnChair, chairSize, dolphinOnChair, type ChairPose } from '../posture/chair';
import type { ElevationOptions } from './elevation';
import { groundBody, hatchStrip } from './dimensions';
import { drawFigure } from './figure';
import { line, makeFrame, rectangle, rounded, type Frame, type Scene, type Shape } from './scene';
import { drawTape, tapeHeightPx } from './tape';

const poses = {
  'dolphin-chair': dolphinOnChair,
  'calves-on-chair': calvesOnChair,
} as const satisfies Record<AlternativeId, (body: Body) => ChairPose>;

const sizes = { wallHatchPx: 9, marginPx: 6, beyondM: 0.12, dimensionRowsPx: 42 } as const;

/** A shape with a chair at the wall, to the same scale as the stage it stands in for. */
export function drawAlternative(
  body: Body,
  alternative: AlternativeId,
  { pxPerM, units, wallM }: ElevationOptions,
): Scene {
  const pose = poses[alternative](body);
  const points = pointsOf(pose.joints);
  const farX = Math.min(...points.map(([x]) => x)) - pose.joints.heelBackM;
  const highY = Math.max(...points.map(([, y]) => y));
  const topM = wallM ?? highY + 0.3;
  const wallPx = rounded((sizes.beyondM - farX) * pxPerM + sizes.marginPx);
  const floorPx = rounded(topM * pxPerM + sizes.marginPx);
  const frame = makeFrame(pxPerM, wallPx, floorPx);
  const tapeM = Math.floor((wallPx - sizes.marginPx) / pxPerM / 0.05) * 0.05;
  return {
    widthPx: rounded(wallPx + sizes.wallHatchPx + sizes.marginPx),
    heightPx: rounded(floorPx + tapeHeightPx + sizes.dimensionRowsPx),
    pxPerM,
    shapes: [
      ...drawChair(frame, pose.seatFrontX),
      ...drawFigure('figure', frame, body, pose.joints),
      ...hatchStrip(wallPx, frame.y(topM), floorPx, sizes.wallHatchPx),
      line('wall', wallPx, frame.y(topM), wallPx, floorPx),
      groundBody(wallPx + sizes.wallHatchPx, floorPx),
      line('floor', sizes.marginPx / 2, floorPx, wallPx + sizes.wallHatchPx, floorPx),
      ...drawTape(frame, tapeM, units),
    ],
    sentences: [`${alternativeTable[alternative].label}. ${alternativeTable[alternative].how}`],
  };
}

/** A chair from the side, its back to the wall. */
export function drawChair(frame: Frame, frontX: number): Shape[] {
  const { seatM, depthM, backM } = chairSize;
  const scale = frame.pxPerM;
  const seatPx = 0.03 * scale;
  const backX = frontX + depthM;
  return [
    rectangle('prop', frame.x(frontX), frame.y(seatM), depthM * scale, seatPx),
    line(
      'wall',
      frame.x(frontX + 0.02),
      frame.y(seatM) + seatPx,
      frame.x(frontX + 0.02),
      frame.y(0),
    ),
    line('wall', frame.x(backX - 0.01), frame.y(backM), frame.x(backX - 0.01), frame.y(0)),
  ];
}
