import type { Body } from '../body/body';
import { shifted, type Point } from '../posture/joints';
import type { AlongLine } from '../setups/forearms';
import type { SetupId } from '../setups/registry';
import type { SetupResult } from '../setups/setup';
import type { DialValues } from '../shapes/dials';
import type { Loads } from '../shapes/loads';
import { beyondSentences, placeLoaded, withAround } from '../shapes/posed';
import type { ShapeId } from '../shapes/postures';
import { getShape } from '../shapes/registry';
import type { Placed, Rest, WallFace } from '../shapes/shape';
import { getDials } from '../shapes/values';
import { formatLength, type LengthUnits } from '../units/length';
import { drawChair } from './chair';
import { groundBody, hatchedBox, wallFace } from './dimensions';
import { drawFigure, extentOf, type Facing } from './figure/figure';
import { line, makeFrame, rounded, textWidth, type Frame, type Scene, type Shape } from './scene';
import { drawShapeDimensions } from './shapeDimensions';
import { drawTape, tapeHeightPx } from './tape';

/** A figure to compare with: another person or another shape, drawn as a ghost. */
export interface BenchGhost {
  readonly body: Body;
  readonly shape: ShapeId;
  readonly loads: Loads;
  /** How forearms and hands run, in shapes that have chosen hands; absent: flat. */
  readonly along?: AlongLine;
}

