/** Whoever stands upside down, seen from the front: the same heights as from the side, widths as listed. */
import type { Body } from '../../body/body';
import { girthFactor } from '../../body/girths';
import type { FigureJoints, Point } from '../../posture/joints';
import type { Distance } from '../../setups/distance';
import { metresOf } from '../../setups/setup';
import { rounded, type Frame, type Shape } from '../scene';
import { buildFactor, buildWithin, flesh, thighFlesh } from './flesh';
import { limb, toPath, type Station } from './outline';

/** Shares of height that shape the picture from the front; no figure rests on them. */
export const frontShares = {
  hipHalf: 0.05,
  feetHalf: 0.026,
  footLong: 0.05,
  headHalf: 0.045,
  headLong: 0.064,
  handLong: 0.03,
  /** Half a palm's height on the floor, metres. */
  palmHigh: 0.014,
} as const;

/** Half-widths of the trunk from shoulders to hips, as shares of half the shoulders' breadth. */
const trunkShares = [
  [0, 0.8],
  [0.16, 0.84],
  [0.4, 0.7],
  [0.62, 0.64],
  [0.85, 0.76],
  [1, 0.78],
] as const;

const footShares = [
  [0, 0.02, 0.02],
  [1, 0.026, 0.026],
] as const satisfies readonly Station[];
const neckShares = [
  [0, 0.034, 0.034],
  [1, 0.028, 0.028],
] as const satisfies readonly Station[];

/** What the arms stand on, and how far apart. */
export interface FrontBase {
  readonly kind: 'forearms' | 'hands';
  readonly apart: Distance;
}

/** Both sides of a bone seen along the body: as wide as the mean of front and back. */
const evenly = (stations: readonly Station[]): Station[] =>
  stations.map(([t, ahead, back]) => [t, (ahead + back) / 2, (ahead + back) / 2]);

const mirrored = ([x, y]: Point): Point => [-x, y];

/** An oval round its middle, metres. */
const oval = (frame: Frame, [x, y]: Point, halfX: number, halfY: number): string =>
  toPath(
    frame,
    Array.from({ length: 12 }, (_, index): Point => {
      const turn = (index / 12) * 2 * Math.PI;
      return [x + halfX * Math.cos(turn), y + halfY * Math.sin(turn)];
    }),
  );

type Side = (point: Point) => Point;
const sides: readonly Side[] = [(point) => point, mirrored];

/** What the parts are drawn with. */
interface Drawing {
  readonly frame: Frame;
  readonly body: Body;
  readonly joints: FigureJoints;
  readonly base: FrontBase;
  /** Listed widths besides the base's own, metres. */
  readonly wristM: number;
  readonly feetM: number;
}

export function drawFrontBody(
  frame: Frame,
  body: Body,
  joints: FigureJoints,
  base: FrontBase,
  distances: readonly Distance[],
): Shape[] {
  const H = body.heightM;
  const drawing: Drawing = {
    frame,
    body,
    joints,
    base,
    wristM: metresOf(distances, 'wristSpacing') ?? base.apart.metres,
    feetM: metresOf(distances, 'feetApart') ?? 2 * frontShares.feetHalf * H,
  };
  const path = (role: Shape['role'], pieces: readonly string[]): Shape[] =>
    pieces.length === 0 ? [] : [{ kind: 'path', role, d: pieces.join('') }];
  const head: Point = [0, joints.crown[1] + frontShares.headLong * H];
  return [
    ...path('figureFar', handsBeyond(drawing)),
    ...path(
      'figureEdge',
      sides.flatMap((side) => legOutlines(drawing, side)),
    ),
    ...path('figureTrunk', trunkOutlines(drawing, head)),
    ...path(
      'figureEdge',
      sides.flatMap((side) => armOutlines(drawing, side)),
    ),
    ...path('figureFace', [oval(frame, head, frontShares.headHalf * H, frontShares.headLong * H)]),
    ...path('figure', [hairFromFront(frame, head, H)]),
  ];
}

const thickness = (body: Body) => body.heightM * buildFactor(body);

