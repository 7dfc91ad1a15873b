/**
 * A kick-up to the wall with every joint known at every moment, for practising and for testing: one
 * chain of links whose lengths never change, its feet where they stand until they leave. Made up, with
 * the faults that are asked for.
 */
import type { Body } from '../body/body';
import { angleAt, bearing, distanceOf, radians, turned } from '../posture/geometry';
import type { FigureJoints, Leg, Point } from '../posture/joints';
import type { ClipInput } from './clip/frames';
import type { Mark, MarkName, MarkSet, Pixel, PixelLine } from './marks';

export interface KickWish {
  /** Degrees that the leading knee bends on the way up. */
  readonly kneeBendDeg: number;
  /** Degrees that the hips swing past before they come back. */
  readonly swingDeg: number;
  /** The first foot drops instead of being put down. */
  readonly isHeavy: boolean;
}

export const kickWishes = {
  placed: { kneeBendDeg: 4, swingDeg: 0, isHeavy: false },
  thrown: { kneeBendDeg: 42, swingDeg: 24, isHeavy: true },
} as const satisfies Readonly<Record<string, KickWish>>;
export type PracticeKick = keyof typeof kickWishes;

/** The clip's size and where things are in it. */
export const clipSize = {
  width: 640,
  height: 480,
  pxPerM: 190,
  floorPx: 440,
  originPx: 370,
  durationS: 8,
} as const;

/** Base to wall along the floor, metres: far enough for the hips to pass over the hands. */
const wallM = 0.46;

/** A leg: where its foot stands or rests, or how its line runs and its knee bends. */
type LegPose =
  | { readonly kind: 'placed'; readonly ankle: Point }
  | { readonly kind: 'free'; readonly deg: number; readonly bendDeg: number };

interface Key {
  readonly atS: number;
  /** From upright, ahead positive, degrees: wrist to shoulder, and shoulder to hip. */
  readonly armDeg: number;
  readonly trunkDeg: number;
  readonly near: LegPose;
  readonly far: LegPose;
  /** How the way to here is gone: eased at both ends, or ever faster. */
  readonly way?: 'drops';
}

const free = (deg: number, bendDeg = 3): LegPose => ({ kind: 'free', deg, bendDeg });

const pike = { armDeg: -6, trunkDeg: -58 } as const;
const takeOff = { armDeg: -3, trunkDeg: -44 } as const;

function trunkOf(
  { lengths, ankleM }: Body,
  armDeg: number,
  trunkDeg: number,
): { readonly wrist: Point; readonly elbow: Point; readonly shoulder: Point; readonly hip: Point } {
  const wrist: Point = [0, ankleM * 0.7];
  const elbow = turned(wrist, armDeg, lengths.forearm);
  const shoulder = turned(elbow, armDeg, lengths.upperArm);
  return { wrist, elbow, shoulder, hip: turned(shoulder, trunkDeg, lengths.trunk) };
}

