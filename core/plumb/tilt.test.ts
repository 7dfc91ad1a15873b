import { radians } from '../posture/geometry';
import { tiltOfEdges, type GreyPicture } from './tilt';

/** A wall over a floor, softly parted, turned about its middle; grain from a small generator. */
function room(tiltDeg: number, grain = 0, isEdged = true): GreyPicture {
  const [width, height] = [320, 400];
  let seed = 7;
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647 - 0.5;
  const slope = Math.tan(radians(tiltDeg));
  const data = Array.from({ length: width * height }, (_, index) => {
    const [x, y] = [index % width, Math.floor(index / width)];
    const over = y - 300 - (x - width / 2) * slope;
    const step = isEdged ? Math.min(1, Math.max(0, over / 2 + 0.5)) : 0;
    return 200 - 80 * step + grain * random();
  });
  return { width, height, data };
}

it.each([-6, -3, -0.5, 0, 2, 5, 9])('finds a floor that is turned by %s degrees', (tiltDeg) => {
  expect(tiltOfEdges(room(tiltDeg))).toBeCloseTo(tiltDeg, 0);
  expect(Math.abs(tiltOfEdges(room(tiltDeg, 8))! - tiltDeg)).toBeLessThan(0.6);
});

it('says nothing of a picture without a level edge', () => {
  expect(tiltOfEdges(room(0, 8, false))).toBeNull();
  // What is turned further than anybody holds a camera is no floor.
  expect(tiltOfEdges(room(30))).toBeNull();
  // Grain alone agrees with nothing.
  expect(tiltOfEdges(room(0, 160, false))).toBeNull();
});
