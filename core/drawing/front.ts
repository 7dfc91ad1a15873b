/**
 * Whoever stands upside down, seen from the room: what the side cannot show, elbows or hands against
 * the shoulders, and the feet apart. To scale, from the same posture and the same list of distances.
 */
import type { Body } from '../body/body';
import type { FigureJoints } from '../posture/joints';
import type { Distance, DistanceId } from '../setups/distance';
import { bodyAlongWall, forearmKickSetup } from '../setups/forearmKick';
import { getSetup } from '../setups/registry';
import type { SetupInput, SetupResult } from '../setups/setup';
import { solveStage } from '../setups/solveStage';
import { formatFigure, type LengthUnits } from '../units/length';
import { groundBody, hatchedBox, levelDimension, levelExtent } from './dimensions';
import { poseKick } from './elevation';
import { drawFrontBody, frontShares, type FrontBase } from './figure/frontBody';
import { line, makeFrame, rounded, type Frame, type Scene, type Shape } from './scene';
import { poseStage, type DrawnStage } from './stageSide';

const sizes = { textPx: 15, rowPx: 28, marginPx: 8, besideM: 0.16 } as const;

/** The drawing, and how far elbows or hands stand from under the shoulders, in a sentence. */
export interface FrontScene extends Scene {
  readonly caption: string;
}

export interface FrontOptions {
  readonly pxPerM: number;
  readonly units: LengthUnits;
}

function baseOf(distances: readonly Distance[]): FrontBase | null {
  const find = (id: DistanceId) => distances.find((one) => one.id === id);
  const elbows = find('elbowWidth');
  if (elbows !== undefined) return { kind: 'forearms', apart: elbows };
  const hands = find('handWidth');
  return hands === undefined ? null : { kind: 'hands', apart: hands };
}

/**
 * The front of a stage, to the scale asked for.
 *
 * @returns `null` where nobody stands upright on the arms, no width is listed, or this body cannot be
 *   in it at these distances
 */
export function drawFront(
  input: SetupInput,
  stage: DrawnStage,
  options: FrontOptions,
): FrontScene | null {
  const result = solveStage(input, stage);
  const base = baseOf(result?.distances ?? []);
  if (result === null || base === null) return null;
  const stood = standOf(input, stage, result);
  if (stood === null) return null;
  const { hip, knee, ankle, shoulder } = stood.joints;
  // Folded legs would lie in front of one another.
  const isUpright =
    hip[1] > shoulder[1] && knee[1] - hip[1] > input.body.lengths.thigh / 2 && ankle[1] > knee[1];
  return isUpright ? drawUpright(input.body, stood, base, result, stage.label, options) : null;
}

/** The same figure as from the side, on the same pads. */
interface Stood {
  readonly joints: FigureJoints;
  /** Top of what lies under the arms, metres. */
  readonly restY: number;
  readonly hasStrap: boolean;
}

function standOf(input: SetupInput, stage: DrawnStage, result: SetupResult): Stood | null {
  const isKick = stage.recipe !== undefined && getSetup(stage.recipe).sideView === 'kick';
  if (isKick) {
    const setup = forearmKickSetup(input);
    const { figure, liftM } = poseKick(bodyAlongWall(input.body, setup), setup);
    return { joints: figure, restY: liftM, hasStrap: setup.strap !== null };
  }
  const posed = poseStage(input, stage, result);
  if (posed === null) return null;
  const { joints, rests = [] } = posed;
  const low = Math.min(joints.elbow[1], joints.wrist[1]);
  const under = rests.filter(
    ({ left, right, top }) =>
      left <= joints.wrist[0] && joints.wrist[0] <= right && top <= low + 0.03,
  );
  return { joints, restY: Math.max(0, ...under.map(({ top }) => top)), hasStrap: false };
}

