/**
 * What a landmark model says, made into marks: pure. The model sees a square of the picture, turned
 * so that a person is upright in it; here its points go back to the picture, two readings are
 * compared for an honest error, and the side that is seen becomes the near one.
 */
import { angleAt, degrees, radians } from '../posture/geometry';
import type { Mark, MarkName, MarkSet, Pixel, ScaleSegment } from './marks';

/** The side of the square that the model looks at, pixels. */
export const modelSidePx = 256;

/** A square of the picture: its middle, its side, and how far it is turned on the screen, clockwise. */
export interface Crop {
  readonly centre: Pixel;
  readonly sidePx: number;
  readonly turnDeg: number;
}

/** One point of the model in the picture, with how sure it is to be seen, 0 to 1. */
export interface ModelPoint {
  readonly x: number;
  readonly y: number;
  readonly visibility: number;
}

/** One look of the model at one square. */
export interface Look {
  readonly crop: Crop;
  /** How sure it is that somebody is there, 0 to 1. */
  readonly presence: number;
  readonly points: readonly ModelPoint[];
}

/** Places of the points of the 33-point body in the model's own order. */
const sides = {
  left: {
    ear: 7,
    shoulder: 11,
    elbow: 13,
    wrist: 15,
    knuckle: 19,
    hip: 23,
    knee: 25,
    ankle: 27,
    heel: 29,
    toe: 31,
  },
  right: {
    ear: 8,
    shoulder: 12,
    elbow: 14,
    wrist: 16,
    knuckle: 20,
    hip: 24,
    knee: 26,
    ankle: 28,
    heel: 30,
    toe: 32,
  },
} as const satisfies Record<'left' | 'right', Partial<Record<MarkName, number>>>;
const noseAt = 0;
export const modelPoints = 33;

type Side = keyof typeof sides;
const names = Object.keys(sides.left) as (keyof (typeof sides)['left'])[];
const trunkNames = ['shoulder', 'hip', 'knee', 'ankle'] as const;

/** Below this nobody is there, and below that a point is not said. */
const leastPresence = 0.5;
const leastScore = 0.4;
const samePlaceShare = 0.12;
const sameSizeShare = 0.6;
const leastVisibility = 0.4;
/** A reader that agrees with itself is still no better than this share of the body. */
const leastSdShare = 0.01;
/** One look alone has nothing to compare itself with: as far off as looks usually are. */
const singleSdShare = 0.02;
/** A square reaches so much further than the body in it. */
const cropMargin = 1.25;

/** A place of the model's square, 0 to 256 either way, in the picture. */
export function toPicturePixel({ centre, sidePx, turnDeg }: Crop, [x, y]: Pixel): Pixel {
  const turn = radians(turnDeg);
  const u = (x / modelSidePx - 0.5) * sidePx;
  const v = (y / modelSidePx - 0.5) * sidePx;
  return [
    centre[0] + u * Math.cos(turn) - v * Math.sin(turn),
    centre[1] + u * Math.sin(turn) + v * Math.cos(turn),
  ];
}

/** How much a look is worth: somebody is there, and what is needed is seen. */
export function scoreOf({ presence, points }: Look): number {
  const best = trunkNames.map((name) =>
    Math.max(points[sides.left[name]]!.visibility, points[sides.right[name]]!.visibility),
  );
  return presence * Math.min(...best) ** 0.5;
}

/** The same person in a square that is a little larger and turned: another look, for the error. */
export const besideCrop = ({ centre, sidePx, turnDeg }: Crop): Crop => ({
  centre,
  sidePx: sidePx * 1.12,
  turnDeg: turnDeg + 10,
});

/** Where to look in the next picture of a row: round whoever was seen in the last one. */
export function nextCrop({ points }: Look): Crop {
  const middle = (name: 'hip' | 'shoulder'): Pixel => {
    const [a, b] = [points[sides.left[name]]!, points[sides.right[name]]!];
    return [(a.x + b.x) / 2, (a.y + b.y) / 2];
  };
  const [hips, shoulders] = [middle('hip'), middle('shoulder')];
  const body = names.flatMap((name) => [points[sides.left[name]]!, points[sides.right[name]]!]);
  const furthest = Math.max(...body.map(({ x, y }) => Math.hypot(x - hips[0], y - hips[1])));
  return {
    centre: hips,
    sidePx: 2 * cropMargin * furthest,
    turnDeg: degrees(Math.atan2(shoulders[0] - hips[0], hips[1] - shoulders[1])),
  };
}

