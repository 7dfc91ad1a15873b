/** What several still shapes are built from. */
import type { Body } from '../../body/body';
import { legPointed } from '../../posture/pose';
import type { FigureJoints, Point } from '../../posture/joints';
import { noDimensions, type Still, type StillShape } from '../shape';

/** Flesh between joint and floor, as a share of height; for the drawing alone. */
export const onFloor = { shoulder: 0.05, hip: 0.065, leg: 0.03 } as const;

function armsAlong(shoulder: Point, { lengths }: Body, floorY = 0) {
  const elbow: Point = [shoulder[0] - lengths.upperArm, floorY];
  const wrist: Point = [elbow[0] - lengths.forearm, floorY];
  return { elbow, wrist, fingertip: [wrist[0] - lengths.hand, floorY] as Point };
}

/** On the back, head towards +x: shoulders at the origin, hips at a height, legs as given. */
export function onBack(body: Body, hip: Point, shoulderY: number, legDeg: number): FigureJoints {
  const shoulder: Point = [0, shoulderY];
  return {
    shoulder,
    crown: [body.lengths.shoulderToCrown, shoulderY],
    ...armsAlong(shoulder, body),
    hip,
    ...legPointed(body, hip, legDeg),
  };
}

export function hipAt(body: Body, shoulderY: number, hipY: number): Point {
  const { trunk } = body.lengths;
  const drop = Math.min(trunk, Math.abs(hipY - shoulderY));
  return [-Math.sqrt(trunk * trunk - drop * drop), hipY];
}

export type StillPose = Omit<Still, 'dimensions' | 'rests'>;

/** A shape whose figures no set-up measures. */
export const plainStill = (label: string, pose: (body: Body) => StillPose): StillShape => ({
  label,
  dials: [],
  solve: (body) => ({ ...pose(body), rests: [], dimensions: noDimensions() }),
});
