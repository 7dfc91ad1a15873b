import type { Role } from './scene';

/** Ink, paper, sea-green and brass: the drawing's own colours, light, dark and in one ink (handbook 10). */
export interface Palette {
  readonly paper: string;
  readonly ink: string;
  /** The trunk, behind the near limbs. */
  readonly inkTrunk: string;
  /** The face, beside hair in ink. */
  readonly inkFace: string;
  readonly inkFar: string;
  /** Round trunk, face and far limbs: paper, or ink where one ink has to part them. */
  readonly edge: string;
  readonly helper: string;
  readonly ghost: string;
  readonly soft: string;
  readonly brass: string;
  readonly prop: string;
  readonly green: string;
  /** The band of a strap, over limbs and over paper. */
  readonly strap: string;
}

export const palettes = {
  light: {
    paper: '#f6f1e7',
    ink: '#1b2733',
    inkTrunk: '#43525f',
    inkFace: '#75808a',
    inkFar: '#7f8992',
    edge: '#f6f1e7',
    helper: '#8b8f8c',
    ghost: '#e0d8c8',
    soft: '#8b8f8c',
    brass: '#7d5a12',
    prop: '#fbf8f1',
    green: '#0d5c54',
    strap: '#0d5c54',
  },
  dark: {
    paper: '#12191f',
    ink: '#e9e2d3',
    inkTrunk: '#b5b0a4',
    inkFace: '#8b8d89',
    inkFar: '#6d777e',
    edge: '#12191f',
    helper: '#7f8a8f',
    ghost: '#27323a',
    soft: '#7f8a8f',
    brass: '#d9b160',
    prop: '#1d2830',
    green: '#5fbfae',
    strap: '#5fbfae',
  },
  /** Black alone: for a copier, a stencil, a printer that makes no greys. */
  oneInk: {
    paper: '#ffffff',
    ink: '#000000',
    inkTrunk: 'url(#lv-lines)',
    inkFace: '#ffffff',
    inkFar: '#ffffff',
    edge: '#000000',
    helper: 'url(#lv-cross)',
    ghost: 'url(#lv-dots)',
    soft: '#000000',
    brass: '#000000',
    prop: '#ffffff',
    green: '#000000',
    strap: 'url(#lv-band)',
  },
} as const satisfies Record<'light' | 'dark' | 'oneInk', Palette>;

/** What stands for a tone where there is one ink: black on white, in the drawing's own units. */
export const oneInkPatterns = [
  '<pattern id="lv-lines" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)"><rect width="4" height="4" fill="#ffffff"/><rect width="4" height="1.9" fill="#000000"/></pattern>',
  '<pattern id="lv-cross" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><rect width="5" height="5" fill="#ffffff"/><path d="M0,0H5M0,0V5" stroke="#000000" stroke-width="1.6"/></pattern>',
  '<pattern id="lv-dots" width="6" height="6" patternUnits="userSpaceOnUse"><rect width="6" height="6" fill="#ffffff"/><circle cx="3" cy="3" r="0.9" fill="#000000"/></pattern>',
  '<pattern id="lv-band" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><rect width="5" height="5" fill="#ffffff"/><rect width="2.5" height="5" fill="#000000"/></pattern>',
].join('');

/** What a printer has: tones and brass, or black alone. */
export const paperInks = ['tones', 'one'] as const;
export type PaperInk = (typeof paperInks)[number];

export interface Stroke {
  readonly fill?: keyof Palette;
  readonly stroke?: keyof Palette;
  readonly widthPx?: number;
  readonly dash?: string;
  /** The stroke lies under the fill: an edge round everything filled, with no lines inside it. */
  readonly isUnder?: boolean;
}

/** How each role is drawn. One table for the screen, the print and the file. */
export const strokes = {
  figure: { fill: 'ink' },
  figureEdge: { fill: 'ink', stroke: 'paper', widthPx: 2.4, isUnder: true },
  figureFar: { fill: 'inkFar', stroke: 'edge', widthPx: 2.4, isUnder: true },
  figureTrunk: { fill: 'inkTrunk', stroke: 'edge', widthPx: 2.4, isUnder: true },
  figureFace: { fill: 'inkFace', stroke: 'edge', widthPx: 2.4, isUnder: true },
  helper: { fill: 'helper', stroke: 'edge', widthPx: 2.4, isUnder: true },
  figureFold: { stroke: 'paper', widthPx: 1.2 },
  figureFarFold: { stroke: 'edge', widthPx: 1.2 },
  ghost: { fill: 'ghost' },
  floor: { stroke: 'ink', widthPx: 2 },
  wall: { stroke: 'ink', widthPx: 2.4 },
  wallBody: { fill: 'paper' },
  hatch: { stroke: 'soft', widthPx: 1 },
  prop: { fill: 'prop', stroke: 'ink', widthPx: 1.2 },
  propMark: { stroke: 'soft', widthPx: 0.8 },
  strap: { stroke: 'strap', widthPx: 4 },
  tape: { stroke: 'brass', widthPx: 1 },
  tapeText: { fill: 'brass' },
  dimension: { stroke: 'brass', widthPx: 1.5 },
  dimensionEstimated: { stroke: 'brass', widthPx: 0.9 },
  dimensionTick: { stroke: 'brass', widthPx: 1.8 },
  witness: { stroke: 'brass', widthPx: 0.5 },
  dimensionText: { fill: 'brass' },
  angle: { stroke: 'brass', widthPx: 1, dash: '5 4' },
  plumb: { fill: 'paper', stroke: 'brass', widthPx: 2 },
  measure: { stroke: 'brass', widthPx: 2.6 },
  /** Of paper, under a tape that lies on a body. */
  measureEdge: { stroke: 'paper', widthPx: 6.4 },
  loadText: { fill: 'ink' },
} as const satisfies Record<Role, Stroke>;
