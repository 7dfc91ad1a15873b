import { curveCatmullRomClosed, line as lineOf } from 'd3-shape';
import type { Body } from '../body/body';
import { between, distanceOf } from '../posture/geometry';
import type { FigureJoints, Leg, Point } from '../posture/joints';
import { rounded, type Frame, type Role, type Shape } from './scene';

/** Half-widths of a limb at a place along it, as shares of height; front and back of the body. */
type Station = readonly [t: number, front: number, back: number];

/**
 * The flesh on the chain, drawn after average adults seen from the side. These shares shape the
 * picture only; no figure on the card rests on them.
 */
const flesh = {
  trunk: [
    [0, 0.036, 0.044],
    [0.14, 0.058, 0.052],
    [0.36, 0.066, 0.054],
    [0.64, 0.053, 0.044],
    [0.86, 0.056, 0.062],
    [1, 0.05, 0.072],
  ],
  thigh: [
    [0, 0.052, 0.066],
    [0.3, 0.053, 0.05],
    [0.7, 0.04, 0.036],
    [1, 0.032, 0.03],
  ],
  shank: [
    [0, 0.03, 0.03],
    [0.28, 0.025, 0.04],
    [0.62, 0.021, 0.025],
    [1, 0.018, 0.02],
  ],
  upperArm: [
    [0, 0.022, 0.022],
    [0.4, 0.026, 0.026],
    [0.75, 0.029, 0.028],
    [1, 0.027, 0.027],
  ],
  forearm: [
    [0, 0.014, 0.014],
    [0.45, 0.019, 0.019],
    [0.8, 0.023, 0.022],
    [1, 0.021, 0.021],
  ],
} as const satisfies Record<string, readonly Station[]>;

/** Other fleshy sizes, as shares of height. */
const sizes = {
  forearmDepth: 0.044,
  wristDepth: 0.03,
  handDepth: 0.02,
  headLong: 0.064,
  headWide: 0.055,
  neckHalf: 0.027,
  footDepth: 0.03,
  toeDepth: 0.014,
} as const;

/** Body mass index the flesh above was drawn for, and how far a build may show (kg per m2). */
const drawnIndex = 22;
const buildLimits = { low: 0.86, high: 1.5 } as const;

/** How much wider than the drawn average this person is, from mass and height; 1 where unknown. */
export function buildFactor(body: Body): number {
  if (body.massKg === undefined) return 1;
  const factor = Math.sqrt(body.massKg / body.heightM ** 2 / drawnIndex);
  return Math.min(buildLimits.high, Math.max(buildLimits.low, factor));
}

const smooth = lineOf<Point>().curve(curveCatmullRomClosed.alpha(0.5)).digits(2);
const straight = lineOf<Point>().digits(2);

/** Closed smooth outline in drawing units. */
function closed(role: Role, frame: Frame, points: readonly Point[]): Shape {
  const d = smooth(points.map(([x, y]) => [frame.x(x), frame.y(y)])) ?? '';
  return { kind: 'path', role, d };
}

function polygon(role: Role, frame: Frame, points: readonly Point[]): Shape {
  const d = straight(points.map(([x, y]) => [frame.x(x), frame.y(y)])) ?? '';
  return { kind: 'path', role, d: `${d}Z` };
}

/** 1: the back lies to the right of the way from shoulder to foot; -1: on the back, mirrored. */
export type Facing = 1 | -1;

/** `back` lies to the right of the way from shoulder to foot when the body faces away from it. */
function limb(
  role: Role,
  frame: Frame,
  from: Point,
  to: Point,
  stations: readonly Station[],
  scaleM: number,
  facing: Facing = 1,
): Shape {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy);
  const [ux, uy] = [dx / length, dy / length];
  const at = (t: number, aside: number): Point => [
    from[0] + dx * t + uy * aside * facing,
    from[1] + dy * t - ux * aside * facing,
  ];
  const last = stations[stations.length - 1]!;
  // A rounded end: its tip and two shoulders, so that joints meet without a notch.
  const cap = (t: number, [, front, back]: Station, sign: number): Point[] => {
    const half = ((front + back) / 2) * scaleM;
    const middle = ((back - front) / 2) * scaleM;
    return [0.72, 0, -0.72].map((aside, index) => {
      const [x, y] = at(t, middle + aside * half * sign);
      const out = index === 1 ? 1 : 0.7;
      return [x + sign * ux * half * out, y + sign * uy * half * out];
    });
  };
  return closed(role, frame, [
    ...cap(0, stations[0]!, -1),
    ...stations.map(([t, , back]) => at(t, back * scaleM)),
    ...cap(1, last, 1),
    ...[...stations].reverse().map(([t, front]) => at(t, -front * scaleM)),
  ]);
}

/** A foot on its ball, or pointed in line with the shank: a tapered limb to its end. */
const slimFoot: readonly Station[] = [
  [0, 0.02, 0.022],
  [0.55, 0.017, 0.018],
  [1, 0.01, 0.01],
];
const pointedShare = 0.095;

