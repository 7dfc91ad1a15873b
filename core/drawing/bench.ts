import type { Body } from '../body/body';
import type { FamilyId } from '../posture/families';
import { getDials, type DialValues } from '../posture/handles';
import { shifted, type FigureJoints, type Point } from '../posture/joints';
import type { Loads } from '../posture/loads';
import { formatFigure, formatLength, type LengthUnits } from '../units/length';
import {
  groundBody,
  hatchedBox,
  hatchStrip,
  levelDimension,
  uprightDimension,
  type DimensionText,
} from './dimensions';
import { drawFigure, type Facing } from './figure';
import { line, makeFrame, rounded, textWidth, type Frame, type Scene, type Shape } from './scene';
import { drawTape, tapeHeightPx } from './tape';

/** A figure to compare with: another person or another shape, drawn as a ghost. */
export interface BenchGhost {
  readonly body: Body;
  readonly family: FamilyId;
  readonly loads: Loads;
}

export interface BenchInput {
  readonly body: Body;
  readonly family: FamilyId;
  readonly values: DialValues;
  readonly loads: Loads;
  readonly ghost?: BenchGhost;
}

export interface BenchOptions {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly units: LengthUnits;
}

/** Where a dial's mark lies in drawing units, and what a pixel is worth. */
export interface BenchMark {
  readonly parameter: string;
  readonly x: number;
  readonly y: number;
  readonly axis: 'x' | 'y';
  /** Change of the parameter per pixel to the right, or up. */
  readonly perPx: number;
}

export interface BenchScene extends Scene {
  readonly marks: readonly BenchMark[];
}

const sizes = { textPx: 17, wedgePx: 30, hatchPx: 12, rowPx: 28, sidePx: 70 } as const;
/** Room the view keeps so that the scale does not jump while something is dragged, metres. */
const view = { behindM: 1.75, aheadM: 0.95, highM: 2.15, lowM: 1.3 } as const;

const lowShapes: readonly FamilyId[] = [
  'plank',
  'kneePlank',
  'dog',
  'shortDog',
  'raisedDog',
  'dolphin',
  'headstandBase',
  'crow',
  'liftedTuck',
  'plough',
];

/** A sheet of the same width for every shape, lower for shapes near the floor. */
export function benchSheet(family: FamilyId): { widthPx: number; heightPx: number } {
  return { widthPx: 820, heightPx: lowShapes.includes(family) ? 500 : 640 };
}

const supine: readonly FamilyId[] = ['shoulderStand', 'plough'];
export const facingOf = (family: FamilyId): Facing => (supine.includes(family) ? -1 : 1);

/**
 * Where the scene's own zero lies: the wall where there is one, so that the wall stands still while
 * a person moves; else the hands, elbows or shoulders.
 */
export function anchor(loads: Loads): number {
  return loads.pose.wall ? -loads.pose.wall.at[0] : 0;
}

/** A head that does not clear the floor rests on it: the neck gives, the floor does not. */
export function headUp(joints: FigureJoints): FigureJoints {
  const [x, y] = joints.crown;
  return y >= 0 ? joints : { ...joints, crown: [x, 0] };
}

