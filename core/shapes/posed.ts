/**
 * A shape posed from its solved set-up: the one figure that every drawing takes, so that what is
 * drawn is what is listed.
 */
import type { MoveId } from '../atlas/moves';
import type { Body } from '../body/body';
import type { ForearmHandsId } from '../body/hands';
import type { FigureJoints } from '../posture/joints';
import type { AlongLine } from '../setups/forearms';
import { getSetup, type SetupId } from '../setups/registry';
import type { Ranges, SetupInput, SetupResult } from '../setups/setup';
import type { DialValues } from './dials';
import { computeLoads, type Loads, type MeasuredRanges } from './loads';
import type { ShapeId } from './postures';
import { getShape } from './registry';
import type { Placed, Still, WallFace } from './shape';
import { getStill, type StillId } from './stills';
import { getDials, toPosture, valuesFrom } from './values';

/** The nearest shape that can be drawn at a person's own size. */
export type ShapeRef = ({ readonly family: ShapeId } | { readonly still: StillId }) & {
  /** How the hands lie in it, where that is not for anybody to choose. */
  readonly hands?: ForearmHandsId;
  /** One leg is up, in a shape that may lift one. */
  readonly oneLeg?: true;
  /** Drawn as this pose of a movement, where no shape is quite it. */
  readonly moment?: Moment;
};

/** One of the poses of a movement. */
export interface Moment {
  readonly move: MoveId;
  readonly key: number;
}

export interface PosedShape extends Still {
  /** What the model says of it; `null` for a shape without loads. */
  readonly loads: Loads | null;
  /** The numbers it was solved from. */
  readonly values: DialValues;
  /** How forearms and hands run; absent: flat, or not on them. */
  readonly along?: AlongLine;
}

/** Who is posed, and how their hands lie where they may choose. */
type Posed = Pick<SetupInput, 'body' | keyof Ranges> & { readonly along?: AlongLine };

/** The ranges as the loads know them. */
export const toMeasuredRanges = ({
  shoulderFlexionDeg,
  straightLegRaiseDeg,
}: Ranges): MeasuredRanges => ({
  ...(shoulderFlexionDeg === undefined ? {} : { shoulderDeg: shoulderFlexionDeg }),
  ...(straightLegRaiseDeg === undefined ? {} : { hamstringDeg: straightLegRaiseDeg }),
});

/** A head that does not clear the floor rests on it: the neck gives, the floor does not. */
function headUp(joints: FigureJoints): FigureJoints {
  const [x, y] = joints.crown;
  return y >= 0 ? joints : { ...joints, crown: [x, 0] };
}

/** The forearms on the floor as they run ahead of the elbows; nothing of the pose hangs on it. */
function withHands(joints: FigureJoints, along: AlongLine | undefined): FigureJoints {
  if (along === undefined) return joints;
  const [x, y] = joints.elbow;
  const wristX = x + along.forearm;
  return { ...joints, wrist: [wristX, y], fingertip: [wristX + along.hand, y] };
}

/**
 * A shape with loads where its pose is, with its wall and everything it rests on.
 *
 * @param along how forearms and hands run, in shapes that have chosen hands; absent: flat
 */
export function placeLoaded(
  body: Body,
  family: ShapeId,
  { pose }: Loads,
  along?: AlongLine,
): Still {
  const shape = getShape(family);
  const posed = headUp(pose.joints);
  const joints = shape.hasChosenHands ? withHands(posed, along) : posed;
  const wall: WallFace | undefined = pose.wall
    ? { x: pose.wall.at[0], side: pose.wall.side }
    : shape.wall?.(joints);
  const placed: Placed = { joints, ...(wall === undefined ? {} : { wall }) };
  const chair = shape.chair?.(joints);
  return {
    ...placed,
    ...(chair === undefined ? {} : { chair }),
    isOnBack: shape.isOnBack === true,
    rests: shape.supports?.(joints, body) ?? [],
    dimensions: shape.dimensions(placed, body),
  };
}

/** Puts what the set-up has around a figure to it. */
export function withAround<P extends Placed & Pick<PosedShape, 'rests' | 'dimensions'>>(
  posed: P,
  setup: SetupId | undefined,
  result: SetupResult | null,
  body: Body,
): P {
  if (setup === undefined || result === null) return posed;
  const around = getSetup(setup).around?.(result, posed, body);
  if (around === undefined) return posed;
  return {
    ...posed,
    ...(around.wall === undefined ? {} : { wall: around.wall }),
    // A box ends where the wall begins.
    rests: [...posed.rests, ...(around.rests ?? [])].map((rest) =>
      around.wall === undefined ? rest : { ...rest, right: Math.min(rest.right, around.wall.x) },
    ),
    dimensions: [...posed.dimensions, ...(around.dimensions ?? [])],
  };
}

/**
 * @param result the solved set-up of the stage; `null` where none is measured
 * @throws UnreachableProblem when this body cannot be in the shape at these distances
 */
export function poseShape(
  input: Posed,
  shape: ShapeRef,
  setup: SetupId | undefined,
  result: SetupResult | null,
): PosedShape {
  const { body, along } = input;
  const hands = along === undefined ? {} : { along };
  const distances = result?.distances ?? [];
  if ('still' in shape) {
    const { dials, solve, hasChosenHands } = getStill(shape.still);
    const values = valuesFrom(dials, body, distances);
    const still = solve(body, values);
    const joints = hasChosenHands ? withHands(still.joints, along) : still.joints;
    return withAround({ ...still, joints, loads: null, values, ...hands }, setup, result, body);
  }
  const values = valuesFrom(getDials(shape.family), body, distances);
  const posture = toPosture(shape.family, values, shape.oneLeg);
  const loads = computeLoads(body, posture, toMeasuredRanges(input));
  return withAround(
    { ...placeLoaded(body, shape.family, loads, along), loads, values, ...hands },
    setup,
    result,
    body,
  );
}

/** What a shape asks beyond the ranges measured of this person, in sentences. */
export function beyondSentences({ beyondRange }: Pick<Loads, 'beyondRange'>): string[] {
  const { shoulderDeg, hamstringDeg, foldDeg } = beyondRange ?? {};
  return [
    ...(shoulderDeg === undefined
      ? []
      : [
          `The shoulders would have to open ${Math.ceil(shoulderDeg)}° further than was measured: the back arches instead, or the elbows bend.`,
        ]),
    ...(hamstringDeg === undefined
      ? []
      : [
          `The legs would have to fold ${Math.ceil(hamstringDeg)}° further than was measured: bend the knees, or rest the feet higher.`,
        ]),
    ...(foldDeg === undefined
      ? []
      : [
          `Trunk and thighs meet ${Math.ceil(foldDeg)}° before this fold: knees wide to either side, hands wider, or the feet on a chair; that is build and not weakness.`,
        ]),
  ];
}
