/** A stage, or what is done in its place, from the side at a person's own size. */
import { getMove } from '../atlas/moves';
import { poseMoment } from '../atlas/open';
import { forearmKickSetup } from '../setups/forearmKick';
import { forearmsAlong } from '../setups/forearms';
import { UnreachableProblem } from '../posture/geometry';
import { pointsOf } from '../posture/joints';
import { distanceWords } from '../setups/distanceWords';
import { getSetup } from '../setups/registry';
import { solveStage, type StageOfSetup } from '../setups/solveStage';
import type { SetupInput, SetupResult } from '../setups/setup';
import { formatLength, type LengthUnits } from '../units/length';
import { beyondSentences, poseShape, withAround, type PosedShape } from '../shapes/posed';
import { drawChair } from './chair';
import { groundBody, hatchedBox, wallFace } from './dimensions';
import { drawForearmKick, type ElevationOptions } from './elevation';
import { drawFigure, extentOf } from './figure/figure';
import { line, makeFrame, rounded, type Scene } from './scene';
import { countLevels, drawShapeDimensions, leftReach } from './shapeDimensions';
import { drawTape, tapeHeightPx } from './tape';

const sizes = {
  wallHatchPx: 9,
  marginPx: 6,
  beyondM: 0.12,
  rowPx: 26,
  firstRowPx: 16,
  cardTextPx: 15,
  rowTextPx: 13,
} as const;

/** The floor of a shape without a drawing of its own, metres. */
const bareFloorM = 1.2;
/** Paper that is left beside a drawn figure at the very least, metres. */
const leastBeyondM = 0.04;
/** Room for an upright dimension's figure, left of its line. */
const uprightTextPx = 34;

/** What is drawn: a stage's words, its shape and its set-up. */
export interface DrawnStage extends StageOfSetup {
  readonly label: string;
  readonly how: string;
}

/** @returns `null` where the stage has no drawing, or this body cannot be in it at these distances */
export function poseStage(
  input: SetupInput,
  { shape, recipe }: DrawnStage,
  result: SetupResult | null,
): PosedShape | null {
  if (shape === undefined) return null;
  try {
    if (shape.moment !== undefined) {
      const { move, key } = shape.moment;
      const posed = { ...poseMoment(input.body, getMove(move), key), loads: null, values: {} };
      return withAround(posed, recipe, result, input.body);
    }
    const hands = shape.hands ?? (recipe === undefined ? undefined : getSetup(recipe).hands);
    return poseShape({ ...input, along: forearmsAlong(input, hands) }, shape, recipe, result);
  } catch (error) {
    if (error instanceof UnreachableProblem) return null;
    throw error;
  }
}

/** A stage from the side at the person's own size, to the scale asked for; figure, wall, floor. */
export function drawStage(input: SetupInput, stage: DrawnStage, options: ElevationOptions): Scene {
  const setup = stage.recipe === undefined ? undefined : getSetup(stage.recipe);
  if (setup?.sideView === 'kick' && options.detail !== 'picture') {
    return drawForearmKick(input.body, forearmKickSetup(input), options);
  }
  const result = solveStage(input, stage);
  return drawPosed(input, stage, poseStage(input, stage, result), result, options);
}

function drawPosed(
  { body }: SetupInput,
  { label, how }: DrawnStage,
  posed: PosedShape | null,
  result: SetupResult | null,
  { pxPerM, units, wallM, detail }: ElevationOptions,
): Scene {
  const isCard = detail === 'card';
  const points = posed ? pointsOf(posed.joints) : [];
  const { wall, chair, rests = [] } = posed ?? {};
  // A passing eye needs the distance from the wall alone.
  const dimensions = (posed?.dimensions ?? []).filter(
    (one) => isCard || (detail !== 'picture' && one.kind === 'level' && one.distance !== undefined),
  );
  const style = {
    units,
    textPx: isCard ? sizes.cardTextPx : sizes.rowTextPx,
    distances: result?.distances ?? [],
  };
  const figures = leftReach(dimensions, pxPerM, style);
  const edges = [
    ...points.map(([x]) => x),
    ...figures,
    ...rests.flatMap(({ left, right }) => [left, right]),
    ...(chair === undefined ? [] : [chair.frontX, chair.backX]),
    ...dimensions.flatMap((one) =>
      one.kind === 'upright' ? [one.x - uprightTextPx / pxPerM, one.x] : [one.fromX, one.toX],
    ),
  ];
  const facing = posed?.isOnBack === true ? -1 : 1;
  const isWallLeft = wall?.side === -1;
  const farX = posed
    ? Math.min(
        Math.min(...edges) - posed.joints.heelBackM,
        extentOf(body, [posed.joints], facing).left + sizes.beyondM - leastBeyondM,
      )
    : -bareFloorM;
  const lowX = isWallLeft ? Math.min(wall.x, ...figures) : farX;
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
  const rowTop = floorPx + tapeHeightPx;
  const rows = Math.max(1, countLevels(dimensions));
  return {
    widthPx: rounded(rightPx + sizes.wallHatchPx + sizes.marginPx),
    heightPx:
      detail === 'picture'
        ? rounded(floorPx + sizes.marginPx)
        : rounded(rowTop + sizes.firstRowPx + sizes.rowPx * rows),
    pxPerM,
    topM,
    shapes: [
      ...(chair === undefined ? [] : drawChair(frame, chair)),
      ...rests
        .filter(({ top, bottom = 0 }) => top - bottom > 0.005)
        .flatMap(({ left, right, top, bottom = 0 }) =>
          hatchedBox(frame.x(left), frame.y(top), (right - left) * pxPerM, (top - bottom) * pxPerM),
        ),
      ...(posed ? drawFigure('figure', frame, body, posed.joints, facing) : []),
      ...(wall === undefined
        ? []
        : wallFace(wallPx, wall.side, frame.y(topM), floorPx, sizes.wallHatchPx)),
      groundBody(rightPx + sizes.wallHatchPx, floorPx),
      line('floor', sizes.marginPx / 2, floorPx, rightPx + sizes.wallHatchPx, floorPx),
      ...(wall === undefined || isWallLeft || detail === 'picture'
        ? []
        : drawTape(makeFrame(pxPerM, wallPx, floorPx), tapeM, units)),
      ...drawShapeDimensions(frame, dimensions, {
        ...style,
        rowY: rowTop + sizes.firstRowPx,
        rowStepPx: sizes.rowPx,
        witnessPx: sizes.firstRowPx + 8,
      }),
    ],
    sentences: [
      `${label}.`,
      // A picture shows a shape, and nobody's measures: whoever is drawn is nobody in particular.
      ...(detail === 'picture' ? [] : sayMeasures(result, units)),
      ...(isCard || detail === 'picture' || result === null ? [how] : []),
      ...(posed?.loads ? beyondSentences(posed.loads) : []),
    ],
  };
}

/** What is measured in a set-up, for whoever does not see the drawing. */
function sayMeasures(result: SetupResult | null, units: LengthUnits): string[] {
  const measured = (result?.distances ?? []).filter(({ id }) => distanceWords[id].mayKeep);
  return measured.length === 0
    ? []
    : [
        `${measured.map(({ label, metres }) => `${label}: ${formatLength(metres, units)}`).join('; ')}.`,
      ];
}
