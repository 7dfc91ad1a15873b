/** Marks to measures: what a picture of one person says, with its errors. Source: handbook 13. */
import { bearing, degrees } from '../posture/geometry';
import type { Point } from '../posture/joints';
import { expectedOf } from './expected';
import { suggestFaults, type FaultFound } from './faults';
import type { MarkName, StillInput } from './marks';
import {
  facingMeasures,
  getMeasure,
  nearSideShare,
  sideMeasures,
  type FacingMeasureId,
  type Measured,
  type SideMeasureId,
  type StillMeasureId,
} from './measureTable';
import { spreadOf, type Spread } from './noise';
import { Picture, type Levelled, type LevelFrom, type Whose } from './picture';

export interface StillReading {
  readonly tiltDeg: number;
  readonly levelFrom: LevelFrom;
  readonly metresPerPixel: {
    readonly nominal: number;
    readonly low: number;
    readonly high: number;
  } | null;
  readonly measures: Readonly<Partial<Record<StillMeasureId, Measured>>>;
  readonly faults: readonly FaultFound[];
  readonly expected: Readonly<Partial<Record<StillMeasureId, number>>>;
  readonly notes: readonly string[];
}

/** The base point of each base. */
export const basePoint = {
  hands: 'wrist',
  forearms: 'elbow',
  head: 'crown',
  feet: 'ankle',
} as const satisfies Record<StillInput['base'], MarkName>;

/** A crown that is not marked: the way from shoulder to ear, carried on. */
const crownBeyondEar = 0.182 / 0.106;
/** The higher ankle counts as lifted where the two differ by this share of the leg. */
const liftedShare = 0.1;
/** As far from level as a trunk that lies may be, degrees. */
const lyingDeg = 30;

/** The signed turn from one way to another, degrees; to the right is positive. */
export function turnRight(from: Point, to: Point): number {
  const cross = from[0] * to[1] - from[1] * to[0];
  const dot = from[0] * to[0] + from[1] * to[1];
  return degrees(-Math.atan2(cross, dot));
}

const way = ([ax, ay]: Point, [bx, by]: Point): Point => [bx - ax, by - ay];
/** The signed angle between the ways from a corner to two points less a straight line, degrees. */
const bendAt = (a: Point, corner: Point, b: Point) => turnRight(way(a, corner), way(corner, b));

type Raw<Id> = Map<Id, number>;

/** Notes a figure where everything that it needs is there. */
function put<Id>(
  raw: Raw<Id>,
  id: Id,
  points: readonly (Point | null)[],
  figure: (...at: Point[]) => number,
): void {
  if (points.every((point) => point !== null)) raw.set(id, figure(...(points as Point[])));
}

/** The wall's place along the floor at a height; `null` where it runs along the floor. */
export function wallAt([a, b]: readonly [Point, Point], y: number): number | null {
  const rise = b[1] - a[1];
  return Math.abs(rise) < 1e-9 ? null : a[0] + ((y - a[1]) / rise) * (b[0] - a[0]);
}

/** The crown, or the way to the ear carried on. */
function crownOf(of: (name: MarkName) => Point | null): Point | null {
  const crown = of('crown');
  if (crown !== null) return crown;
  const [shoulder, ear] = [of('shoulder'), of('ear')];
  if (shoulder === null || ear === null) return null;
  return [
    shoulder[0] + (ear[0] - shoulder[0]) * crownBeyondEar,
    shoulder[1] + (ear[1] - shoulder[1]) * crownBeyondEar,
  ];
}

