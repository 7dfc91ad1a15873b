/** A row of readings made into the frames of a clip: the same side is near in all of them. */
import { radians } from '../posture/geometry';
import {
  markNames,
  type Mark,
  type MarkSet,
  type Pixel,
  type PixelLine,
  type SideMarks,
} from './marks';
import { median } from './clip/frames';
import { nearAndFar, type ReadMarks } from './reader';

/** A mark that leaps away for one frame and comes back is put where its neighbours are. */
function steady(rows: readonly MarkSet[]): MarkSet[] {
  return rows.map((set, index) => {
    const [before, after] = [rows[index - 1], rows[index + 1]];
    return Object.fromEntries(
      markNames.flatMap((name): [string, Mark][] => {
        const here = set[name];
        if (here === undefined) return [];
        const [from, to] = [before?.[name], after?.[name]];
        if (from === undefined || to === undefined) return [[name, here]];
        // Of places in a row the middle one is itself: what moves keeps its time.
        const x = median([from.x, here.x, to.x]);
        const y = median([from.y, here.y, to.y]);
        return [[name, { ...here, x, y }]];
      }),
    );
  });
}

/** How much of the standing height a trunk is, and how far off a foot may be read. */
const trunkShare = 0.288;
const footErrorShare = 0.03;

/**
 * Where the floor is, until somebody draws it: as low as most frames reach, less what a reader is
 * off, so that a foot that stands is read as standing. Both ends below whoever is in it, in pixels;
 * `null` where nothing is marked.
 *
 * @param tiltDeg how far the picture's level edges are turned, clockwise
 */
export function guessFloor(frames: readonly SideMarks[], tiltDeg = 0): PixelLine | null {
  const slope = Math.tan(radians(tiltDeg));
  const lows: number[] = [];
  const xs: number[] = [];
  for (const { near, far = {} } of frames) {
    const marks = [...Object.values(near), ...Object.values(far)];
    if (marks.length === 0) continue;
    xs.push(...marks.map(({ x }) => x));
    // Where a level line through each place would meet the picture's left edge.
    lows.push(Math.max(...marks.map(({ x, y }) => y - x * slope)));
  }
  const trunks = frames.flatMap(({ near: { shoulder, hip } }) =>
    shoulder === undefined || hip === undefined
      ? []
      : [Math.hypot(shoulder.x - hip.x, shoulder.y - hip.y)],
  );
  if (lows.length === 0 || trunks.length === 0) return null;
  const low = median(lows) - (footErrorShare * median(trunks)) / trunkShare;
  const at = (x: number): Pixel => [Math.round(x), Math.round(low + x * slope)];
  return [at(Math.min(...xs)), at(Math.max(...xs) + 1)];
}

export interface SortedClip {
  /** One for each reading; nothing marked where nobody was seen. */
  readonly frames: readonly SideMarks[];
  readonly facing: 'left' | 'right' | null;
  /** How far the level edges are turned, by the pictures that tell; `null`: none does. */
  readonly tiltDeg: number | null;
}

/**
 * Which side is near is told by all frames together: one in which a reader sees the other side
 * better does not turn the person round.
 */
export function sortSides(reads: readonly (ReadMarks | null)[]): SortedClip {
  const seen = { left: 0, right: 0 };
  const faces = { left: 0, right: 0 };
  for (const read of reads) {
    if (read === null) continue;
    seen.left += read.seen.left;
    seen.right += read.seen.right;
    if (read.facing !== null) faces[read.facing] += 1;
  }
  const tilts = reads.flatMap((read) => read?.tiltDeg ?? []);
  const near = seen.left > seen.right ? 'left' : 'right';
  const isKnown = faces.left !== faces.right;
  const sorted = reads.map((read) =>
    read === null ? { near: {}, far: {} } : nearAndFar(read, near),
  );
  const [nears, fars] = [
    steady(sorted.map((one) => one.near)),
    steady(sorted.map((one) => one.far)),
  ];
  return {
    frames: sorted.map((_, index) => ({ near: nears[index]!, far: fars[index]! })),
    tiltDeg: tilts.length === 0 ? null : median(tilts),
    facing: isKnown ? (faces.left > faces.right ? 'left' : 'right') : null,
  };
}
