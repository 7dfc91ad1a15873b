import { between, distanceOf } from '../../posture/geometry';
import type { Leg, Point } from '../../posture/joints';
import { axisOf, type Facing, type Outline } from './outline';

/** How far a pointed foot reaches past the ankle where its toe is not told, share of height. */
const pointedShare = 0.1;

/**
 * A foot with heel, arch and toes, in one of its three ways to stand: flat, on its ball, or pointed.
 *
 * @param scaleM the body's height, metres
 */
export function footOutline(joints: Leg, scaleM: number, facing: Facing): Outline {
  const { knee, ankle, heel, toe } = joints;
  const isOneEnd = distanceOf(heel, toe) < 1e-6;
  const isPointed = distanceOf(ankle, heel) < 1e-6;
  if (isOneEnd && !isPointed) return onBall(joints, scaleM);
  if (isOneEnd || isPointed) {
    const shank = distanceOf(knee, ankle);
    const tip = isOneEnd ? between(knee, ankle, 1 + (pointedShare * scaleM) / shank) : toe;
    return pointed(ankle, tip, scaleM, facing);
  }
  return flat(joints, scaleM);
}

/** In line with the shank: the heel shows at the back, the arch hollows, the toes run out. */
function pointed(ankle: Point, tip: Point, scaleM: number, facing: Facing): Outline {
  const { length, at } = axisOf(ankle, tip, facing);
  const across = (t: number, share: number) => at(length * t, share * scaleM);
  return [
    across(-0.2, -0.017),
    across(0.25, -0.021),
    across(0.6, -0.015),
    across(0.9, -0.008),
    across(1, -0.001),
    across(0.93, 0.006),
    across(0.7, 0.01),
    across(0.42, 0.011),
    across(0.2, 0.024),
    across(0.04, 0.028),
    across(-0.16, 0.02),
  ];
}

/** Heel up, toes spread on the floor ahead of the ball. */
function onBall({ ankle, heel: ball }: Leg, scaleM: number): Outline {
  const [dx, dy] = [ball[0] - ankle[0], ball[1] - ankle[1]];
  const length = Math.hypot(dx, dy);
  const [ux, uy] = [dx / length, dy / length];
  // Toes lie ahead on the floor; the heel stands away from them.
  const behind: Point = [uy, -ux];
  const sign = behind[0] > 0 ? -1 : 1;
  const at = (t: number, backShare: number): Point => [
    ankle[0] + dx * t + behind[0] * sign * backShare * scaleM,
    ankle[1] + dy * t + behind[1] * sign * backShare * scaleM,
  ];
  const floor = ball[1];
  return [
    at(-0.22, -0.017),
    at(0.3, -0.021),
    at(0.72, -0.016),
    [ball[0] + 0.02 * scaleM, floor + 0.013 * scaleM],
    [ball[0] + 0.036 * scaleM, floor + 0.006 * scaleM],
    [ball[0] + 0.036 * scaleM, floor + 0.001 * scaleM],
    [ball[0], floor],
    [ball[0] - 0.012 * scaleM, floor + 0.006 * scaleM],
    at(0.66, 0.012),
    at(0.3, 0.02),
    at(0.06, 0.033),
    at(-0.14, 0.024),
  ];
}

function flat(joints: Leg, scaleM: number): Outline {
  const { ankle, heel, toe, heelBackM } = joints;
  const sole: Point = [toe[0] - heel[0], toe[1] - heel[1]];
  const length = Math.hypot(...sole);
  const [sx, sy] = [sole[0] / length, sole[1] / length];
  // Away from the sole, towards the shin.
  const up = Math.hypot(ankle[0] - heel[0], ankle[1] - heel[1]);
  const [nx, ny] = [(ankle[0] - heel[0]) / up, (ankle[1] - heel[1]) / up];
  const at = (alongM: number, upShare: number): Point => [
    heel[0] + sx * alongM + nx * upShare * scaleM,
    heel[1] + sy * alongM + ny * upShare * scaleM,
  ];
  return [
    at(0.02 * length - heelBackM, 0.002),
    at(-heelBackM * 1.04, 0.014),
    at(-heelBackM * 0.92, 0.034),
    at(-heelBackM * 0.55, 0.05),
    at(0.26 * length, 0.05),
    at(0.5 * length, 0.032),
    at(0.76 * length, 0.019),
    at(0.93 * length, 0.014),
    at(length, 0.006),
    at(0.97 * length, 0),
    at(0.72 * length, 0),
    at(0.4 * length, 0.006),
    at(0.12 * length, 0.001),
  ];
}
