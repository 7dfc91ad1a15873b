/**
 * A person in a room with every joint known to the pixel, for practising and for testing: whoever
 * paints it paints these places, and whoever reads it is compared with them.
 */
import type { Body } from '../body/body';
import { frontJoints, usualFeetM, type FrontWidths } from '../drawing/figure/frontBody';
import type { ContactName } from '../posture/contacts';
import { distanceOf, radians } from '../posture/geometry';
import type { FigureJoints, Leg, Point } from '../posture/joints';
import { InputProblem } from '../problem';
import { computeLoads } from '../shapes/loads';
import type { ShapeId } from '../shapes/postures';
import { getDials, toPosture, usualValues } from '../shapes/values';
import type { DialValues } from '../shapes/dials';
import type {
  FacingMarks,
  Mark,
  MarkName,
  MarkSet,
  Pixel,
  PixelLine,
  PlumbBase,
  SideMarks,
} from './marks';

export interface ComputedFigure {
  readonly joints: FigureJoints;
  /** What carries, in the words of Plumb. */
  readonly base: PlumbBase;
  /** The shoulders carry with it. */
  readonly isOnShoulders: boolean;
  readonly wallX: number | null;
  /** 1: the person stands to the left of the wall. */
  readonly wallSide: 1 | -1;
}

/**
 * The joints of somebody's own figure in a shape, metres: in its usual set-up, or so much nearer to
 * the wall or further from it.
 *
 * @param wallMoreM added to the distance of the base from the wall, where the shape has one
 * @throws UnreachableProblem when the geometry cannot close
 */
export function figureOf(body: Body, shape: ShapeId, wallMoreM = 0): ComputedFigure {
  const usual = usualValues(shape, body);
  const { pose, contacts } = computeLoads(body, toPosture(shape, fromWall(usual, wallMoreM)));
  return {
    joints: pose.joints,
    base: carriers.find((base) => contacts.some(({ name }) => name === base)) ?? 'feet',
    isOnShoulders: contacts.some(({ name }) => name === 'shoulders'),
    wallX: pose.wall?.at[0] ?? null,
    wallSide: pose.wall?.side ?? 1,
  };
}

/** What Plumb and the loads both name, the head before the arms beside it. */
const carriers = ['head', 'forearms', 'hands'] as const satisfies readonly (PlumbBase &
  ContactName)[];

/** What every shape calls the distance of its base from the wall. */
const baseDial = 'baseM';

const fromWall = (values: DialValues, moreM: number): DialValues =>
  values[baseDial] === undefined || moreM === 0
    ? values
    : { ...values, [baseDial]: values[baseDial] + moreM };

/**
 * The figure as somebody stands in a picture: at the wall where it was measured to be, else in the
 * usual set-up, as also where the body does not reach that wall.
 *
 * @param baseToWallM as it was read, metres: positive where the wall is ahead; `null`: not known
 * @throws UnreachableProblem when even the usual geometry cannot close
 */
export function figureAt(body: Body, shape: ShapeId, baseToWallM: number | null): ComputedFigure {
  const usual = figureOf(body, shape);
  const usualM = usualValues(shape, body)[baseDial];
  if (baseToWallM === null || usual.wallX === null || usualM === undefined) return usual;
  // Another wall than the one of this shape: behind instead of ahead.
  const isAhead = usual.wallX > usual.joints.wrist[0];
  if (isAhead !== baseToWallM > 0) return usual;
  try {
    return figureOf(body, shape, Math.abs(baseToWallM) - usualM);
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    return usual;
  }
}

/** Is the base of this shape so far from a wall that it could be moved? */
export const hasWallDistance = (shape: ShapeId): boolean =>
  getDials(shape).some(({ parameter }) => parameter === baseDial);

/** Do the feet of this shape stand on nothing? Then legs and line can be wrong in many ways. */
export function canLean(body: Body, shape: ShapeId): boolean {
  const { joints, wallX } = figureOf(body, shape);
  return areFeetFree(joints, wallX);
}

