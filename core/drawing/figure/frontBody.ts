/** Whoever stands upside down, seen from the front: the same heights as from the side, widths as listed. */
import type { Body } from '../../body/body';
import { girthFactor } from '../../body/girths';
import type { FigureJoints, Point } from '../../posture/joints';
import type { Distance } from '../../setups/distance';
import { metresOf } from '../../setups/setup';
import { rounded, type Frame, type Shape } from '../scene';
import { buildFactor, buildWithin, flesh, thighFlesh } from './flesh';
import { partRoles, type DrawnPart } from './figure';
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

/** The widths that the front shows, metres. */
export interface FrontWidths {
  readonly kind: FrontBase['kind'];
  /** From elbow to elbow, or from hand to hand. */
  readonly apartM: number;
  readonly wristM: number;
  readonly feetM: number;
}

export const usualFeetM = ({ heightM }: Pick<Body, 'heightM'>): number =>
  2 * frontShares.feetHalf * heightM;

export type FrontJoint = 'shoulder' | 'elbow' | 'wrist' | 'hip' | 'knee' | 'ankle' | 'toe';

/** The joints of one side as the front sees them, metres from the middle. */
export function frontJoints(
  { heightM, lengths }: Body,
  { shoulder, elbow, wrist, hip, knee, ankle }: FigureJoints,
  { kind, apartM, wristM, feetM }: FrontWidths,
): Readonly<Record<FrontJoint, Point>> {
  const [shoulderX, hipX] = [lengths.shoulderJointWidth / 2, frontShares.hipHalf * heightM];
  const [restX, ankleX] = [apartM / 2, feetM / 2];
  const onForearms = kind === 'forearms';
  return {
    shoulder: [shoulderX, shoulder[1]],
    elbow: onForearms ? [restX, elbow[1]] : [(shoulderX + restX) / 2, (shoulder[1] + wrist[1]) / 2],
    wrist: [onForearms ? wristM / 2 : restX, wrist[1]],
    hip: [hipX, hip[1]],
    knee: [(hipX + ankleX) / 2, knee[1]],
    ankle: [ankleX, ankle[1]],
    toe: [ankleX, ankle[1] + frontShares.footLong * heightM],
  };
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
  readonly kind: FrontBase['kind'];
  readonly own: Readonly<Record<FrontJoint, Point>>;
}

/** Middle of the head, metres: the crown is down. */
export const frontHead = ({ heightM }: Body, { crown }: FigureJoints): Point => [
  0,
  crown[1] + frontShares.headLong * heightM,
];

/** A whole figure from the front, part by part from the furthest to the nearest. */
export function listFrontParts(
  frame: Frame,
  body: Body,
  joints: FigureJoints,
  widths: FrontWidths,
): DrawnPart[] {
  const H = body.heightM;
  const own = frontJoints(body, joints, widths);
  const drawing: Drawing = { frame, body, joints, kind: widths.kind, own };
  const head = frontHead(body, joints);
  return [
    { part: 'far-arm', pieces: handsBeyond(drawing) },
    ...sides.map((side): DrawnPart => ({ part: 'leg', pieces: legOutlines(drawing, side) })),
    ...trunkParts(drawing, head),
    ...sides.map((side): DrawnPart => ({ part: 'arm', pieces: armOutlines(drawing, side) })),
    {
      part: 'face',
      pieces: [oval(frame, head, frontShares.headHalf * H, frontShares.headLong * H)],
    },
    { part: 'hair', pieces: [hairFromFront(frame, head, H)] },
  ];
}

export function drawFrontBody(
  frame: Frame,
  body: Body,
  joints: FigureJoints,
  base: FrontBase,
  distances: readonly Distance[],
): Shape[] {
  const parts = listFrontParts(frame, body, joints, {
    kind: base.kind,
    apartM: base.apart.metres,
    wristM: metresOf(distances, 'wristSpacing') ?? base.apart.metres,
    feetM: metresOf(distances, 'feetApart') ?? usualFeetM(body),
  });
  // Both sides of the body are one shape each, and so are trunk and neck.
  const shapes: { role: Shape['role']; d: string }[] = [];
  for (const { part, pieces } of parts) {
    if (pieces.length === 0) continue;
    const role = partRoles[part];
    const last = shapes[shapes.length - 1];
    if (last?.role === role) last.d += pieces.join('');
    else shapes.push({ role, d: pieces.join('') });
  }
  return shapes.map(({ role, d }) => ({ kind: 'path', role, d }));
}

const thickness = (body: Body) => body.heightM * buildFactor(body);

/** Thigh, shank and foot of one side. */
function legOutlines({ frame, body, own }: Drawing, side: Side): string[] {
  const { hip, knee, ankle, toe } = own;
  const wide = thickness(body);
  return [
    limb(side(hip), side(knee), evenly(thighFlesh(body)), wide),
    limb(side(knee), side(ankle), evenly(flesh.shank), wide),
    limb(side(ankle), side(toe), footShares, body.heightM),
  ].map((outline) => toPath(frame, outline));
}

/** Trunk and neck, chest and belly as wide as they were measured. */
function trunkParts({ frame, body, joints }: Drawing, head: Point): DrawnPart[] {
  const half = body.lengths.outerShoulderWidth / 2;
  const chest = buildWithin(girthFactor(body, 'chestGirth') ?? 1);
  const belly = buildWithin(girthFactor(body, 'bellyGirth') ?? buildFactor(body));
  const shoulders: Point = [0, joints.shoulder[1]];
  const trunk = trunkShares.map(([t, share]): Station => {
    const wide = share * half * (chest + (belly - chest) * Math.min(1, t / 0.5));
    return [t, wide, wide];
  });
  return [
    { part: 'neck', pieces: [toPath(frame, limb(shoulders, head, neckShares, body.heightM))] },
    { part: 'trunk', pieces: [toPath(frame, limb(shoulders, [0, joints.hip[1]], trunk, 1))] },
  ];
}

/** One arm, from the shoulder to what it stands on. */
function armOutlines({ frame, body, kind, own }: Drawing, side: Side): string[] {
  const wide = thickness(body);
  const [top, middle, low] = [side(own.shoulder), side(own.elbow), side(own.wrist)];
  const upper = toPath(frame, limb(top, middle, evenly(flesh.upperArm), wide));
  if (kind === 'forearms') return [upper];
  const palm: Point = [low[0], low[1] + frontShares.palmHigh];
  return [
    upper,
    toPath(frame, limb(low, middle, evenly(flesh.forearm), wide)),
    oval(frame, palm, body.lengths.palmBreadth * 0.62, frontShares.palmHigh),
  ];
}

/** Forearms that point away from the eye, and the hands beyond them. */
function handsBeyond({ frame, body, kind, own }: Drawing): string[] {
  if (kind === 'hands') return [];
  return sides.flatMap((side) => {
    const [wrist, elbow] = [side(own.wrist), side(own.elbow)];
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
  // Round the crown in a picture that is turned over as well.
  const sweep = frame.y(0) > frame.y(1) ? 0 : 1;
  return `M${at(-160)}A${rx},${ry} 0 0 ${sweep} ${at(-20)}Q${frame.x(x)},${dip} ${at(-160)}Z`;
}
