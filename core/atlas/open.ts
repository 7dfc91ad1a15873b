/** A movement at the sizes of a body: its poses brought to one place, and every frame between. */
import type { Body } from '../body/body';
import { shifted, type FigureJoints } from '../posture/joints';
import { poseShape, type ShapeRef } from '../shapes/posed';
import {
  noDimensions,
  type ChairPlace,
  type Rest,
  type Still,
  type WallFace,
} from '../shapes/shape';
import { figureBetween, placeOf } from './held';
import { pace, type HeldFirst, type Move } from './move';
import { solvePose, type Pose } from './pose';
import { clearOfWall } from './wallFace';

export interface OpenMove {
  /** One for each pose, metres. */
  readonly figures: readonly FigureJoints[];
  readonly held: readonly HeldFirst[];
  readonly isOnBack: boolean;
  readonly rests: readonly Rest[];
  readonly wall?: WallFace;
  readonly chair?: ChairPlace;
}

/**
 * The poses of a movement, moved so that what stays does.
 *
 * @throws UnreachableProblem when this body cannot be in one of its shapes
 */
export function openMove(body: Body, move: Move): OpenMove {
  const main = move.main ?? 0;
  const solved = move.keys.map(({ pose }) => solvePose(body, pose));
  const held = move.keys.map((key) => key.held ?? move.held);
  const figures = solved.map(({ joints }) => joints);
  const align = (index: number, to: number, by: HeldFirst) => {
    const [anchor] = by;
    const [x] = placeOf(figures[index]!, anchor);
    const [toX] = placeOf(figures[to]!, anchor);
    // Along the floor alone: every pose stands on it already.
    figures[index] = shifted(figures[index]!, toX - x, 0);
  };
  for (let index = main + 1; index < figures.length; index += 1) {
    align(index, index - 1, held[index - 1]!);
  }
  for (let index = main - 1; index >= 0; index -= 1) align(index, index + 1, held[index]!);
  const scale = body.heightM;
  const { rests = [], wall, chair } = move.around ?? {};
  const shape = shapeOf(move.keys[main]!.pose);
  const posed = shape === null ? null : poseShape({ body }, shape, undefined, null);
  const face = wall === undefined ? posed?.wall : { x: wall.x * scale, side: wall.side };
  const seat =
    chair === undefined
      ? posed?.chair
      : { frontX: chair.frontX * scale, backX: chair.backX * scale };
  return {
    figures: figures.map((figure) => clearOfWall(figure, face)),
    held,
    isOnBack: solved[main]!.isOnBack,
    rests: [
      ...(posed?.rests ?? []),
      ...rests.map(({ left, right, top, bottom = 0 }) => ({
        left: left * scale,
        right: right * scale,
        top: top * scale,
        bottom: bottom * scale,
      })),
    ].filter(({ top, bottom = 0 }) => top - bottom > 0.005),
    ...(face === undefined ? {} : { wall: face }),
    ...(seat === undefined ? {} : { chair: seat }),
  };
}

/**
 * One pose of a movement, with what stands round it.
 *
 * @throws UnreachableProblem when this body cannot be in one of its shapes
 */
export function poseMoment(body: Body, move: Move, key: number): Still {
  const { figures, isOnBack, rests, wall, chair } = openMove(body, move);
  return {
    joints: figures[key]!,
    isOnBack,
    rests,
    ...(wall === undefined ? {} : { wall }),
    ...(chair === undefined ? {} : { chair }),
    dimensions: noDimensions(),
  };
}

/** The shape a pose comes from: what stands round that stands round it. */
function shapeOf(pose: Pose): ShapeRef | null {
  if ('family' in pose || 'still' in pose) return pose;
  return 'from' in pose ? shapeOf(pose.from) : null;
}

/** Slow at both ends, as a body moves. */
const eased = (share: number) => share * share * (3 - 2 * share);

/** The steps of one round: which two poses, and how long the way and the stay take. */
export interface Step {
  readonly from: number;
  readonly to: number;
  readonly goS: number;
  readonly stayS: number;
}

/** One round of a movement, step by step; to and fro it comes back the way it went. */
export function listSteps({ keys, goes }: Move): Step[] {
  const there = keys
    .slice(0, -1)
    .map(({ goS = pace.halfBreathS, stayS = pace.stayS }, index): Step => ({
      from: index,
      to: index + 1,
      goS,
      stayS,
    }));
  const last = keys.at(-1)!.stayS ?? pace.stayS;
  const backAgain = [...there].reverse().map(({ from, to, goS }, index): Step => ({
    from: to,
    to: from,
    goS,
    stayS: index === 0 ? last : (keys[to]!.stayS ?? pace.stayS),
  }));
  return goes === 'to-and-fro'
    ? [...there, ...backAgain]
    : [...there, { from: keys.length - 1, to: keys.length - 1, goS: 0, stayS: last + 1.2 }];
}

/** Seconds of one round. */
export const roundS = (move: Move) =>
  listSteps(move).reduce((sum, { goS, stayS }) => sum + goS + stayS, 0);

/** When in a round a pose is come to and stayed in, seconds. */
export function startOf(move: Move, key: number): number {
  let atS = 0;
  for (const { from, goS, stayS } of listSteps(move)) {
    if (from === key) return atS;
    atS += goS + stayS;
  }
  return 0;
}

/** The figure at a moment of a step. */
export function figureOn(open: OpenMove, { from, to }: Step, share: number): FigureJoints {
  if (from === to || share <= 0) return open.figures[from]!;
  if (share >= 1) return open.figures[to]!;
  const between = figureBetween(
    open.figures[from]!,
    open.figures[to]!,
    eased(share),
    open.held[Math.min(from, to)]!,
  );
  return clearOfWall(between, open.wall);
}

/**
 * The figure at a moment, seconds from the beginning of a round; it goes on and on.
 *
 * @returns the figure, and the pose it is nearest to
 */
export function figureAt(
  move: Move,
  open: OpenMove,
  atS: number,
): { readonly figure: FigureJoints; readonly key: number } {
  let rest = atS % roundS(move);
  for (const step of listSteps(move)) {
    if (rest < step.stayS) return { figure: open.figures[step.from]!, key: step.from };
    rest -= step.stayS;
    if (rest < step.goS) {
      const share = rest / step.goS;
      return { figure: figureOn(open, step, share), key: share < 0.5 ? step.from : step.to };
    }
    rest -= step.goS;
  }
  return { figure: open.figures[0]!, key: 0 };
}