const areFeetFree = ({ ankle }: FigureJoints, wallX: number | null): boolean =>
  wallX === null && ankle[1] > freeM;

export const practiceLights = ['day', 'evening', 'window'] as const;
export type PracticeLight = (typeof practiceLights)[number];

/** How a practice picture is taken, and what is wrong in it. */
export interface PracticeChoices {
  readonly view: 'side' | 'front';
  /** How far the legs fall past the trunk's line, degrees: an arch. Only where the feet are free. */
  readonly archDeg: number;
  /** How far the whole body leans past the base, degrees. Only where the feet are free. */
  readonly pastDeg: number;
  /** How far the near knee is bent, degrees. Only where the feet are free. */
  readonly kneeDeg: number;
  /** How much further apart than the shoulders elbows or hands stand, metres; seen from the front. */
  readonly apartM: number;
  /** How much further from the wall than usual the base is, metres. */
  readonly wallMoreM: number;
  /** How the camera was held, degrees; how high, and how far from the person, metres. */
  readonly tiltDeg: number;
  readonly cameraM: number;
  readonly distanceM: number;
  readonly light: PracticeLight;
}

export interface PracticeWish extends Partial<PracticeChoices> {
  readonly shape: ShapeId;
}

/** Nothing wrong, from the side, the camera as it is asked for, by day. */
export const plainPractice: PracticeChoices = {
  view: 'side',
  archDeg: 0,
  pastDeg: 0,
  kneeDeg: 0,
  apartM: 0,
  wallMoreM: 0,
  tiltDeg: 0,
  cameraM: 0.98,
  distanceM: 3.4,
  light: 'day',
};

/** What can be chosen, and between which values. */
export const practiceRanges = {
  archDeg: [0, 30],
  pastDeg: [0, 12],
  kneeDeg: [0, 60],
  apartM: [0, 0.12],
  wallMoreM: [-0.1, 0.15],
  tiltDeg: [-5, 5],
  cameraM: [0.3, 1.6],
  distanceM: [2.4, 6],
} as const satisfies Partial<Record<keyof PracticeChoices, readonly [low: number, high: number]>>;

/** Practice pictures in their row, each taken a little otherwise; after the last comes the first. */
export const practiceTakes = [
  { archDeg: 14, tiltDeg: 2 },
  { archDeg: 0, tiltDeg: -3 },
  { archDeg: 24, tiltDeg: 5 },
  { archDeg: 6, tiltDeg: 0 },
  { archDeg: 18, tiltDeg: -5 },
] as const satisfies readonly Partial<PracticeChoices>[];

/** The picture's size, and its scale at the distance that is asked for. */
export const practiceSize = { width: 900, height: 1200, pxPerM: 500 } as const;

/** Pixels to the metre at one metre from the camera. */
const lensPx = practiceSize.pxPerM * plainPractice.distanceM;

/** Feet above this height stand on nothing, metres. */
const freeM = 0.4;
const legPoints = ['knee', 'ankle', 'heel', 'toe'] as const;
const bodyPoints = ['shoulder', 'crown', 'hip', ...legPoints] as const;

function turnAbout(centre: Point, [x, y]: Point, deg: number): Point {
  const [dx, dy] = [x - centre[0], y - centre[1]];
  const turn = radians(deg);
  return [
    centre[0] + dx * Math.cos(turn) + dy * Math.sin(turn),
    centre[1] - dx * Math.sin(turn) + dy * Math.cos(turn),
  ];
}

const turnedAll = <Name extends keyof FigureJoints>(
  joints: Readonly<Record<Name, Point>>,
  names: readonly Name[],
  centre: Point,
  deg: number,
) =>
  Object.fromEntries(names.map((name) => [name, turnAbout(centre, joints[name], deg)])) as Record<
    Name,
    Point
  >;

