import type { Body } from '../body/body';
import { bodyAlongWall, type ForearmKickSetup } from '../setups/forearmKick';
import { forearmStandWallPose } from '../posture/wallStand';
import { shifted, type FigureJoints } from '../posture/joints';
import { formatFigure, formatLength, type LengthUnits } from '../units/length';
import {
  hatchedBox,
  groundBody,
  wallFace,
  levelDimension,
  levelExtent,
  uprightDimension,
  uprightLeft,
  type DimensionText,
} from './dimensions';
import { drawFigure, drawLeg, drawStrapBand } from './figure/figure';
import { drawPlan, elbowDimensionM, planHeightM } from './plan';
import { line, makeFrame, rounded, type Frame, type Scene, type Shape } from './scene';
import { drawTape, tapeHeightPx } from './tape';

export interface ElevationOptions {
  readonly pxPerM: number;
  readonly units: LengthUnits;
  /** `card`: every dimension and the view from above. `row`: the two a passing eye needs. */
  /** A picture is the shape alone: no tape, no dimensions. */
  readonly detail: 'card' | 'row' | 'picture';
  /** Top of the wall above the floor; the same for a whole row. Default: over the feet. */
  readonly wallM?: number;
}

const sizes = {
  cardTextPx: 15,
  rowTextPx: 13,
  dimensionRowPx: 26,
  wallHatchPx: 9,
  marginPx: 6,
  overFeetM: 0.14,
  /** Floor drawn beyond the figure, away from the wall. */
  floorBeyondM: 0.16,
  /** Half a head seen from the side, and the neck's lean, as a share of height. */
  headHalf: 0.08,
} as const;

/** Same head, its crown no lower than the floor and raised by the shoulder lift. */
function hangHead(joints: FigureJoints, clearanceM: number, floorY: number): FigureJoints {
  const [x, y] = joints.crown;
  return { ...joints, crown: [x, Math.max(floorY, y, floorY + clearanceM)] };
}

/** How much wall the figure needs, metres: over the foot that is highest. */
export function wallHeightFor(body: Body, setup: ForearmKickSetup): number {
  const pose = forearmStandWallPose(body, setup.distances.base.metres);
  const highest = Math.max(pose.legUp.heel[1], pose.line.heel[1], pose.line.toe[1]);
  return highest + (setup.lift?.heightM ?? 0) + sizes.overFeetM;
}

/**
 * The figures of a kick on whatever lies under its forearms: in one line with the lean that is forced,
 * with a leg to the ceiling, and with upright upper arms.
 *
 * @param body as it is seen from the side
 */
export function poseKick(body: Body, { distances, lift }: ForearmKickSetup) {
  const baseM = distances.base.metres;
  const liftM = lift?.heightM ?? 0;
  const pose = forearmStandWallPose(body, baseM);
  const place = (joints: FigureJoints) =>
    hangHead(shifted(joints, -baseM, liftM), distances.headClearance.metres, liftM);
  return {
    liftM,
    figure: place(pose.line),
    legUp: place(pose.legUp),
    ghost: place(pose.upright),
  };
}

/**
 * The forearm stand at the wall from the side, to scale: figure in one line with the lean its
 * distance forces, the far leg to the ceiling, the upright-arms alternative as a ghost, props, tape
 * and dimensions. The card adds the view from above, in line with the side view.
 */
