/** How each measure is taken, as its picture shows it: the pose, where the tape runs, and what it meets. */
import type { Body } from '../../body/body';
import type { GirthId } from '../../body/girths';
import type { LengthId } from '../../body/lengths';
import { turned } from '../../posture/geometry';
import type { FigureJoints, Point } from '../../posture/joints';
import { onChair, soledToWall, standing, type ArmHeld } from './poses';

export interface Tape {
  readonly from: Point;
  readonly to: Point;
}

/** A book or the like, by its corners; metres. */
interface Book {
  readonly low: Point;
  readonly high: Point;
  /** Between the thighs: the near one hides it. */
  readonly isBehind?: boolean;
}

/** Somebody from the side. */
export interface FromSide {
  readonly kind: 'side';
  readonly joints: FigureJoints;
  readonly tape: Tape;
  /** The tape goes round there. */
  readonly isRound?: true;
  /** Marks on the body that the tape is beside. */
  readonly marks?: readonly Tape[];
  /** Where a wall stands, and on which side of it nobody is; metres. */
  readonly wall?: { readonly x: number; readonly behind: 'left' | 'right' };
  readonly book?: Book;
  readonly hasChair?: true;
  /** What is shown: lowest place, how high, and its middle; metres. */
  readonly window: { readonly lowM: number; readonly highM: number; readonly middleM: number };
}

/** Somebody from the front, standing: from where to where the tape runs across. */
export interface FromFront {
  readonly kind: 'front';
  readonly acrossM: number;
  /** Between a wall and a book. */
  readonly isBetween: boolean;
}

export type OutlineId = 'hand' | 'knuckle' | 'palmBreadth' | 'thumb' | 'upperArmThickness';

/** A hand or an arm alone: its picture is a fixed one, not to scale. */
export interface FromAbove {
  readonly kind: 'above';
  readonly of: OutlineId;
}

export type Taking = FromSide | FromFront | FromAbove;

/** Air between a body and the wall it stands at, and how thick a book is; metres. */
const sizes = { airM: 0.004, bookM: 0.028, besideM: 0.13 } as const;
/** How far the seat reaches behind the joints, as the figure is drawn: share of height. */
const seatBehind = 0.066;

/** The wall behind somebody who leans their back on it. */
const backWall = ({ heightM }: Body) => -seatBehind * heightM - sizes.airM;

/** A tape from the floor or a wall to a place, on a line of its own. */
const upright = (x: number, low: number, high: number): Tape => ({ from: [x, low], to: [x, high] });

type ByLength = Readonly<Record<LengthId, (body: Body) => Taking>>;

/** From one joint to another, on somebody who stands. */
const bone =
  (
    from: keyof FigureJoints,
    to: keyof FigureJoints,
    arm: ArmHeld,
    window: (joints: FigureJoints) => FromSide['window'],
  ) =>
  (body: Body): FromSide => {
    const joints = standing(body, arm);
    return {
      kind: 'side',
      joints,
      tape: { from: joints[from] as Point, to: joints[to] as Point },
      window: window(joints),
    };
  };

const shownRound = (middleY: number, highM: number, middleM = 0): FromSide['window'] => ({
  lowM: middleY - highM / 2,
  highM,
  middleM,
});

const above = (of: OutlineId) => (): FromAbove => ({ kind: 'above', of });