/** The legs turned about the hips: towards the back is positive. */
function withArch({ otherLeg: _, ...joints }: FigureJoints, deg: number): FigureJoints {
  return { ...joints, ...turnedAll(joints, legPoints, joints.hip, deg) };
}

/** The whole body turned about what it stands on: past it is positive. Whoever stands on the head stays. */
function withLean(joints: FigureJoints, base: PlumbBase, deg: number): FigureJoints {
  if (deg === 0) return joints;
  switch (base) {
    case 'hands':
      return { ...joints, ...turnedAll(joints, [...bodyPoints, 'elbow'], joints.wrist, deg) };
    case 'forearms':
      return { ...joints, ...turnedAll(joints, bodyPoints, joints.elbow, deg) };
    case 'head':
    case 'feet':
      return joints;
    default:
      return base satisfies never;
  }
}

/** The near knee bent; the far leg stays as it was. */
function withKnee(joints: FigureJoints, deg: number): FigureJoints {
  if (deg === 0) return joints;
  const { knee, ankle, heel, toe, heelBackM } = joints;
  const otherLeg: Leg = { knee, ankle, heel, toe, heelBackM };
  return { ...joints, ...turnedAll(joints, ['ankle', 'heel', 'toe'], knee, deg), otherLeg };
}

export interface PracticeScene extends ComputedFigure {
  readonly pxPerM: number;
  /** Where the floor lies in the middle of the picture, before it is tilted, pixels. */
  readonly floorPx: number;
  /** Where the person's own nought lies along the floor, pixels, before the tilt. */
  readonly originPx: number;
  /** Metres to pixels of the picture. */
  readonly place: (point: Point) => Pixel;
  /** From the front: how wide everything is. */
  readonly front: FrontWidths | null;
}

/**
 * @throws UnreachableProblem when the geometry cannot close
 * @throws InputProblem when there is nothing to see from the front
 */
export function practiceScene(body: Body, { shape, ...chosen }: PracticeWish): PracticeScene {
  const wish = { ...plainPractice, ...chosen };
  const { joints, ...wall } = figureOf(body, shape, wish.wallMoreM);
  const figure = areFeetFree(joints, wall.wallX)
    ? withKnee(withArch(withLean(joints, wall.base, wish.pastDeg), wish.archDeg), wish.kneeDeg)
    : withArch(joints, 0);
  const { wrist, fingertip, shoulder, crown, hip, ankle, toe } = figure;
  const xs = [wrist, fingertip, shoulder, crown, hip, ankle, toe].map(([x]) => x);
  const { width, height } = practiceSize;
  const pxPerM = lensPx / wish.distanceM;
  const floorPx = height / 2 + wish.cameraM * pxPerM;
  const isFront = wish.view === 'front';
  const middleM = isFront ? 0 : (Math.min(...xs) + Math.max(...xs)) / 2;
  const originPx = width / 2 - middleM * pxPerM;
  const turn = radians(wish.tiltDeg);
  return {
    ...wall,
    ...(isFront ? { wallX: null } : {}),
    joints: figure,
    pxPerM,
    floorPx,
    originPx,
    front: isFront ? widthsOf(body, joints, wall.base, wish.apartM) : null,
    place: ([x, y]) => {
      const [dx, dy] = [originPx + x * pxPerM - width / 2, floorPx - y * pxPerM - height / 2];
      return [
        width / 2 + dx * Math.cos(turn) - dy * Math.sin(turn),
        height / 2 + dx * Math.sin(turn) + dy * Math.cos(turn),
      ];
    },
  };
}

function widthsOf(body: Body, joints: FigureJoints, base: PlumbBase, apartM: number): FrontWidths {
  const { shoulder, hip, knee, ankle } = joints;
  const isUpright = shoulder[1] < hip[1] && hip[1] < knee[1] && knee[1] < ankle[1];
  if ((base !== 'hands' && base !== 'forearms') || !isUpright) {
    throw new InputProblem(
      'not-possible',
      'From the front a practice picture shows who stands upright on hands or forearms.',
    );
  }
  const joint = body.lengths.shoulderJointWidth;
  const wide = joint + apartM;
  // Elbows that wander leave the hands where they are.
  return {
    kind: base,
    apartM: wide,
    wristM: base === 'forearms' ? joint : wide,
    feetM: usualFeetM(body),
  };
}

