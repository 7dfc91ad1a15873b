/**
 * How a picture was held, from its own level edges: skirting, boards, the edge of a mat. A guess, to
 * lay the floor line by until somebody draws it. Pure.
 */
import { radians } from '../posture/geometry';

/** Brightness row by row, 0 to 255. */
export interface GreyPicture {
  readonly width: number;
  readonly height: number;
  readonly data: ArrayLike<number>;
}

/** Lines further from level than this are none of the floor, degrees. */
const mostDeg = 10;
const coarseDeg = 0.5;
const fineDeg = 0.1;
/** Fainter than this is grain; and an edge that is nearly level changes mostly up and down. */
const leastEdge = 60;
const levelShare = 0.6;
/** A long clear edge counts no more than this for each of its places. */
const mostEdge = 240;
/** So many places of edge there must be, as a share of the picture's width. */
const leastLength = 0.5;
/** One tilt must gather its edges on lines so much better than the tilts on the whole do. */
const leastLead = 1.5;

interface Edge {
  readonly x: number;
  readonly y: number;
  readonly weight: number;
}

function edgesOf({ width, height, data }: GreyPicture): Edge[] {
  const at = (x: number, y: number) => data[y * width + x]!;
  const edges: Edge[] = [];
  for (let y = 1; y < height - 1; y += 1) {
    for (let x = 1; x < width - 1; x += 1) {
      const [above, below] = [y - 1, y + 1];
      const [before, after] = [x - 1, x + 1];
      const down =
        at(before, below) +
        2 * at(x, below) +
        at(after, below) -
        (at(before, above) + 2 * at(x, above) + at(after, above));
      if (Math.abs(down) < leastEdge) continue;
      const across =
        at(after, above) +
        2 * at(after, y) +
        at(after, below) -
        (at(before, above) + 2 * at(before, y) + at(before, below));
      if (Math.abs(across) > levelShare * Math.abs(down)) continue;
      edges.push({
        x: x - width / 2,
        y: y - height / 2,
        weight: Math.min(mostEdge, Math.abs(down)),
      });
    }
  }
  return edges;
}

/** How well edges gather on lines that are turned so far. */
function gathering(edges: readonly Edge[], deg: number, reach: number): number {
  const [cos, sin] = [Math.cos(radians(deg)), Math.sin(radians(deg))];
  const lines = new Float64Array(2 * reach + 1);
  for (const { x, y, weight } of edges) lines[Math.round(y * cos - x * sin) + reach]! += weight;
  return lines.reduce((sum, line) => sum + line * line, 0);
}

const steps = (from: number, to: number, by: number) =>
  Array.from({ length: Math.round((to - from) / by) + 1 }, (_, index) => from + index * by);

/**
 * How far level lines are turned on the screen, degrees, clockwise positive, to a tenth; `null` where
 * no tilt stands out.
 */
export function tiltOfEdges(picture: GreyPicture): number | null {
  const edges = edgesOf(picture);
  if (edges.length < leastLength * picture.width) return null;
  const reach = Math.ceil(Math.hypot(picture.width, picture.height) / 2) + 1;
  const best = (degs: readonly number[]) =>
    degs
      .map((deg) => ({ deg, score: gathering(edges, deg, reach) }))
      .reduce((most, one) => (one.score > most.score ? one : most));
  const coarse = steps(-mostDeg, mostDeg, coarseDeg);
  const scores = coarse.map((deg) => gathering(edges, deg, reach)).sort((a, b) => a - b);
  const first = best(coarse);
  if (first.score < leastLead * scores[Math.floor(scores.length / 2)]!) return null;
  // At the end of what is looked at the best may lie beyond.
  if (Math.abs(first.deg) >= mostDeg) return null;
  return best(steps(first.deg - coarseDeg, first.deg + coarseDeg, fineDeg)).deg;
}