/** Two looks at one person: their hips lie in one place, and their squares are as large. */
export function isSamePerson(one: Look, other: Look): boolean {
  const hip = ({ points }: Look): Pixel => {
    const [a, b] = [points[sides.left.hip]!, points[sides.right.hip]!];
    return [(a.x + b.x) / 2, (a.y + b.y) / 2];
  };
  const [[ax, ay], [bx, by]] = [hip(one), hip(other)];
  const size = Math.max(one.crop.sidePx, other.crop.sidePx);
  return (
    Math.hypot(bx - ax, by - ay) < samePlaceShare * size &&
    Math.min(one.crop.sidePx, other.crop.sidePx) > sameSizeShare * size
  );
}

/** Somebody is surely there, with everything that is needed. */
export const isSure = (look: Look): boolean =>
  look.presence >= leastPresence && scoreOf(look) >= leastScore;

export interface ReadMarks {
  readonly near: MarkSet;
  readonly far: MarkSet;
  readonly left: MarkSet;
  readonly right: MarkSet;
  /** Where the fingers point, by the face; `null` where it cannot be told. */
  readonly facing: 'left' | 'right' | null;
  /** How far the picture's level edges are turned, degrees; `null` or absent: nothing tells. */
  readonly tiltDeg?: number | null;
  /** How well each side is seen. */
  readonly seen: Readonly<Record<'left' | 'right', number>>;
}

/** The picture that was looked at, pixels. */
export interface LookedAt {
  readonly width: number;
  readonly height: number;
}

/** A point so near to an edge, as a share of the body, may as well lie beyond it: the model draws it in. */
const edgeShare = 0.015;

function marksOfSide(
  side: Side,
  [one, other]: readonly [Look, Look],
  bodyPx: number,
  leastShare: number,
  { width, height }: LookedAt,
): MarkSet {
  const edge = edgeShare * bodyPx;
  const isWithin = (at: number, length: number) => at >= edge && at <= length - edge;
  return Object.fromEntries(
    names.flatMap((name): [string, Mark][] => {
      const [a, b] = [one.points[sides[side][name]]!, other.points[sides[side][name]]!];
      if (Math.min(a.visibility, b.visibility) < leastVisibility) return [];
      const [x, y] = [(a.x + b.x) / 2, (a.y + b.y) / 2];
      // What is cut off is guessed by the model, and surely: nobody has seen it.
      if (!isWithin(x, width) || !isWithin(y, height)) return [];
      const apart = Math.hypot(a.x - b.x, a.y - b.y);
      return [
        [
          name,
          {
            x,
            y,
            sd: Math.hypot(leastShare * bodyPx, apart / 2),
          },
        ],
      ];
    }),
  );
}

const visibilityOf = (side: Side, look: Look) =>
  names.reduce((sum, name) => sum + look.points[sides[side][name]]!.visibility, 0);

/** The way of the face tells the belly, and the belly tells where the fingers point. */
function facingOf({ points }: Look, near: Side): 'left' | 'right' | null {
  const nose = points[noseAt]!;
  const [ear, shoulder, hip] = (['ear', 'shoulder', 'hip'] as const).map(
    (name) => points[sides[near][name]]!,
  ) as [ModelPoint, ModelPoint, ModelPoint];
  if (Math.min(nose.visibility, ear.visibility) < leastVisibility) return null;
  const along = [hip.x - shoulder.x, hip.y - shoulder.y] as const;
  const face = [nose.x - ear.x, nose.y - ear.y] as const;
  // On the screen y runs down: positive lies to the right of the way from shoulder to hip.
  const toTheRight = along[0] * face[1] - along[1] * face[0];
  if (Math.abs(toTheRight) < 1e-6) return null;
  return toTheRight > 0 ? 'left' : 'right';
}

/** Shoulders further apart than this share of the trunk are not seen from the side. */
const frontalShare = 0.5;
/** Surely seen from the front or the back: hips and shoulders both lie side by side. */
export function isFrontal({ left, right }: Pick<ReadMarks, Side>): boolean {
  const gap = (name: 'shoulder' | 'hip') => {
    const [a, b] = [left[name], right[name]];
    return a === undefined || b === undefined ? null : Math.hypot(a.x - b.x, a.y - b.y);
  };
  const { shoulder, hip } = left;
  const [shoulders, hips] = [gap('shoulder'), gap('hip')];
  if (shoulder === undefined || hip === undefined || shoulders === null || hips === null) {
    return false;
  }
  const trunk = Math.hypot(shoulder.x - hip.x, shoulder.y - hip.y);
  return shoulders > frontalShare * trunk && hips > (frontalShare / 2) * trunk;
}

/** A knee bent further than this may point out of the picture, degrees. */
const straightKneeDeg = 120;

