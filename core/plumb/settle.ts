/**
 * Marks of a reader brought together with the lengths of the person. A reader places every joint by
 * itself: a shoulder that lies a hand's breadth along the arm makes an arm too short and a trunk too
 * long at once, and whoever knows both lengths sees it. Pure.
 */
import { guessedHeight, type Body } from '../body/body';
import type { LengthId } from '../body/lengths';
import { radians } from '../posture/geometry';
import type { Point } from '../posture/joints';
import type { ShapeId } from '../shapes/postures';
import { median } from './clip/frames';
import type { Mark, MarkName, MarkSet, PlumbBase } from './marks';
import { areLegsFolded, type ReadMarks } from './reader';
import { usualFigure } from './shapeBase';

interface Bone {
  readonly from: MarkName;
  readonly to: MarkName;
  readonly length: LengthId | 'ear';
}

/** What of a chain seen from the side has a length, from what carries to the feet. */
const bones = [
  { from: 'wrist', to: 'elbow', length: 'forearm' },
  { from: 'elbow', to: 'shoulder', length: 'upperArm' },
  { from: 'shoulder', to: 'hip', length: 'trunk' },
  { from: 'shoulder', to: 'ear', length: 'ear' },
  { from: 'hip', to: 'knee', length: 'thigh' },
  { from: 'knee', to: 'ankle', length: 'shank' },
] as const satisfies readonly Bone[];

/** What lies flat where it carries: palms, and forearms from the elbow on. */
const flatBones = {
  palm: { from: 'wrist', to: 'knuckle', length: 'knuckle' },
  forearm: { from: 'elbow', to: 'wrist', length: 'forearm' },
} as const satisfies Record<string, Bone>;
type FlatBone = (typeof flatBones)[keyof typeof flatBones];
type ChainMark = (typeof bones)[number]['from' | 'to'] | FlatBone['from' | 'to'];

/**
 * How far off a reader is with each joint besides, share of height: hips are where they are, shoulders
 * of raised arms and bent elbows are not.
 */
const unsure: Readonly<Record<ChainMark, number>> = {
  wrist: 0.03,
  knuckle: 0.02,
  elbow: 0.03,
  shoulder: 0.035,
  ear: 0.03,
  hip: 0.008,
  knee: 0.012,
  ankle: 0.018,
};
/** The scale that the bones share is as unsure as this, share of itself. */
const unsureScale = 0.03;
/** A bone that is read this much shorter or longer than it is points out of the picture, or is none. */
const mostOff = 0.45;
/** What lies on the floor is as level as this, and one that is further off lies nowhere; shares of height. */
const flatGiveShare = 0.008;
const notFlatShare = 0.07;
const rounds = 60;

/** A bone in the picture: its ends among the places, its length and how unsure that is, metres. */
interface Placed extends Bone {
  readonly lengthM: number;
  readonly sdM: number;
}

function boneOf(bone: Bone, body: Body): Placed {
  if (bone.length === 'ear') {
    const share = body.earM / body.lengths.shoulderToCrown;
    return { ...bone, lengthM: body.earM, sdM: body.sdM.shoulderToCrown * share };
  }
  return { ...bone, lengthM: body.lengths[bone.length], sdM: body.sdM[bone.length] };
}

const spanOf = (a: Pick<Mark, 'x' | 'y'>, b: Pick<Mark, 'x' | 'y'>) =>
  Math.hypot(b.x - a.x, b.y - a.y);

const isOfLeg = ({ length }: Bone) => length === 'thigh' || length === 'shank';

/** What is known of how somebody stands in the picture, besides their lengths. */
export interface Stance {
  readonly shape: ShapeId | null;
  /** What carries; it decides where no shape is said. */
  readonly base: PlumbBase;
  readonly facing: ReadMarks['facing'];
  readonly tiltDeg?: ReadMarks['tiltDeg'];
}

/** As high above the floor as a joint may be whose part of the arm lies on it, share of height. */
const onFloorShare = 0.05;

/** Which parts of the arm lie on the floor: as the shape has it, else by what carries. */
function listFlat({ shape, base }: Stance): FlatBone[] {
  const { palm, forearm } = flatBones;
  if (shape === null) {
    return base === 'hands' ? [palm] : base === 'forearms' ? [palm, forearm] : [];
  }
  const { wrist, elbow } = usualFigure(shape).joints;
  const isLow = ([, y]: Point) => y < onFloorShare * guessedHeight.heightM;
  return [...(isLow(wrist) ? [palm] : []), ...(isLow(wrist) && isLow(elbow) ? [forearm] : [])];
}

