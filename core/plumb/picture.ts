/** A picture levelled, mirrored and brought to scale. Source: handbook 13 "Conventions". */
import { resolveBody, type Body } from '../body/body';
import type { LengthId } from '../body/lengths';
import { degrees, radians } from '../posture/geometry';
import type { Point } from '../posture/joints';
import { InputProblem } from '../problem';
import type { MarkName, MarkSet, PictureFacts, Pixel, PixelLine, ScaleSegment } from './marks';
import { Noise, type PointRef } from './noise';

/** Whose marks: of the side view near and far, else the person's left and right. */
export type Whose = 'near' | 'far' | 'left' | 'right';
export type LevelFrom = 'floor' | 'wall' | 'picture';

interface LineRef {
  readonly from: PointRef;
  readonly to: PointRef;
}

/** A reader that says nothing of its own: this share of the largest distance between two marks. */
const usualMarkShare = 0.008;
const pictureTiltSdDeg = 2.5;
const mostTiltDeg = 45;

/** Where a segment begins and ends; of the front and the back, the middle of both sides. */
const segmentEnds: Readonly<Record<ScaleSegment, readonly [MarkName, MarkName]>> = {
  trunk: ['shoulder', 'hip'],
  forearm: ['elbow', 'wrist'],
  thigh: ['hip', 'knee'],
  shank: ['knee', 'ankle'],
};

export interface PictureInput extends Omit<PictureFacts, 'shape' | 'isOverKnuckle'> {
  readonly sets: Readonly<Partial<Record<Whose, MarkSet>>>;
  /** Of the side view: where the fingers point. */
  readonly facing?: 'left' | 'right';
}

/** The tilt of the floor on the screen from the two ends of a line, degrees, clockwise positive. */
function tiltOf([[ax, ay], [bx, by]]: PixelLine, of: 'floor' | 'wall'): number {
  const [dx, dy] = [bx - ax, by - ay];
  if (of === 'floor') return degrees(dx < 0 ? Math.atan2(-dy, -dx) : Math.atan2(dy, dx));
  return degrees(dy < 0 ? Math.atan2(dx, -dy) : Math.atan2(-dx, dy));
}

/** One point in two places has a direction; two in one have none. */
function assertLine(line: PixelLine, name: string): void {
  if (line[0][0] === line[1][0] && line[0][1] === line[1][1]) {
    throw new InputProblem('invalid', `The two points of ${name} lie in one place.`, [name]);
  }
}

function assertTilt(tiltDeg: number, name: string): void {
  if (Math.abs(tiltDeg) > mostTiltDeg) {
    throw new InputProblem(
      'out-of-range',
      `The ${name} is turned by ${Math.round(Math.abs(tiltDeg))} degrees: turn the picture first.`,
      [name],
    );
  }
}

/** The same picture with every number in its place. */
export class Picture {
  readonly noise = new Noise();
  readonly body: Body | null;
  readonly levelFrom: LevelFrom;
  readonly tiltDeg: number;
  readonly notes: string[] = [];
  private readonly marks = new Map<string, PointRef>();
  private readonly floor: LineRef | null;
  private readonly wall: LineRef | null;
  private readonly tilt: number | null;
  private readonly lengths = new Map<LengthId, number>();
  private readonly scale:
    | { readonly kind: 'points'; readonly line: LineRef; readonly metres: number }
    | { readonly kind: 'segment'; readonly segment: ScaleSegment; readonly length: number }
    | null;
  private readonly isMirrored: boolean;
  /** The deviation of what has none of its own, pixels. */
  readonly usualSd: number;
  /** The deviations of all marks, pixels. */
  readonly markSds: readonly number[];