/** Angles of the side view, degrees: signed bends, which only later become inner angles. */
function sideAngles(raw: Raw<SideMeasureId>, at: Levelled['mark'], input: StillInput): void {
  const near = (name: MarkName) => at(name, 'near');
  const far = (name: MarkName) => at(name, 'far');
  const [shoulder, elbow, wrist] = [near('shoulder'), near('elbow'), near('wrist')];
  const [hip, knee, ankle] = [near('hip'), near('knee'), near('ankle')];
  const base = near(basePoint[input.base]);
  const isStanding = input.base === 'feet';
  put(raw, 'elbowAngle', [shoulder, elbow, wrist], bendAt);
  put(raw, 'shoulderAngle', [elbow, shoulder, hip], bendAt);
  put(raw, 'shoulderBend', [elbow, shoulder, hip], bendAt);
  put(raw, 'hipAngle', [shoulder, hip, knee], bendAt);
  put(raw, 'hipBend', [shoulder, hip, knee], bendAt);
  put(raw, 'kneeAngle', [hip, knee, ankle], bendAt);
  put(raw, 'farKneeAngle', [far('hip') ?? hip, far('knee'), far('ankle')], bendAt);
  put(raw, 'trunkLean', [shoulder, hip], (a, b) => (isStanding ? bearing(b, a) : bearing(a, b)));
  put(raw, 'legLean', [hip, ankle], (a, b) => (isStanding ? bearing(b, a) : bearing(a, b)));
  if (!isStanding) {
    put(raw, 'lean', [base, ankle], bearing);
    put(raw, 'bendTotal', [base, shoulder, ankle], bendAt);
  }
  // From the hip up to the shoulder the back lies on the other side.
  put(raw, 'neckBend', [hip, shoulder, near('ear')], (a, b, c) => -bendAt(a, b, c));
  put(raw, 'wristExtension', [elbow, wrist, near('knuckle')], bendAt);
  put(raw, 'ribTilt', [shoulder, hip, near('rib'), near('pelvisFront')], (a, b, c, d) =>
    turnRight(way(a, b), way(c, d)),
  );
  liftedLeg(raw, at, isStanding);
  if (shoulder !== null && hip !== null && ankle !== null && input.shape === undefined) {
    const trunk = way(shoulder, hip);
    const fromLevel = degrees(Math.atan2(Math.abs(trunk[1]), Math.abs(trunk[0])));
    const leg = way(hip, ankle);
    if (fromLevel <= lyingDeg) {
      // Nought lies on from the trunk, along the floor.
      raw.set('straightLegRaise', degrees(Math.atan2(leg[1], leg[0] * Math.sign(trunk[0] || 1))));
    }
  }
}

function liftedLeg(raw: Raw<SideMeasureId>, at: Levelled['mark'], isStanding: boolean): void {
  const [near, far] = [at('ankle', 'near'), at('ankle', 'far')];
  const nearHip = at('hip', 'near');
  if (near === null || far === null || nearHip === null) return;
  const whose: Whose = near[1] >= far[1] ? 'near' : 'far';
  const ankle = whose === 'near' ? near : far;
  const hip = at('hip', whose) ?? nearHip;
  const knee = at('knee', whose);
  const span = (a: Point, b: Point) => Math.hypot(b[0] - a[0], b[1] - a[1]);
  const leg = knee === null ? span(hip, ankle) : span(hip, knee) + span(knee, ankle);
  if (Math.abs(near[1] - far[1]) < liftedShare * leg) return;
  raw.set('liftedLegLean', isStanding ? bearing(ankle, hip) : bearing(hip, ankle));
}

/** Metres of the side view. */
function sideMetres(
  raw: Raw<SideMeasureId>,
  { mark: at, floorY, wall, metresPerPixel }: Levelled,
  { base }: StillInput,
  beyondBase: number | null,
): void {
  if (metresPerPixel === null) return;
  const near = (name: MarkName) => at(name, 'near');
  const ahead = (from: Point, to: Point) => (to[0] - from[0]) * metresPerPixel;
  const basePlace = near(basePoint[base]);
  const shoulder = near('shoulder');
  put(raw, 'shoulderOverBase', [basePlace, shoulder], ahead);
  put(raw, 'shoulderOverKnuckle', [near('knuckle'), shoulder], ahead);
  put(raw, 'hipOverShoulder', [shoulder, near('hip')], ahead);
  if (floorY !== null) {
    const above = ([, y]: Point) => (y - floorY) * metresPerPixel;
    put(raw, 'headClearance', [crownOf(near)], above);
    put(raw, 'footHeight', [near('heel') ?? near('ankle')], above);
  }
  if (wall === null || basePlace === null) return;
  const wallX = wallAt(wall, basePlace[1]);
  if (wallX === null) return;
  const toWall = (wallX - basePlace[0]) * metresPerPixel;
  raw.set('baseToWall', toWall);
  if (beyondBase !== null) raw.set('fingertipsToWall', toWall - beyondBase);
}

function facing(raw: Raw<FacingMeasureId>, { mark: at, metresPerPixel }: Levelled): void {
  const pair = (name: MarkName) => [at(name, 'left'), at(name, 'right')] as const;
  const gap = (a: Point, b: Point) => Math.hypot(b[0] - a[0], b[1] - a[1]) * (metresPerPixel ?? 0);
  const tilt = (left: Point, right: Point) =>
    degrees(Math.atan2(left[1] - right[1], Math.abs(left[0] - right[0])));
  if (metresPerPixel !== null) {
    put(raw, 'elbowGap', pair('elbow'), gap);
    put(raw, 'shoulderGap', pair('shoulder'), gap);
    put(raw, 'wristGap', pair('wrist'), gap);
    put(raw, 'hipGap', pair('hip'), gap);
    const [elbows, shoulders] = [raw.get('elbowGap'), raw.get('shoulderGap')];
    if (elbows !== undefined && shoulders !== undefined) raw.set('elbowSplay', elbows - shoulders);
  }
  put(raw, 'shoulderTilt', pair('shoulder'), tilt);
  put(raw, 'hipTilt', pair('hip'), tilt);
}

