/** A movement as one picture that moves. */
import type { HelpId } from '../atlas/help';
import type { Move } from '../atlas/move';
import { openMove, type OpenMove } from '../atlas/open';
import type { FigureJoints } from '../posture/joints';
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

/**
 * Room enough for all of a movement, so that the picture stands still while the figure moves.
 *
 * @param help given at the last pose
 */
export function openStage(move: Move, heightPx: number, help?: HelpId): Stage {
  const open = openMove(atlasBody, move);
  const helper =
    help === undefined ? null : placeHelper(atlasBody, open.figures.at(-1)!, help, open);
  const box = boxOf(open.figures, open, helper);
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
