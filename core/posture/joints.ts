/** A point in metres: x towards the wall, y up from the floor. */
export type Point = readonly [x: number, y: number];

/** Joints of a figure seen from the side, enough for the drawing to flesh it out. */
export interface FigureJoints {
  readonly fingertip: Point;
  readonly wrist: Point;
  readonly elbow: Point;
  readonly shoulder: Point;
  readonly crown: Point;
  readonly hip: Point;
  readonly knee: Point;
  readonly ankle: Point;
  /** Where the line of the shank meets the sole. */
  readonly heel: Point;
  readonly toe: Point;
  /** How far the foot reaches behind that place. */
  readonly heelBackM: number;
}
