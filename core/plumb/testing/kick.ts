/** A made-up kick to the wall with known times: places move in straight lines between key moments. */
import type { Point } from '../../posture/joints';
import type { ClipFrame, ClipInput } from '../clip/frames';
import type { Mark, MarkName } from '../marks';
import { level, lineOf, markAt, project, type Camera } from './project';

export interface Moment {
  readonly atS: number;
  readonly hip: Point;
  readonly near: Point;
  readonly far: Point;
  readonly shoulderX?: number;
}

const wallX = 0.3;
/** Where a foot stands, and where a heel rests on the wall. */
const stand: Point = [-0.95, 0.09];
const rest: Point = [wallX - 0.04, 1.9];

/** Far leg leads at 0.5 s, the near one is off at 1.0, hips over at 1.4, wall at 1.6, home at 5. */
export const kick: readonly Moment[] = [
  { atS: 0, hip: [-0.45, 0.9], near: stand, far: stand },
  { atS: 0.5, hip: [-0.45, 0.9], near: stand, far: stand },
  { atS: 1, hip: [-0.3, 0.95], near: stand, far: [-0.9, 1.4] },
  { atS: 1.4, hip: [-0.1, 1.05], near: [-0.7, 1.2], far: [-0.1, 1.95] },
  { atS: 1.6, hip: [0.05, 1.08], near: [-0.3, 1.75], far: rest },
  { atS: 1.9, hip: [0.02, 1.08], near: rest, far: rest },
  { atS: 2.4, hip: [0.02, 1.08], near: rest, far: rest },
  { atS: 2.5, hip: [0, 1.08], near: [0, 1.95], far: [0, 1.95] },
  { atS: 4, hip: [0, 1.08], near: [0, 1.95], far: [0, 1.95] },
  { atS: 4.5, hip: [-0.35, 1], near: [-0.9, 1.05], far: [-0.3, 1.9] },
  { atS: 5, hip: [-0.45, 0.9], near: stand, far: [-0.9, 0.9] },
  { atS: 5.4, hip: [-0.45, 0.9], near: stand, far: stand },
  { atS: 6, hip: [-0.45, 0.9], near: stand, far: stand },
];

export interface ClipMaking {
  readonly framesPerS: number;
  readonly camera: Camera;
  /** Bend of the far knee, as metres that it stands off the line. */
  readonly kneeOffM: number;
  readonly sd?: number;
  /** Pixels to add to each coordinate. */
  readonly noise?: () => number;
}

const usual: ClipMaking = { framesPerS: 20, camera: level, kneeOffM: 0 };

const mix = (a: Point, b: Point, share: number): Point => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
];

function momentAt(moments: readonly Moment[], atS: number): Moment {
  const next = moments.findIndex((one) => one.atS >= atS);
  const to = moments[Math.max(0, next)]!;
  const from = moments[Math.max(0, next - 1)]!;
  const share = to.atS === from.atS ? 0 : (atS - from.atS) / (to.atS - from.atS);
  return {
    atS,
    hip: mix(from.hip, to.hip, share),
    near: mix(from.near, to.near, share),
    far: mix(from.far, to.far, share),
    shoulderX: (from.shoulderX ?? 0) + ((to.shoulderX ?? 0) - (from.shoulderX ?? 0)) * share,
  };
}

/** Knee, ankle, heel and toe of a leg whose foot points away from the hip. */
function legOf(hip: Point, ankle: Point, offM: number): Partial<Record<MarkName, Point>> {
  const [dx, dy] = [ankle[0] - hip[0], ankle[1] - hip[1]];
  const length = Math.hypot(dx, dy) || 1;
  const middle = mix(hip, ankle, 0.5);
  const isDown = ankle[1] < 0.5;
  return {
    knee: [middle[0] - (dy / length) * offM, middle[1] + (dx / length) * offM],
    ankle,
    heel: isDown ? [ankle[0] - 0.03, ankle[1] - 0.05] : [ankle[0] + 0.03, ankle[1] + 0.01],
    toe: isDown ? [ankle[0] + 0.1, ankle[1] - 0.08] : [ankle[0] - 0.02, ankle[1] + 0.15],
  };
}

/** The clip of some moments, as marks in pixels. */
export function makeClip(
  moments: readonly Moment[] = kick,
  change: Partial<ClipMaking> = {},
): ClipInput {
  const { framesPerS, camera, kneeOffM, sd, noise = () => 0 } = { ...usual, ...change };
  const last = moments.at(-1)!.atS;
  const frames: ClipFrame[] = [];
  for (let index = 0; index / framesPerS <= last + 1e-9; index += 1) {
    const { atS, hip, near, far, shoulderX = 0 } = momentAt(moments, index / framesPerS);
    const mark = (place: Point): Mark => {
      const { x, y } = markAt(place, camera);
      return { x: x + noise(), y: y + noise(), ...(sd === undefined ? {} : { sd }) };
    };
    const marks = (places: Partial<Record<MarkName, Point>>) =>
      Object.fromEntries(Object.entries(places).map(([name, place]) => [name, mark(place)]));
    const shoulder: Point = [shoulderX, 0.58];
    frames.push({
      atS,
      marks: {
        near: marks({
          wrist: [0, 0.05],
          elbow: [shoulderX / 2, 0.3],
          shoulder,
          ear: [shoulderX, 0.4],
          hip,
          ...legOf(hip, near, 0),
        }),
        far: marks(legOf(hip, far, kneeOffM)),
      },
    });
  }
  return {
    base: 'hands',
    facing: camera.facing,
    frames,
    floor: lineOf([-1, 0], [1, 0], camera),
    wall: lineOf([wallX, 0], [wallX, 2], camera),
    scale: { from: project([0, 0], camera), to: project([1, 0], camera), metres: 1 },
    body: { heightM: 1.7 },
  };
}