/** Are the legs folded (crow, lotus), so that thigh and shank need not lie in the picture? */
export function areLegsFolded({ hip, knee, ankle }: MarkSet): boolean {
  if (hip === undefined || knee === undefined || ankle === undefined) return false;
  return angleAt([knee.x, knee.y], [hip.x, hip.y], [ankle.x, ankle.y]) < straightKneeDeg;
}

/**
 * What a scale is first taken from after a reading. Shoulders of raised arms are read a hand's
 * breadth along the arm, which makes a trunk a tenth too long; hips and knees are where they are. The
 * thighs of whoever folds them (crow, lotus) do not lie in the picture, the trunk does.
 */
export function segmentOfReading(marks: MarkSet): ScaleSegment {
  const { hip, knee, ankle } = marks;
  if (hip === undefined || knee === undefined || ankle === undefined) return 'trunk';
  return areLegsFolded(marks) ? 'trunk' : 'thigh';
}

/** A place within the body, or so near beside it, is the body's own: a share of its size. */
const besideShare = 0.06;

/**
 * Is somebody else there? A detector takes a knee or a head for another body's hips now and then, and
 * those lie within the one that was read.
 */
export function hasOthersBeside(
  { left, right }: Pick<ReadMarks, Side>,
  others: readonly Pixel[],
): boolean {
  const marks = [...Object.values(left), ...Object.values(right)];
  if (marks.length === 0) return false;
  const span = (axis: 'x' | 'y') => {
    const all = marks.map((mark) => mark[axis]);
    return [Math.min(...all), Math.max(...all)] as const;
  };
  const [[left0, right0], [top, bottom]] = [span('x'), span('y')];
  const slack = besideShare * Math.max(right0 - left0, bottom - top);
  return others.some(
    ([x, y]) => x < left0 - slack || x > right0 + slack || y < top - slack || y > bottom + slack,
  );
}

export const takenFromTheFront =
  'This looks as if it were taken from the front or the back. Choose that above, or take it square from the side.';
export const moreThanOne =
  'More than one person is in this picture; the one with the marks was read. Cut the others off, or mend the marks.';

/** What of a body that was read is not in the picture, and what to do; `null`: all of it is. */
export function sayCutOff({ near }: Pick<ReadMarks, 'near'>): string | null {
  const { wrist, knuckle, ankle, heel, toe } = near;
  const missing = [
    ...(wrist === undefined && knuckle === undefined ? ['hands'] : []),
    ...(ankle === undefined && heel === undefined && toe === undefined ? ['feet'] : []),
  ];
  if (missing.length === 0) return null;
  return `No ${missing.join(' and no ')} are surely seen in this picture: what needs them is left out. Take it with the whole body and the floor in it, or add them by hand.`;
}

export const nobodyThere =
  'Nobody is found in this picture: put the marks on by hand, or take it with the whole body, square from the side.';

/**
 * Marks from two looks at the same person; `null` where nobody is surely there. Nothing is said of a
 * point that is not surely seen, or lies beyond the picture's edge.
 */
export function marksOfLooks(looks: readonly [Look, Look], image: LookedAt): ReadMarks | null {
  return readLooks(looks, leastSdShare, image);
}

/** Marks from one look, for a row of pictures in which there is no time for two. */
export const marksOfLook = (look: Look, image: LookedAt): ReadMarks | null =>
  readLooks([look, look], singleSdShare, image);

/** The marks that are shown of a side that is near and of one that is far. */
export function nearAndFar({ left, right }: Pick<ReadMarks, Side>, near: Side) {
  const [nearMarks, farMarks] = near === 'left' ? [left, right] : [right, left];
  // Of the far side only the leg is worth showing: its arm hides behind the near one.
  const far = Object.fromEntries(
    (['knee', 'ankle', 'heel', 'toe'] as const).flatMap((name) =>
      farMarks[name] === undefined ? [] : [[name, farMarks[name]]],
    ),
  ) as MarkSet;
  return { near: nearMarks, far };
}

function readLooks(
  looks: readonly [Look, Look],
  leastShare: number,
  image: LookedAt,
): ReadMarks | null {
  if (Math.min(looks[0].presence, looks[1].presence) < leastPresence) return null;
  const bodyPx = Math.max(...looks.map(({ crop }) => crop.sidePx)) / cropMargin;
  const left = marksOfSide('left', looks, bodyPx, leastShare, image);
  const right = marksOfSide('right', looks, bodyPx, leastShare, image);
  const seen = { left: visibilityOf('left', looks[0]), right: visibilityOf('right', looks[0]) };
  const near: Side = seen.left > seen.right ? 'left' : 'right';
  const shown = nearAndFar({ left, right }, near);
  if (shown.near.shoulder === undefined || shown.near.hip === undefined) return null;
  return { ...shown, left, right, seen, facing: facingOf(looks[0], near) };
}
