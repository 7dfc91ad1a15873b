import type { Body } from '../body/body';
import { pointsOf } from '../posture/joints';
import { stillTable, type StillId } from '../posture/stills';
import type { LengthUnits } from '../units/length';
import { drawChair } from './alternative';
import { groundBody, hatchedBox, hatchStrip } from './dimensions';
import { drawFigure } from './figure';
import { line, makeFrame, rounded, type Scene } from './scene';
import { drawTape, tapeHeightPx } from './tape';

export interface StillOptions {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly units: LengthUnits;
}

const sizes = { sidePx: 40, topPx: 24, hatchPx: 12, beyondM: 0.2 } as const;

/** A shape from the side, to scale, as large as the sheet allows; no loads. */
export function drawStill(id: StillId, body: Body, options: StillOptions): Scene {
  const { label, solve } = stillTable[id];
  const still = solve(body);
  const xs = [
    ...pointsOf(still.joints).map(([x]) => x),
    ...still.rests.flatMap(({ left, right }) => [left, right]),
    ...(still.wall ? [still.wall.x] : []),
    ...(still.chairFrontX === undefined ? [] : [still.chairFrontX, still.chairFrontX + 0.4]),
  ];
  const [low, high] = [Math.min(...xs) - sizes.beyondM, Math.max(...xs) + sizes.beyondM];
  const top = Math.max(1, ...pointsOf(still.joints).map(([, y]) => y)) + 0.12;
  const pxPerM = Math.min(
    (options.widthPx - 2 * sizes.sidePx) / (high - low),
    (options.heightPx - sizes.topPx - tapeHeightPx) / top,
  );
  const floorPx = rounded(options.heightPx - tapeHeightPx - 4);
  const zeroPx = rounded((options.widthPx - (high - low) * pxPerM) / 2 - low * pxPerM);
  const frame = makeFrame(pxPerM, zeroPx, floorPx);
  const wallPx = still.wall ? frame.x(still.wall.x) : 0;
  return {
    widthPx: options.widthPx,
    heightPx: options.heightPx,
    pxPerM,
    shapes: [
      ...(still.chairFrontX === undefined ? [] : drawChair(frame, still.chairFrontX)),
      ...still.rests.flatMap(({ left, right, top: height, bottom = 0 }) =>
        hatchedBox(
          frame.x(left),
          frame.y(height),
          (right - left) * pxPerM,
          (height - bottom) * pxPerM,
        ),
      ),
      ...drawFigure('figure', frame, body, still.joints, still.isOnBack ? -1 : 1),
      ...(still.wall
        ? [
            ...hatchStrip(
              still.wall.side === 1 ? wallPx : wallPx - sizes.hatchPx,
              sizes.topPx,
              floorPx,
              sizes.hatchPx,
            ),
            line('wall', wallPx, sizes.topPx, wallPx, floorPx),
          ]
        : []),
      groundBody(options.widthPx, floorPx),
      line('floor', 0, floorPx, options.widthPx, floorPx),
      ...(still.wall?.side === 1
        ? drawTape(
            makeFrame(pxPerM, wallPx, floorPx),
            Math.floor((wallPx / pxPerM) * 20) / 20,
            options.units,
          )
        : []),
    ],
    sentences: [`${label}, drawn to scale; the model has no loads to give for it.`],
  };
}
