/** A movement as one picture that moves. */
import type { HelpId } from '../atlas/help';
import type { Move } from '../atlas/move';
import { figureOn, listSteps, openMove, type OpenMove } from '../atlas/open';
import { pointsOf, type FigureJoints } from '../posture/joints';
import { placeHelper, type Helper } from './helper';
import { groundBody } from './dimensions';
import { line, makeFrame, rounded, type Frame, type Scene } from './scene';
import { atlasBody, boxOf, drawFrame } from './strip';

export interface Stage {
  readonly move: Move;
  readonly open: OpenMove;
  readonly helper: Helper | null;
  readonly frame: Frame;
  readonly topM: number;
  readonly widthPx: number;
  readonly heightPx: number;
}

const belowPx = 6;
/** Frames looked at on the way from one pose to the next. */
const looks = 8;

/** The poses, and every frame on the way that reaches further than they do: a leg swings high. */
function furthest(move: Move, open: OpenMove): FigureJoints[] {
  const poses = open.figures.flatMap(pointsOf);
  const left = Math.min(...poses.map(([x]) => x));
  const right = Math.max(...poses.map(([x]) => x));
  const top = Math.max(...poses.map(([, y]) => y));
  const between = listSteps(move).flatMap((step) =>
    Array.from({ length: looks - 1 }, (_, index) => figureOn(open, step, (index + 1) / looks)),
  );
  return [
    ...open.figures,
    ...between.filter((figure) =>
      pointsOf(figure).some(([x, y]) => x < left || x > right || y > top),
    ),
  ];
}

/**
 * Room enough for all of a movement, so that the picture stands still while the figure moves.
 *
 * @param help given at the last pose
 */
export function openStage(move: Move, heightPx: number, help?: HelpId): Stage {
  const open = openMove(atlasBody, move);
  const helper =
    help === undefined ? null : placeHelper(atlasBody, open.figures.at(-1)!, help, open);
  const box = boxOf(furthest(move, open), open, helper);
  const pxPerM = (heightPx - belowPx) / box.top;
  return {
    move,
    open,
    helper,
    topM: box.top,
    frame: makeFrame(pxPerM, -box.left * pxPerM, heightPx - belowPx),
    widthPx: rounded((box.right - box.left) * pxPerM),
    heightPx,
  };
}

/** The picture with the figure as it is at some moment. */
export function drawMoment(stage: Stage, figure: FigureJoints, isHelped: boolean): Scene {
  const { move, open, helper, frame, topM, widthPx, heightPx } = stage;
  const floorPx = heightPx - belowPx;
  return {
    widthPx,
    heightPx,
    pxPerM: frame.pxPerM,
    shapes: [
      ...drawFrame(frame, open, figure, topM, {
        inHands: move.inHands,
        helper: isHelped ? helper : null,
      }),
      groundBody(widthPx, floorPx),
      line('floor', 0, floorPx, widthPx, floorPx),
    ],
    sentences: move.keys.map(({ words }, index) => `${index + 1}: ${words}.`),
  };
}
