import type { Body } from '../../body/body';
import type { FigureJoints, Leg, Point } from '../../posture/joints';
import { rounded, type Frame, type Role, type Shape } from '../scene';
import { armOutlines, drawnElbow, holdOf } from './arm';
import { buildFactor, flesh, thighFlesh, trunkFlesh } from './flesh';
import { footOutline } from './foot';
import { headOutlines } from './head';
import { foldLine, limb, toLine, toPath, type Facing, type Station } from './outline';

export type { Facing } from './outline';
export { buildFactor } from './flesh';

/** What a piece of the drawn body is; further ones come first, nearer ones over them. */
export type Part =
  'far-arm' | 'far-leg' | 'far-fold' | 'neck' | 'trunk' | 'leg' | 'arm' | 'fold' | 'face' | 'hair';

export interface DrawnPart {
  readonly part: Part;
  /** Paths of one body, in the order they join: a leg is thigh, shank, foot. */
  readonly pieces: readonly string[];
}

/** Everything of one leg: hip to toes without inner edges, and the line of a folded knee. */
function legParts(
  frame: Frame,
  joints: Leg & { readonly hip: Point },
  scaleM: number,
  wideM: number,
  facing: Facing,
  thigh: readonly Station[],
): { readonly leg: readonly string[]; readonly fold: readonly string[] } {
  const { hip, knee, ankle } = joints;
  return {
    leg: [
      limb(hip, knee, thigh, wideM, facing),
      limb(knee, ankle, flesh.shank, wideM, facing),
      footOutline(joints, scaleM, facing),
    ].map((outline) => toPath(frame, outline)),
    fold: toLine(frame, foldLine(hip, knee, ankle, flesh.shank, wideM, facing)),
  };
}

/**
 * A whole figure, part by part from the furthest to the nearest. The head lies over the arms, whole.
 *
 * @param facing -1 for shapes on the back
 */
export function listParts(
  frame: Frame,
  body: Body,
  joints: FigureJoints,
  facing: Facing = 1,
): DrawnPart[] {
  const scaleM = body.heightM;
  const wideM = scaleM * buildFactor(body);
  const { otherLeg, otherArm, hip, shoulder, crown } = joints;
  const head = headOutlines(shoulder, crown, scaleM, facing);
  const thigh = thighFlesh(body);
  const near = legParts(frame, joints, scaleM, wideM, facing, thigh);
  const far = otherLeg && legParts(frame, { ...otherLeg, hip }, scaleM, wideM, facing, thigh);
  const hold = holdOf(joints);
  const elbow = drawnElbow(joints, hold, scaleM);
  const armFold =
    hold === 'forearm'
      ? []
      : foldLine(shoulder, elbow, joints.wrist, [...flesh.forearm].map(reversed).reverse(), scaleM);
  const pathsOfArm = (own: FigureJoints) =>
    armOutlines(own, scaleM, wideM, facing).map((outline) => toPath(frame, outline));
  const trunk = limb(shoulder, hip, trunkFlesh(body), wideM, facing);
  const parts: DrawnPart[] = [
    { part: 'far-arm', pieces: otherArm ? pathsOfArm({ ...joints, ...otherArm }) : [] },
    { part: 'far-leg', pieces: far?.leg ?? [] },
    { part: 'far-fold', pieces: far?.fold ?? [] },
    { part: 'neck', pieces: [toPath(frame, head.neck)] },
    { part: 'trunk', pieces: [toPath(frame, trunk)] },
    { part: 'leg', pieces: near.leg },
    { part: 'fold', pieces: near.fold },
    { part: 'arm', pieces: pathsOfArm(joints) },
    { part: 'fold', pieces: toLine(frame, armFold) },
    { part: 'face', pieces: [toPath(frame, head.face), toPath(frame, head.hair)] },
    { part: 'hair', pieces: [toPath(frame, head.hair)] },
  ];
  return parts.filter(({ pieces }) => pieces.length > 0);
}

/** Stations of a bone told from its other end. */
const reversed = ([t, front, back]: readonly [number, number, number]) =>
  [1 - t, back, front] as const;

/** What each part is in the drawn body. */
export const partRoles = {
  'far-arm': 'figureFar',
  'far-leg': 'figureFar',
  'far-fold': 'figureFarFold',
  neck: 'figureTrunk',
  trunk: 'figureTrunk',
  leg: 'figureEdge',
  arm: 'figureEdge',
  fold: 'figureFold',
  face: 'figureFace',
  hair: 'figure',
} as const satisfies Record<Part, Role>;

/**
 * A whole figure in ink: trunk, near limbs and far ones in tones of their own, each nearer part with
 * a thin edge of paper. A ghost is one tone without inner lines.
 *
 * @param facing -1 for shapes on the back
 */
export function drawFigure(
  role: 'figure' | 'ghost',
  frame: Frame,
  body: Body,
  joints: FigureJoints,
  facing: Facing = 1,
): Shape[] {
  return listParts(frame, body, joints, facing)
    .filter(({ part }) => role === 'figure' || !isLine(part))
    .map(({ part, pieces }) => ({
      kind: 'path',
      role: role === 'figure' ? partRoles[part] : role,
      d: pieces.join(''),
    }));
}

const isLine = (part: Part) => part === 'fold' || part === 'far-fold';

/** One leg alone, for a second leg drawn behind the figure. */
export function drawLeg(
  role: Role,
  frame: Frame,
  body: Body,
  joints: Leg & { readonly hip: Point },
  facing: Facing = 1,
): Shape[] {
  const scaleM = body.heightM;
  const { leg } = legParts(
    frame,
    joints,
    scaleM,
    scaleM * buildFactor(body),
    facing,
    thighFlesh(body),
  );
  return [{ kind: 'path', role, d: leg.join('') }];
}

/** The band of a strap round the upper arm just above the elbow. */
export function drawStrapBand(frame: Frame, body: Body, joints: FigureJoints): Shape {
  const { elbow, shoulder } = joints;
  const scaleM = body.heightM;
  const t = 0.24;
  const [dx, dy] = [shoulder[0] - elbow[0], shoulder[1] - elbow[1]];
  const length = Math.hypot(dx, dy);
  const half = 0.029 * scaleM * buildFactor(body);
  const [cx, cy] = [elbow[0] + dx * t, elbow[1] + dy * t];
  const [ox, oy] = [(dy / length) * half, (-dx / length) * half];
  return {
    kind: 'line',
    role: 'strap',
    x1: rounded(frame.x(cx - ox)),
    y1: rounded(frame.y(cy - oy)),
    x2: rounded(frame.x(cx + ox)),
    y2: rounded(frame.y(cy + oy)),
  };
}
