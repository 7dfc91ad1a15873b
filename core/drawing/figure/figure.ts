import type { Body } from '../../body/body';
import type { FigureJoints, Leg, Point } from '../../posture/joints';
import { rounded, type Frame, type Role, type Shape } from '../scene';
import { armOutlines, drawnElbow, holdOf } from './arm';
import { buildFactor, flesh, thighFlesh, trunkFlesh } from './flesh';
import { footOutline } from './foot';
import { headOutlines } from './head';
import { foldLine, limb, toLine, toPath, type Facing, type Outline, type Station } from './outline';

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

/** A part as its outlines, metres; a line is open. */
interface PartOutlines {
  readonly part: Part;
  readonly outlines: readonly Outline[];
}

/** Everything of one leg: hip to toes without inner edges, and the line of a folded knee. */
function legOutlines(
  joints: Leg & { readonly hip: Point },
  scaleM: number,
  wideM: number,
  facing: Facing,
  thigh: readonly Station[],
): { readonly leg: readonly Outline[]; readonly fold: Outline } {
  const { hip, knee, ankle } = joints;
  return {
    leg: [
      limb(hip, knee, thigh, wideM, facing),
      limb(knee, ankle, flesh.shank, wideM, facing),
      footOutline(joints, scaleM, facing),
    ],
    fold: foldLine(hip, knee, ankle, flesh.shank, wideM, facing),
  };
}

/** Part by part from the furthest to the nearest. The head lies over the arms, whole. */
function outlineParts(body: Body, joints: FigureJoints, facing: Facing): PartOutlines[] {
  const scaleM = body.heightM;
  const wideM = scaleM * buildFactor(body);
  const { otherLeg, otherArm, hip, shoulder, crown } = joints;
  const head = headOutlines(shoulder, crown, scaleM, facing);
  const thigh = thighFlesh(body);
  const near = legOutlines(joints, scaleM, wideM, facing, thigh);
  const far = otherLeg && legOutlines({ ...otherLeg, hip }, scaleM, wideM, facing, thigh);
  const hold = holdOf(joints);
  const elbow = drawnElbow(joints, hold, scaleM);
  const armFold =
    hold === 'forearm'
      ? []
      : foldLine(shoulder, elbow, joints.wrist, [...flesh.forearm].map(reversed).reverse(), scaleM);
  const armsOf = (own: FigureJoints) => armOutlines(own, scaleM, wideM, facing);
  return [
    { part: 'far-arm', outlines: otherArm ? armsOf({ ...joints, ...otherArm }) : [] },
    { part: 'far-leg', outlines: far?.leg ?? [] },
    { part: 'far-fold', outlines: far ? [far.fold] : [] },
    { part: 'neck', outlines: [head.neck] },
    { part: 'trunk', outlines: [limb(shoulder, hip, trunkFlesh(body), wideM, facing)] },
    { part: 'leg', outlines: near.leg },
    { part: 'fold', outlines: [near.fold] },
    { part: 'arm', outlines: armsOf(joints) },
    { part: 'fold', outlines: [armFold] },
    { part: 'face', outlines: [head.face, head.hair] },
    { part: 'hair', outlines: [head.hair] },
  ];
}

/**
 * A whole figure, part by part from the furthest to the nearest.
 *
 * @param facing -1 for shapes on the back
 */
export const listParts = (
  frame: Frame,
  body: Body,
  joints: FigureJoints,
  facing: Facing = 1,
): DrawnPart[] =>
  outlineParts(body, joints, facing)
    .map(({ part, outlines }) => ({
      part,
      pieces: outlines.flatMap((outline) =>
        isLine(part) ? toLine(frame, outline) : [toPath(frame, outline)],
      ),
    }))
    .filter(({ pieces }) => pieces.length > 0);

/** How far a drawn figure reaches with its flesh, metres. */
export interface Extent {
  readonly left: number;
  readonly right: number;
  readonly top: number;
}

/** The room that whole figures take, hips and hair and heels, not their joints alone. */
export function extentOf(body: Body, figures: readonly FigureJoints[], facing: Facing = 1): Extent {
  const points = figures.flatMap((joints) =>
    outlineParts(body, joints, facing).flatMap(({ outlines }) => outlines.flat()),
  );
  const xs = points.map(([x]) => x);
  return {
    left: Math.min(...xs),
    right: Math.max(...xs),
    top: Math.max(...points.map(([, y]) => y)),
  };
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
  const wideM = scaleM * buildFactor(body);
  const { leg } = legOutlines(joints, scaleM, wideM, facing, thighFlesh(body));
  return [{ kind: 'path', role, d: leg.map((outline) => toPath(frame, outline)).join('') }];
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
