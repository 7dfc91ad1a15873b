/** A movement as a strip of pictures with arrows: for paper, and for whoever wants it still. */
import { resolveBody, type Body } from '../body/body';
import type { FigureJoints } from '../posture/joints';
import { drawChair } from './chair';
import { groundBody, hatchedBox, wallFace } from './dimensions';
import { drawFigure, extentOf, type Extent } from './figure/figure';
import { drawHelper, placeHelper, type Helper } from './helper';
import { rememberFor } from '../units/remember';
import { line, makeFrame, rounded, type Frame, type Scene, type Shape } from './scene';
import { openMove, type OpenMove } from '../atlas/open';
import type { HelpId } from '../atlas/help';
import type { Move } from '../atlas/move';

/** Drawings of movements show one body: they say what is done, not by whom. */
export const atlasBody: Body = resolveBody({ heightM: 1.7, massKg: 64 });

const sizes = {
  gapPx: 26,
  marginM: 0.05,
  topM: 0.05,
  hatchPx: 7,
  belowPx: 6,
  arrowPx: 12,
} as const;
/** A low figure is drawn no larger than this high a sheet allows, metres. */
const leastTopM = 0.65;
/** What stands round a figure, beyond its edge: hatching has a thickness. */
const roundM = 0.14;

/** How much room figures take with what stands round them. */
export function boxOf(
  figures: readonly FigureJoints[],
  { rests, chair, wall, isOnBack }: OpenMove,
  helper: Helper | null = null,
): Extent {
  const drawn = extentOf(atlasBody, figures, isOnBack ? -1 : 1);
  const helping = helper === null ? null : extentOf(atlasBody, [helper.joints]);
  const round = [
    ...rests.flatMap(({ left, right }) => [left, right]),
    ...(chair === undefined ? [] : [chair.frontX, chair.backX]),
    ...(wall === undefined ? [] : [wall.x]),
  ];
  const ends = [
    drawn.left - sizes.marginM,
    drawn.right + sizes.marginM,
    ...round.flatMap((x) => [x - roundM, x + roundM]),
    ...(helper === null || helping === null
      ? []
      : [helping.left - sizes.marginM, helping.right + sizes.marginM].map(
          (x) => helper.x + helper.way * x,
        )),
  ];
  return {
    left: Math.min(...ends),
    right: Math.max(...ends),
    top: Math.max(leastTopM, drawn.top + sizes.topM, (helping?.top ?? 0) + sizes.topM),
  };
}

/** What is between the hands: a block, or a strap. */
function drawInHands(frame: Frame, what: Move['inHands'], { wrist, fingertip }: FigureJoints) {
  if (what === undefined) return [];
  const [ax, ay] = [frame.x(wrist[0]), frame.y(wrist[1])];
  const [bx, by] = [frame.x(fingertip[0]), frame.y(fingertip[1])];
  if (what === 'strap') return [line('strap', ax, ay, (ax + bx) / 2, (ay + by) / 2)];
  const half = (0.115 / 2) * frame.pxPerM;
  return hatchedBox((ax + bx) / 2 - half, (ay + by) / 2 - half, 2 * half, 2 * half);
}

/** What stands round a movement, the figure in it, and who helps. */
export function drawFrame(
  frame: Frame,
  open: OpenMove,
  joints: FigureJoints,
  topM: number,
  more: { readonly inHands?: Move['inHands']; readonly helper?: Helper | null } = {},
): Shape[] {
  const { wall, chair, rests, isOnBack } = open;
  const helper =
    more.helper === undefined || more.helper === null
      ? { behind: [], hands: [] }
      : drawHelper(frame, atlasBody, more.helper);
  const floorY = frame.y(0);
  const wallX = wall === undefined ? 0 : frame.x(wall.x);
  return [
    ...helper.behind,
    ...(chair === undefined ? [] : drawChair(frame, chair)),
    ...rests.flatMap(({ left, right, top, bottom = 0 }) =>
      hatchedBox(
        frame.x(left),
        frame.y(top),
        (right - left) * frame.pxPerM,
        (top - bottom) * frame.pxPerM,
      ),
    ),
    ...drawInHands(frame, more.inHands, joints),
    ...drawFigure('figure', frame, atlasBody, joints, isOnBack ? -1 : 1),
    ...helper.hands,
    ...(wall === undefined ? [] : wallFace(wallX, wall.side, frame.y(topM), floorY, sizes.hatchPx)),
  ];
}

/** An arrow on to the next picture; with two heads where it goes back again. */
function arrow(x: number, y: number, isBoth: boolean): Shape[] {
  const half = sizes.arrowPx / 2;
  const head = (tip: number, way: 1 | -1) => [
    line('dimensionTick', tip, y, tip - way * 5, y - 4),
    line('dimensionTick', tip, y, tip - way * 5, y + 4),
  ];
  return [
    line('dimensionTick', x - half, y, x + half, y),
    ...head(x + half, 1),
    ...(isBoth ? head(x - half, -1) : []),
  ];
}

export interface StripOptions {
  /** Of the strip; its width follows from what it shows. */
  readonly heightPx: number;
  /** Drawn at the last pose of a way up, where somebody helps. */
  readonly help?: HelpId;
}

const strips = rememberFor<Move, Scene>();

/** Every pose of a movement side by side, to one scale. */
export const drawStrip = (move: Move, options: StripOptions): Scene =>
  strips(move, JSON.stringify(options), () => drawAnew(move, options));

function drawAnew(move: Move, { heightPx, help }: StripOptions): Scene {
  const open = openMove(atlasBody, move);
  const last = open.figures.length - 1;
  const helpers = open.figures.map((figure, index) =>
    help !== undefined && index === last ? placeHelper(atlasBody, figure, help, open) : null,
  );
  const boxes = open.figures.map((figure, index) => boxOf([figure], open, helpers[index] ?? null));
  const top = Math.max(...boxes.map((box) => box.top));
  const pxPerM = (heightPx - sizes.belowPx) / top;
  const floorPx = rounded(heightPx - sizes.belowPx);
  let atPx = 0;
  const shapes: Shape[] = [];
  const floors: Shape[] = [];
  // On top of all pictures: the body of a wall reaches into the gap where its arrow stands.
  const arrows: Shape[] = [];
  open.figures.forEach((figure, index) => {
    const { left, right } = boxes[index]!;
    const widthPx = (right - left) * pxPerM;
    const frame = makeFrame(pxPerM, atPx - left * pxPerM, floorPx);
    if (index > 0) {
      arrows.push(
        ...arrow(atPx - sizes.gapPx / 2, floorPx - heightPx * 0.3, move.goes === 'to-and-fro'),
      );
    }
    const helper = helpers[index] ?? null;
    shapes.push(...drawFrame(frame, open, figure, top, { inHands: move.inHands, helper }));
    floors.push(line('floor', atPx, floorPx, atPx + widthPx, floorPx));
    atPx += widthPx + sizes.gapPx;
  });
  const widthPx = rounded(atPx - sizes.gapPx);
  return {
    widthPx,
    heightPx,
    pxPerM,
    shapes: [...shapes, groundBody(widthPx, floorPx), ...floors, ...arrows],
    sentences: move.keys.map(({ words }, index) => `${index + 1}: ${words}.`),
  };
}
