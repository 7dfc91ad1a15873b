/**
 * A drawing as plain numbers: the same scene feeds the screen, the print and the file.
 * Drawing units are pixels at the scale the scene was built for; y runs down.
 */

/** What a shape stands for. Colours and strokes are chosen by whoever renders it. */
export type Role =
  | 'figure'
  | 'figureEdge'
  | 'figureFar'
  | 'figureTrunk'
  | 'figureFace'
  | 'figureFold'
  | 'figureFarFold'
  | 'helper'
  | 'ghost'
  | 'floor'
  | 'wall'
  | 'wallBody'
  | 'hatch'
  | 'prop'
  | 'propMark'
  | 'strap'
  | 'tape'
  | 'tapeText'
  | 'dimension'
  | 'dimensionEstimated'
  | 'dimensionTick'
  | 'witness'
  | 'dimensionText'
  | 'angle'
  | 'plumb'
  | 'measure'
  | 'measureEdge'
  | 'loadText';

export type Shape =
  | { readonly kind: 'path'; readonly role: Role; readonly d: string }
  | {
      readonly kind: 'line';
      readonly role: Role;
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
    }
  | {
      readonly kind: 'text';
      readonly role: Role;
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly sizePx: number;
    };

export interface Scene {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly pxPerM: number;
  /** How high over the floor it reaches, metres; absent where the drawing does not say. */
  readonly topM?: number;
  readonly shapes: readonly Shape[];
  /** The drawing in sentences, for whoever does not see it. */
  readonly sentences: readonly string[];
}

/** Two decimals are a hundredth of a pixel: enough, and the same on every machine. */
export const rounded = (value: number) => Math.round(value * 100) / 100 + 0;

/** Maps metres (x towards the wall from 0 at the wall, y up from the floor) to drawing units. */
export interface Frame {
  readonly pxPerM: number;
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
}

export function makeFrame(pxPerM: number, wallPx: number, floorPx: number): Frame {
  return {
    pxPerM,
    x: (metres) => rounded(wallPx + metres * pxPerM),
    y: (metres) => rounded(floorPx - metres * pxPerM),
  };
}

export function line(role: Role, x1: number, y1: number, x2: number, y2: number): Shape {
  return {
    kind: 'line',
    role,
    x1: rounded(x1),
    y1: rounded(y1),
    x2: rounded(x2),
    y2: rounded(y2),
  };
}

export function rectangle(
  role: Role,
  left: number,
  top: number,
  width: number,
  height: number,
): Shape {
  const [l, t, r, b] = [left, top, left + width, top + height].map(rounded);
  return { kind: 'path', role, d: `M${l},${t}H${r}V${b}H${l}Z` };
}

/** Width of a text in drawing units, near enough to keep texts apart: tabular figures. */
export function textWidth(text: string, sizePx: number): number {
  return text.length * sizePx * 0.58;
}