/** The key moments: the far leg leads, the near one pushes off. */
function keysOf(body: Body, { kneeBendDeg, swingDeg, isHeavy }: KickWish): readonly Key[] {
  const { thigh, shank } = body.lengths;
  const reach = (thigh + shank) * 0.985;
  const ground = body.ankleOnBallM;
  const standUnder = (armDeg: number, trunkDeg: number): LegPose => {
    const { hip } = trunkOf(body, armDeg, trunkDeg);
    const back = Math.sqrt(Math.max(0, reach ** 2 - (hip[1] - ground) ** 2));
    return { kind: 'placed', ankle: [hip[0] - back, ground] };
  };
  // Each foot is within reach until it leaves: the one that pushes off stands closer.
  const lead = standUnder(pike.armDeg, pike.trunkDeg);
  const push = standUnder(takeOff.armDeg, takeOff.trunkDeg);
  const over = trunkOf(body, 0, 3);
  // Heels on the wall: the foot reaches a little further than the ankle.
  const restX = wallM - body.ankleM * 0.55;
  const rise = Math.sqrt((reach * 1.01) ** 2 - (restX - over.hip[0]) ** 2);
  const rest: LegPose = { kind: 'placed', ankle: [restX, over.hip[1] + rise] };
  return [
    { atS: 0, ...pike, near: push, far: lead },
    { atS: 0.8, ...pike, near: push, far: lead },
    { atS: 1.5, ...takeOff, near: push, far: free(-70, kneeBendDeg) },
    { atS: 1.9, armDeg: 0, trunkDeg: -22, near: free(-118, 14), far: free(-20, kneeBendDeg) },
    { atS: 2.3, armDeg: 1, trunkDeg: 3 + swingDeg, near: free(-52, 6), far: rest },
    { atS: 2.8, armDeg: 0, trunkDeg: 3, near: rest, far: rest },
    { atS: 3.6, armDeg: 0, trunkDeg: 3, near: rest, far: rest },
    { atS: 4, armDeg: 0, trunkDeg: 0, near: free(0), far: free(0) },
    { atS: 5.6, armDeg: 0, trunkDeg: 0, near: free(1), far: free(1) },
    { atS: isHeavy ? 6.2 : 6.4, armDeg: -1, trunkDeg: -20, near: free(-88, 5), far: free(-24, 5) },
    {
      atS: isHeavy ? 6.5 : 7.4,
      ...pike,
      near: push,
      far: free(-95, 5),
      ...(isHeavy ? { way: 'drops' as const } : {}),
    },
    { atS: isHeavy ? 7 : 7.8, ...pike, near: push, far: lead },
    { atS: clipSize.durationS, ...pike, near: push, far: lead },
  ];
}

/** A leg whose foot is placed: the knee to the belly's side. */
function placedKnee(hip: Point, ankle: Point, thigh: number, shank: number): Point {
  const way = Math.min(distanceOf(hip, ankle), thigh + shank - 1e-9);
  const along = (way ** 2 + thigh ** 2 - shank ** 2) / (2 * way);
  const aside = Math.sqrt(Math.max(0, thigh ** 2 - along ** 2));
  const [ux, uy] = [(ankle[0] - hip[0]) / way, (ankle[1] - hip[1]) / way];
  return [hip[0] + ux * along - uy * aside, hip[1] + uy * along + ux * aside];
}

/** Line of a leg from hip to ankle and the bend of its knee, degrees. */
function anglesOf(pose: LegPose, hip: Point, { lengths }: Body): { deg: number; bendDeg: number } {
  if (pose.kind === 'free') return pose;
  const knee = placedKnee(hip, pose.ankle, lengths.thigh, lengths.shank);
  const deg = bearing(hip, pose.ankle);
  return {
    // A leg swings up behind: straight down is the end of that way, from either side.
    deg: deg > 90 ? deg - 360 : deg,
    bendDeg: 180 - angleAt(knee, hip, pose.ankle),
  };
}

/** A leg of which the line and the bend are known. */
function freeLeg(hip: Point, deg: number, bendDeg: number, { lengths }: Body) {
  const { thigh, shank } = lengths;
  const bend = radians(bendDeg);
  const way = Math.sqrt(thigh ** 2 + shank ** 2 + 2 * thigh * shank * Math.cos(bend));
  const ankle = turned(hip, deg, way);
  return { knee: placedKnee(hip, ankle, thigh, shank), ankle };
}

function footOf(knee: Point, ankle: Point, body: Body): Leg {
  const isStanding = ankle[1] < body.ankleOnBallM + 0.04;
  const ball: Point = [
    ankle[0] + 0.05 * body.heightM,
    Math.max(0.005, ankle[1] - body.ankleOnBallM),
  ];
  if (isStanding) return { knee, ankle, heel: ball, toe: ball, heelBackM: 0 };
  // A foot in the air is flexed a little from the line of the shank.
  const deg = bearing(knee, ankle);
  const above = ([x, y]: Point): Point => [x, Math.max(0.005, y)];
  const heel = above(turned(ankle, deg + 40, body.ankleM * 0.8));
  const toe = above(turned(ankle, deg - 38, 0.11 * body.heightM));
  return { knee, ankle, heel, toe, heelBackM: 0 };
}

const eased = (share: number) => share * share * (3 - 2 * share);