export function drawForearmKick(
  own: Body,
  setup: ForearmKickSetup,
  options: ElevationOptions,
): Scene {
  const body = bodyAlongWall(own, setup);
  const { pxPerM, units, detail } = options;
  const { distances } = setup;
  const baseM = distances.base.metres;
  const { liftM, figure, legUp, ghost } = poseKick(body, setup);

  const isCard = detail === 'card';
  const textPx = isCard ? sizes.cardTextPx : sizes.rowTextPx;
  const topM = options.wallM ?? wallHeightFor(body, setup);
  const toText = (distance: typeof distances.base): DimensionText => ({
    text: formatFigure(distance.metres, units),
    sizePx: textPx,
    isEstimated: distance.basis === 'estimated',
  });
  const gapText: DimensionText = { ...toText(distances.gap), isEstimated: false };

  // Everything left of the wall in metres, then room for texts that stand outside their lines.
  const leftM = Math.max(baseM, -legUp.toe[0], -ghost.elbow[0]) + sizes.floorBeyondM;
  const gapLeft = levelExtent(-distances.gap.metres * pxPerM, 0, gapText)[0];
  // Clear of the elbow and of the ghost's head, which hangs out on this side.
  const ghostHeadX = ghost.crown[0] - sizes.headHalf * body.heightM;
  const clearanceX = Math.min(-(baseM + 0.13), ghostHeadX - 0.04);
  const clearanceText = toText(distances.headClearance);
  const textLeft = Math.min(
    uprightLeft(clearanceX * pxPerM, clearanceText),
    uprightLeft(-(baseM + elbowDimensionM) * pxPerM, toText(distances.elbowWidth)),
  );
  const baseLeft = levelExtent(-baseM * pxPerM, 0, toText(distances.base))[0];
  const leftPx = Math.max(leftM * pxPerM, -gapLeft, -baseLeft, isCard ? -textLeft : 0);
  const wallPx = rounded(leftPx + sizes.marginPx);
  const floorPx = rounded(topM * pxPerM + sizes.marginPx);
  const frame = makeFrame(pxPerM, wallPx, floorPx);
  const widthPx = rounded(wallPx + sizes.wallHatchPx + sizes.marginPx);

  const rowTop = floorPx + tapeHeightPx;
  const gapY = rowTop + sizes.dimensionRowPx * (isCard ? 0.6 : 0.35);
  const baseY = rowTop + sizes.dimensionRowPx * (isCard ? 1.75 : 1.25);
  const belowY = baseY + 10;

  const shapes: Shape[] = [
    ...(isCard ? drawFigure('ghost', frame, body, ghost) : []),
    ...drawLeg('figureFar', frame, body, legUp),
    ...drawBlock(frame, setup, liftM),
    ...drawPads(frame, setup, figure),
    ...drawFigure('figure', frame, body, figure),
    drawStrapBand(frame, body, figure),
    ...wallFace(wallPx, 1, frame.y(topM), floorPx, sizes.wallHatchPx),
    groundBody(wallPx + sizes.wallHatchPx, floorPx),
    line('floor', sizes.marginPx / 2, floorPx, wallPx + sizes.wallHatchPx, floorPx),
    ...drawTape(frame, Math.floor((wallPx - sizes.marginPx) / pxPerM / 0.05) * 0.05, units),
    ...(distances.gap.metres > 0
      ? levelDimension(frame.x(-distances.gap.metres), wallPx, gapY, rowTop - 8, gapText)
      : []),
    ...levelDimension(frame.x(-baseM), wallPx, baseY, rowTop - 8, toText(distances.base)),
    ...(isCard ? drawLean(frame, figure, setup, textPx) : []),
    ...(isCard && distances.headClearance.metres > 0
      ? uprightDimension(
          frame.x(clearanceX),
          frame.y(liftM),
          frame.y(figure.crown[1]),
          frame.x(figure.crown[0] - 0.04),
          clearanceText,
        )
      : []),
  ];
  const plan = isCard ? drawPlan(frame, belowY + 14, body, setup, { units, textPx }) : [];
  return {
    widthPx,
    heightPx: rounded(isCard ? belowY + 14 + planHeightM(setup) * pxPerM + 14 : belowY),
    pxPerM,
    shapes: [...shapes, ...plan],
    sentences: describe(setup, units),
  };
}

function drawBlock(frame: Frame, { block, distances }: ForearmKickSetup, liftM: number): Shape[] {
  if (block === null) return [];
  return hatchedBox(
    frame.x(-distances.gap.metres - block.depthM),
    frame.y(block.heightM + liftM),
    block.depthM * frame.pxPerM,
    block.heightM * frame.pxPerM,
  );
}

function drawPads(frame: Frame, { lift }: ForearmKickSetup, figure: FigureJoints): Shape[] {
  if (lift === null) return [];
  const left = frame.x(figure.elbow[0] - 0.05);
  const width = frame.x(figure.fingertip[0]) - left;
  const layerM = lift.heightM / lift.layers;
  return Array.from({ length: lift.layers }, (_, layer) =>
    hatchedBox(left, frame.y(layerM * (layer + 1)), width, layerM * frame.pxPerM),
  ).flat();
}

/** The plumb line over the elbow and the lean that the body makes with it. */
function drawLean(
  frame: Frame,
  figure: FigureJoints,
  setup: ForearmKickSetup,
  textPx: number,
): Shape[] {
  const [ex, ey] = figure.elbow;
  const radius = Math.hypot(figure.hip[0] - ex, figure.hip[1] - ey) * 0.86;
  const angle = (setup.lean.leanDeg * Math.PI) / 180;
  const top = frame.y(ey + radius + 0.12);
  const r = rounded(radius * frame.pxPerM);
  const endX = frame.x(ex + radius * Math.sin(angle));
  const endY = frame.y(ey + radius * Math.cos(angle));
  return [
    line('angle', frame.x(ex), frame.y(ey + 0.02), frame.x(ex), top),
    {
      kind: 'path',
      role: 'angle',
      d: `M${frame.x(ex)},${frame.y(ey + radius)}A${r},${r} 0 0 1 ${endX},${endY}`,
    },
    {
      kind: 'text',
      role: 'dimensionText',
      text: `${Math.round(setup.lean.leanDeg)}°`,
      sizePx: textPx,
      anchor: 'end',
      x: frame.x(ex) - 6,
      y: rounded(frame.y(ey + radius) + textPx * 0.2),
    },
  ];
}

function describe(setup: ForearmKickSetup, units: LengthUnits): string[] {
  const { distances, block, strap, lean } = setup;
  const say = (metres: number) => formatLength(metres, units);
  return [
    `Seen from the side, wall on the right: elbows ${say(distances.base.metres)} from the wall, gap ${say(distances.gap.metres)}.`,
    block === null
      ? 'No block between the hands.'
      : `A block ${say(block.acrossM)} across between the hands.`,
    `Elbows ${say(distances.elbowWidth.metres)} apart${strap === null ? '' : `, strap loop ${say(distances.strapLoop.metres)}`}.`,
    `The body leans ${Math.round(lean.leanDeg)} degrees to the wall; with upright upper arms it would bend back ${Math.round(lean.bendIfUpperArmsUprightDeg)} degrees.`,
  ];
}
