import type { Body } from '../body/body';
import { pointsOf } from '../posture/joints';
import type { Distance } from '../setups/distance';
import type { AlongLine } from '../setups/forearms';
import { poseShape } from '../shapes/posed';
import type { Still } from '../shapes/shape';
import { getStill, type StillId } from '../shapes/stills';
import type { LengthUnits } from '../units/length';
import { drawChair } from './chair';
import { groundBody, hatchedBox, wallFace } from './dimensions';
import { drawFigure } from './figure/figure';
import { line, makeFrame, rounded, type Scene } from './scene';
import { countLevels, drawShapeDimensions } from './shapeDimensions';
import { drawTape, tapeHeightPx } from './tape';

export interface StillOptions {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly units: LengthUnits;
  /** What the set-up lists; says which figures rest on estimates. */
  readonly distances?: readonly Distance[];
  /** Figure, floor and what it rests on alone: no tape, no dimensions. */
  readonly isPlain?: boolean;
}

const sizes = {
  sidePx: 40,
  topPx: 24,
  hatchPx: 12,
  beyondM: 0.2,
  rowPx: 26,
  firstRowPx: 20,
  textPx: 17,
} as const;

/** A shape at its usual distances, as large as the sheet allows; no loads. */
export function drawStill(
  id: StillId,
  who: { readonly body: Body; readonly along?: AlongLine },
  options: StillOptions,
): Scene {
  const posed = poseShape(who, { still: id }, undefined, null);
  return drawStillPosed(getStill(id).label, who.body, posed, options);
}

/** A posed shape from the side, to scale, as large as the sheet allows. */
export function drawStillPosed(
  label: string,
  body: Body,
  posed: Still,
  options: StillOptions,
): Scene {
  const { joints, rests, wall, chair, dimensions } = posed;
  const xs = [
    ...pointsOf(joints).map(([x]) => x),
    ...rests.flatMap(({ left, right }) => [left, right]),
    ...(wall ? [wall.x] : []),
    ...(chair === undefined ? [] : [chair.frontX, chair.backX]),
    ...dimensions.map((one) => (one.kind === 'upright' ? one.x : one.fromX)),
  ];
  const [low, high] = [Math.min(...xs) - sizes.beyondM, Math.max(...xs) + sizes.beyondM];
  const top = Math.max(1, ...pointsOf(joints).map(([, y]) => y)) + 0.12;
  const levels = countLevels(dimensions);
  const belowPx =
    options.isPlain === true
      ? 4
      : tapeHeightPx + 4 + (levels === 0 ? 0 : sizes.firstRowPx + sizes.rowPx * (levels - 1) + 10);
  const pxPerM = Math.min(
    (options.widthPx - 2 * sizes.sidePx) / (high - low),
    (options.heightPx - sizes.topPx - belowPx) / top,
  );
  const floorPx = rounded(options.heightPx - belowPx);
  const zeroPx = rounded((options.widthPx - (high - low) * pxPerM) / 2 - low * pxPerM);
  const frame = makeFrame(pxPerM, zeroPx, floorPx);
  const wallPx = wall ? frame.x(wall.x) : 0;
  return {
    widthPx: options.widthPx,
    heightPx: options.heightPx,
    pxPerM,
    shapes: [
      ...(chair === undefined ? [] : drawChair(frame, chair)),
      ...rests
        .filter((rest) => rest.top - (rest.bottom ?? 0) > 0.005)
        .flatMap(({ left, right, top: height, bottom = 0 }) =>
          hatchedBox(
            frame.x(left),
            frame.y(height),
            (right - left) * pxPerM,
            (height - bottom) * pxPerM,
          ),
        ),
      ...drawFigure('figure', frame, body, joints, posed.isOnBack ? -1 : 1),
      ...(wall ? wallFace(wallPx, wall.side, sizes.topPx, floorPx, sizes.hatchPx) : []),
      groundBody(options.widthPx, floorPx),
      line('floor', 0, floorPx, options.widthPx, floorPx),
      ...(wall?.side === 1 && options.isPlain !== true
        ? drawTape(
            makeFrame(pxPerM, wallPx, floorPx),
            Math.floor((wallPx / pxPerM) * 20) / 20,
            options.units,
          )
        : []),
      ...drawShapeDimensions(frame, dimensions, {
        units: options.units,
        textPx: sizes.textPx,
        rowY: floorPx + tapeHeightPx + sizes.firstRowPx,
        rowStepPx: sizes.rowPx,
        witnessPx: sizes.firstRowPx,
        ...(options.distances === undefined ? {} : { distances: options.distances }),
      }),
    ],
    sentences: [`${label}, drawn to scale; the model has no loads to give for it.`],
  };
}
