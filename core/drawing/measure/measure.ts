/**
 * How each measure is taken, as a small picture: the pose its words ask for, the wall, book or chair
 * they name, and the tape where it lies. On a body of usual proportions.
 */
import { resolveBody, type Body } from '../../body/body';
import { isGirth, takenTable, type TakenId } from '../../body/taken';
import type { FigureJoints } from '../../posture/joints';
import { hatchedBox, hatchStrip } from '../dimensions';
import { partRoles } from '../figure/figure';
import { listFrontParts, usualFeetM } from '../figure/frontBody';
import { line, rounded, type Frame, type Scene, type Shape } from '../scene';
import { fist, lyingArm, openHand } from './outlines';
import { standing } from './poses';
import { drawSide } from './side';
import { takeGirth, takings, type FromFront, type OutlineId, type Taking } from './taking';
import { hatchPx, sidePx, tapeAt } from './tape';

const bookM = 0.03;

/** A usual adult: the pictures show where, not how much. */
const measured = (): Body => resolveBody({ heightM: 1.7, massKg: 62 });

/** How a measure is taken of a body, in metres: what the picture shows. */
export const takingOf = (id: TakenId, body: Body): Taking =>
  isGirth(id) ? takeGirth(id, body) : takings[id](body);

/** Upright, from the front: the figure is drawn hands down, so its picture is turned over. */
function drawStanding({ acrossM, isBetween }: FromFront, body: Body): Shape[] {
  const highM = 0.84;
  const pxPerM = sidePx / highM;
  const middle = sidePx / 2;
  const { shoulder, crown, hip, ...joints } = standing(body, 'hanging');
  const topM = crown[1] + 0.06;
  const frame: Frame = {
    pxPerM,
    x: (metres) => rounded(middle + metres * pxPerM),
    y: (metres) => rounded(metres * pxPerM),
  };
  const down = ([x, y]: readonly [number, number]) => [x, topM - y] as const;
  const turned: FigureJoints = {
    ...joints,
    shoulder: down(shoulder),
    crown: down(crown),
    hip: down(hip),
    elbow: down(joints.elbow),
    wrist: down(joints.wrist),
    knee: down(joints.knee),
    ankle: down(joints.ankle),
  };
  const half = acrossM / 2;
  const shoulderPx = frame.y(topM - shoulder[1]);
  const parts = listFrontParts(frame, body, turned, {
    kind: 'hands',
    apartM: body.lengths.outerShoulderWidth + 0.03,
    wristM: 0,
    feetM: usualFeetM(body),
  });
  return [
    ...parts.flatMap(({ part, pieces }): Shape[] =>
      pieces.length === 0 ? [] : [{ kind: 'path', role: partRoles[part], d: pieces.join('') }],
    ),
    ...(isBetween
      ? [
          ...hatchStrip(frame.x(-half) - hatchPx, 0, sidePx, hatchPx),
          line('wall', frame.x(-half), 0, frame.x(-half), sidePx),
          ...hatchedBox(frame.x(half), shoulderPx - 16, bookM * pxPerM, 44),
        ]
      : []),
    ...tapeAt(frame.x(-half), shoulderPx, frame.x(half), shoulderPx),
  ];
}

/** The tape of each picture that is not to scale. */
function drawAbove(of: OutlineId, body: Body): Shape[] {
  const hand: Shape = { kind: 'path', role: 'figure', d: openHand.d };
  const crease = (y: number): Shape => line('figureFold', 50, y, 106, y);
  const beside = 118;
  switch (of) {
    case 'hand':
      return [
        hand,
        crease(openHand.creaseY),
        ...tapeAt(beside, openHand.creaseY, beside, openHand.middleTipY),
      ];
    case 'palmBreadth': {
      const { y, left, right } = openHand.knuckles;
      return [hand, ...tapeAt(left, y, right, y)];
    }
    case 'thumb': {
      const { tip, web } = openHand.thumb;
      return [hand, ...tapeAt(tip[0], tip[1], web[0], web[1])];
    }
    case 'knuckle':
      return [
        { kind: 'path', role: 'figure', d: fist.d },
        crease(fist.creaseY),
        ...tapeAt(80, fist.creaseY, 80, fist.knuckleY),
      ];
    case 'upperArmThickness': {
      const { pieces, tape } = lyingArm(body, sidePx);
      return [
        { kind: 'path', role: 'figure', d: pieces.join('') },
        ...tapeAt(tape.x, tape.top, tape.x, tape.bottom),
      ];
    }
    default:
      return of satisfies never;
  }
}

function shapesOf(taking: Taking, body: Body): Shape[] {
  switch (taking.kind) {
    case 'side':
      return drawSide(taking, body);
    case 'front':
      return drawStanding(taking, body);
    case 'above':
      return drawAbove(taking.of, body);
    default:
      return taking satisfies never;
  }
}

/** How one measure is taken, as a small scene. */
export function drawMeasure(id: TakenId): Scene {
  const body = measured();
  const taking = takingOf(id, body);
  return {
    widthPx: sidePx,
    heightPx: sidePx,
    pxPerM: taking.kind === 'side' ? sidePx / taking.window.highM : 1,
    sentences: [takenTable[id].howTo],
    shapes: shapesOf(taking, body),
  };
}