export interface BenchInput {
  readonly body: Body;
  readonly shape: ShapeId;
  readonly values: DialValues;
  readonly loads: Loads;
  readonly along?: AlongLine;
  readonly ghost?: BenchGhost;
  /** The set-up that the shape is posed from, with what it puts around the figure. */
  readonly solved?: { readonly setup: SetupId; readonly result: SetupResult };
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
/** Nobody stands higher than this on the hands, toes pointed; shares of height. */
const tallest = { upright: 1.28, low: 0.72, aboveM: 0.05 } as const;

/** How much height the view keeps: more only where somebody would be cut off. */
function heightOf({ body, shape, loads }: BenchGhost): number {
  const { joints } = loads.pose;
  const isLow = getShape(shape).isLow === true && joints.otherLeg === undefined;
  return Math.max(
    isLow ? view.lowM : view.highM,
    (isLow ? tallest.low : tallest.upright) * body.heightM,
    extentOf(body, [joints], facingOf(shape)).top + tallest.aboveM,
  );
}

/** A sheet of the same width for every shape, lower for shapes near the floor. */
export function benchSheet(shape: ShapeId): { widthPx: number; heightPx: number } {
  return { widthPx: 820, heightPx: getShape(shape).isLow ? 500 : 640 };
}

const facingOf = (shape: ShapeId): Facing => (getShape(shape).isOnBack ? -1 : 1);

/**
 * A figure where the scene's own zero is: the wall where the shape stands at one, so that the wall
 * stands still while a person moves; else the hands, elbows or shoulders.
 */
function place({ body, shape, loads, along }: BenchGhost) {
  const placed = placeLoaded(body, shape, loads, along);
  const dx = placed.wall === undefined ? 0 : -placed.wall.x;
  return { dx, placed: dx === 0 ? placed : shiftedPlace(body, shape, placed, dx) };
}

function shiftedPlace(
  body: Body,
  shape: ShapeId,
  placed: ReturnType<typeof placeLoaded>,
  dx: number,
): ReturnType<typeof placeLoaded> {
  const joints = shifted(placed.joints, dx, 0);
  const wall = placed.wall && { ...placed.wall, x: placed.wall.x + dx };
  const own = getShape(shape);
  const at: Placed = { joints, ...(wall === undefined ? {} : { wall }) };
  const chair = own.chair?.(joints);
  return {
    ...placed,
    ...at,
    ...(chair === undefined ? {} : { chair }),
    rests: own.supports?.(joints, body) ?? [],
    dimensions: own.dimensions(at, body),
  };
}

/** The bench: one set-up, large, to scale, with its loads, dials and dimensions. */
export function drawBench(input: BenchInput, options: BenchOptions): BenchScene {
  const { body, shape, values, loads, ghost, solved } = input;
  const { widthPx, heightPx, units } = options;
  const { isOnBack } = getShape(shape);
  const { dx, placed: own } = place(input);
  const { wall } = own;
  const below = tapeHeightPx + sizes.wedgePx + 3 * sizes.rowPx;
  const isWallAhead = wall?.side === 1;
  const isWallBehind = wall?.side === -1;
  const behindM = isWallBehind ? 0.12 : isWallAhead ? 1.5 : view.behindM;
  const aheadM = isWallAhead ? 0.12 : isWallBehind ? 1.75 : view.aheadM;
  const reachM = isOnBack ? 1.55 : 0;
  const highM = Math.max(heightOf(input), ghost === undefined ? 0 : heightOf(ghost));
  const spanM = behindM + Math.max(aheadM, reachM);
  const pxPerM = Math.min((widthPx - 2 * sizes.sidePx) / spanM, (heightPx - below) / highM);
  const floorPx = rounded(heightPx - below);
  const zeroPx = rounded((widthPx - spanM * pxPerM) / 2 + behindM * pxPerM);
  const frame = makeFrame(pxPerM, zeroPx, floorPx);

  const { joints } = own;
  const around = withAround(own, solved?.setup, solved?.result ?? null, body);
  const marks = getDials(shape).flatMap((dial): BenchMark[] => {
    const { mark, parameter } = dial;
    if (!mark) return [];
    const [x, y] = mark.at(joints, values[parameter]!);
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
      ...(around.chair === undefined ? [] : drawChair(frame, around.chair)),
      ...drawRests(frame, around.rests),
      ...(ghost
        ? drawFigure('ghost', frame, ghost.body, place(ghost).placed.joints, facingOf(ghost.shape))
        : []),
      ...drawFigure('figure', frame, body, joints, facingOf(shape)),
      ...drawPlumb(frame, loads, dx),
      ...drawWall(frame, highM, around.wall),
      groundBody(widthPx, floorPx),
      line('floor', 0, floorPx, widthPx, floorPx),
      ...drawTape(frame, Math.floor((zeroPx / pxPerM) * 20) / 20, units),
      ...(isWallBehind ? drawTapeAhead(frame, widthPx, units) : []),
      ...drawWedges(frame, loads, dx),
      ...drawShapeDimensions(frame, around.dimensions, {
        units,
        textPx: sizes.textPx,
        rowY: frame.y(0) + tapeHeightPx + sizes.wedgePx + 2 * sizes.rowPx + 4,
        rowStepPx: 22,
        witnessPx: 16,
        ...(solved === undefined ? {} : { distances: solved.result.distances }),
      }),
    ],
    sentences: [...describeLoads(loads, units), ...beyondSentences(loads)],
  };
}

function drawWall(frame: Frame, highM: number, wall: WallFace | undefined): Shape[] {
  if (wall === undefined) return [];
  return wallFace(frame.x(wall.x), wall.side, frame.y(highM), frame.y(0), sizes.hatchPx);
}

/** Marks counted from a wall on the left, out into the room. */
function drawTapeAhead(frame: Frame, widthPx: number, units: LengthUnits): Shape[] {
  const mirrored = makeFrame(-frame.pxPerM, frame.x(0), frame.y(0));
  const flipped: Frame = { ...mirrored, y: frame.y };
  const length = Math.floor(((widthPx - frame.x(0)) / frame.pxPerM) * 20) / 20;
  return drawTape(flipped, length, units);
}

function drawRests(frame: Frame, rests: readonly Rest[]): Shape[] {
  return rests
    .filter(({ top, bottom = 0 }) => top - bottom > 0.005)
    .flatMap(({ left, right, top, bottom = 0 }) =>
      hatchedBox(
        frame.x(left),
        frame.y(top),
        (right - left) * frame.pxPerM,
        (top - bottom) * frame.pxPerM,
      ),
    );
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
function describeLoads(loads: Loads, units: LengthUnits): string[] {
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