export const takings = {
  hand: above('hand'),
  knuckle: above('knuckle'),
  palmBreadth: above('palmBreadth'),
  thumb: above('thumb'),
  upperArmThickness: above('upperArmThickness'),
  forearm: (body) => {
    const joints = standing(body, 'elbow-back');
    const { elbow, wrist } = joints;
    return {
      kind: 'side',
      joints,
      tape: { from: elbow, to: wrist },
      wall: { x: elbow[0], behind: 'left' },
      window: shownRound(elbow[1] + 0.06, 0.72, 0.06),
    };
  },
  upperArm: bone('shoulder', 'elbow', 'elbow-at-side', ({ elbow, shoulder }) =>
    shownRound((elbow[1] + shoulder[1]) / 2 + 0.04, 0.72, 0.06),
  ),
  trunk: bone('shoulder', 'hip', 'ahead', ({ hip, shoulder }) =>
    shownRound((hip[1] + shoulder[1]) / 2 + 0.04, 0.86, 0.06),
  ),
  thigh: bone('hip', 'knee', 'ahead', ({ hip, knee }) =>
    shownRound((hip[1] + knee[1]) / 2, 0.74, 0.04),
  ),
  shank: bone('knee', 'ankle', 'ahead', ({ knee }) => ({
    lowM: -0.05,
    highM: knee[1] + 0.2,
    middleM: 0.06,
  })),
  armReach: (body) => {
    const joints = standing(body, 'hanging');
    const { shoulder, fingertip } = joints;
    return {
      kind: 'side',
      joints,
      tape: { from: shoulder, to: fingertip },
      wall: { x: backWall(body), behind: 'left' },
      window: shownRound((shoulder[1] + fingertip[1]) / 2 + 0.06, 1.12, 0.06),
    };
  },
  shoulderToCrown: (body) => {
    const joints = standing(body, 'hanging');
    const { shoulder, crown } = joints;
    const wallX = backWall(body);
    return {
      kind: 'side',
      joints,
      tape: upright(sizes.besideM, shoulder[1], crown[1]),
      marks: [{ from: shoulder, to: [sizes.besideM, shoulder[1]] }],
      wall: { x: wallX, behind: 'left' },
      book: { low: [wallX, crown[1]], high: [sizes.besideM + 0.03, crown[1] + sizes.bookM] },
      window: shownRound((shoulder[1] + crown[1]) / 2, 0.52, 0.02),
    };
  },
  hipToSeat: (body) => {
    const joints = onChair(body);
    const { hip } = joints;
    return {
      kind: 'side',
      joints,
      tape: { from: hip, to: [hip[0], hip[1] - body.lengths.hipToSeat] },
      hasChair: true,
      window: { lowM: -0.05, highM: 1.02, middleM: 0.2 },
    };
  },
  foot: (body) => {
    const joints = standing(body, 'hanging');
    const wallX = -joints.heelBackM;
    return {
      kind: 'side',
      joints,
      tape: { from: [wallX, -0.03], to: [joints.toe[0], -0.03] },
      marks: [{ from: joints.toe, to: [joints.toe[0], -0.03] }],
      wall: { x: wallX, behind: 'left' },
      window: { lowM: -0.08, highM: 0.4, middleM: joints.toe[0] / 2 - 0.03 },
    };
  },
  innerLeg: (body) => {
    const joints = standing(body, 'ahead');
    const top = body.lengths.innerLeg;
    const wallX = backWall(body);
    return {
      kind: 'side',
      joints,
      tape: upright(sizes.besideM + 0.05, 0, top),
      wall: { x: wallX, behind: 'left' },
      book: { low: [wallX, top - 0.2], high: [sizes.besideM + 0.08, top], isBehind: true },
      window: { lowM: -0.05, highM: 1.06, middleM: 0.06 },
    };
  },
  sittingLegReach: (body) => {
    const joints = soledToWall(body);
    const { hip } = joints;
    return {
      kind: 'side',
      joints,
      tape: { from: [0, hip[1]], to: hip },
      wall: { x: 0, behind: 'right' },
      window: { lowM: -0.1, highM: 1.3, middleM: -body.lengths.sittingLegReach / 2 - 0.08 },
    };
  },
  skullToC7: (body) => {
    const chinDeg = 22;
    const joints = standing(body, 'hanging', chinDeg);
    const { shoulder } = joints;
    const bonePoint = turned(turned(shoulder, chinDeg - 90, 0.036 * body.heightM), chinDeg, 0.03);
    return {
      kind: 'side',
      joints,
      tape: { from: turned(bonePoint, chinDeg, body.lengths.skullToC7), to: bonePoint },
      window: shownRound(shoulder[1] + 0.12, 0.46, 0.03),
    };
  },
  outerShoulderWidth: ({ lengths }) => ({
    kind: 'front',
    acrossM: lengths.outerShoulderWidth,
    isBetween: true,
  }),
  shoulderJointWidth: ({ lengths }) => ({
    kind: 'front',
    acrossM: lengths.shoulderJointWidth,
    isBetween: false,
  }),
} as const satisfies ByLength;

/** How high the tape goes round. */
const bands = {
  chestGirth: ({ shoulder }, { lengths }) => shoulder[1] - 0.16 * lengths.trunk,
  bellyGirth: ({ hip }, { lengths }) => hip[1] + 0.36 * lengths.trunk,
  thighGirth: ({ hip }, { lengths }) => hip[1] - 0.16 * lengths.thigh,
} as const satisfies Record<GirthId, (joints: FigureJoints, body: Body) => number>;

/** How far the band reaches ahead and back: what the figure is drawn with there, shares of height. */
const bandHalves = {
  chestGirth: [0.055, 0.052],
  bellyGirth: [0.053, 0.044],
  thighGirth: [0.053, 0.062],
} as const satisfies Record<GirthId, readonly [ahead: number, back: number]>;

export function takeGirth(id: GirthId, body: Body): FromSide {
  // What goes round under the armpits is taken with the arms down.
  const joints = standing(body, id === 'chestGirth' ? 'hanging' : 'ahead');
  const y = bands[id](joints, body);
  const [ahead, back] = bandHalves[id];
  return {
    kind: 'side',
    joints,
    tape: { from: [-back * body.heightM, y], to: [ahead * body.heightM, y] },
    isRound: true,
    window: shownRound(y + (id === 'thighGirth' ? 0 : 0.06), 0.78, 0.06),
  };
}
