import type { Point } from '../../posture/joints';
import type { Facing, Outline } from './outline';

/** Half the head's length and depth, and half the neck's, as shares of height. */
const sizes = { long: 0.064, deep: 0.056, neck: 0.026 } as const;

/** Places round the head: towards the crown, and towards the face; halves of its size. */
type Place = readonly [crown: number, face: number];

/** An egg with a brow and a jaw: which way it looks is told by its shape, and nothing else is. */
const headPlaces: readonly Place[] = [
  [0.985, 0.05],
  [0.8, 0.62],
  [0.4, 0.93],
  [0.05, 1],
  [-0.3, 0.97],
  [-0.65, 0.88],
  [-0.93, 0.6],
  [-0.86, 0.12],
  [-0.62, -0.5],
  [-0.3, -0.88],
  [0.25, -0.97],
  [0.75, -0.66],
];

/** Hair over crown, back and nape, to a line before the ear. */
const hairPlaces: readonly Place[] = [
  [1, 0.05],
  [0.84, 0.6],
  [0.56, 0.78],
  [0.44, 0.5],
  [0.3, 0.2],
  [-0.05, 0.12],
  [-0.26, -0.06],
  [-0.6, -0.3],
  [-0.78, -0.52],
  [-0.52, -0.86],
  [0, -1.05],
  [0.55, -0.9],
  [0.88, -0.5],
];

interface Head {
  readonly neck: Outline;
  readonly face: Outline;
  readonly hair: Outline;
}

/** Where things are on a head: along the way from shoulder to crown, and towards the face. */
function headFrame(shoulder: Point, crown: Point, scaleM: number, facing: Facing) {
  const [dx, dy] = [crown[0] - shoulder[0], crown[1] - shoulder[1]];
  const length = Math.hypot(dx, dy);
  const u: Point = [dx / length, dy / length];
  // Seen from the feet the back lies to the right; seen towards the crown the face does.
  const f: Point = [u[1] * facing, -u[0] * facing];
  const longM = Math.min(sizes.long * scaleM, length / 2);
  const deepM = sizes.deep * scaleM;
  const centre: Point = [crown[0] - u[0] * longM, crown[1] - u[1] * longM];
  const place = ([a, b]: Place): Point => [
    centre[0] + u[0] * a * longM + f[0] * b * deepM,
    centre[1] + u[1] * a * longM + f[1] * b * deepM,
  ];
  return { u, f, place };
}

/** Places of a face from the side, for a picture that is to pass for one. */
const featurePlaces = {
  ear: [-0.12, -0.12],
  eye: [0.08, 0.66],
  brow: [0.24, 0.7],
  mouth: [-0.6, 0.72],
} as const satisfies Record<string, Place>;

export function faceFeatures(
  shoulder: Point,
  crown: Point,
  scaleM: number,
): Readonly<Record<keyof typeof featurePlaces, Point>> {
  const { place } = headFrame(shoulder, crown, scaleM, 1);
  const { ear, eye, brow, mouth } = featurePlaces;
  return { ear: place(ear), eye: place(eye), brow: place(brow), mouth: place(mouth) };
}

/**
 * Head and neck from the shoulder to the crown.
 *
 * @param scaleM the body's height, metres
 */
export function headOutlines(shoulder: Point, crown: Point, scaleM: number, facing: Facing): Head {
  const { u, f, place } = headFrame(shoulder, crown, scaleM, facing);
  const [[ux, uy], [fx, fy]] = [u, f];
  const half = sizes.neck * scaleM;
  const across = ([x, y]: Point, share: number): Point => [
    x + fx * share * half,
    y + fy * share * half,
  ];
  const low: Point = [shoulder[0] - ux * half, shoulder[1] - uy * half];
  const nape = place([-0.3, -0.15]);
  return {
    neck: [
      across(low, -1.5),
      across(shoulder, -1.45),
      across(nape, -1),
      across(nape, 0.95),
      across(shoulder, 1.3),
      across(low, 1.4),
    ],
    face: headPlaces.map(place),
    hair: hairPlaces.map(place),
  };
}
