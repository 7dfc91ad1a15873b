import type { FigureJoints, Point } from '../../posture/joints';
import { axisOf, limb, type Facing, type Outline } from './outline';
import { flesh } from './flesh';

/** Heights over what a hand and a forearm lie on, and the thumb, as shares of height. */
const sizes = { forearm: 0.044, wrist: 0.03, hand: 0.02, thumb: 0.03, thumbHalf: 0.0062 } as const;

/** How the near arm meets the world. */
export type Hold = 'forearm' | 'palm' | 'free';

export function holdOf({ elbow, wrist, fingertip }: FigureJoints): Hold {
  if (Math.abs(elbow[1] - wrist[1]) < 1e-6) return 'forearm';
  return Math.abs(wrist[1] - fingertip[1]) < 1e-6 ? 'palm' : 'free';
}

/** Where the upper arm ends in the drawing: on top of a forearm that lies on its flesh. */
export function drawnElbow({ elbow }: FigureJoints, hold: Hold, scaleM: number): Point {
  return [elbow[0], elbow[1] + (hold === 'forearm' ? sizes.forearm * scaleM * 0.55 : 0)];
}

/** Hand and forearm, thumb and all, with the upper arm; one body without inner edges. */
export function armOutlines(
  joints: FigureJoints,
  scaleM: number,
  wideM: number,
  facing: Facing,
): Outline[] {
  const hold = holdOf(joints);
  const upper = limb(drawnElbow(joints, hold, scaleM), joints.shoulder, flesh.upperArm, wideM);
  return [upper, ...lowerArm(joints, hold, scaleM, facing)];
}

function lowerArm(joints: FigureJoints, hold: Hold, scaleM: number, facing: Facing): Outline[] {
  switch (hold) {
    case 'forearm':
      return lying(joints, scaleM);
    case 'palm':
      return onPalm(joints, scaleM);
    case 'free':
      return free(joints, scaleM, facing);
    default:
      return hold satisfies never;
  }
}

/** A thumb that stands a little off the hand, from a place near its root. */
function thumb(root: Point, way: number, upShare: number, scaleM: number): Outline {
  const tip: Point = [
    root[0] + way * sizes.thumb * scaleM * 0.86,
    root[1] + sizes.thumb * scaleM * upShare,
  ];
  const half = sizes.thumbHalf;
  return limb(
    root,
    tip,
    [
      [0, half * 1.2, half * 1.2],
      [0.6, half, half],
      [1, half * 0.7, half * 0.7],
    ],
    scaleM,
  );
}

/** Forearm and hand lying flat: the underside is the floor (or the pad), at the elbow's height. */
function lying({ elbow, wrist, fingertip }: FigureJoints, scaleM: number): Outline[] {
  const floor = elbow[1];
  const [f, w, h] = [sizes.forearm * scaleM, sizes.wrist * scaleM, sizes.hand * scaleM];
  const across = (a: Point, b: Point, t: number) => a[0] + (b[0] - a[0]) * t;
  // Fingers may point either way along the floor.
  const way = Math.sign(fingertip[0] - elbow[0]) || 1;
  return [
    [
      [elbow[0] - way * f * 0.35, floor + 0.004 * scaleM],
      [elbow[0] - way * f * 0.55, floor + f * 0.5],
      [elbow[0] - way * f * 0.1, floor + f * 0.98],
      [across(elbow, wrist, 0.3), floor + f],
      [across(elbow, wrist, 0.7), floor + f * 0.82],
      [wrist[0], floor + w],
      [across(wrist, fingertip, 0.35), floor + h * 1.25],
      [across(wrist, fingertip, 0.7), floor + h * 0.75],
      [fingertip[0] - way * 0.004 * scaleM, floor + h * 0.35],
      [fingertip[0], floor + 0.003 * scaleM],
      [across(wrist, fingertip, 0.5), floor],
      [across(elbow, wrist, 0.5), floor],
    ],
    thumb([across(wrist, fingertip, 0.12), floor + w * 0.7], way, 0.42, scaleM),
  ];
}

/** Forearm and hand of a straight or bent arm on its palm: the hand lies flat at the wrist. */
function onPalm({ elbow, wrist, fingertip }: FigureJoints, scaleM: number): Outline[] {
  const palm = sizes.hand * scaleM;
  const way = Math.sign(fingertip[0] - wrist[0]) || 1;
  const along = (t: number) => wrist[0] + (fingertip[0] - wrist[0]) * t;
  const floor = wrist[1];
  return [
    [
      [wrist[0] - way * 0.014 * scaleM, floor + 0.002 * scaleM],
      [wrist[0] - way * 0.016 * scaleM, floor + palm * 0.8],
      [wrist[0] - way * 0.008 * scaleM, floor + palm * 1.5],
      [along(0.28), floor + palm * 1.35],
      [along(0.55), floor + palm * 0.85],
      [along(0.85), floor + palm * 0.5],
      [along(1), floor + palm * 0.25],
      [along(0.98), floor],
      [along(0.5), floor],
    ],
    thumb([along(0.16), floor + palm * 0.8], way, 0.46, scaleM),
    limb([wrist[0], floor + palm * 0.6], elbow, flesh.forearm, scaleM),
  ];
}

/** A hand that holds or hangs: forearm and hand in line, the thumb on the side of the face. */
function free(
  { elbow, wrist, fingertip }: FigureJoints,
  scaleM: number,
  facing: Facing,
): Outline[] {
  const { length, at } = axisOf(wrist, fingertip, facing);
  const across = (t: number, share: number) => at(length * t, share * scaleM);
  return [
    limb(wrist, elbow, flesh.forearm, scaleM),
    [
      across(-0.1, -0.013),
      across(0.3, -0.016),
      across(0.7, -0.012),
      across(0.97, -0.004),
      across(1, 0),
      across(0.97, 0.005),
      across(0.6, 0.012),
      across(0.2, 0.014),
      across(-0.1, 0.013),
    ],
    limb(
      across(0.12, -0.008),
      across(0.52, -0.024),
      [
        [0, 0.008, 0.008],
        [0.6, 0.006, 0.006],
        [1, 0.004, 0.004],
      ],
      scaleM,
    ),
  ];
}