/** How the floor runs on the screen towards where the fingers point; `null`: nobody can tell. */
function aheadOf({ facing, tiltDeg }: Stance): Point | null {
  if (facing === null) return null;
  const tilt = radians(tiltDeg ?? 0);
  const way = facing === 'left' ? -1 : 1;
  return [way * Math.cos(tilt), way * Math.sin(tilt)];
}

interface Place {
  x: number;
  y: number;
  readonly variance: number;
}

/** Two joints that lie so far apart along one way, and how unsure that is. */
interface Tie {
  readonly ends: readonly [Place, Place];
  readonly lengthM: number;
  /** Pixels squared. */
  readonly give: number;
  /** The way on the screen, of length one; `null`: both are in one place. */
  readonly way: () => Point | null;
  /** What it pulls by now. */
  pull: number;
}

/** The way from one place to the other, as it is at the time. */
const between =
  ([a, b]: Tie['ends']) =>
  (): Point | null => {
    const span = spanOf(a, b);
    return span === 0 ? null : [(b.x - a.x) / span, (b.y - a.y) / span];
  };

/** The scale that all ties share, pixels to the metre. */
interface Scale {
  value: number;
  readonly variance: number;
}

/** Brings the ends of a tie nearer to its length, each the more the less sure it is. */
function tighten(tie: Tie, scale: Scale): void {
  const { ends, lengthM, give, pull: before } = tie;
  const way = tie.way();
  if (way === null) return;
  const [[a, b], [ux, uy]] = [ends, way];
  const off = (b.x - a.x) * ux + (b.y - a.y) * uy - lengthM * scale.value;
  const weight = a.variance + b.variance + lengthM ** 2 * scale.variance + give;
  const pull = -(off + give * before) / weight;
  a.x -= a.variance * ux * pull;
  a.y -= a.variance * uy * pull;
  b.x += b.variance * ux * pull;
  b.y += b.variance * uy * pull;
  scale.value -= scale.variance * lengthM * pull;
  tie.pull = before + pull;
}

/** No elbow bends backwards: it lies on its own side of the line from shoulder to wrist, or on it. */
interface Limit {
  readonly shoulder: Place;
  readonly elbow: Place;
  readonly wrist: Place;
  /** 1 or -1: on which side of somebody who looks from shoulder to wrist backwards is. */
  readonly side: number;
  /** Pixels squared. */
  readonly give: number;
  /** What it pulls by now; never the other way. */
  pull: number;
}

/** A straight arm may look as bent backwards as this, share of height. */
const straightGiveShare = 0.006;

/** Rounding, pixels. */
const straightPx = 1e-6;

/** Brings an elbow that is read as bent backwards onto the line, each of the three the less sure the more. */
function holdBack(limit: Limit): void {
  const { shoulder, elbow, wrist, side, give, pull: before } = limit;
  const span = spanOf(shoulder, wrist);
  if (span === 0) return;
  const [dx, dy] = [(wrist.x - shoulder.x) / span, (wrist.y - shoulder.y) / span];
  const [nx, ny] = [side * dy, -side * dx];
  const [ex, ey] = [elbow.x - shoulder.x, elbow.y - shoulder.y];
  const share = Math.min(0.8, Math.max(0.2, (ex * dx + ey * dy) / span));
  const off = ex * nx + ey * ny;
  if (before === 0 && off <= straightPx) return;
  const [ofShoulder, ofWrist] = [1 - share, share];
  const weight =
    elbow.variance + ofShoulder ** 2 * shoulder.variance + ofWrist ** 2 * wrist.variance + give;
  const pull = Math.min(0, before - (off + give * before) / weight);
  const more = pull - before;
  elbow.x += elbow.variance * nx * more;
  elbow.y += elbow.variance * ny * more;
  shoulder.x -= ofShoulder * shoulder.variance * nx * more;
  shoulder.y -= ofShoulder * shoulder.variance * ny * more;
  wrist.x -= ofWrist * wrist.variance * nx * more;
  wrist.y -= ofWrist * wrist.variance * ny * more;
  limit.pull = pull;
}

