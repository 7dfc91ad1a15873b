import { formatFigure, type LengthUnits } from '../units/length';
import { line, rounded, textWidth, type Frame, type Shape } from './scene';

const tape = {
  cm: { minorM: 0.05, majorM: 0.1, numberM: 0.5 },
  in: { minorM: 0.0508, majorM: 0.1524, numberM: 0.6096 },
} as const satisfies Record<LengthUnits, Record<string, number>>;

const sizes = { minorPx: 4, majorPx: 7, numberPx: 10, textPx: 11 } as const;

/** Room the tape needs below the floor line. */
export const tapeHeightPx = sizes.numberPx + sizes.textPx + 5;

/** A tape along the floor with marks counted from the wall (at x = 0) to `lengthM` away. */
export function drawTape(frame: Frame, lengthM: number, units: LengthUnits): Shape[] {
  const { minorM, majorM, numberM } = tape[units];
  const floor = frame.y(0);
  const shapes: Shape[] = [];
  for (let mark = 0; mark * minorM <= lengthM; mark += 1) {
    const metres = mark * minorM;
    const isMultiple = (step: number) => {
      const share = metres / step;
      return Math.abs(share - Math.round(share)) < 1e-6;
    };
    const x = frame.x(-metres);
    const height = isMultiple(numberM)
      ? sizes.numberPx
      : isMultiple(majorM)
        ? sizes.majorPx
        : sizes.minorPx;
    shapes.push(line('tape', x, floor + 2, x, floor + 2 + height));
    const text = formatFigure(metres, units);
    // A number at the very end of the tape would run off the sheet.
    const roomPx = (lengthM - metres) * Math.abs(frame.pxPerM);
    const fits = roomPx >= textWidth(text, sizes.textPx) / 2;
    if (isMultiple(numberM) && metres > 0 && fits) {
      shapes.push({
        kind: 'text',
        role: 'tapeText',
        text,
        sizePx: sizes.textPx,
        anchor: 'middle',
        x,
        y: rounded(floor + 2 + sizes.numberPx + sizes.textPx),
      });
    }
  }
  return shapes;
}
