/**
 * Whoever stands upside down, seen from the room: what the side cannot show, elbows or hands against
 * the shoulders, and the feet apart. To scale, from the same posture and the same list of distances.
 */
import type { Body } from '../body/body';
import type { FigureJoints, Point } from '../posture/joints';
import type { Distance, DistanceId } from '../setups/distance';
import { bodyAlongWall, forearmKickSetup } from '../setups/forearmKick';
import { getSetup } from '../setups/registry';
import type { SetupInput, SetupResult } from '../setups/setup';
import { solveStage } from '../setups/solveStage';
import { formatFigure, type LengthUnits } from '../units/length';
import { groundBody, hatchedBox, levelDimension, levelExtent } from './dimensions';
import { poseKick } from './elevation';
import { buildFactor, flesh, thighFlesh } from './figure/flesh';
import { limb, toPath, type Station } from './figure/outline';
import { line, makeFrame, rounded, type Frame, type Scene, type Shape } from './scene';
import { poseStage, type DrawnStage } from './stageSide';

/** Shares of height that shape the picture from the front; no figure rests on them. */
const front = {
  hipHalf: 0.05,
  feetHalf: 0.026,
  footLong: 0.05,
  headHalf: 0.045,
  headLong: 0.064,
  handLong: 0.03,
} as const;

/** Half-widths of the trunk from shoulders to hips, as shares of half the shoulders' breadth. */
const trunkShares = [
  [0, 0.8],
  [0.16, 0.84],
  [0.4, 0.7],
  [0.62, 0.64],
  [0.85, 0.76],
  [1, 0.78],
] as const;

const sizes = { textPx: 15, rowPx: 28, marginPx: 8, besideM: 0.16 } as const;

export interface FrontOptions {
  readonly pxPerM: number;
  readonly units: LengthUnits;
}

/** What the arms stand on, and how far apart. */
interface Base {
  readonly kind: 'forearms' | 'hands';
  readonly apart: Distance;
}

function baseOf(distances: readonly Distance[]): Base | null {
  const find = (id: DistanceId) => distances.find((one) => one.id === id);
  const elbows = find('elbowWidth');
  if (elbows !== undefined) return { kind: 'forearms', apart: elbows };
  const hands = find('handWidth');
  return hands === undefined ? null : { kind: 'hands', apart: hands };
}

/** Both sides of a bone seen along the body: as wide as the mean of front and back. */
const evenly = (stations: readonly Station[]): Station[] =>
  stations.map(([t, ahead, back]) => [t, (ahead + back) / 2, (ahead + back) / 2]);

const mirrored = ([x, y]: Point): Point => [-x, y];