/** The bench: one set-up, large, to scale, with its loads, dials and dimensions. */
export function drawBench(input: BenchInput, options: BenchOptions): BenchScene {
  const { body, family, values, loads, ghost } = input;
  const { widthPx, heightPx, units } = options;
  const { wall } = loads.pose;
  const below = tapeHeightPx + sizes.wedgePx + 3 * sizes.rowPx;
  const isWallAhead = wall?.side === 1;
  const isWallBehind = wall?.side === -1;
  const behindM = isWallBehind ? 0.12 : isWallAhead ? 1.5 : view.behindM;
  const aheadM = isWallAhead ? 0.12 : isWallBehind ? 1.75 : view.aheadM;
  const reachM = supine.includes(family) ? 1.55 : 0;
  const highM = lowShapes.includes(family) ? view.lowM : view.highM;
  const spanM = behindM + Math.max(aheadM, reachM);
  const pxPerM = Math.min((widthPx - 2 * sizes.sidePx) / spanM, (heightPx - below) / highM);
  const floorPx = rounded(heightPx - below);
  const zeroPx = rounded((widthPx - spanM * pxPerM) / 2 + behindM * pxPerM);
  const frame = makeFrame(pxPerM, zeroPx, floorPx);

  const dx = anchor(loads);
  const joints = headUp(shifted(loads.pose.joints, dx, 0));
  const marks = getDials(family).flatMap((dial): BenchMark[] => {
    const { mark, parameter } = dial;
    if (!mark) return [];
    const [x, y] = mark.at(joints, values[parameter]);
    const at: Point = parameter === 'baseM' ? [dx, 0] : [x, y];
    return [
      {
        parameter,
        x: frame.x(at[0]),
        y: frame.y(at[1]),
        axis: mark.axis,
        perPx: mark.sign / pxPerM,
      },
    ];
  });
  return {
    widthPx,
    heightPx,
    pxPerM,
    marks,
    shapes: [
      ...drawSupports(frame, input, joints),
      ...(ghost
        ? drawFigure(
            'ghost',
            frame,
            ghost.body,
            headUp(shifted(ghost.loads.pose.joints, anchor(ghost.loads), 0)),
            facingOf(ghost.family),
          )
        : []),
      ...drawFigure('figure', frame, body, joints, facingOf(family)),
      ...drawPlumb(frame, loads, dx),
      ...drawWall(frame, highM, wall?.side),
      groundBody(widthPx, floorPx),
      line('floor', 0, floorPx, widthPx, floorPx),
      ...drawTape(frame, Math.floor((zeroPx / pxPerM) * 20) / 20, units),
      ...(isWallBehind ? drawTapeAhead(frame, widthPx, units) : []),
      ...drawWedges(frame, loads, dx),
      ...drawDimensions(frame, input, joints, dx, units),
    ],
    sentences: describeLoads(loads, units),
  };
}

function drawWall(frame: Frame, highM: number, side: 1 | -1 | undefined): Shape[] {
  if (side === undefined) return [];
  const [top, bottom, x] = [frame.y(highM), frame.y(0), frame.x(0)];
  return [
    ...hatchStrip(side === 1 ? x : x - sizes.hatchPx, top, bottom, sizes.hatchPx),
    line('wall', x, top, x, bottom),
  ];
}

/** Marks counted from a wall on the left, out into the room. */
function drawTapeAhead(frame: Frame, widthPx: number, units: LengthUnits): Shape[] {
  const mirrored = makeFrame(-frame.pxPerM, frame.x(0), frame.y(0));
  const flipped: Frame = { ...mirrored, y: frame.y };
  const length = Math.floor(((widthPx - frame.x(0)) / frame.pxPerM) * 20) / 20;
  return drawTape(flipped, length, units);
}

function drawSupports(frame: Frame, { family, values }: BenchInput, joints: FigureJoints): Shape[] {
  const box = (left: number, right: number, high: number) =>
    high <= 0.005
      ? []
      : hatchedBox(
          frame.x(left),
          frame.y(high),
          (right - left) * frame.pxPerM,
          high * frame.pxPerM,
        );
  switch (family) {
    case 'raisedDog':
      return box(joints.heel[0] - 0.28, joints.heel[0] + 0.12, values.supportHeightM);
    case 'liftedTuck':
      return box(joints.wrist[0] - 0.05, joints.wrist[0] + 0.18, values.blockM);
    case 'shoulderStand':
      return box(joints.elbow[0] - 0.12, joints.shoulder[0] + 0.06, values.platformM);
    case 'plough':
      return [
        ...box(joints.elbow[0] - 0.12, joints.shoulder[0] + 0.06, values.platformM),
        ...box(joints.heel[0] - 0.12, joints.heel[0] + 0.28, values.toeSupportM),
      ];
    default:
      return [];
  }
}

/** The plumb line of the centre of mass: where the weight stands. */
function drawPlumb(frame: Frame, { centreOfMass: [x, y] }: Loads, dx: number): Shape[] {
  const at = frame.x(x + dx);
  const r = 6;
  const cy = frame.y(y);
  return [
    line('angle', at, cy, at, frame.y(0)),
    {
      kind: 'path',
      role: 'plumb',
      d: `M${at - r},${cy}A${r},${r} 0 1 1 ${at + r},${cy}A${r},${r} 0 1 1 ${at - r},${cy}Z`,
    },
  ];
}

/**
 * Each contact's share as a wedge under the floor, its size the load. Figures that would touch step
 * down a line, so that head and forearms close together can both be read.
 */
