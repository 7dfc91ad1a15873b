/**
 * The light of a picture evened out before a reader looks at it: readers have learned from pictures by
 * day, and of a dark body in the light of one lamp they see half. Pure.
 */

/** So much of a picture may be darker than black, and lighter than white, share of its pixels. */
const clipped = 0.02;
/** Light is not spread further than this: what is left of a black picture is grain. */
const mostGain = 4;
/** As bright as the middle of a picture is made where it is darker, share of white. */
const middle = 0.5;
/** Where the lightest is as light as the first, nothing is done; where it is as dark as the second, all. */
const lit = { enough: 200, dim: 160 } as const;
/** Bent no further than this. */
const leastGamma = 0.45;

/** How bright the pixel is whose red stands at this place, 0 to 255. */
export const brightnessOf = (data: Uint8ClampedArray, at: number): number =>
  0.3 * data[at]! + 0.59 * data[at + 1]! + 0.11 * data[at + 2]!;

/**
 * What each value of a colour becomes: of a picture in which nothing is light, spread from black to
 * white and its middle lifted. What is well lit stays as it is, and nothing that was darker becomes the
 * lighter one.
 *
 * @param data red, green, blue and alpha of each pixel, 0 to 255
 * @returns a table of 256 values, 0 to 255
 */
export function evenLight(data: Uint8ClampedArray): Float32Array {
  const counts = new Uint32Array(256);
  for (let at = 0; at < data.length; at += 4) {
    const bright = Math.round(brightnessOf(data, at));
    counts[bright] = counts[bright]! + 1;
  }
  const pixels = data.length / 4;
  /** The brightness below which so much of the picture lies. */
  const below = (share: number): number => {
    let sum = 0;
    for (let bright = 0; bright < 256; bright += 1) {
      sum += counts[bright]!;
      if (sum >= share * pixels) return bright;
    }
    return 255;
  };
  const [low, half, high] = [below(clipped), below(0.5), below(1 - clipped)];
  const gain = Math.min(mostGain, 255 / Math.max(1, high - low));
  const spread = (value: number) => Math.min(1, Math.max(0, ((value - low) * gain) / 255));
  const now = spread(half);
  const gamma =
    now > 0 && now < middle ? Math.max(leastGamma, Math.log(middle) / Math.log(now)) : 1;
  const dimness = Math.min(1, Math.max(0, (lit.enough - high) / (lit.enough - lit.dim)));
  return Float32Array.from(
    { length: 256 },
    (_, value) => (1 - dimness) * value + dimness * 255 * spread(value) ** gamma,
  );
}
