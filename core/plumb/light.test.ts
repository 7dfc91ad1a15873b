import fc from 'fast-check';
import { evenLight } from './light';

/** A picture of these grey values, each as often. */
const pictureOf = (values: readonly number[]) =>
  new Uint8ClampedArray(values.flatMap((value) => [value, value, value, 255]));
const ramp = (from: number, to: number) =>
  Array.from({ length: 200 }, (_, index) => from + ((to - from) * index) / 199);

describe('the light of a picture', () => {
  it.each([
    ['by day', ramp(60, 215)],
    ['against a window', [...ramp(30, 60), ...ramp(230, 255)]],
    ['all of it white', ramp(255, 255)],
  ])('is left as it is %s', (_, values) => {
    const table = evenLight(pictureOf(values));
    table.forEach((now, value) => expect(now).toBeCloseTo(value, 4));
  });

  it('is lifted in the light of one lamp: the darkest apart, the middle to the middle', () => {
    const table = evenLight(pictureOf(ramp(20, 120)));
    expect(table[70]!).toBeGreaterThan(110);
    // Trousers and skin, ten steps apart before.
    expect(table[50]! - table[40]!).toBeGreaterThan(20);
    expect(table[120]!).toBeGreaterThan(245);
  });

  it('keeps what is lighter lighter, and within black and white, whatever the picture', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 255 }), { minLength: 1, maxLength: 60 }),
        (values) => {
          const table = evenLight(pictureOf(values));
          const steps = table.slice(1).map((now, index) => now - table[index]!);
          expect(Math.min(...steps)).toBeGreaterThanOrEqual(0);
          expect(Math.max(...table)).toBeLessThanOrEqual(255);
          expect(Math.min(...table)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('makes no grain of what is black', () => {
    const table = evenLight(pictureOf(ramp(0, 6)));
    // Six steps of the sensor are no picture.
    expect(table[6]! - table[5]!).toBeLessThan(30);
  });
});