/** An oval round its middle, metres. */
const oval = (frame: Frame, [x, y]: Point, halfX: number, halfY: number): string =>
  toPath(
    frame,
    Array.from({ length: 12 }, (_, index): Point => {
      const turn = (index / 12) * 2 * Math.PI;
      return [x + halfX * Math.cos(turn), y + halfY * Math.sin(turn)];
    }),
  );

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
): Scene | null {
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
  base: Base,
  { distances }: SetupResult,
  label: string,
  { pxPerM, units }: FrontOptions,
): Scene {
  const H = body.heightM;
  const { shoulderJointWidth, outerShoulderWidth } = body.lengths;
  const restM = base.apart.metres / 2;
  const highM = Math.max(joints.toe[1], joints.heel[1], joints.ankle[1]) + front.footLong * H;
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
  return {
    widthPx: rounded(2 * middlePx),
    heightPx: rounded(secondRow + sizes.marginPx),
    pxPerM,
    shapes: [
      // Behind the arms: seen where these do not stand under the shoulders.
      ...[-shoulderX, shoulderX].map((x) =>
        line('witness', frame.x(x), frame.y(joints.shoulder[1]), frame.x(x), secondRow),
      ),
      ...drawBody(frame, body, joints, base, distances),
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
    sentences: [`${label} from the front.`, sayWidths(base, shoulderJointWidth, units)],
  };
}

/** How far elbows or hands stand from under the shoulders. */
export function sayWidths(base: Base, shouldersM: number, units: LengthUnits): string {
  const what = base.kind === 'forearms' ? 'Elbows' : 'Hands';
  const figure = (metres: number) => `${formatFigure(metres, units)} ${units}`;
  const outM = (base.apart.metres - shouldersM) / 2;
  const side =
    Math.abs(outM) < 0.005
      ? 'straight under the shoulders'
      : `${figure(Math.abs(outM))} ${outM > 0 ? 'outside' : 'inside'} the shoulders on each side`;
  return `${what} ${figure(base.apart.metres)} apart, shoulder joints ${figure(shouldersM)}: ${side}.`;
}

function drawBody(
  frame: Frame,
  body: Body,
  joints: FigureJoints,
  base: Base,
  distances: readonly Distance[],
): Shape[] {
  const H = body.heightM;
  const wideM = H * buildFactor(body);
  const { outerShoulderWidth, shoulderJointWidth, palmBreadth } = body.lengths;
  const feetM = distances.find(({ id }) => id === 'feetApart')?.metres;
  const hipX = front.hipHalf * H;
  const ankleX = feetM === undefined ? front.feetHalf * H : feetM / 2;
  const kneeX = (hipX + ankleX) / 2;
  const restX = base.apart.metres / 2;
  const wristX = (distances.find(({ id }) => id === 'wristSpacing')?.metres ?? 2 * restX) / 2;
  const shoulder: Point = [shoulderJointWidth / 2, joints.shoulder[1]];
  const path = (role: Shape['role'], ...pieces: readonly string[]): Shape => ({
    kind: 'path',
    role,
    d: pieces.join(''),
  });
  const both = (outlines: (side: (point: Point) => Point) => readonly string[]) => [
    ...outlines((point) => point),
    ...outlines(mirrored),
  ];
  const thigh = evenly(thighFlesh(body));
  const leg = (
    { knee, ankle }: Pick<FigureJoints, 'knee' | 'ankle'>,
    side: (p: Point) => Point,
  ) => {
    const foot: Point = [ankleX, ankle[1] + front.footLong * H];
    return [
      limb(side([hipX, joints.hip[1]]), side([kneeX, knee[1]]), thigh, wideM),
      limb(side([kneeX, knee[1]]), side([ankleX, ankle[1]]), evenly(flesh.shank), wideM),
      limb(
        side([ankleX, ankle[1]]),
        side(foot),
        [
          [0, 0.02, 0.02],
          [1, 0.026, 0.026],
        ],
        H,
      ),
    ].map((outline) => toPath(frame, outline));
  };
  const half = outerShoulderWidth / 2;
  const trunk = limb(
    [0, joints.shoulder[1]],
    [0, joints.hip[1]],
    trunkShares.map(([t, share]) => [
      t,
      share * half * (t > 0.3 ? buildFactor(body) : 1),
      share * half * (t > 0.3 ? buildFactor(body) : 1),
    ]),
    1,
  );
  const elbow: Point = [
    restX,
    base.kind === 'forearms' ? joints.elbow[1] : (joints.elbow[1] + joints.wrist[1]) / 2,
  ];
  const forearmsAway = both((side) => [
    toPath(
      frame,
      limb(
        side([restX, joints.elbow[1]]),
        side([wristX, joints.wrist[1]]),
        evenly(flesh.forearm),
        wideM,
      ),
    ),
    oval(frame, side([wristX, joints.wrist[1]]), palmBreadth / 2, (front.handLong * H) / 2),
  ]);
  const wrist: Point = [restX, joints.wrist[1]];
  const straightElbow: Point = [(wrist[0] + shoulder[0]) / 2, (wrist[1] + shoulder[1]) / 2];
  const arms =
    base.kind === 'forearms'
      ? both((side) => [
          toPath(frame, limb(side(shoulder), side(elbow), evenly(flesh.upperArm), wideM)),
        ])
      : both((side) => [
          toPath(frame, limb(side(shoulder), side(straightElbow), evenly(flesh.upperArm), wideM)),
          toPath(
            frame,
            limb(
              side(straightElbow),
              side(wrist),
              [...evenly(flesh.forearm)].reverse().map(([t, a, b]) => [1 - t, a, b] as const),
              wideM,
            ),
          ),
          oval(frame, side([wrist[0], wrist[1] + 0.012]), palmBreadth * 0.62, 0.014),
        ]);
  const crownY = joints.crown[1];
  const head: Point = [0, crownY + front.headLong * H];
  const { otherLeg } = joints;
  return [
    ...(base.kind === 'forearms' ? [path('figureFar', ...forearmsAway)] : []),
    ...(otherLeg === undefined ? [] : [path('figureFar', ...leg(otherLeg, mirrored))]),
    path(
      'figureEdge',
      ...leg(joints, (point) => point),
      ...(otherLeg === undefined ? leg(joints, mirrored) : []),
    ),
    path(
      'figureTrunk',
      toPath(frame, trunk),
      toPath(
        frame,
        limb(
          [0, joints.shoulder[1]],
          head,
          [
            [0, 0.034, 0.034],
            [1, 0.028, 0.028],
          ],
          H,
        ),
      ),
    ),
    path('figureEdge', ...arms),
    path('figureFace', oval(frame, head, front.headHalf * H, front.headLong * H)),
    path('figure', hairFromFront(frame, head, H)),
  ];
}

/** Hair over the crown, to a line across the brow: which end is up is told by shape alone. */
function hairFromFront(frame: Frame, [x, y]: Point, H: number): string {
  const [halfX, halfY] = [front.headHalf * H * 1.06, front.headLong * H * 1.04];
  const at = (angleDeg: number): string => {
    const a = (angleDeg * Math.PI) / 180;
    return `${frame.x(x + halfX * Math.cos(a))},${frame.y(y + halfY * Math.sin(a))}`;
  };
  const [rx, ry] = [halfX, halfY].map((metres) => rounded(metres * frame.pxPerM));
  const dip = frame.y(y - halfY * 0.42);
  // The crown is down: from one temple round under it to the other, and back along the brow.
  return `M${at(-160)}A${rx},${ry} 0 0 0 ${at(-20)}Q${frame.x(x)},${dip} ${at(-160)}Z`;
}

/** The band round both upper arms, just above the elbows. */
function strapAcross(frame: Frame, body: Body, joints: FigureJoints, { apart }: Base): Shape {
  const t = 0.24;
  const [elbowX, shoulderX] = [apart.metres / 2, body.lengths.shoulderJointWidth / 2];
  const x = elbowX + (shoulderX - elbowX) * t + body.lengths.upperArmThickness / 2;
  const y = joints.elbow[1] + (joints.shoulder[1] - joints.elbow[1]) * t;
  return line('strap', frame.x(-x), frame.y(y), frame.x(x), frame.y(y));
}
