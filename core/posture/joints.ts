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

/** Joints of a figure seen from the side, enough to weigh it and for the drawing to flesh it out. */
export interface FigureJoints extends Leg {
  readonly fingertip: Point;
  readonly wrist: Point;
  readonly elbow: Point;
  readonly shoulder: Point;
  readonly crown: Point;
  readonly hip: Point;
  /** The second leg where it is apart from the first. */
  readonly otherLeg?: Leg;
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
const legPoints = ['knee', 'ankle', 'heel', 'toe'] as const;

/** Every place of the figure, for finding how much room it takes. */
export function pointsOf(joints: FigureJoints): Point[] {
  const { otherLeg } = joints;
  return [
    ...mainPoints.map((name) => joints[name]),
    ...(otherLeg ? legPoints.map((name) => otherLeg[name]) : []),
  ];
}

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
  return {
    ...moveLeg(joints),
    fingertip: move(joints.fingertip),
    wrist: move(joints.wrist),
    elbow: move(joints.elbow),
    shoulder: move(joints.shoulder),
    crown: move(joints.crown),
    hip: move(joints.hip),
    ...(joints.otherLeg ? { otherLeg: moveLeg(joints.otherLeg) } : {}),
  };
}
