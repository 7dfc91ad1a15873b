/**
 * The room from above, to scale: walls hatched where they can be used, what blocks the rest, doors
 * with their swing, low spots, and everybody's place with a letter and a name.
 */
import {
  floorBefore,
  wallLength,
  type Floor,
  type Room,
  type Span,
  type WallId,
} from '../room/room';
import { matFloor } from '../compose/places';
import { pieceTable } from '../catalog/pieces';
import { formatFigure, type LengthUnits } from '../units/length';
import { levelDimension, uprightDimension } from './dimensions';
import { line, rectangle, rounded, textWidth, type Scene, type Shape } from './scene';

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

export interface RoomPlanOptions {
  readonly widthPx: number;
  readonly units: LengthUnits;
  readonly marks: readonly PlanMark[];
  /** Hidden on a small plan. */
  readonly withDimensions?: boolean;
  /** Person whose place stands out. */
  readonly chosen?: string;
  readonly textPx?: number;
  /** A small plan carries letters alone. */
  readonly withNames?: boolean;
}

const sizes = { marginPx: 46, bareMarginPx: 24, hatchPx: 8, letterPx: 15, namePx: 11 } as const;
const mat = { long: pieceTable.mat.lengthM, wide: pieceTable.mat.widthM } as const;

export interface RoomFrame {
  readonly pxPerM: number;
  readonly x: (metres: number) => number;
  /** y runs up in the room and down on the sheet. */
  readonly y: (metres: number) => number;
}

/** Where the room lies on a sheet of this width. */
export function roomFrame(
  room: Pick<Room, 'widthM' | 'depthM'>,
  widthPx: number,
  marginPx: number = sizes.marginPx,
): RoomFrame & { readonly heightPx: number } {
  const pxPerM = (widthPx - 2 * marginPx) / room.widthM;
  return {
    pxPerM,
    x: (metres) => rounded(marginPx + metres * pxPerM),
    y: (metres) => rounded(marginPx + (room.depthM - metres) * pxPerM),
    heightPx: rounded(room.depthM * pxPerM + 2 * marginPx),
  };
}

const box = (role: Shape['role'], frame: RoomFrame, floor: Floor): Shape =>
  rectangle(
    role,
    frame.x(floor.left),
    frame.y(floor.top),
    (floor.right - floor.left) * frame.pxPerM,
    (floor.top - floor.bottom) * frame.pxPerM,
  );

const text = (
  role: Shape['role'],
  x: number,
  y: number,
  words: string,
  sizePx: number,
  anchor: 'start' | 'middle' | 'end' = 'middle',
): Shape => ({ kind: 'text', role, x: rounded(x), y: rounded(y), text: words, sizePx, anchor });

function ellipse(role: Shape['role'], x: number, y: number, rx: number, ry: number): Shape {
  const [l, r, a, b] = [x - rx, x + rx, rx, ry].map(rounded);
  const at = rounded(y);
  return {
    kind: 'path',
    role,
    d: `M${l},${at}A${a},${b} 0 1 0 ${r},${at}A${a},${b} 0 1 0 ${l},${at}Z`,
  };
}

/** Two ends of a stretch of wall on the sheet, and which way is out of the room. */
function wallLine(room: Room, wall: WallId, fromM: number, toM: number, frame: RoomFrame) {
  const floor = floorBefore(room, wall, { fromM, toM }, 0);
  const out = { north: [0, -1], south: [0, 1], west: [-1, 0], east: [1, 0] }[wall] as [
    number,
    number,
  ];
  return {
    x1: frame.x(floor.left),
    y1: frame.y(floor.top),
    x2: frame.x(floor.right),
    y2: frame.y(floor.bottom),
    out,
  };
}

