/**
 * What a detector says of a square of the picture: where somebody is, how large and how turned, as
 * the square that the landmark model is to look at. Pure.
 */
import { degrees } from '../posture/geometry';
import type { Pixel } from './marks';
import { modelSidePx, toPicturePixel, type Crop } from './reader';

/** The side of the square that the detector looks at, pixels. */
export const detectorSidePx = 224;

/** Rows of places to a side, and guesses at each of them, coarser and coarser. */
const grids = [
  [28, 2],
  [14, 2],
  [7, 6],
] as const;
/** Numbers of one guess: how sure, box, then points by two. */
const perGuess = 13;
const pointsFrom = 5;
/** The square reaches this much further than the way from the hips to the end of the body. */
const reach = 1.25;

/** Middles of the guesses, as shares of the square. */
const anchors: readonly Pixel[] = grids.flatMap(([rows, guesses]) =>
  Array.from({ length: rows * rows * guesses }, (_, index): Pixel => {
    const cell = Math.floor(index / guesses);
    return [((cell % rows) + 0.5) / rows, (Math.floor(cell / rows) + 0.5) / rows];
  }),
);
export const guessCount = anchors.length;

export interface Detection {
  /** How sure it is, 0 to 1. */
  readonly score: number;
  /** The body upright in a square of its own. */
  readonly crop: Crop;
  /** Where somebody else seems to be as well: the middle of their hips. */
  readonly others: readonly Pixel[];
}

/** As sure as another body must be, and as far from the first, as a share of its size. */
const otherPerson = { leastLogit: 0.5, leastAway: 0.35 } as const;

/** The whole picture in a square, turned on the screen. */
export const wholeCrop = (
  { width, height }: { readonly width: number; readonly height: number },
  turnDeg: number,
): Crop => ({ centre: [width / 2, height / 2], sidePx: Math.max(width, height), turnDeg });

/**
 * The surest guess.
 *
 * @param numbers as the detector gives them for a square of the picture
 */
export function readDetection(numbers: ArrayLike<number>, square: Crop): Detection {
  let best = 0;
  for (let index = 1; index < guessCount; index += 1) {
    if (numbers[index * perGuess]! > numbers[best * perGuess]!) best = index;
  }
  const at = (point: number, guess = best): Pixel => {
    const [x, y] = anchors[guess]!;
    const from = guess * perGuess + pointsFrom + 2 * point;
    const [u, v] = [x + numbers[from]! / detectorSidePx, y + numbers[from + 1]! / detectorSidePx];
    return toPicturePixel(square, [u * modelSidePx, v * modelSidePx]);
  };
  const [hips, end] = [at(0), at(1)];
  const sidePx = 2 * reach * Math.hypot(end[0] - hips[0], end[1] - hips[1]);
  const others: Pixel[] = [];
  for (let guess = 0; guess < guessCount; guess += 1) {
    if (numbers[guess * perGuess]! < otherPerson.leastLogit) continue;
    const other = at(0, guess);
    const away = Math.hypot(other[0] - hips[0], other[1] - hips[1]);
    if (away > otherPerson.leastAway * sidePx) others.push(other);
  }
  return {
    others,
    score: 1 / (1 + Math.exp(-numbers[best * perGuess]!)),
    crop: {
      centre: hips,
      sidePx,
      turnDeg: degrees(Math.atan2(end[0] - hips[0], hips[1] - end[1])),
    },
  };
}