/** On the ball of the foot the toe is what is marked, on a pointed one the ankle: heels come last. */
const legNames = ['knee', 'ankle', 'toe', 'heel'] as const;
const nearNames = ['wrist', 'elbow', 'shoulder', 'crown', 'hip', ...legNames] as const;
const frontNames = ['wrist', 'elbow', 'shoulder', 'hip', 'knee', 'ankle'] as const;

/** What is in a practice picture, as somebody would mark it who makes no mistake. */
export type PracticeTruth = {
  readonly base: PlumbBase;
  readonly floor: PixelLine;
  readonly wall?: PixelLine;
  readonly scale: { readonly from: Pixel; readonly to: Pixel; readonly metres: number };
} & (
  | { readonly view: 'side'; readonly facing: 'right'; readonly marks: SideMarks }
  | { readonly view: 'front'; readonly marks: FacingMarks }
);

/** The back of the heel, which is what is marked: the figure's own heel lies below the ankle. */
function backOfHeel({ heel, toe, heelBackM }: Leg): Point {
  const sole = distanceOf(heel, toe);
  if (sole === 0) return heel;
  const share = heelBackM / sole;
  return [heel[0] - (toe[0] - heel[0]) * share, heel[1] - (toe[1] - heel[1]) * share];
}

/** The truth of a practice picture, to the pixel. @throws as `practiceScene` */
export function practiceTruth(body: Body, wish: PracticeWish): PracticeTruth {
  const { joints, base, place, front, wallX } = practiceScene(body, wish);
  const mark = (point: Point): Mark => {
    const [x, y] = place(point);
    return { x, y };
  };
  const marksOf = (
    names: readonly MarkName[],
    at: (name: MarkName) => Point | undefined,
  ): MarkSet => {
    const marked: (readonly [MarkName, Point])[] = [];
    for (const name of names) {
      const point = at(name);
      // Heel and toe of somebody on the balls of the feet, heel and ankle of a pointed foot: one place.
      if (point === undefined || marked.some(([, other]) => distanceOf(point, other) < 1e-6))
        continue;
      marked.push([name, point]);
    }
    return Object.fromEntries(marked.map(([name, point]) => [name, mark(point)]));
  };
  const facts = {
    floor: [place([-1, 0]), place([1, 0])],
    scale: { from: place([0, 0]), to: place([1, 0]), metres: 1 },
    ...(wallX === null ? {} : { wall: [place([wallX, 0]), place([wallX, 2])] }),
  } satisfies Partial<PracticeTruth>;
  if (front !== null) {
    const right = frontJoints(body, joints, front);
    const at =
      (side: 1 | -1) =>
      (name: MarkName): Point | undefined => {
        const found = frontNames.find((one) => one === name);
        return found === undefined ? undefined : [side * right[found][0], right[found][1]];
      };
    // Upside down and facing whoever looks, somebody has their left on the left of the picture.
    const marks = { left: marksOf(frontNames, at(-1)), right: marksOf(frontNames, at(1)) };
    return { ...facts, base, view: 'front', marks };
  }
  const own = (of: Partial<Record<MarkName, Point>>) => (name: MarkName) => of[name];
  const { otherLeg } = joints;
  const far =
    otherLeg === undefined
      ? {}
      : { far: marksOf(legNames, own({ ...otherLeg, heel: backOfHeel(otherLeg) })) };
  const marks = { near: marksOf(nearNames, own({ ...joints, heel: backOfHeel(joints) })), ...far };
  return { ...facts, base, view: 'side', facing: 'right', marks };
}
