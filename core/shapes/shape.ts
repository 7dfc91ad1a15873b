/** What a shape is: everything the bench, the drawings and the loads need to know of it, in one value. */
import type { Body } from '../body/body';
import type { FigureJoints } from '../posture/joints';
import type { Pose } from '../posture/pose';
import type { DistanceId } from '../setups/distanceWords';
import type { SetupId } from '../setups/registry';
import type { Dial, DialValues } from './dials';
import type { PostureParameters, ShapeId } from './postures';

/** Something a figure rests on or stands before: a box, metres; `bottom` absent: on the floor. */
export interface Rest {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom?: number;
}

/** A wall's face, and on which side of it the figure stands: 1 to its left, -1 to its right. */
export interface WallFace {
  readonly x: number;
  readonly side: 1 | -1;
}

/** A chair from the side: the front edge of its seat, and where its backrest stands. */
export interface ChairPlace {
  readonly frontX: number;
  readonly backX: number;
  /** Floor to the seat, metres; absent: as chairs are. */
  readonly seatM?: number;
}

/** A figure with its wall, wherever both have been moved to. */
export interface Placed {
  readonly joints: FigureJoints;
  readonly wall?: WallFace;
}

/**
 * A measure written beside a figure. It is read off the figure and never off a dial, so that what is
 * drawn and what is written cannot differ.
 */
export type ShapeDimension =
  | {
      readonly kind: 'level';
      readonly distance?: DistanceId;
      readonly fromX: number;
      readonly toX: number;
    }
  | {
      readonly kind: 'upright';
      readonly distance?: DistanceId;
      /** Where the line stands. */
      readonly x: number;
      readonly fromY: number;
      readonly toY: number;
    };

export const shapeGroups = ['Forearms', 'Hands', 'Head', 'Shoulders', 'Arm balance'] as const;

/** What is known of a shape's loads beyond the shares of its contacts. */
export interface LoadFacts<Id extends ShapeId> {
  /** The head hangs between upper arms: its clearance is said. */
  readonly hangsHead?: true;
  /** One line to a wall: its lean, and the bend over upright upper arms. */
  readonly leansToWall?: true;
  /** Kicked or hopped into from here: how far the weight rises is said. */
  readonly kickFrom?: 'hands' | 'forearms';
  /** How far the shoulders go ahead of the hands is said. */
  readonly saysLead?: true;
  readonly neckFlexionDeg?: (body: Body, parameters: PostureParameters[Id]) => number;
}

/** A shape with loads. */
export interface Shape<Id extends ShapeId = ShapeId> {
  readonly label: string;
  readonly group: (typeof shapeGroups)[number];
  /** A leg may be lifted. */
  readonly mayLiftLeg?: true;
  /** Near the floor: drawn on a lower sheet. */
  readonly isLow?: true;
  /** On the back: drawn facing the other way. */
  readonly isOnBack?: true;
  /** On the forearms, with the hands as the person or the school chooses. */
  readonly hasChosenHands?: true;
  readonly dials: readonly Dial[];
  /** @throws UnreachableProblem when the geometry cannot close */
  readonly solve: (body: Body, parameters: PostureParameters[Id]) => Pose;
  /** The wall the figure stands at, where no contact with it says so. */
  readonly wall?: (joints: FigureJoints) => WallFace;
  readonly supports?: (joints: FigureJoints, body: Body) => readonly Rest[];
  /** A chair under it or before it; absent, or none: no chair. */
  readonly chair?: (joints: FigureJoints) => ChairPlace | undefined;
  readonly dimensions: (placed: Placed, body: Body) => readonly ShapeDimension[];
  readonly loads: LoadFacts<Id>;
  /** The set-ups it is set up by, the main one first. */
  readonly setups: readonly SetupId[];
}

/** A shape that is drawn to scale without loads: the model has none to give for it. */
export interface StillShape extends Pick<Shape, 'hasChosenHands'> {
  readonly label: string;
  readonly dials: readonly Dial[];
  readonly solve: (body: Body, values: DialValues) => Still;
}

/** A still shape whose solver reads its own dials by name, and no other. */
export const still = <const Dials extends readonly Dial[]>(shape: {
  readonly label: string;
  readonly dials: Dials;
  readonly solve: (
    body: Body,
    values: Readonly<Record<Dials[number]['parameter'], number>>,
  ) => Still;
}): StillShape => shape as StillShape;

export interface Still {
  readonly joints: FigureJoints;
  readonly isOnBack: boolean;
  readonly wall?: WallFace;
  readonly chair?: ChairPlace;
  readonly rests: readonly Rest[];
  readonly dimensions: readonly ShapeDimension[];
}

export const noDimensions = (): readonly ShapeDimension[] => [];

/** From a joint to the wall it is measured from. */
export function toWall(
  { wall }: Placed,
  x: number,
  distance: DistanceId = 'base',
): readonly ShapeDimension[] {
  return wall === undefined ? [] : [{ kind: 'level', distance, fromX: x, toX: wall.x }];
}

/** From the floor up. */
export const fromFloor = (x: number, toY: number, distance?: DistanceId): ShapeDimension => ({
  kind: 'upright',
  x,
  fromY: 0,
  toY,
  ...(distance === undefined ? {} : { distance }),
});