/** The elbow of an arm whose hand or forearm carries; none where it is not known which way it faces. */
function limitsOf(stance: Stance, places: ReadonlyMap<MarkName, Place>, heightPx: number): Limit[] {
  const [shoulder, elbow, wrist] = (['shoulder', 'elbow', 'wrist'] as const).map((name) =>
    places.get(name),
  );
  const { facing } = stance;
  if (facing === null || listFlat(stance).length === 0) return [];
  if (shoulder === undefined || elbow === undefined || wrist === undefined) return [];
  const side = facing === 'left' ? -1 : 1;
  return [{ shoulder, elbow, wrist, side, give: (straightGiveShare * heightPx) ** 2, pull: 0 }];
}

/** What lies flat, tied along the floor and across it. */
function tiesOfFlat(
  stance: Stance,
  body: Body,
  places: ReadonlyMap<MarkName, Place>,
  scale: number,
): Tie[] {
  const ahead = aheadOf(stance);
  if (ahead === null) return [];
  const [x, y] = ahead;
  const heightPx = body.heightM * scale;
  const across = (flatGiveShare * heightPx) ** 2;
  return listFlat(stance).flatMap((bone): Tie[] => {
    const [a, b] = [places.get(bone.from), places.get(bone.to)];
    if (a === undefined || b === undefined) return [];
    const { lengthM, sdM } = boneOf(bone, body);
    const long = lengthM * scale;
    // Far from it, it does not lie there: a hand that hangs, another shape than was said.
    if (Math.hypot(b.x - a.x - x * long, b.y - a.y - y * long) > notFlatShare * heightPx) return [];
    const ends = [a, b] as const;
    return [
      { ends, lengthM, give: (sdM * scale) ** 2 + across, way: () => ahead, pull: 0 },
      { ends, lengthM: 0, give: across, way: () => [-y, x], pull: 0 },
    ];
  });
}

/**
 * The likeliest places of the joints, given where they were read, how long this person's bones are and
 * that what carries lies flat: the least sum of squares of all of it, each by how unsure it is. One
 * tie after the other is tightened until nothing moves any more. A reader sees a palm on the floor as a
 * fist, and a wrist or an elbow that is bent there up to 6 cm into the bend: no length tells that, the
 * floor does.
 *
 * @param marks of one side, as read; what is no joint of the chain stays where it is
 * @param body whose lengths are measured or estimated; only their proportions count
 * @returns the same marks, in pixels; as they were where too little is seen
 */
export function settleMarks(marks: MarkSet, body: Body, stance: Stance): MarkSet {
  const areFolded = areLegsFolded(marks);
  const seen = bones.flatMap((bone) => {
    const [from, to] = [marks[bone.from], marks[bone.to]];
    if (from === undefined || to === undefined || (areFolded && isOfLeg(bone))) return [];
    const placed = boneOf(bone, body);
    return [{ ...placed, pixelsPerM: spanOf(from, to) / placed.lengthM }];
  });
  if (seen.length < 3) return marks;
  // Hips, knees and ankles are read where they are; of whoever folds the legs everything counts alike.
  const legs = seen.filter(isOfLeg);
  const first = median((legs.length > 0 ? legs : seen).map(({ pixelsPerM }) => pixelsPerM));
  const places = new Map<MarkName, Place>();
  for (const name of Object.keys(unsure) as ChainMark[]) {
    const mark = marks[name];
    if (mark === undefined) continue;
    const variance = (unsure[name] * body.heightM * first) ** 2 + (mark.sd ?? 0) ** 2;
    places.set(name, { x: mark.x, y: mark.y, variance });
  }
  const ties = [
    ...seen
      .filter(({ pixelsPerM }) => Math.abs(pixelsPerM / first - 1) < mostOff)
      .map(({ from, to, lengthM, sdM }): Tie => {
        const ends = [places.get(from)!, places.get(to)!] as const;
        return { ends, lengthM, give: (sdM * first) ** 2, way: between(ends), pull: 0 };
      }),
    ...tiesOfFlat(stance, body, places, first),
  ];
  const scale: Scale = { value: first, variance: (unsureScale * first) ** 2 };
  const limits = limitsOf(stance, places, body.heightM * first);
  for (let round = 0; round < rounds; round += 1) {
    for (const tie of ties) tighten(tie, scale);
    for (const limit of limits) holdBack(limit);
  }
  const settled = [...places].map(([name, { x, y }]) => [name, { ...marks[name], x, y }]);
  return { ...marks, ...(Object.fromEntries(settled) as MarkSet) };
}
