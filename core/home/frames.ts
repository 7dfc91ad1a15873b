/** A movement as pictures that any page can show one after the other, without the core. */
import { getMove, type MoveId } from '../atlas/moves';
import { figureOn, listSteps } from '../atlas/open';
import { drawMoment, openStage } from '../drawing/moving';
import type { Role, Shape } from '../drawing/scene';

export interface MoveFrames {
  readonly width: number;
  readonly height: number;
  /** Each picture as the inside of an SVG; a class for each role. */
  readonly pictures: readonly string[];
  /** Which pictures are the poses. */
  readonly poses: readonly number[];
  /** One round: which picture, and until when it is shown, seconds. */
  readonly round: readonly (readonly [picture: number, untilS: number])[];
  readonly words: readonly string[];
}

/** Pictures between two poses. */
const between = 8;
const heightPx = 150;

/** Tenths of a pixel are enough at the size of a phone. */
const coarse = (d: string) =>
  d.replace(/-?\d+\.\d+/g, (figure) => String(Number(Number(figure).toFixed(1))));

const roleOf = (role: Role) => `r-${role}`;

function element(shape: Shape): string {
  switch (shape.kind) {
    case 'path':
      return `<path class="${roleOf(shape.role)}" d="${coarse(shape.d)}"/>`;
    case 'line':
      return `<path class="${roleOf(shape.role)}" d="${coarse(`M${shape.x1},${shape.y1}L${shape.x2},${shape.y2}`)}"/>`;
    case 'text':
      return '';
    default:
      return shape satisfies never;
  }
}

/** The pictures of a movement; the way back shows those of the way there. */
export function listFrames(id: MoveId): MoveFrames {
  const move = getMove(id);
  const stage = openStage(move, heightPx);
  const pictures: string[] = [];
  const add = (figure: Parameters<typeof drawMoment>[1]) =>
    pictures.push(drawMoment(stage, figure, false).shapes.map(element).join('')) - 1;
  const poses = stage.open.figures.map(add);
  const ways = new Map<string, number[]>();
  const wayOf = (from: number, to: number): number[] => {
    const [low, high] = [Math.min(from, to), Math.max(from, to)];
    const key = `${low}-${high}`;
    const known = ways.get(key);
    const way =
      known ??
      Array.from({ length: between }, (_, index) =>
        add(
          figureOn(
            stage.open,
            { from: low, to: high, goS: 1, stayS: 0 },
            (index + 1) / (between + 1),
          ),
        ),
      );
    ways.set(key, way);
    return from <= to ? way : [...way].reverse();
  };
  let atS = 0;
  const round: [number, number][] = [];
  for (const { from, to, goS, stayS } of listSteps(move)) {
    atS += stayS;
    round.push([poses[from]!, atS]);
    if (from === to || goS === 0) continue;
    for (const picture of wayOf(from, to)) {
      atS += goS / between;
      round.push([picture, Math.round(atS * 1000) / 1000]);
    }
  }
  return {
    width: stage.widthPx,
    height: stage.heightPx,
    pictures,
    poses,
    round,
    words: move.keys.map(({ words }) => words),
  };
}
