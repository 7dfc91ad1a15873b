/** People on the plan of a room: mat, props, body and letter, at their place. */
import { matFloor } from '../compose/places';
import { floorBefore, type Room, type Span } from '../room/room';
import { ellipse, mat, text, type RoomFrame } from './roomFrame';
import { textWidth, type Shape } from './scene';
/** Somebody on the plan. */
export interface PlanMark {
  readonly id: string;
  /** Absent for who rests or sits out. */
  readonly letter?: string;
  readonly name: string;
  readonly heightM: number;
  /** Wrist or elbow to the wall where it is measured. */
  readonly baseM?: number;
  readonly blocks: number;
  readonly hasChair: boolean;
  readonly hasBolster: boolean;
  readonly needsHand: boolean;
  readonly place:
    | {
        readonly kind: 'lane';
        readonly span: string;
        readonly fromM: number;
        readonly toM: number;
        readonly outM: number;
      }
    | { readonly kind: 'circle'; readonly x: number; readonly y: number; readonly radiusM: number }
    | { readonly kind: 'mat'; readonly x: number; readonly y: number; readonly isAcross: boolean }
    | { readonly kind: 'aside' };
}

/** Everything that is drawn along a lane or mat, by how far it is from the wall or head end. */
export interface Strip {
  /** From the wall or head end inwards, and across from the left edge; metres to the sheet. */
  readonly at: (out: number, across: number) => readonly [x: number, y: number];
  readonly wide: number;
  readonly isLevel: boolean;
}

export function stripOf(
  mark: PlanMark,
  room: Room,
  spans: readonly Span[],
  frame: RoomFrame,
): Strip | null {
  const { place } = mark;
  if (place.kind === 'lane') {
    const span = spans.find(({ id }) => id === place.span);
    if (span === undefined) return null;
    const wide = place.toM - place.fromM;
    const point = (out: number, across: number) => {
      const floor = floorBefore(
        room,
        span.wall,
        { fromM: place.fromM + across, toM: place.fromM + across },
        out,
      );
      // The point that lies away from the wall.
      const x = span.wall === 'west' ? floor.right : floor.left;
      const y = span.wall === 'south' ? floor.top : floor.bottom;
      return [frame.x(x), frame.y(y)] as const;
    };
    return { at: point, wide, isLevel: span.wall === 'west' || span.wall === 'east' };
  }
  if (place.kind === 'mat') {
    const floor = matFloor(place.x, place.y, place.isAcross);
    const wide = place.isAcross ? floor.top - floor.bottom : floor.right - floor.left;
    return {
      wide,
      isLevel: place.isAcross,
      at: (out, across) =>
        place.isAcross
          ? [frame.x(floor.left + out), frame.y(floor.top - across)]
          : [frame.x(floor.left + across), frame.y(floor.top - out)],
    };
  }
  if (place.kind === 'circle') {
    return {
      wide: mat.wide,
      isLevel: false,
      at: (out, across) => [
        frame.x(place.x - mat.wide / 2 + across),
        frame.y(place.y + mat.long / 2 - out),
      ],
    };
  }
  return null;
}

function polygon(role: Shape['role'], points: readonly (readonly [number, number])[]): Shape {
  return { kind: 'path', role, d: `M${points.map(([x, y]) => `${x},${y}`).join('L')}Z` };
}

const rectOn = (
  strip: Strip,
  role: Shape['role'],
  out: number,
  across: number,
  long: number,
  wide: number,
) =>
  polygon(role, [
    strip.at(out, across),
    strip.at(out + long, across),
    strip.at(out + long, across + wide),
    strip.at(out, across + wide),
  ]);

/** The name as far as it fits. */
export function fittedName(name: string, room: number, sizePx: number): string {
  if (textWidth(name, sizePx) <= room) return name;
  const [first] = name.split(' ');
  if (textWidth(first!, sizePx) <= room) return first!;
  const count = Math.max(1, Math.floor(room / (sizePx * 0.58)) - 1);
  return `${first!.slice(0, count)}.`;
}

export interface MarkLook {
  readonly isChosen: boolean;
  readonly textPx: number;
  readonly withNames: boolean;
}

/** One person's mat, props, body and letter. */
export function drawMark(
  mark: PlanMark,
  strip: Strip,
  frame: RoomFrame,
  { isChosen, textPx, withNames }: MarkLook,
): Shape[] {
  const { wide } = strip;
  const across = (wide - mat.wide) / 2;
  const middle = wide / 2;
  const base = mark.baseM ?? 0.35;
  const [bx, by] = strip.at(base + 0.12, middle);
  const [hx, hy] = strip.at(base + 0.02, middle);
  const px = frame.pxPerM;
  const half = [0.13 * mark.heightM * px, 0.06 * mark.heightM * px];
  const shapes: Shape[] = [rectOn(strip, 'prop', 0.02, across, mat.long, mat.wide)];
  if (isChosen) shapes.push(rectOn(strip, 'measure', 0.02, across, mat.long, mat.wide));
  if (mark.hasBolster) shapes.push(rectOn(strip, 'prop', 0.15, middle - 0.31, 0.3, 0.62));
  if (mark.hasChair) {
    shapes.push(rectOn(strip, 'prop', 0.04, middle - 0.2, 0.4, 0.4));
    shapes.push(rectOn(strip, 'propMark', 0.04, middle - 0.2, 0.06, 0.4));
  }
  for (let block = 0; block < Math.min(3, mark.blocks); block += 1) {
    shapes.push(rectOn(strip, 'prop', 0.06 + block * 0.17, middle - 0.115, 0.15, 0.23));
  }
  if (mark.letter !== undefined) {
    const [rx, ry] = strip.isLevel ? [half[1], half[0]] : [half[0], half[1]];
    shapes.push(ellipse('figureEdge', bx, by, rx!, ry!));
    shapes.push(
      ellipse('figureEdge', hx, hy, 0.045 * mark.heightM * px, 0.045 * mark.heightM * px),
    );
  }
  // Letter and name stand on the far half of the mat, side by side where it lies along the sheet.
  const letterOut = Math.min(1.42, Math.max(strip.isLevel ? 0.98 : 1.22, base + 0.52));
  const [lx, ly] = strip.at(withNames ? letterOut : Math.max(1.25, letterOut), middle);
  // In a large hall the places lie close together on the sheet: no letter over its neighbour.
  const r = Math.min(textPx * 0.95, 0.48 * wide * px);
  if (mark.letter !== undefined) {
    shapes.push(ellipse('plumb', lx, ly, r, r));
    const words = mark.needsHand ? `${mark.letter}°` : mark.letter;
    shapes.push(text('loadText', lx, ly + r * 0.484, words, r * 1.316));
  }
  if (!withNames) return shapes;
  if (strip.isLevel) {
    const [ex] = strip.at(mat.long, middle);
    const runsRight = ex > lx;
    // A little way over the end of the mat, where nobody lies.
    const space = Math.abs(ex - lx) - r + 0.2 * px;
    const x = lx + (runsRight ? r + 4 : -r - 4);
    const words = fittedName(mark.name, space, textPx);
    shapes.push(
      text('loadText', x, ly + textPx * 0.36, words, textPx, runsRight ? 'start' : 'end'),
    );
  } else {
    // Whole on the mat, off the line of its end.
    const nameOut = Math.min(letterOut + 0.36, 0.02 + mat.long - (0.65 * textPx) / px);
    const [nx, ny] = strip.at(nameOut, middle);
    const words = fittedName(mark.name, (wide - 0.04) * px, textPx);
    shapes.push(text('loadText', nx, ny + textPx * 0.35, words, textPx));
  }
  return shapes;
}