/** A hatched band outside a usable stretch. */
function drawSpan(room: Room, { wall, fromM, toM }: Span, frame: RoomFrame): Shape[] {
  const { x1, y1, x2, y2, out } = wallLine(room, wall, fromM, toM, frame);
  const steps = Math.max(1, Math.round((Math.abs(x2 - x1) + Math.abs(y2 - y1)) / 7));
  const strokes = Array.from({ length: steps }, (_, index): Shape => {
    const at = (index + 0.5) / steps;
    const [x, y] = [x1 + (x2 - x1) * at, y1 + (y2 - y1) * at];
    const slant = out[0] === 0 ? [sizes.hatchPx * 0.6, 0] : [0, sizes.hatchPx * 0.6];
    return line(
      'hatch',
      x,
      y,
      x + out[0] * sizes.hatchPx + slant[0],
      y + out[1] * sizes.hatchPx + slant[1],
    );
  });
  return [...strokes, line('wall', x1, y1, x2, y2)];
}

/** A door: the leaf and the quarter it sweeps, hung at its left end. */
function drawDoor(room: Room, door: Room['doors'][number], frame: RoomFrame): Shape[] {
  const { wall, fromM, toM, opensIn } = door;
  const { x1, y1, x2, y2, out } = wallLine(room, wall, fromM, toM, frame);
  const width = (toM - fromM) * frame.pxPerM;
  const way = opensIn ? -1 : 1;
  const [tx, ty] = [x1 + out[0] * way * width, y1 + out[1] * way * width];
  // The arc goes round the hinge from the open leaf to the closed one.
  const cross = (tx - x1) * (y2 - y1) - (ty - y1) * (x2 - x1);
  const r = rounded(width);
  return [
    line('wallBody', x1, y1, x2, y2),
    line('propMark', x1, y1, tx, ty),
    {
      kind: 'path',
      role: 'angle',
      d: `M${rounded(tx)},${rounded(ty)}A${r},${r} 0 0 ${cross > 0 ? 1 : 0} ${rounded(x2)},${rounded(y2)}`,
    },
  ];
}

/** The room alone: what never moves. */
export function drawRoom(
  room: Room,
  spans: readonly Span[],
  frame: RoomFrame,
  {
    units,
    withDimensions,
    textPx = sizes.namePx,
  }: Pick<RoomPlanOptions, 'units' | 'withDimensions' | 'textPx'>,
): Shape[] {
  const whole = { left: 0, right: room.widthM, bottom: 0, top: room.depthM };
  const low = room.low.flatMap(({ xM, yM, widthM, depthM, heightM, what }): Shape[] => {
    const spot = { left: xM, right: xM + widthM, bottom: yM, top: yM + depthM };
    const words = `${what || 'low'} ${formatFigure(heightM, units)}`;
    const fits = textWidth(words, textPx) < widthM * frame.pxPerM - 4;
    return [
      box('ghost', frame, spot),
      ...(fits
        ? [text('tapeText', frame.x(xM + widthM / 2), frame.y(yM) - 6, words, textPx)]
        : [
            text(
              'tapeText',
              frame.x(xM + widthM / 2),
              frame.y(yM) - 6,
              formatFigure(heightM, units),
              textPx,
            ),
          ]),
    ];
  });
  const blocked = room.blocked.flatMap(({ wall, fromM, toM, what }): Shape[] => {
    const { x1, y1, x2, y2, out } = wallLine(room, wall, fromM, toM, frame);
    const isLevel = out[0] === 0;
    const long = Math.abs(x2 - x1) + Math.abs(y2 - y1);
    const canSay = what !== '' && isLevel && textWidth(what, textPx) < long;
    return [
      line('witness', x1, y1, x2, y2),
      ...(canSay
        ? [text('tapeText', (x1 + x2) / 2, y1 + (out[1] > 0 ? textPx + 3 : -6), what, textPx)]
        : []),
    ];
  });
  const size = (metres: number) => ({
    text: formatFigure(metres, units),
    sizePx: 13,
    isEstimated: false,
  });
  const [west, south] = [frame.x(0), frame.y(0)];
  const dimensions: Shape[] = withDimensions
    ? [
        ...levelDimension(west, frame.x(room.widthM), south + 38, south + 20, size(room.widthM)),
        ...uprightDimension(west - 14, frame.y(room.depthM), south, west - 6, size(room.depthM)),
      ]
    : [];
  return [
    box('prop', frame, whole),
    ...low,
    ...blocked,
    ...spans.flatMap((span) => drawSpan(room, span, frame)),
    ...room.doors.flatMap((door) => drawDoor(room, door, frame)),
    ...dimensions,
  ];
}