function foot(role: Role, frame: Frame, joints: Leg, scaleM: number, facing: Facing): Shape {
  const isSlim = distanceOf(joints.heel, joints.toe) < 1e-6;
  const isPointed = distanceOf(joints.ankle, joints.heel) < 1e-6;
  if (isSlim && isPointed) {
    const { knee, ankle } = joints;
    const shank = distanceOf(knee, ankle);
    const tip = between(knee, ankle, 1 + (pointedShare * scaleM) / shank);
    return limb(role, frame, ankle, tip, slimFoot, scaleM, facing);
  }
  if (isSlim) {
    // Toes spread on the floor ahead of the ball.
    const end: Point = [joints.heel[0] + 0.028 * scaleM, joints.heel[1] + 0.008 * scaleM];
    return limb(role, frame, joints.ankle, end, slimFoot, scaleM, facing);
  }
  if (isPointed) return limb(role, frame, joints.ankle, joints.toe, slimFoot, scaleM, facing);
  return flatFoot(role, frame, joints, scaleM);
}

function flatFoot(role: Role, frame: Frame, joints: Leg, scaleM: number): Shape {
  const { ankle, heel, toe } = joints;
  const sole: Point = [toe[0] - heel[0], toe[1] - heel[1]];
  const length = Math.hypot(...sole);
  const [sx, sy] = [sole[0] / length, sole[1] / length];
  // Away from the sole, towards the shin.
  const [nx, ny] = [ankle[0] - heel[0], ankle[1] - heel[1]].map(
    (v) => v / Math.hypot(ankle[0] - heel[0], ankle[1] - heel[1]),
  );
  const at = (alongM: number, upM: number): Point => [
    heel[0] + sx * alongM + nx! * upM,
    heel[1] + sy * alongM + ny! * upM,
  ];
  const behind = joints.heelBackM;
  const front = length - behind;
  return closed(role, frame, [
    at(0.02 * length - behind, 0),
    at(-behind, sizes.footDepth * scaleM * 0.6),
    at(-behind * 0.8, sizes.footDepth * scaleM * 1.5),
    at(0.24 * length - behind * 0.5, sizes.footDepth * scaleM * 1.45),
    at(0.56 * front, sizes.footDepth * scaleM * 0.85),
    at(0.93 * front, sizes.toeDepth * scaleM),
    at(front, 0.003 * scaleM),
    at(0.93 * front, 0),
    at(0.3 * front, 0),
  ]);
}

/** A plain oval, and the neck that carries it. */
function head(
  role: Role,
  frame: Frame,
  shoulder: Point,
  crown: Point,
  scaleM: number,
): { neck: Shape; oval: Shape } {
  const [dx, dy] = [crown[0] - shoulder[0], crown[1] - shoulder[1]];
  const length = Math.hypot(dx, dy);
  const [ux, uy] = [dx / length, dy / length];
  const long = Math.min(sizes.headLong * scaleM, length / 2);
  const wide = sizes.headWide * scaleM;
  const centre: Point = [crown[0] - ux * long, crown[1] - uy * long];
  const around = Array.from({ length: 16 }, (_, index): Point => {
    const angle = (index / 16) * 2 * Math.PI;
    const [a, b] = [Math.cos(angle) * long, Math.sin(angle) * wide];
    return [centre[0] + ux * a - uy * b, centre[1] + uy * a + ux * b];
  });
  const half = sizes.neckHalf * scaleM;
  const neck = polygon(role, frame, [
    [shoulder[0] - uy * half * 1.5, shoulder[1] + ux * half * 1.5],
    [centre[0] - uy * half, centre[1] + ux * half],
    [centre[0] + uy * half, centre[1] - ux * half],
    [shoulder[0] + uy * half * 1.5, shoulder[1] - ux * half * 1.5],
  ]);
  return { neck, oval: closed(role === 'figure' ? 'figureEdge' : role, frame, around) };
}

/** Forearm and hand lying flat: the underside is the floor (or the pad), at the elbow's height. */
function forearmFlat(role: Role, frame: Frame, joints: FigureJoints, scaleM: number): Shape {
  const { elbow, wrist, fingertip } = joints;
  const floor = elbow[1];
  const [f, w, h] = [sizes.forearmDepth, sizes.wristDepth, sizes.handDepth].map((s) => s * scaleM);
  const across = (a: Point, b: Point, t: number) => a[0] + (b[0] - a[0]) * t;
  // Fingers may point either way along the floor.
  const way = Math.sign(fingertip[0] - elbow[0]) || 1;
  return closed(role, frame, [
    [elbow[0] - way * f! * 0.35, floor + 0.004 * scaleM],
    [elbow[0] - way * f! * 0.55, floor + f! * 0.5],
    [elbow[0] - way * f! * 0.1, floor + f! * 0.98],
    [across(elbow, wrist, 0.3), floor + f!],
    [across(elbow, wrist, 0.7), floor + f! * 0.82],
    [wrist[0], floor + w!],
    [across(wrist, fingertip, 0.35), floor + h! * 1.35],
    [across(wrist, fingertip, 0.7), floor + h! * 0.8],
    [fingertip[0] - way * 0.004 * scaleM, floor + h! * 0.35],
    [fingertip[0], floor + 0.003 * scaleM],
    [across(wrist, fingertip, 0.5), floor],
    [across(elbow, wrist, 0.5), floor],
  ]);
}