function drawUpright(
  body: Body,
  { joints, restY, hasStrap }: Stood,
  base: FrontBase,
  { distances }: SetupResult,
  label: string,
  { pxPerM, units }: FrontOptions,
): FrontScene {
  const H = body.heightM;
  const { shoulderJointWidth, outerShoulderWidth } = body.lengths;
  const restM = base.apart.metres / 2;
  const highM = Math.max(joints.toe[1], joints.heel[1], joints.ankle[1]) + frontShares.footLong * H;
  const shoulderX = shoulderJointWidth / 2;
  const text = (metres: number, isEstimated: boolean) => ({
    text: formatFigure(metres, units),
    sizePx: sizes.textPx,
    isEstimated,
  });
  const rows = [
    { halfM: restM, text: text(base.apart.metres, base.apart.basis === 'estimated') },
    {
      halfM: shoulderX,
      text: text(shoulderJointWidth, body.basis.shoulderJointWidth === 'estimated'),
    },
  ];
  const halfPx = Math.max(
    (Math.max(restM, outerShoulderWidth / 2) + sizes.besideM) * pxPerM,
    // Where a width is too short for its figure this stands beside it.
    ...rows.map((row) => -levelExtent(-row.halfM * pxPerM, row.halfM * pxPerM, row.text)[0]),
  );
  const middlePx = halfPx + sizes.marginPx;
  const floorPx = highM * pxPerM + sizes.marginPx;
  const frame = makeFrame(pxPerM, middlePx, floorPx);
  const secondRow = floorPx + 2 * sizes.rowPx;
  const caption = sayWidths(base, shoulderJointWidth, units);
  return {
    caption,
    widthPx: rounded(2 * middlePx),
    heightPx: rounded(secondRow + sizes.marginPx),
    pxPerM,
    shapes: [
      // Behind the arms: seen where these do not stand under the shoulders.
      ...[-shoulderX, shoulderX].map((x) =>
        line('witness', frame.x(x), frame.y(joints.shoulder[1]), frame.x(x), secondRow),
      ),
      ...drawFrontBody(frame, body, joints, base, distances),
      ...(hasStrap ? [strapAcross(frame, body, joints, base)] : []),
      // Over the flesh that is pressed flat on it.
      ...(restY > 0.005
        ? hatchedBox(
            frame.x(-restM - 0.08),
            frame.y(restY),
            (2 * restM + 0.16) * pxPerM,
            restY * pxPerM,
          )
        : []),
      groundBody(2 * middlePx, floorPx),
      line('floor', sizes.marginPx / 2, floorPx, 2 * middlePx - sizes.marginPx / 2, floorPx),
      ...rows.flatMap(({ halfM, text: figure }, index) =>
        levelDimension(
          frame.x(-halfM),
          frame.x(halfM),
          floorPx + sizes.rowPx * (index + 1),
          floorPx + sizes.rowPx * index,
          figure,
        ),
      ),
    ],
    sentences: [`${label} from the front.`, caption],
  };
}

/** How far elbows or hands stand from under the shoulders. */
function sayWidths(base: FrontBase, shouldersM: number, units: LengthUnits): string {
  const what = base.kind === 'forearms' ? 'Elbows' : 'Hands';
  const figure = (metres: number) => `${formatFigure(metres, units)} ${units}`;
  const outM = (base.apart.metres - shouldersM) / 2;
  const side =
    Math.abs(outM) < 0.005
      ? 'straight under the shoulders'
      : `${figure(Math.abs(outM))} ${outM > 0 ? 'outside' : 'inside'} the shoulders on each side`;
  return `${what} ${figure(base.apart.metres)} apart, shoulder joints ${figure(shouldersM)}: ${side}.`;
}

/** The band round both upper arms, just above the elbows. */
function strapAcross(frame: Frame, body: Body, joints: FigureJoints, { apart }: FrontBase): Shape {
  const t = 0.24;
  const [elbowX, shoulderX] = [apart.metres / 2, body.lengths.shoulderJointWidth / 2];
  const x = elbowX + (shoulderX - elbowX) * t + body.lengths.upperArmThickness / 2;
  const y = joints.elbow[1] + (joints.shoulder[1] - joints.elbow[1]) * t;
  return line('strap', frame.x(-x), frame.y(y), frame.x(x), frame.y(y));
}