function drawWedges(frame: Frame, { contacts, pose }: Loads, dx: number): Shape[] {
  const top = frame.y(0) + tapeHeightPx + 6;
  const placed = contacts
    .flatMap(({ name, verticalPercent }) => {
      const floor = pose.floor.find((contact) => contact.name === name);
      const share = verticalPercent.nominal;
      return floor
        ? [{ share, x: frame.x(floor.nominal + dx), text: `${Math.round(share)} %` }]
        : [];
    })
    .sort((a, b) => a.x - b.x);
  const ends = [-Infinity, -Infinity, -Infinity];
  return placed.flatMap(({ share, x, text }): Shape[] => {
    const half = 4 + 0.16 * share;
    const height = 6 + (sizes.wedgePx - 12) * (share / 100);
    const textHalf = textWidth(text, sizes.textPx) / 2;
    const row = Math.max(
      0,
      ends.findIndex((end) => x - textHalf > end + 4),
    );
    ends[row] = x + textHalf;
    return [
      {
        kind: 'path',
        role: 'figureEdge',
        d: `M${x},${rounded(top)}L${rounded(x + half)},${rounded(top + height)}H${rounded(x - half)}Z`,
      },
      {
        kind: 'text',
        role: 'loadText',
        text,
        sizePx: sizes.textPx,
        anchor: 'middle',
        x,
        y: rounded(top + sizes.wedgePx + sizes.textPx * (0.8 + row)),
      },
    ];
  });
}

function drawDimensions(
  frame: Frame,
  { family, values }: BenchInput,
  joints: FigureJoints,
  dx: number,
  units: LengthUnits,
): Shape[] {
  const floor = frame.y(0);
  const rowY = floor + tapeHeightPx + sizes.wedgePx + 2 * sizes.rowPx + 4;
  const text = (metres: number): DimensionText => ({
    text: formatFigure(metres, units),
    sizePx: sizes.textPx,
    isEstimated: false,
  });
  const level = (a: number, b: number, metres: number) =>
    metres < 0.005
      ? []
      : levelDimension(
          Math.min(frame.x(a), frame.x(b)),
          Math.max(frame.x(a), frame.x(b)),
          rowY,
          rowY - 16,
          text(metres),
        );
  const upright = (x: number, metres: number) =>
    metres < 0.005
      ? []
      : uprightDimension(frame.x(x), floor, frame.y(metres), frame.x(x) + 14, text(metres));
  switch (family) {
    case 'dog':
    case 'raisedDog':
      return [
        ...level(joints.heel[0], joints.heel[0] + values.stanceM, values.stanceM),
        ...(values.supportHeightM ? upright(joints.heel[0] - 0.34, values.supportHeightM) : []),
      ];
    case 'dolphin':
      return level(joints.heel[0], dx, values.elbowToBallM);
    case 'headstandBase':
      return level(joints.heel[0], dx, values.headToBallM);
    case 'shortDog':
      return level(dx - values.baseM, dx, values.baseM);
    case 'wallL':
    case 'forearmWallL':
      return [...level(dx, 0, values.baseM), ...upright(joints.hip[0] + 0.42, values.footHeightM)];
    case 'handstandWall':
    case 'forearmStandWall':
      return level(dx, 0, values.baseM);
    case 'liftedTuck':
      return upright(joints.wrist[0] + 0.34, values.blockM);
    case 'shoulderStand':
      return upright(joints.elbow[0] - 0.22, values.platformM);
    case 'plough':
      return [
        ...upright(joints.elbow[0] - 0.34, values.platformM),
        ...upright(joints.heel[0] + 0.46, values.toeSupportM),
      ];
    default:
      return [];
  }
}

const contactWords = {
  hands: 'hands',
  forearms: 'forearms',
  feet: 'feet',
  knees: 'knees',
  head: 'head',
  shoulders: 'shoulders',
  wallFeet: 'feet on the wall',
} as const;

/** The drawing as a list of sentences, whole numbers only. */
export function describeLoads(loads: Loads, units: LengthUnits): string[] {
  const sentences = loads.contacts.map(({ name, verticalPercent: v }) => {
    const range = `${Math.round(v.low)} to ${Math.round(v.high)}`;
    return `The ${contactWords[name]} carry ${Math.round(v.nominal)} percent of body weight (${range}).`;
  });
  const { leanDeg } = loads.angles;
  if (leanDeg !== undefined) sentences.push(`One line leans ${Math.round(leanDeg)} degrees.`);
  if (loads.headClearanceM !== undefined) {
    sentences.push(
      loads.headClearanceM <= 0
        ? 'The head does not clear the floor.'
        : `The head clears the floor by ${formatLength(loads.headClearanceM, units)}.`,
    );
  }
  return sentences;
}