/** Everything that is drawn along a lane or mat, by how far it is from the wall or head end. */
interface Strip {
  /** From the wall or head end inwards, and across from the left edge; metres to the sheet. */
  readonly at: (out: number, across: number) => readonly [x: number, y: number];
  readonly wide: number;
  readonly isLevel: boolean;
}

function stripOf(
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
  if (textWidth(first, sizePx) <= room) return first;
  const count = Math.max(1, Math.floor(room / (sizePx * 0.58)) - 1);
  return `${first.slice(0, count)}.`;
}

interface MarkLook {
  readonly isChosen: boolean;
  readonly textPx: number;
  readonly withNames: boolean;
}

/** One person's mat, props, body and letter. */
function drawMark(
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
    shapes.push(ellipse('figureEdge', bx, by, rx, ry));
    shapes.push(
      ellipse('figureEdge', hx, hy, 0.045 * mark.heightM * px, 0.045 * mark.heightM * px),
    );
  }
  // Letter and name stand on the far half of the mat, side by side where it lies along the sheet.
  const letterOut = Math.min(1.42, Math.max(strip.isLevel ? 0.98 : 1.22, base + 0.52));
  const [lx, ly] = strip.at(withNames ? letterOut : Math.max(1.25, letterOut), middle);
  const r = textPx * 0.95;
  if (mark.letter !== undefined) {
    shapes.push(ellipse('plumb', lx, ly, r, r));
    const words = mark.needsHand ? `${mark.letter}°` : mark.letter;
    shapes.push(text('loadText', lx, ly + textPx * 0.46, words, textPx * 1.25));
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
    const [nx, ny] = strip.at(letterOut + 0.36, middle);
    const words = fittedName(mark.name, (wide - 0.04) * px, textPx);
    shapes.push(text('loadText', nx, ny + textPx * 0.35, words, textPx));
  }
  return shapes;
}

/** The plan of one round. */
export function drawRoomPlan(
  room: Room,
  spans: readonly Span[],
  {
    widthPx,
    units,
    marks,
    withDimensions,
    chosen,
    textPx = sizes.namePx,
    withNames = true,
  }: RoomPlanOptions,
): Scene {
  const frame = roomFrame(room, widthPx, withDimensions ? sizes.marginPx : sizes.bareMarginPx);
  const circles = marks.flatMap(({ place }): Shape[] =>
    place.kind === 'circle'
      ? [
          ellipse(
            'angle',
            frame.x(place.x),
            frame.y(place.y),
            place.radiusM * frame.pxPerM,
            place.radiusM * frame.pxPerM,
          ),
        ]
      : [],
  );
  const placed = marks.flatMap((mark) => {
    const strip = stripOf(mark, room, spans, frame);
    return strip === null
      ? []
      : drawMark(mark, strip, frame, { isChosen: mark.id === chosen, textPx, withNames });
  });
  const sentences = marks.map(({ name, letter, place }) => {
    const who = letter === undefined ? `${name} rests` : `${letter}, ${name}`;
    switch (place.kind) {
      case 'lane': {
        const span = spans.find(({ id }) => id === place.span);
        return `${who}: ${span?.wall ?? ''} wall, ${place.fromM.toFixed(1)} to ${place.toM.toFixed(1)} m from its left end.`;
      }
      case 'circle':
        return `${who}: clear circle on the floor.`;
      case 'mat':
        return `${who}: mat on the floor.`;
      case 'aside':
        return `${who}: at the side.`;
    }
  });
  return {
    widthPx,
    heightPx: frame.heightPx,
    pxPerM: frame.pxPerM,
    shapes: [
      ...drawRoom(room, spans, frame, {
        units,
        textPx,
        ...(withDimensions ? { withDimensions } : {}),
      }),
      ...circles,
      ...placed,
    ],
    sentences,
  };
}

/** Where along a wall a stretch lies, kept inside it. */
export const clampStretch = (room: Room, wall: WallId, metres: number): number =>
  Math.min(wallLength(room, wall), Math.max(0, metres));