/** One leg alone, for a second leg drawn behind the figure. */
export function drawLeg(
  role: Role,
  frame: Frame,
  body: Body,
  joints: Leg & { readonly hip: Point },
  facing: Facing = 1,
): Shape[] {
  const scaleM = body.heightM;
  const wide = scaleM * buildFactor(body);
  return [
    limb(role, frame, joints.hip, joints.knee, flesh.thigh, wide, facing),
    limb(role, frame, joints.knee, joints.ankle, flesh.shank, wide, facing),
    foot(role, frame, joints, scaleM, facing),
  ];
}

/** Forearm and hand of a straight or bent arm on its palm: the hand lies flat at the wrist. */
function forearmOnHand(role: Role, frame: Frame, joints: FigureJoints, scaleM: number): Shape[] {
  const { elbow, wrist, fingertip } = joints;
  const palm = sizes.handDepth * scaleM;
  const hand: Point[] = [
    [wrist[0] - 0.014 * scaleM, wrist[1] + 0.002 * scaleM],
    [wrist[0] - 0.012 * scaleM, wrist[1] + palm * 1.2],
    [between(wrist, fingertip, 0.4)[0], wrist[1] + palm],
    [fingertip[0], wrist[1] + palm * 0.35],
    [fingertip[0], wrist[1]],
  ];
  const low: Point = [wrist[0], wrist[1] + palm * 0.6];
  return [closed(role, frame, hand), limb(role, frame, low, elbow, flesh.forearm, scaleM)];
}

/** A hand that holds or hangs: forearm and hand in line. */
function forearmFree(role: Role, frame: Frame, joints: FigureJoints, scaleM: number): Shape[] {
  const { elbow, wrist, fingertip } = joints;
  return [
    limb(role, frame, wrist, elbow, flesh.forearm, scaleM),
    limb(role, frame, wrist, fingertip, slimFoot, scaleM * 0.8),
  ];
}

/**
 * A whole figure in ink. Head and arms come last and carry a thin paper-coloured edge, so that they
 * never merge into one mass.
 *
 * @param facing -1 for shapes on the back
 */
export function drawFigure(
  role: 'figure' | 'ghost',
  frame: Frame,
  body: Body,
  joints: FigureJoints,
  facing: Facing = 1,
): Shape[] {
  const scaleM = body.heightM;
  const wide = scaleM * buildFactor(body);
  const edged: Role = role === 'figure' ? 'figureEdge' : role;
  const isForearmDown = Math.abs(joints.elbow[1] - joints.wrist[1]) < 1e-6;
  const isPalmDown = Math.abs(joints.wrist[1] - joints.fingertip[1]) < 1e-6;
  // The forearm's flesh keeps the bone off the floor; the upper arm starts on top of it.
  const lift = isForearmDown ? sizes.forearmDepth * scaleM * 0.55 : 0;
  const elbow: Point = [joints.elbow[0], joints.elbow[1] + lift];
  const { neck, oval } = head(role, frame, joints.shoulder, joints.crown, scaleM);
  const forearm = isForearmDown
    ? [forearmFlat(edged, frame, joints, scaleM)]
    : isPalmDown
      ? forearmOnHand(edged, frame, joints, scaleM)
      : forearmFree(edged, frame, joints, scaleM);
  const { otherLeg } = joints;
  return [
    ...(otherLeg
      ? drawLeg(
          role === 'figure' ? 'figureFar' : role,
          frame,
          body,
          { ...otherLeg, hip: joints.hip },
          facing,
        )
      : []),
    neck,
    limb(role, frame, joints.shoulder, joints.hip, flesh.trunk, wide, facing),
    ...drawLeg(role, frame, body, joints, facing),
    oval,
    ...(isForearmDown ? [] : forearm),
    limb(edged, frame, elbow, joints.shoulder, flesh.upperArm, wide),
    ...(isForearmDown ? forearm : []),
  ];
}

/** The band of a strap round the upper arm just above the elbow. */
export function drawStrapBand(frame: Frame, body: Body, joints: FigureJoints): Shape {
  const { elbow, shoulder } = joints;
  const scaleM = body.heightM;
  const t = 0.24;
  const [dx, dy] = [shoulder[0] - elbow[0], shoulder[1] - elbow[1]];
  const length = Math.hypot(dx, dy);
  const half = 0.029 * scaleM * buildFactor(body);
  const [cx, cy] = [elbow[0] + dx * t, elbow[1] + dy * t];
  const [ox, oy] = [(dy / length) * half, (-dx / length) * half];
  return {
    kind: 'line',
    role: 'strap',
    x1: rounded(frame.x(cx - ox)),
    y1: rounded(frame.y(cy - oy)),
    x2: rounded(frame.x(cx + ox)),
    y2: rounded(frame.y(cy + oy)),
  };
}
