import type { Body } from '../body/body';
import { getAlternative, type AlternativeId } from '../catalog/alternatives';
import type { StageShape } from '../catalog/stage';
import { toPosture, usualValues } from '../posture/handles';
import { computeLoads } from '../posture/loads';
import { stillTable, type Still } from '../posture/stills';
import { pointsOf, shifted, type FigureJoints } from '../posture/joints';
import { chairSize } from '../posture/chair';
import { anchor, facingOf, headUp } from './bench';
import type { ElevationOptions } from './elevation';
import { groundBody, hatchedBox, hatchStrip } from './dimensions';
import { drawFigure, type Facing } from './figure';
import { line, makeFrame, rectangle, rounded, type Frame, type Scene, type Shape } from './scene';
import { drawTape, tapeHeightPx } from './tape';

const sizes = { wallHatchPx: 9, marginPx: 6, beyondM: 0.12, dimensionRowsPx: 42 } as const;

/** The floor of a shape without a drawing of its own, metres. */
const bareFloorM = 1.2;

interface Posed {
  readonly joints: FigureJoints;
  readonly facing: Facing;
  /** A wall at this x; 1: the figure stands to its left, -1: to its right. */
  readonly wall?: { readonly x: number; readonly side: 1 | -1 };
  readonly chairFrontX?: number;
  readonly rests: Still['rests'];
}

/** A shape from the side at rest, by the name a stage or an alternative gives it. */
function poseShape(body: Body, shape: StageShape | undefined): Posed | null {
  if (shape === undefined) return null;
  if ('still' in shape) {
    const { still } = shape;
    const { joints, isOnBack, wall, chairFrontX, rests } = stillTable[still].solve(body);
    return {
      joints,
      facing: isOnBack ? -1 : 1,
      rests,
      ...(wall === undefined ? {} : { wall }),
      ...(chairFrontX === undefined ? {} : { chairFrontX }),
    };
  }
  const { family } = shape;
  const loads = computeLoads(body, toPosture(family, usualValues(family, body)));
  const joints = headUp(shifted(loads.pose.joints, anchor(loads), 0));
  return {
    joints,
    facing: facingOf(family),
    rests: [],
    ...(loads.pose.wall === undefined ? {} : { wall: { x: 0, side: loads.pose.wall.side } }),
  };
}

/** Another shape, to the same scale as the stage it stands in for. */
export function drawAlternative(
  body: Body,
  alternative: AlternativeId,
  options: ElevationOptions,
): Scene {
  const { label, how, still } = getAlternative(alternative);
  const shape: StageShape | undefined =
    still !== null
      ? { still }
      : alternative === 'forearm-l'
        ? { family: 'forearmWallL' }
        : undefined;
  return drawSide(body, { label, how, shape }, options);
}

/** A stage from the side at the person's own size, to the scale asked for; figure, wall, floor. */
export function drawSide(
  body: Body,
  { label, how, shape }: { label: string; how: string; shape?: StageShape | undefined },
  { pxPerM, units, wallM }: ElevationOptions,
): Scene {
  const posed = poseShape(body, shape);
  const points = posed ? pointsOf(posed.joints) : [];
  const edges = [
    ...points.map(([x]) => x),
    ...(posed?.rests ?? []).flatMap(({ left, right }) => [left, right]),
    ...(posed?.chairFrontX === undefined
      ? []
      : [posed.chairFrontX, posed.chairFrontX + chairSize.depthM]),
  ];
  const wall = posed?.wall;
  const isWallLeft = wall?.side === -1;
  const farX = posed ? Math.min(...edges) - posed.joints.heelBackM : -bareFloorM;
  const lowX = isWallLeft ? wall.x : farX;
  const highX = isWallLeft ? Math.max(...edges) : (wall?.x ?? Math.max(0, ...edges));
  const highY = Math.max(0.5, ...points.map(([, y]) => y));
  const topM = wallM ?? highY + 0.3;
  const leftPx = isWallLeft ? sizes.wallHatchPx : sizes.beyondM * pxPerM;
  const zeroPx = rounded(leftPx - lowX * pxPerM + sizes.marginPx);
  const floorPx = rounded(topM * pxPerM + sizes.marginPx);
  const frame = makeFrame(pxPerM, zeroPx, floorPx);
  const isOpenRight = wall === undefined || isWallLeft;
  const rightPx = frame.x(highX) + (isOpenRight ? sizes.beyondM * pxPerM : 0);
  const wallPx = frame.x(wall?.x ?? 0);
  const tapeM = Math.floor((wallPx - sizes.marginPx) / pxPerM / 0.05) * 0.05;
  return {
    widthPx: rounded(rightPx + sizes.wallHatchPx + sizes.marginPx),
    heightPx: rounded(floorPx + tapeHeightPx + sizes.dimensionRowsPx),
    pxPerM,
    shapes: [
      ...(posed?.chairFrontX === undefined ? [] : drawChair(frame, posed.chairFrontX)),
      ...(posed?.rests ?? []).flatMap(({ left, right, top, bottom = 0 }) =>
        hatchedBox(frame.x(left), frame.y(top), (right - left) * pxPerM, (top - bottom) * pxPerM),
      ),
      ...(posed ? drawFigure('figure', frame, body, posed.joints, posed.facing) : []),
      ...(wall === undefined
        ? []
        : [
            ...hatchStrip(
              isWallLeft ? wallPx - sizes.wallHatchPx : wallPx,
              frame.y(topM),
              floorPx,
              sizes.wallHatchPx,
            ),
            line('wall', wallPx, frame.y(topM), wallPx, floorPx),
          ]),
      groundBody(rightPx + sizes.wallHatchPx, floorPx),
      line('floor', sizes.marginPx / 2, floorPx, rightPx + sizes.wallHatchPx, floorPx),
      ...(wall === undefined || isWallLeft
        ? []
        : drawTape(makeFrame(pxPerM, wallPx, floorPx), tapeM, units)),
    ],
    sentences: [`${label}. ${how}`],
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
