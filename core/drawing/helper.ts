/** A helper beside a figure: where they stand, and where the hands lie. */
import type { Body } from '../body/body';
import type { OpenMove } from '../atlas/open';
import { getHelp, type HelpId, type HelpPlace } from '../atlas/help';
import { hold, placeOf } from '../atlas/held';
import { solvePose } from '../atlas/pose';
import { standing } from '../atlas/poses';
import { toSkeleton } from '../atlas/skeleton';
import { between } from '../posture/geometry';
import type { FigureJoints, Point } from '../posture/joints';
import { drawFigure, listParts } from './figure/figure';
import type { Frame, Shape } from './scene';

/** What stands round the figure that can be held. */
export type Surroundings = Pick<OpenMove, 'chair' | 'rests'>;

/** The back of a chair, or the near upper edge of what stands for one. */
function chairAt({ chair, rests }: Surroundings, heightM: number, hip: Point): Point {
  if (chair !== undefined) return [chair.backX, chairBackShare * heightM];
  const [seat] = [...rests].sort((a, b) => b.top - a.top);
  return seat === undefined ? hip : [seat.left, seat.top];
}

function handsAt(
  joints: FigureJoints,
  at: HelpPlace,
  around: Surroundings,
  heightM: number,
): Point {
  const far = joints.otherLeg ?? joints;
  switch (at) {
    // Beside the hips, wherever the arms hang.
    case 'nothing':
      return joints.hip;
    case 'chair':
      return chairAt(around, heightM, joints.hip);
    case 'blades':
      return between(joints.shoulder, joints.hip, 0.22);
    case 'hip':
      return joints.hip;
    case 'thigh':
      return between(joints.hip, joints.knee, 0.6);
    case 'shin':
      return between(joints.knee, joints.ankle, 0.4);
    case 'farThigh':
      return between(joints.hip, far.knee, 0.6);
    case 'farShin':
      return between(far.knee, far.ankle, 0.4);
    default:
      return at satisfies never;
  }
}

/** Hands ready, and on nobody. */
const watching = { ...standing, trunk: 4, head: 12, arm: [168, 130] } as const;
/** How high a chair's back is held, share of height. */
const chairBackShare = 0.46;
/** How far the wrist stays behind what the palm lies on, share of height. */
const palm = 0.05;

/** The helper in their own place: turned to +x, the feet at nought. */
export interface Helper {
  readonly joints: FigureJoints;
  /** Where nought is, metres, and which way they look. */
  readonly x: number;
  readonly way: 1 | -1;
}

/**
 * A helper who reaches where the help is given; leans as far as it takes.
 *
 * @param joints of whoever is helped, metres
 */
export function placeHelper(
  body: Body,
  joints: FigureJoints,
  help: HelpId,
  around: Surroundings,
): Helper {
  const { at, standsAt } = getHelp(help);
  const hands = handsAt(joints, at, around, body.heightM);
  const x = hands[0] + standsAt * body.heightM;
  const way = standsAt < 0 ? 1 : -1;
  const upright = solvePose(body, { ...standing, trunk: 8, head: 14, arm: [150, 110] }).joints;
  if (at === 'nothing') return { joints: solvePose(body, watching).joints, x, way };
  const wrist: Point = [Math.abs(hands[0] - x) - palm * body.heightM, hands[1]];
  const joined = hold(toSkeleton(upright), ['ankle', 'wrist'], (held) =>
    held === 'wrist' ? wrist : placeOf(upright, held),
  );
  return { joints: joined, x, way };
}

/** Pale behind whoever is helped; the helping arm over them, so that the hand is seen. */
export function drawHelper(
  frame: Frame,
  body: Body,
  { joints, x, way }: Helper,
): { readonly behind: Shape[]; readonly hands: Shape[] } {
  const own: Frame = { ...frame, x: (metres) => frame.x(x + way * metres) };
  const arm = listParts(own, body, joints).find(({ part }) => part === 'arm');
  return {
    behind: drawFigure('ghost', own, body, joints),
    hands: arm === undefined ? [] : [{ kind: 'path', role: 'helper', d: arm.pieces.join('') }],
  };
}