/** A figure with its span, as it is said. */
export function toMeasured(id: StillMeasureId, { value, sd }: Spread): Measured {
  const { unit, fold } = getMeasure(id);
  if (unit === 'm') {
    const whole = Math.hypot(sd, nearSideShare * value);
    return { value, low: value - whole, high: value + whole, unit };
  }
  const most = (angle: number) => Math.min(180, angle);
  if (fold === undefined) {
    return {
      value,
      low: Math.max(-180, value - sd),
      high: most(value + sd),
      unit,
    };
  }
  // The size of a bend that may lie on either side: its span folds over at nought.
  const size = Math.abs(value);
  const least = Math.max(0, size - sd);
  const greatest = most(size + sd);
  return fold === 'size'
    ? { value: size, low: least, high: greatest, unit }
    : { value: 180 - size, low: 180 - greatest, high: 180 - least, unit };
}

/** The share of the arm that lies ahead of the base point. */
const beyond = { hands: ['hand'], forearms: ['forearm', 'hand'], head: [], feet: [] } as const;

/**
 * Everything that can be read from one picture: metres where there is a scale, degrees always. What
 * is not marked leaves its measures out.
 *
 * @throws InputProblem for what is no picture of a person
 */
export function readStill(input: StillInput): StillReading {
  const isSide = input.view === 'side';
  const picture = new Picture({
    ...input,
    sets: { ...input.marks },
    ...(isSide ? { facing: input.facing } : {}),
  });
  const lengths = beyond[input.base];
  if (isSide) picture.need(...lengths);
  const evaluate = (values: readonly number[]): Raw<StillMeasureId> => {
    const raw: Raw<StillMeasureId> = new Map();
    const levelled = picture.levelled(values);
    if (!isSide) {
      facing(raw as Raw<FacingMeasureId>, levelled);
      return raw;
    }
    const parts = lengths.map((id) => picture.length(id, values));
    const beyondBase =
      parts.length === 0 || parts.includes(null)
        ? null
        : parts.reduce<number>((sum, part) => sum + part!, 0);
    sideMetres(raw as Raw<SideMeasureId>, levelled, input, beyondBase);
    sideAngles(raw as Raw<SideMeasureId>, levelled.mark, input);
    return raw;
  };
  const found = spreadOf(picture.noise, evaluate, (id) => getMeasure(id).unit === 'deg');
  const measures: Partial<Record<StillMeasureId, Measured>> = {};
  for (const id of Object.keys(isSide ? sideMeasures : facingMeasures) as StillMeasureId[]) {
    const one = found.get(id);
    if (one !== undefined) measures[id] = toMeasured(id, one);
  }
  const expected = expectedOf(input, picture.body, measures);
  return {
    tiltDeg: picture.tiltDeg,
    levelFrom: picture.levelFrom,
    metresPerPixel: scaleOf(picture),
    measures,
    faults: suggestFaults(input, measures, heightOf(picture)),
    expected: expected.angles,
    notes: [...picture.notes, ...expected.notes],
  };
}

export function scaleOf(picture: Picture): StillReading['metresPerPixel'] {
  const spread = spreadOf(
    picture.noise,
    (values) => {
      const scale = picture.metresPerPixel(values);
      return scale === null ? new Map() : new Map([['scale', scale] as const]);
    },
    () => false,
  ).get('scale');
  if (spread === undefined) return null;
  const { value, sd } = spread;
  return { nominal: value, low: value - sd, high: value + sd };
}

/** Trunk, thigh and shank of somebody as a share of their height (handbook 04). */
const markedShare = 0.779;

/** Standing height in pixels from trunk, thigh and shank of the near side; `null` where they are not marked. */
export function heightInPixels(at: (name: MarkName) => Point | null): number | null {
  const chain = [at('shoulder'), at('hip'), at('knee'), at('ankle')];
  if (chain.includes(null)) return null;
  let sum = 0;
  for (let index = 1; index < chain.length; index += 1) {
    const [a, b] = [chain[index - 1]!, chain[index]!];
    sum += Math.hypot(b[0] - a[0], b[1] - a[1]);
  }
  return sum / markedShare;
}

/** Standing height, metres: of the body, else of the marks; `null` where neither says it. */
function heightOf(picture: Picture): number | null {
  if (picture.body !== null) return picture.body.heightM;
  const { mark, metresPerPixel } = picture.levelled(picture.noise.values);
  const pixels = heightInPixels((name) => mark(name, 'near'));
  return pixels === null || metresPerPixel === null ? null : pixels * metresPerPixel;
}
