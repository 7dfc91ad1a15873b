import type { Body } from '../body/body';
import type { ForearmKickSetup } from '../setups/forearmKick';
import { formatFigure, type LengthUnits } from '../units/length';
import { hatchedBox, hatchStrip, uprightDimension } from './dimensions';
import { line, rounded, type Frame, type Shape } from './scene';

/** Shares of height that shape the forearms seen from above; no figure rests on them. */
const flesh = { elbowHalf: 0.024, wristHalf: 0.015, handHalf: 0.022, tipHalf: 0.008 } as const;
const besideM = 0.08;
/** From the elbow to the dimension of the elbow width, metres. */
export const elbowDimensionM = 0.11;

/** How much room the view from above takes across, metres. */
export function planHeightM({ distances, block }: ForearmKickSetup): number {
  const widest = Math.max(distances.elbowWidth.metres, block?.acrossM ?? 0);
  return widest + 2 * besideM;
}

interface PlanOptions {
  readonly units: LengthUnits;
  readonly textPx: number;
}

/**
 * Forearms, block and strap from above, straight below the side view and to the same scale, so that
 * a distance can be followed from one to the other.
 */
export function drawPlan(
  frame: Frame,
  topPx: number,
  body: Body,
  setup: ForearmKickSetup,
  { units, textPx }: PlanOptions,
): Shape[] {
  const { distances, block, alongWall } = setup;
  const scale = frame.pxPerM;
  const heightPx = planHeightM(setup) * scale;
  const middle = topPx + heightPx / 2;
  const wallPx = frame.x(0);
  const elbowX = frame.x(-distances.base.metres);
  const wristX = frame.x(-distances.base.metres + alongWall.forearm);
  const tipX = wristX + alongWall.hand * scale;
  const elbowHalf = (distances.elbowWidth.metres / 2) * scale;
  const wristHalf = ((distances.wristSpacing?.metres ?? distances.elbowWidth.metres) / 2) * scale;
  const strapX = elbowX + 0.045 * scale;
  const strapReach = elbowHalf + flesh.elbowHalf * body.heightM * scale;
  const dimension = (x: number, halfPx: number, fromX: number, metres: number, basis: string) =>
    uprightDimension(x, middle - halfPx, middle + halfPx, fromX, {
      text: formatFigure(metres, units),
      sizePx: textPx,
      isEstimated: basis === 'estimated',
    });
  return [
    ...hatchStrip(wallPx, topPx, topPx + heightPx, 9),
    line('wall', wallPx, topPx, wallPx, topPx + heightPx),
    ...(block === null
      ? []
      : hatchedBox(
          frame.x(-distances.gap.metres - block.depthM),
          middle - (block.acrossM / 2) * scale,
          block.depthM * scale,
          block.acrossM * scale,
        )),
    ...[-1, 1].map((side) =>
      forearm(body, scale, {
        elbow: [elbowX, middle + side * elbowHalf],
        wrist: [wristX, middle + side * wristHalf],
        tip: [tipX, middle + side * wristHalf],
      }),
    ),
    line('strap', strapX, middle - strapReach, strapX, middle + strapReach),
    ...dimension(
      elbowX - elbowDimensionM * scale,
      elbowHalf,
      elbowX - 0.03 * scale,
      distances.elbowWidth.metres,
      distances.elbowWidth.basis,
    ),
  ];
}

interface ArmPoints {
  readonly elbow: readonly [number, number];
  readonly wrist: readonly [number, number];
  readonly tip: readonly [number, number];
}

/** One forearm from above: a tapered limb from elbow over wrist and palm to the fingertips. */
function forearm(body: Body, scale: number, { elbow, wrist, tip }: ArmPoints): Shape {
  const px = (share: number) => share * body.heightM * scale;
  const palmX = wrist[0] + body.lengths.knuckle * scale * 0.8;
  const edge = (sign: number) => [
    [elbow[0], elbow[1] + sign * px(flesh.elbowHalf)],
    [wrist[0], wrist[1] + sign * px(flesh.wristHalf)],
    [palmX, wrist[1] + sign * px(flesh.handHalf)],
    [tip[0], tip[1] + sign * px(flesh.tipHalf)],
  ];
  const points = [...edge(-1), ...edge(1).reverse()];
  const r = px(flesh.elbowHalf);
  const [first, ...rest] = points.map(([x, y]) => `${rounded(x!)},${rounded(y!)}`);
  return {
    kind: 'path',
    role: 'figureEdge',
    d: `M${first}L${rest.join('L')}A${rounded(r)},${rounded(r)} 0 0 1 ${first}Z`,
  };
}
