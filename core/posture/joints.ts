/** A point in metres: x towards the wall or head end, y up from the floor. */
export type Point = readonly [x: number, y: number];

export interface Leg {
  readonly knee: Point;
  readonly ankle: Point;
  /** Where the line of the ankle meets the sole; the ball of the foot when the heel is lifted. */
  readonly heel: Point;
  /** Same as `heel` on the balls of the feet. */
  readonly toe: Point;
  /** How far the foot reaches behind that place. */
  readonly heelBackM: number;
}

/** One arm, from the elbow on. */
export interface Arm {
  readonly elbow: Point;
  readonly wrist: Point;
  readonly fingertip: Point;
}

/** Joints of a figure seen from the side, enough to weigh it and for the drawing to flesh it out. */
export interface FigureJoints extends Leg, Arm {
  readonly shoulder: Point;
  readonly crown: Point;
  readonly hip: Point;
  /** The second leg where it is apart from the first. */
  readonly otherLeg?: Leg;
  /** The second arm where it does something else; figures of the set-ups have none. */
  readonly otherArm?: Arm;
}

const mainPoints = [
  'fingertip',
  'wrist',
  'elbow',
  'shoulder',
  'crown',
  'hip',
  'knee',
  'ankle',
  'heel',
  'toe',
] as const satisfies readonly (keyof FigureJoints)[];
const armPoints = ['elbow', 'wrist', 'fingertip'] as const;
const legPoints = ['knee', 'ankle', 'heel', 'toe'] as const;

/** Every place of the figure, for finding how much room it takes. */
export function pointsOf(joints: FigureJoints): Point[] {
  const { otherLeg, otherArm } = joints;
  return [
    ...mainPoints.map((name) => joints[name]),
    ...(otherLeg ? legPoints.map((name) => otherLeg[name]) : []),
    ...(otherArm ? armPoints.map((name) => otherArm[name]) : []),
  ];
}

/** Where the legs are, hips left out. */
export const legPointsOf = ({ otherLeg, ...joints }: FigureJoints): Point[] => [
  ...legPoints.map((name) => joints[name]),
  ...(otherLeg ? legPoints.map((name) => otherLeg[name]) : []),
];

/** The same figure elsewhere. */
export function shifted(joints: FigureJoints, dx: number, dy: number): FigureJoints {
  const move = ([x, y]: Point): Point => [x + dx, y + dy];
  const moveLeg = (leg: Leg): Leg => ({
    knee: move(leg.knee),
    ankle: move(leg.ankle),
    heel: move(leg.heel),
    toe: move(leg.toe),
    heelBackM: leg.heelBackM,
  });
  const moveArm = (arm: Arm): Arm => ({
    elbow: move(arm.elbow),
    wrist: move(arm.wrist),
    fingertip: move(arm.fingertip),
  });
  return {
    ...moveLeg(joints),
    ...moveArm(joints),
    shoulder: move(joints.shoulder),
    crown: move(joints.crown),
    hip: move(joints.hip),
    ...(joints.otherLeg ? { otherLeg: moveLeg(joints.otherLeg) } : {}),
    ...(joints.otherArm ? { otherArm: moveArm(joints.otherArm) } : {}),
  };
}