  /** @throws InputProblem for what is no picture of a person: no marks, no line, too much tilt */
  constructor(input: PictureInput) {
    const { sets, floor, wall, scale, body, facing } = input;
    this.isMirrored = facing === 'left';
    this.body = body === undefined ? null : readBody(body);
    const all = listMarks(sets);
    if (all.length === 0) throw new InputProblem('invalid', 'Nothing is marked.', ['marks']);
    assertApart(sets);
    this.usualSd = usualMarkShare * widest(all.map(({ at }) => at));
    this.markSds = all.map(({ sd }) => sd ?? this.usualSd);
    for (const { whose, name, at, sd } of all) {
      this.marks.set(`${whose}.${name}`, this.noise.addPoint(at, sd ?? this.usualSd));
    }
    if (floor !== undefined) assertLine(floor, 'floor');
    if (wall !== undefined) assertLine(wall, 'wall');
    this.floor = floor === undefined ? null : this.addLine(floor);
    this.wall = wall === undefined ? null : this.addLine(wall);
    this.levelFrom = floor ? 'floor' : wall ? 'wall' : 'picture';
    this.tiltDeg = floor ? tiltOf(floor, 'floor') : wall ? tiltOf(wall, 'wall') : 0;
    assertTilt(this.tiltDeg, this.levelFrom);
    this.tilt = this.levelFrom === 'picture' ? this.noise.add(0, pictureTiltSdDeg) : null;
    if (floor && wall) this.noteOffSquare(tiltOf(wall, 'wall') - this.tiltDeg);
    if (this.levelFrom === 'picture') {
      this.notes.push('Neither floor nor wall is marked: the picture is taken as level.');
    }
    this.scale = this.readScale(scale);
  }

  private addLine([from, to]: PixelLine): LineRef {
    return {
      from: this.noise.addPoint(from, this.usualSd),
      to: this.noise.addPoint(to, this.usualSd),
    };
  }

  private noteOffSquare(byDeg: number): void {
    if (Math.abs(byDeg) <= 3) return;
    this.notes.push(
      `Floor and wall are ${Math.round(Math.abs(byDeg))} degrees off square: the camera was pitched, or not square on.`,
    );
  }

  private readScale(scale: PictureInput['scale']): Picture['scale'] {
    if (scale === undefined) return null;
    if ('from' in scale) {
      assertLine([scale.from, scale.to], 'scale');
      return {
        kind: 'points',
        line: this.addLine([scale.from, scale.to]),
        metres: scale.metres,
      };
    }
    const { segment } = scale;
    if (this.body === null) {
      throw new InputProblem('invalid', 'A segment gives the scale only with a body.', ['scale']);
    }
    if (this.segmentPixels(segment, this.noise.values) === null) {
      this.notes.push(`The ends of the ${segment} are not marked: there is no scale.`);
      return null;
    }
    return { kind: 'segment', segment, length: this.lengthOf(segment)! };
  }

  /** The place of a length of this body among the numbers; `null` without a body. */
  private lengthOf(id: LengthId): number | null {
    if (this.body === null) return null;
    let place = this.lengths.get(id);
    if (place === undefined) {
      place = this.noise.add(this.body.lengths[id], lengthSd(this.body, id));
      this.lengths.set(id, place);
    }
    return place;
  }

  /** Makes sure that a length counts with its error; before anything is evaluated. */
  need(...ids: readonly LengthId[]): void {
    for (const id of ids) this.lengthOf(id);
  }

  /** Metres of a length of this body; `null` where it is not known, or was never asked for. */
  length(id: LengthId, values: readonly number[]): number | null {
    const place = this.lengths.get(id);
    return place === undefined ? null : values[place]!;
  }

  private pixel(ref: PointRef, values: readonly number[]): Pixel {
    return [values[ref.x]!, values[ref.y]!];
  }

  /** Where the picture's floor points on the screen, degrees, clockwise. */
  private turn(values: readonly number[]): number {
    if (this.floor !== null) return tiltOf(this.linePixels(this.floor, values), 'floor');
    if (this.wall !== null) return tiltOf(this.linePixels(this.wall, values), 'wall');
    return values[this.tilt!]!;
  }

  private linePixels({ from, to }: LineRef, values: readonly number[]): PixelLine {
    return [this.pixel(from, values), this.pixel(to, values)];
  }

  /** A levelled reader of this picture for one set of numbers: pixels, x ahead, y up. */
  levelled(values: readonly number[]): Levelled {
    const turn = radians(this.turn(values));
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    const way = this.isMirrored ? -1 : 1;
    const place = (ref: PointRef): Point => {
      const [x, y] = this.pixel(ref, values);
      return [way * (x * cos + y * sin), x * sin - y * cos];
    };
    const line = (of: LineRef | null): readonly [Point, Point] | null =>
      of === null ? null : [place(of.from), place(of.to)];
    return {
      mark: (name, whose) => {
        const ref = this.marks.get(`${whose}.${name}`);
        return ref === undefined ? null : place(ref);
      },
      floorY: line(this.floor)?.[0][1] ?? null,
      wall: line(this.wall),
      metresPerPixel: this.metresPerPixel(values),
    };
  }

