/**
 * A clip as levelled frames: every mark in its own row over time, short gaps bridged, legs that a
 * reader has swapped put right. Source: handbook 13 "Command clip".
 */
import type { Point } from '../../posture/joints';
import { InputProblem } from '../../problem';
import {
  markNames,
  type MarkName,
  type MarkSet,
  type PictureFacts,
  type SideMarks,
} from '../marks';
import { Picture } from '../picture';
import { heightInPixels, scaleOf, type StillReading } from '../still';

export interface ClipFrame {
  readonly atS: number;
  readonly marks: SideMarks;
}

export interface ClipInput extends PictureFacts {
  readonly facing: 'left' | 'right';
  readonly frames: readonly ClipFrame[];
}

export type Limb = 'near' | 'far';
/** One mark over the frames: levelled pixels, x ahead, y up; `null` where it is not known. */
export interface Track {
  readonly at: readonly (Point | null)[];
  /** Read in this very frame, not bridged. */
  readonly isReal: readonly boolean[];
}

export interface Clip {
  readonly times: readonly number[];
  /** Median time from one frame to the next, seconds. */
  readonly intervalS: number;
  readonly track: (name: MarkName, limb: Limb) => Track;
  readonly hasFarLeg: boolean;
  readonly floorY: number | null;
  readonly wall: readonly [Point, Point] | null;
  /** Standing height in pixels, over all frames; `null` where no frame shows trunk and leg. */
  readonly heightPx: number | null;
  /** Median deviation of a mark, pixels. */
  readonly markSd: number;
  readonly scale: StillReading['metresPerPixel'];
  /** Of a frame like the others, for its tilt and its body. */
  readonly picture: Picture;
  /** One for each frame that has marks. */
  readonly pictures: readonly (Picture | null)[];
  readonly notes: string[];
}

/** Gaps up to here are bridged in straight lines, seconds. */
export const longestBridgeS = 0.3;
const slack = 1e-9;

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length / 2;
  return sorted.length % 2 === 1
    ? sorted[Math.floor(middle)]!
    : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

const legMarks = ['knee', 'ankle', 'heel', 'toe'] as const satisfies readonly MarkName[];
/** A swap is put right only where both legs would leap otherwise, and hardly move so. */
const swap = { leapShare: 0.12, stillShare: 0.25 } as const;

/** How far a leg's marks would have moved, pixels; `null` where there is nothing to compare. */
function legMove(from: MarkSet, to: MarkSet): number | null {
  const moves = legMarks.flatMap((name) => {
    const [a, b] = [from[name], to[name]];
    return a === undefined || b === undefined ? [] : [Math.hypot(b.x - a.x, b.y - a.y)];
  });
  return moves.length === 0 ? null : Math.max(...moves);
}

function swapLegs({ near, far = {} }: SideMarks): SideMarks {
  const swapped = (into: MarkSet, from: MarkSet): MarkSet => {
    const rest = Object.fromEntries(
      Object.entries(into).filter(([name]) => !legMarks.some((one) => one === name)),
    );
    const legs = legMarks.flatMap((name) => (from[name] === undefined ? [] : [[name, from[name]]]));
    return { ...rest, ...Object.fromEntries(legs) } as MarkSet;
  };
  return { near: swapped(near, far), far: swapped(far, near) };
}

/** Frames in which a reader has taken one leg for the other, put right by what came before. */
export function untangle(frames: readonly ClipFrame[], heightPx: number): ClipFrame[] {
  let before: SideMarks | null = null;
  return frames.map((frame): ClipFrame => {
    const { marks } = frame;
    if (marks.far === undefined || before?.far === undefined) {
      before = marks;
      return frame;
    }
    const keep = [legMove(before.near, marks.near), legMove(before.far, marks.far)];
    const turned = [legMove(before.near, marks.far), legMove(before.far, marks.near)];
    const all = [...keep, ...turned];
    const isSwapped =
      !all.includes(null) &&
      Math.min(...(keep as number[])) > swap.leapShare * heightPx &&
      Math.max(...(turned as number[])) < swap.stillShare * Math.min(...(keep as number[]));
    const after = isSwapped ? swapLegs(marks) : marks;
    before = after;
    return isSwapped ? { ...frame, marks: after } : frame;
  });
}

