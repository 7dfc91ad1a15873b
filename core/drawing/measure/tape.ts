/** The tape as every picture of a measure shows it. */
import { rounded, type Shape } from '../scene';

/** Of every picture, drawing units. */
export const sidePx = 132;
export const hatchPx = 9;
const tickPx = 6;

/** Where a tape lies, in drawing units: brass with an edge of paper, a tick across each end. */
export function tapeAt(x1: number, y1: number, x2: number, y2: number, bowPx = 0): Shape[] {
  const length = Math.hypot(x2 - x1, y2 - y1);
  const [ax, ay] = [-(y2 - y1) / length, (x2 - x1) / length];
  const across = (x: number, y: number) =>
    `M${rounded(x - ax * tickPx)},${rounded(y - ay * tickPx)}L${rounded(x + ax * tickPx)},${rounded(y + ay * tickPx)}`;
  const [midX, midY] = [(x1 + x2) / 2 + ax * bowPx * 2, (y1 + y2) / 2 + ay * bowPx * 2];
  const d = `M${rounded(x1)},${rounded(y1)}Q${rounded(midX)},${rounded(midY)} ${rounded(x2)},${rounded(y2)}${across(x1, y1)}${across(x2, y2)}`;
  return [
    { kind: 'path', role: 'measureEdge', d },
    { kind: 'path', role: 'measure', d },
  ];
}