  private segmentPixels(segment: ScaleSegment, values: readonly number[]): number | null {
    const [a, b] = segmentEnds[segment];
    const at = (name: MarkName, whose: Whose): Pixel | null => {
      const ref = this.marks.get(`${whose}.${name}`);
      return ref === undefined ? null : this.pixel(ref, values);
    };
    const lengthOf = (whose: Whose): number | null => {
      const [from, to] = [at(a, whose), at(b, whose)];
      return from === null || to === null ? null : Math.hypot(to[0] - from[0], to[1] - from[1]);
    };
    const near = lengthOf('near');
    if (near !== null) return near;
    if (segment === 'trunk') {
      const middle = (name: MarkName): Pixel | null => {
        const [left, right] = [at(name, 'left'), at(name, 'right')];
        return left === null || right === null
          ? null
          : [(left[0] + right[0]) / 2, (left[1] + right[1]) / 2];
      };
      const [from, to] = [middle(a), middle(b)];
      return from === null || to === null ? null : Math.hypot(to[0] - from[0], to[1] - from[1]);
    }
    const [left, right] = [lengthOf('left'), lengthOf('right')];
    return left === null || right === null ? null : (left + right) / 2;
  }

  /** `null` without a scale. */
  metresPerPixel(values: readonly number[]): number | null {
    const { scale } = this;
    if (scale === null) return null;
    if (scale.kind === 'segment') {
      return values[scale.length]! / this.segmentPixels(scale.segment, values)!;
    }
    const [[ax, ay], [bx, by]] = this.linePixels(scale.line, values);
    return scale.metres / Math.hypot(bx - ax, by - ay);
  }
}

/** A picture as it is measured: pixels, x ahead (front and back: to the right), y up. */
export interface Levelled {
  readonly mark: (name: MarkName, whose: Whose) => Point | null;
  readonly floorY: number | null;
  readonly wall: readonly [Point, Point] | null;
  readonly metresPerPixel: number | null;
}

/** A guessed height is one more thing that every estimated length rests on. */
function lengthSd({ sdM, heightSdM, heightM, basis, lengths }: Body, id: LengthId): number {
  if (basis[id] === 'measured') return sdM[id];
  return Math.hypot(sdM[id], (heightSdM * lengths[id]) / heightM);
}

/** Problems are named from the input's root. */
function readBody(input: NonNullable<PictureInput['body']>): Body {
  try {
    return resolveBody(input);
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    throw new InputProblem(error.code, error.message, ['body', ...error.path]);
  }
}

interface ListedMark {
  readonly whose: Whose;
  readonly name: MarkName;
  readonly at: Pixel;
  readonly sd?: number;
}

function listMarks(sets: PictureInput['sets']): ListedMark[] {
  return (Object.entries(sets) as [Whose, MarkSet][]).flatMap(([whose, set]) =>
    (Object.entries(set) as [MarkName, NonNullable<MarkSet[MarkName]>][]).map(
      ([name, { x, y, sd }]): ListedMark => ({
        whose,
        name,
        at: [x, y],
        ...(sd === undefined ? {} : { sd }),
      }),
    ),
  );
}

function assertApart(sets: PictureInput['sets']): void {
  for (const [whose, set] of Object.entries(sets) as [Whose, MarkSet][]) {
    const seen = new Map<string, string>();
    for (const [name, { x, y }] of Object.entries(set) as [MarkName, { x: number; y: number }][]) {
      const before = seen.get(`${x} ${y}`);
      if (before !== undefined) {
        throw new InputProblem('invalid', `${before} and ${name} lie in one place.`, [
          'marks',
          whose,
          name,
        ]);
      }
      seen.set(`${x} ${y}`, name);
    }
  }
}

/** The largest distance between two of some points, pixels. */
export function widest(points: readonly Pixel[]): number {
  let most = 0;
  for (const [index, [ax, ay]] of points.entries()) {
    for (const [bx, by] of points.slice(index + 1))
      most = Math.max(most, Math.hypot(bx - ax, by - ay));
  }
  return most;
}