function bridge(raw: readonly (Point | null)[], times: readonly number[]): Track {
  const at = [...raw];
  let last = -1;
  for (const [index, point] of raw.entries()) {
    if (point === null) continue;
    const isGap = last >= 0 && index - last > 1;
    if (isGap && times[index]! - times[last]! <= longestBridgeS + slack) {
      const from = raw[last]!;
      for (let between = last + 1; between < index; between += 1) {
        const share = (times[between]! - times[last]!) / (times[index]! - times[last]!);
        at[between] = [
          from[0] + (point[0] - from[0]) * share,
          from[1] + (point[1] - from[1]) * share,
        ];
      }
    }
    last = index;
  }
  return { at, isReal: raw.map((point) => point !== null) };
}

/** A picture of one frame; problems are named by the frame. `null` where nothing is marked. */
function pictureOf(input: ClipInput, { marks }: ClipFrame, index: number): Picture | null {
  const { base, facing, floor, wall, scale, body } = input;
  if (Object.keys(marks.near).length === 0 && Object.keys(marks.far ?? {}).length === 0)
    return null;
  try {
    return new Picture({
      base,
      facing,
      sets: { near: marks.near, ...(marks.far === undefined ? {} : { far: marks.far }) },
      ...(floor === undefined ? {} : { floor }),
      ...(wall === undefined ? {} : { wall }),
      ...(scale === undefined ? {} : { scale }),
      ...(body === undefined ? {} : { body }),
    });
  } catch (error) {
    if (!(error instanceof InputProblem) || error.path[0] !== 'marks') throw error;
    throw new InputProblem(error.code, error.message, ['frames', index, ...error.path]);
  }
}

const levelledOf = (picture: Picture) => picture.levelled(picture.noise.values);

/** The frame whose scale is the middle one, so that one bad frame decides nothing. */
function middleScale(pictures: readonly Picture[]): Picture {
  const scaled = pictures
    .flatMap((picture) => {
      const scale = picture.metresPerPixel(picture.noise.values);
      return scale === null ? [] : [{ picture, scale }];
    })
    .sort((a, b) => a.scale - b.scale);
  return scaled[Math.floor((scaled.length - 1) / 2)]?.picture ?? pictures[0]!;
}

/** @throws InputProblem for times that do not rise, or a clip in which nothing is marked */
export function openClip(input: ClipInput): Clip {
  const times = input.frames.map(({ atS }) => atS);
  times.forEach((time, index) => {
    if (index > 0 && time <= times[index - 1]!) {
      throw new InputProblem('invalid', 'The times of the frames do not rise.', [
        'frames',
        index,
        'atS',
      ]);
    }
  });
  const heights = (frames: readonly ClipFrame[]) =>
    frames.flatMap(({ marks }) => {
      const height = heightInPixels((name) => {
        const mark = marks.near[name];
        return mark === undefined ? null : [mark.x, mark.y];
      });
      return height === null ? [] : [height];
    });
  const first = heights(input.frames);
  const heightPx = first.length === 0 ? null : median(first);
  const frames = heightPx === null ? input.frames : untangle(input.frames, heightPx);
  const pictures = frames.map((frame, index) => pictureOf(input, frame, index));
  const real = pictures.filter((picture) => picture !== null);
  if (real.length === 0) throw new InputProblem('invalid', 'Nothing is marked.', ['frames']);
  const picture = middleScale(real);
  const levelled = pictures.map((one) => (one === null ? null : levelledOf(one)));
  const tracks = new Map<string, Track>();
  for (const limb of ['near', 'far'] as const) {
    for (const name of markNames) {
      const raw = levelled.map((one) => one?.mark(name, limb) ?? null);
      tracks.set(`${limb}.${name}`, bridge(raw, times));
    }
  }
  const { floorY, wall } = levelledOf(picture);
  const hasFarLeg = ['ankle', 'heel', 'toe'].some((name) =>
    tracks.get(`far.${name}`)!.at.some((point) => point !== null),
  );
  return {
    times,
    intervalS: median(times.slice(1).map((time, index) => time - times[index]!)),
    track: (name, limb) => tracks.get(`${limb}.${name}`)!,
    hasFarLeg,
    floorY,
    wall,
    heightPx,
    markSd: median(real.flatMap(({ markSds }) => markSds)),
    scale: scaleOf(picture),
    picture,
    pictures,
    notes: [...picture.notes],
  };
}
