/** Somebody measured from the side: pose, surroundings, and the tape where it lies. */
import type { Body } from '../../body/body';
import { chairSize } from '../../posture/chair';
import type { FigureJoints } from '../../posture/joints';
import { drawChair } from '../chair';
import { hatchedBox, hatchStrip } from '../dimensions';
import { listParts, partRoles } from '../figure/figure';
import { line, makeFrame, rectangle, type Frame, type Shape } from '../scene';
import { hatchPx, sidePx, tapeAt } from './tape';
import type { FromSide } from './taking';

export const frameOf = ({ lowM, highM, middleM }: FromSide['window']): Frame => {
  const pxPerM = sidePx / highM;
  return makeFrame(pxPerM, sidePx / 2 - middleM * pxPerM, sidePx + lowM * pxPerM);
};

export function drawSide(own: FromSide, body: Body): Shape[] {
  const { joints, tape, window, wall, book, marks = [], hasChair = false, isRound = false } = own;
  const frame = frameOf(window);
  const [fromX, fromY] = [frame.x(tape.from[0]), frame.y(tape.from[1])];
  const [toX, toY] = [frame.x(tape.to[0]), frame.y(tape.to[1])];
  const tapeShapes = tapeAt(fromX, fromY, toX, toY, isRound ? 4 : 0);
  const bookShapes = book === undefined ? [] : bookAt(frame, book);
  const parts = listParts(frame, body, joints);
  // What goes round the trunk goes under the arm.
  const nearArm = parts.findIndex(({ part }) => part === 'arm');
  const figure = (list: typeof parts): Shape[] =>
    list.map(({ part, pieces }) => ({ kind: 'path', role: partRoles[part], d: pieces.join('') }));
  return [
    ...(book?.isBehind === true ? bookShapes : []),
    ...(hasChair ? chairUnder(frame, joints) : []),
    ...figure(parts.slice(0, nearArm)),
    ...(isRound ? tapeShapes : []),
    ...figure(parts.slice(nearArm)),
    ...(book?.isBehind === true ? [] : bookShapes),
    ...(wall === undefined ? [] : wallAt(frame, wall)),
    ...groundAt(frame),
    ...marks.map(({ from, to }) =>
      line('dimension', frame.x(from[0]), frame.y(from[1]), frame.x(to[0]), frame.y(to[1])),
    ),
    ...(isRound ? [] : tapeShapes),
  ];
}

const bookAt = (frame: Frame, { low, high }: NonNullable<FromSide['book']>): Shape[] =>
  hatchedBox(
    frame.x(low[0]),
    frame.y(high[1]),
    frame.x(high[0]) - frame.x(low[0]),
    frame.y(low[1]) - frame.y(high[1]),
  );

function wallAt(frame: Frame, { x, behind }: NonNullable<FromSide['wall']>): Shape[] {
  const face = frame.x(x);
  const bottom = Math.min(frame.y(0), sidePx);
  const left = behind === 'left' ? face - hatchPx : face;
  // What a build would push through it stays out of sight.
  const beyond = behind === 'left' ? left - sidePx : left + hatchPx;
  return [
    rectangle('wallBody', beyond, 0, sidePx, sidePx),
    ...hatchStrip(left, 0, bottom, hatchPx),
    line('wall', face, 0, face, bottom),
  ];
}

function groundAt(frame: Frame): Shape[] {
  const floorPx = frame.y(0);
  if (floorPx >= sidePx) return [];
  return [
    rectangle('wallBody', 0, floorPx, sidePx, sidePx - floorPx),
    line('floor', 2, floorPx, sidePx - 2, floorPx),
  ];
}

/** How far the seat reaches behind who sits on it, metres. */
const seatBehindM = 0.14;

const chairUnder = (frame: Frame, { hip }: FigureJoints): Shape[] =>
  drawChair(frame, {
    frontX: hip[0] + chairSize.depthM - seatBehindM,
    backX: hip[0] - seatBehindM,
  });
