/**
 * The room from above, to scale: walls hatched where they can be used, what blocks the rest, doors
 * with their swing, low spots, and everybody's place with a letter and a name.
 */
import { floorBefore, type Room, type Span, type WallId } from '../room/room';
import { formatStretch } from '../units/along';
import { formatRoomFigure, type LengthUnits } from '../units/length';
import { levelDimension, uprightDimension } from './dimensions';
import { drawMark, stripOf, type PlanMark } from './placeMark';
import { box, ellipse, sizes, text, roomFrame, type RoomFrame } from './roomFrame';
import { line, rounded, textWidth, type Scene, type Shape } from './scene';

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
  /** The walls by name, and whatever blocks them: for drawing the room itself. */
  readonly withWalls?: boolean;
  /** What blocks a wall or hangs low by name; a small drawing has no room for the words. */
  readonly withObstacleNames?: boolean;
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
      x + out[0] * sizes.hatchPx + slant[0]!,
      y + out[1] * sizes.hatchPx + slant[1]!,
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
    withWalls = false,
    withObstacleNames = true,
  }: Pick<
    RoomPlanOptions,
    'units' | 'withDimensions' | 'textPx' | 'withWalls' | 'withObstacleNames'
  >,
): Shape[] {
  const whole = { left: 0, right: room.widthM, bottom: 0, top: room.depthM };
  const low = room.low.map(({ xM, yM, widthM, depthM }) =>
    box('ghost', frame, { left: xM, right: xM + widthM, bottom: yM, top: yM + depthM }),
  );
  // Mats stand along the walls: the middle of a low spot is where its words are least often covered.
  const lowWords = room.low.map(({ xM, yM, widthM, depthM, heightM, what }) => {
    const words = `${what || 'low'} ${formatRoomFigure(heightM, units)}`;
    const fits = withObstacleNames && textWidth(words, textPx) < widthM * frame.pxPerM - 4;
    return text(
      'tapeText',
      frame.x(xM + widthM / 2),
      withWalls ? frame.y(yM) - 20 : frame.y(yM + depthM / 2) + textPx / 3,
      fits ? words : formatRoomFigure(heightM, units),
      textPx,
    );
  });
  const blocked = room.blocked.flatMap(({ wall, fromM, toM, what: name }): Shape[] => {
    const what = withObstacleNames ? name : '';
    const { x1, y1, x2, y2, out } = wallLine(room, wall, fromM, toM, frame);
    const isLevel = out[0] === 0;
    const long = Math.abs(x2 - x1) + Math.abs(y2 - y1);
    const canSay = what !== '' && isLevel && textWidth(what, textPx) < long;
    return [
      ...(withWalls
        ? drawObstacle(room, { wall, fromM, toM, what }, frame, textPx)
        : [line('witness', x1, y1, x2, y2)]),
      ...(canSay && !withWalls
        ? [text('tapeText', (x1 + x2) / 2, y1 + (out[1] > 0 ? textPx + 3 : -6), what, textPx)]
        : []),
    ];
  });
  const size = (metres: number) => ({
    text: formatRoomFigure(metres, units),
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
    // Words over everything that is filled.
    ...low,
    ...blocked,
    ...lowWords,
    ...spans.flatMap((span) => drawSpan(room, span, frame)),
    ...room.doors.flatMap((door) => drawDoor(room, door, frame)),
    ...(withWalls
      ? drawWallNames(room, frame, textPx, withObstacleNames ? undefined : wallNames.smallShareY)
      : []),
    ...dimensions,
  ];
}

/** Where a wall's name stands: off its middle, where handles are, and so far into the room, pixels. */
const wallNames = { share: 0.28, smallShareY: 0.55, inPx: 30 } as const;

/** Each wall called as the lists beside the drawing call it. */
function drawWallNames(
  room: Room,
  frame: RoomFrame,
  textPx: number,
  shareY: number = wallNames.share,
): Shape[] {
  const [west, east] = [frame.x(0), frame.x(room.widthM)];
  const [north, south] = [frame.y(room.depthM), frame.y(0)];
  const { share, inPx } = wallNames;
  const alongX = west + (east - west) * share;
  const alongY = north + (south - north) * shareY;
  return [
    text('loadText', alongX, north + inPx, 'north wall', textPx),
    text('loadText', alongX, south - inPx + textPx, 'south wall', textPx),
    text('loadText', west + inPx, alongY, 'west wall', textPx, 'start'),
    text('loadText', east - inPx, alongY + textPx, 'east wall', textPx, 'end'),
  ];
}

/** How far into the room an obstacle is drawn: a mark of it, not its depth. */
const obstaclePx = 9;
/** Words stand clear of the handle in the middle of what they name. */
const besideHandlePx = 12;

/** A blocked stretch: a hatched band on the wall, with what it is written beside it in the room. */
function drawObstacle(
  room: Room,
  { wall, fromM, toM, what }: Room['blocked'][number],
  frame: RoomFrame,
  textPx: number,
): Shape[] {
  const { x1, y1, x2, y2, out } = wallLine(room, wall, fromM, toM, frame);
  const [inX, inY] = [-out[0] * obstaclePx, -out[1] * obstaclePx];
  const [left, top] = [Math.min(x1, x2 + inX, x1 + inX), Math.min(y1, y2 + inY, y1 + inY)];
  const [right, bottom] = [Math.max(x1, x2, x1 + inX), Math.max(y1, y2, y1 + inY)];
  const [midX, midY] = [(x1 + x2) / 2, (y1 + y2) / 2];
  const words = what === '' ? [] : [what];
  return [
    {
      kind: 'path',
      role: 'prop',
      d: `M${rounded(left)},${rounded(top)}H${rounded(right)}V${rounded(bottom)}H${rounded(left)}Z`,
    },
    ...words.map((said) =>
      out[0] === 0
        ? text('tapeText', midX, midY + inY + Math.sign(inY) * besideHandlePx, said, textPx)
        : text(
            'tapeText',
            midX + inX + Math.sign(inX) * besideHandlePx,
            midY + 4,
            said,
            textPx,
            out[0] < 0 ? 'start' : 'end',
          ),
    ),
  ];
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
  const frame = roomFrame(room, widthPx, withDimensions === true ? units : null);
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
        return `${who}: ${span?.wall ?? ''} wall, ${formatStretch(place.fromM, place.toM, units)} from its left end.`;
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