/** Thigh, shank and foot of one side. */
function legOutlines({ frame, body, joints, feetM }: Drawing, side: Side): string[] {
  const H = body.heightM;
  const { hip, knee, ankle } = joints;
  const [hipX, ankleX] = [frontShares.hipHalf * H, feetM / 2];
  const at = (x: number, y: number) => side([x, y]);
  const bent = at((hipX + ankleX) / 2, knee[1]);
  const low = at(ankleX, ankle[1]);
  const wide = thickness(body);
  return [
    limb(at(hipX, hip[1]), bent, evenly(thighFlesh(body)), wide),
    limb(bent, low, evenly(flesh.shank), wide),
    limb(low, at(ankleX, ankle[1] + frontShares.footLong * H), footShares, H),
  ].map((outline) => toPath(frame, outline));
}

/** Trunk and neck, chest and belly as wide as they were measured. */
function trunkOutlines({ frame, body, joints }: Drawing, head: Point): string[] {
  const half = body.lengths.outerShoulderWidth / 2;
  const chest = buildWithin(girthFactor(body, 'chestGirth') ?? 1);
  const belly = buildWithin(girthFactor(body, 'bellyGirth') ?? buildFactor(body));
  const shoulders: Point = [0, joints.shoulder[1]];
  const trunk = trunkShares.map(([t, share]): Station => {
    const wide = share * half * (chest + (belly - chest) * Math.min(1, t / 0.5));
    return [t, wide, wide];
  });
  return [
    limb(shoulders, [0, joints.hip[1]], trunk, 1),
    limb(shoulders, head, neckShares, body.heightM),
  ].map((outline) => toPath(frame, outline));
}

/** One arm, from the shoulder to what it stands on. */
function armOutlines({ frame, body, joints, base }: Drawing, side: Side): string[] {
  const wide = thickness(body);
  const { elbow, wrist, shoulder } = joints;
  const at = (x: number, y: number) => side([x, y]);
  const shoulderX = body.lengths.shoulderJointWidth / 2;
  const restX = base.apart.metres / 2;
  const top = at(shoulderX, shoulder[1]);
  if (base.kind === 'forearms') {
    return [toPath(frame, limb(top, at(restX, elbow[1]), evenly(flesh.upperArm), wide))];
  }
  const middle = at((shoulderX + restX) / 2, (shoulder[1] + wrist[1]) / 2);
  const palm = at(restX, wrist[1] + frontShares.palmHigh);
  return [
    toPath(frame, limb(top, middle, evenly(flesh.upperArm), wide)),
    toPath(frame, limb(at(restX, wrist[1]), middle, evenly(flesh.forearm), wide)),
    oval(frame, palm, body.lengths.palmBreadth * 0.62, frontShares.palmHigh),
  ];
}

/** Forearms that point away from the eye, and the hands beyond them. */
function handsBeyond({ frame, body, joints, base, wristM }: Drawing): string[] {
  if (base.kind === 'hands') return [];
  return sides.flatMap((side) => {
    const wrist = side([wristM / 2, joints.wrist[1]]);
    const elbow = side([base.apart.metres / 2, joints.elbow[1]]);
    return [
      toPath(frame, limb(wrist, elbow, evenly(flesh.forearm), thickness(body))),
      oval(frame, wrist, body.lengths.palmBreadth / 2, (frontShares.handLong * body.heightM) / 2),
    ];
  });
}

/** Hair over the crown, to a line across the brow: which end is up is told by shape alone. */
function hairFromFront(frame: Frame, [x, y]: Point, H: number): string {
  const [halfX, halfY] = [frontShares.headHalf * H * 1.06, frontShares.headLong * H * 1.04];
  const at = (angleDeg: number): string => {
    const a = (angleDeg * Math.PI) / 180;
    return `${frame.x(x + halfX * Math.cos(a))},${frame.y(y + halfY * Math.sin(a))}`;
  };
  const [rx, ry] = [halfX, halfY].map((metres) => rounded(metres * frame.pxPerM));
  const dip = frame.y(y - halfY * 0.42);
  // The crown is down: from one temple round under it to the other, and back along the brow.
  return `M${at(-160)}A${rx},${ry} 0 0 0 ${at(-20)}Q${frame.x(x)},${dip} ${at(-160)}Z`;
}
