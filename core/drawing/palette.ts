import type { Role } from './scene';

/** Ink, paper, sea-green and brass: the drawing's own colours, light and dark (handbook 10). */
export interface Palette {
  readonly paper: string;
  readonly ink: string;
  /** The trunk, behind the near limbs. */
  readonly inkTrunk: string;
  /** The face, beside hair in ink. */
  readonly inkFace: string;
  readonly inkFar: string;
  readonly ghost: string;
  readonly soft: string;
  readonly brass: string;
  readonly prop: string;
  readonly green: string;
}

export const palettes = {
  light: {
    paper: '#f6f1e7',
    ink: '#1b2733',
    inkTrunk: '#43525f',
    inkFace: '#75808a',
    inkFar: '#7f8992',
    ghost: '#e0d8c8',
    soft: '#8b8f8c',
    brass: '#7d5a12',
    prop: '#fbf8f1',
    green: '#0d5c54',
  },
  dark: {
    paper: '#12191f',
    ink: '#e9e2d3',
    inkTrunk: '#b5b0a4',
    inkFace: '#8b8d89',
    inkFar: '#6d777e',
    ghost: '#27323a',
    soft: '#7f8a8f',
    brass: '#d9b160',
    prop: '#1d2830',
    green: '#5fbfae',
  },
} as const satisfies Record<'light' | 'dark', Palette>;

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
  figureFar: { fill: 'inkFar', stroke: 'paper', widthPx: 2.4, isUnder: true },
  figureTrunk: { fill: 'inkTrunk', stroke: 'paper', widthPx: 2.4, isUnder: true },
  figureFace: { fill: 'inkFace', stroke: 'paper', widthPx: 2.4, isUnder: true },
  helper: { fill: 'soft', stroke: 'paper', widthPx: 2.4, isUnder: true },
  figureFold: { stroke: 'paper', widthPx: 1.2 },
  ghost: { fill: 'ghost' },
  floor: { stroke: 'ink', widthPx: 2 },
  wall: { stroke: 'ink', widthPx: 2.4 },
  wallBody: { fill: 'paper' },
  hatch: { stroke: 'soft', widthPx: 1 },
  prop: { fill: 'prop', stroke: 'ink', widthPx: 1.2 },
  propMark: { stroke: 'soft', widthPx: 0.8 },
  strap: { stroke: 'green', widthPx: 4 },
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