function legAt(
  body: Body,
  hip: Point,
  [from, fromHip]: readonly [LegPose, Point],
  [to, toHip]: readonly [LegPose, Point],
  share: number,
): Leg {
  const { thigh, shank } = body.lengths;
  const isHeld =
    from.kind === 'placed' && to.kind === 'placed' && distanceOf(from.ankle, to.ankle) < 1e-9;
  if (isHeld) return footOf(placedKnee(hip, from.ankle, thigh, shank), from.ankle, body);
  const [a, b] = [anglesOf(from, fromHip, body), anglesOf(to, toHip, body)];
  const { knee, ankle } = freeLeg(
    hip,
    a.deg + (b.deg - a.deg) * share,
    a.bendDeg + (b.bendDeg - a.bendDeg) * share,
    body,
  );
  return footOf(knee, ankle, body);
}

/**
 * The joints at a moment, metres, ahead positive; the second leg is the far one.
 *
 * @param atS seconds from the beginning of the clip; held at its ends
 */
export function kickAt(body: Body, wish: KickWish, atS: number): FigureJoints {
  const keys = keysOf(body, wish);
  const next = Math.max(
    1,
    keys.findIndex((key) => key.atS >= atS),
  );
  const at = atS >= clipSize.durationS ? keys.length - 1 : next;
  const [from, to] = [keys[at - 1]!, keys[at]!];
  const plain = Math.min(1, Math.max(0, (atS - from.atS) / (to.atS - from.atS)));
  const share = to.way === 'drops' ? plain ** 2 : eased(plain);
  const mix = (a: number, b: number) => a + (b - a) * share;
  const armDeg = mix(from.armDeg, to.armDeg);
  const trunkDeg = mix(from.trunkDeg, to.trunkDeg);
  const { wrist, elbow, shoulder, hip } = trunkOf(body, armDeg, trunkDeg);
  const [fromHip, toHip] = [from, to].map((key) => trunkOf(body, key.armDeg, key.trunkDeg).hip);
  const leg = (limb: 'near' | 'far') =>
    legAt(body, hip, [from[limb], fromHip!], [to[limb], toHip!], share);
  return {
    fingertip: [body.lengths.hand, 0.015],
    wrist,
    elbow,
    shoulder,
    crown: turned(shoulder, trunkDeg * 0.5 + 180, body.lengths.shoulderToCrown * 0.95),
    hip,
    ...leg('near'),
    otherLeg: leg('far'),
  };
}

/** Metres to pixels of the clip. */
const clipPlace = ([x, y]: Point): Pixel => [
  clipSize.originPx + x * clipSize.pxPerM,
  clipSize.floorPx - y * clipSize.pxPerM,
];

const legNames = ['knee', 'ankle', 'heel', 'toe'] as const;
const nearNames = ['wrist', 'elbow', 'shoulder', 'crown', 'hip', ...legNames] as const;

/** Where floor and wall lie in the clip, and what gives its scale. */
export const clipLines = {
  floor: [clipPlace([-1.6, 0]), clipPlace([wallM, 0])] satisfies PixelLine,
  wall: [clipPlace([wallM, 0]), clipPlace([wallM, 2])] satisfies PixelLine,
  wallM,
  scale: { from: clipPlace([-1.4, 0]), to: clipPlace([-0.4, 0]), metres: 1 },
} as const;

/** The clip as it would be marked without an error: the truth to compare with. */
export function practiceClip(body: Body, wish: KickWish, framesPerS: number): ClipInput {
  const marksOf = (names: readonly MarkName[], of: Partial<Record<MarkName, Point>>): MarkSet =>
    Object.fromEntries(
      names.flatMap((name): [MarkName, Mark][] => {
        // On the ball of the foot heel and toe are one place.
        if (name === 'heel' && of.heel === of.toe) return [];
        const [x, y] = clipPlace(of[name]!);
        return [[name, { x, y, sd: 1 }]];
      }),
    );
  return {
    base: 'hands',
    facing: 'right',
    floor: clipLines.floor,
    wall: clipLines.wall,
    scale: clipLines.scale,
    frames: Array.from({ length: Math.floor(clipSize.durationS * framesPerS) + 1 }, (_, index) => {
      const atS = index / framesPerS;
      const { otherLeg, ...joints } = kickAt(body, wish, atS);
      return {
        atS,
        marks: { near: marksOf(nearNames, joints), far: marksOf(legNames, otherLeg!) },
      };
    }),
  };
}
