'use client';

/** The paint box of the practice pictures: a room, a metre of tape, somebody in skin and cloth. */
import type { Body } from '@/core/body/body';
import { listParts, type DrawnPart, type Part } from '@/core/drawing/figure/figure';
import { faceFeatures } from '@/core/drawing/figure/head';
import { frontHead, listFrontParts, type FrontWidths } from '@/core/drawing/figure/frontBody';
import { makeFrame, type Frame } from '@/core/drawing/scene';
import type { PracticeLight } from '@/core/plumb/practice';
import type { FigureJoints, Point } from '@/core/posture/joints';

/** How light falls on somebody, and how wide they are where they are seen from the front. */
interface PersonLight {
  readonly light?: PracticeLight;
  readonly front?: FrontWidths | null;
}

/** How a picture lies: its size, its scale, its floor, and where the person's own nought is. */
export interface Layout {
  readonly width: number;
  readonly height: number;
  readonly pxPerM: number;
  readonly floorPx: number;
  readonly originPx: number;
}

const paint = {
  wall: '#d9d2c3',
  wallSide: '#c3baa6',
  floor: '#a98a63',
  board: '#96774f',
  skirting: '#efe9dc',
  skin: '#c08a64',
  skinDark: '#8f6145',
  hair: '#3a2a22',
  top: '#6d8f8a',
  legs: '#39495c',
  legsDark: '#2a3646',
  tape: '#f0c64a',
  ink: '#222',
} as const;

/** Which cloth each part of the drawn figure wears. */
const wears = {
  'far-arm': { all: paint.skinDark, foot: paint.skinDark },
  'far-leg': { all: paint.legsDark, foot: paint.skinDark },
  'far-fold': null,
  neck: { all: paint.skin, foot: paint.skin },
  trunk: { all: paint.top, foot: paint.top },
  leg: { all: paint.legs, foot: paint.skinDark },
  arm: { all: paint.skin, foot: paint.skin },
  fold: null,
  face: { all: paint.skin, foot: paint.skin },
  hair: { all: paint.hair, foot: paint.hair },
} as const satisfies Record<Part, { readonly all: string; readonly foot: string } | null>;
/** A leg is thigh, shank, foot: bare feet. */
const footAt = 2;

/**
 * As a camera sees it: the near arm before the head. A drawing keeps the head whole instead, so that
 * it is read at any size.
 */
const asSeen = (parts: readonly DrawnPart[]): DrawnPart[] => {
  const isHead = ({ part }: DrawnPart) => part === 'face' || part === 'hair';
  const arm = parts.findIndex(({ part }) => part === 'arm');
  return [
    ...parts.slice(0, arm),
    ...parts.filter(isHead),
    ...parts.slice(arm).filter((one) => !isHead(one)),
  ];
};

/** Everything is painted this much past the picture's edges, so that a tilt shows no corner. */
const over = 400;
/** The pictures were drawn at this scale first; what has no length of its own follows it. */
const usualPxPerM = 500;

/** Wall, floor, skirting, and the wall that stands in the picture's plane. */
export function paintRoom(
  context: CanvasRenderingContext2D,
  { width, height, pxPerM, floorPx }: Layout,
  wall: { readonly atPx: number; readonly side: 1 | -1 } | null,
): void {
  const share = pxPerM / usualPxPerM;
  context.fillStyle = paint.wall;
  context.fillRect(-over, -over, width + 2 * over, floorPx + over);
  context.fillStyle = paint.floor;
  context.fillRect(-over, floorPx, width + 2 * over, height + over);
  context.strokeStyle = paint.board;
  context.lineWidth = 1;
  for (let x = -over; x < width + over; x += 90 * share) {
    context.beginPath();
    context.moveTo(x, floorPx);
    context.lineTo(x - 60 * share, height + over);
    context.stroke();
  }
  context.fillStyle = paint.skirting;
  context.fillRect(-over, floorPx - 26 * share, width + 2 * over, 20 * share);
  if (wall === null) return;
  context.fillStyle = paint.wallSide;
  const wide = width + 2 * over;
  context.fillRect(wall.side === 1 ? wall.atPx : wall.atPx - wide, -over, wide, floorPx + over);
}

/** A metre of tape on the floor, from a place on. */
export function paintTape(
  context: CanvasRenderingContext2D,
  { pxPerM, floorPx }: Layout,
  fromPx: number,
): void {
  const share = pxPerM / usualPxPerM;
  context.fillStyle = paint.tape;
  context.fillRect(fromPx, floorPx + 26 * share, pxPerM, 12 * share);
  context.fillStyle = paint.ink;
  context.font = `${18 * share}px sans-serif`;
  for (let tenth = 0; tenth <= 10; tenth += 1) {
    context.fillRect(
      fromPx + (tenth * pxPerM) / 10 - 1,
      floorPx + 26 * share,
      2,
      (tenth % 5 === 0 ? 20 : 12) * share,
    );
  }
  context.fillText('1 m', fromPx + pxPerM + 10 * share, floorPx + 42 * share);
}

/** How light falls on somebody: against a window they are darker than the room. */
const shades: Readonly<Record<PracticeLight, string | null>> = {
  day: null,
  evening: null,
  window: 'rgba(12, 12, 22, 0.52)',
};

/** Light that lies on the room before anybody stands in it. */
export function paintWindow(
  context: CanvasRenderingContext2D,
  { width, floorPx }: Layout,
  light: PracticeLight,
): void {
  if (light !== 'window') return;
  const [x, y] = [width * 0.5, floorPx * 0.45];
  const glow = context.createRadialGradient(x, y, width * 0.1, x, y, width * 0.9);
  glow.addColorStop(0, 'rgba(255, 255, 250, 0.95)');
  glow.addColorStop(1, 'rgba(255, 255, 250, 0)');
  context.fillStyle = glow;
  context.fillRect(-over, -over, width + 2 * over, floorPx + over);
}

/** Light that lies on everything: an evening with one lamp. */
export function paintDusk(
  context: CanvasRenderingContext2D,
  { width, height }: Layout,
  light: PracticeLight,
): void {
  if (light !== 'evening') return;
  const all = [-over, -over, width + 2 * over, height + 2 * over] as const;
  context.save();
  context.globalCompositeOperation = 'multiply';
  const lamp = context.createRadialGradient(width, 0, 0, width, 0, height * 1.3);
  lamp.addColorStop(0, '#e6c79a');
  lamp.addColorStop(1, '#5b5468');
  context.fillStyle = lamp;
  context.fillRect(...all);
  context.restore();
}

/** Somebody in skin and cloth, with a soft shadow on the floor. */
export function paintPerson(
  context: CanvasRenderingContext2D,
  { pxPerM, floorPx, originPx }: Layout,
  body: Body,
  figure: FigureJoints,
  { light = 'day', front = null }: PersonLight = {},
): void {
  const share = pxPerM / usualPxPerM;
  const frame = makeFrame(pxPerM, originPx, floorPx);
  const shade = shades[light];
  context.fillStyle = 'rgba(40, 30, 20, 0.25)';
  context.beginPath();
  context.ellipse(
    frame.x(front === null ? figure.wrist[0] + 0.05 : 0),
    floorPx + 8 * share,
    130 * share,
    14 * share,
    0,
    0,
    2 * Math.PI,
  );
  context.fill();
  const parts =
    front === null ? listParts(frame, body, figure) : listFrontParts(frame, body, figure, front);
  for (const { part, pieces } of front === null ? asSeen(parts) : parts) {
    pieces.forEach((d, index) => {
      const cloth = wears[part];
      if (cloth === null) return;
      const path = new Path2D(d);
      context.fillStyle = index === footAt ? cloth.foot : cloth.all;
      context.fill(path);
      if (shade !== null) {
        context.fillStyle = shade;
        context.fill(path);
      }
      round(context, path, share);
    });
    if (front === null && part === 'hair') paintProfile(context, frame, body, figure);
  }
  if (front !== null) paintFace(context, frame, body, figure);
}

/** An edge, and within it the darker rim of what is round. */
function round(context: CanvasRenderingContext2D, path: Path2D, share: number): void {
  context.save();
  context.clip(path);
  for (const wide of [26, 14]) {
    context.strokeStyle = 'rgba(20, 12, 8, 0.13)';
    context.lineWidth = wide * share;
    context.stroke(path);
  }
  context.restore();
  context.strokeStyle = 'rgba(20, 15, 10, 0.35)';
  context.lineWidth = 2 * share;
  context.stroke(path);
}

/** Ear, eye, brow and mouth from the side. */
function paintProfile(
  context: CanvasRenderingContext2D,
  frame: Frame,
  body: Body,
  { shoulder, crown }: FigureJoints,
): void {
  const { ear, eye, brow, mouth } = faceFeatures(shoulder, crown, body.heightM);
  const dot = ([x, y]: Point, size: number, colour: string) => {
    context.fillStyle = colour;
    context.beginPath();
    context.arc(frame.x(x), frame.y(y), size * body.heightM * frame.pxPerM, 0, 2 * Math.PI);
    context.fill();
  };
  dot(ear, 0.012, paint.skinDark);
  dot(ear, 0.008, paint.skin);
  dot(eye, 0.0055, '#f4efe6');
  dot(eye, 0.0035, paint.hair);
  dot(brow, 0.004, paint.hair);
  dot(mouth, 0.005, '#8d4a43');
}

/** Eyes, nose and mouth of somebody whose crown is down: a reader looks for a face. */
function paintFace(
  context: CanvasRenderingContext2D,
  frame: Frame,
  body: Body,
  figure: FigureJoints,
): void {
  const [, middle] = frontHead(body, figure);
  const H = body.heightM;
  const dot = (x: number, y: number, wide: number, high: number, colour: string) => {
    context.fillStyle = colour;
    context.beginPath();
    context.ellipse(
      frame.x(x * H),
      frame.y(middle + y * H),
      wide * H * frame.pxPerM,
      high * H * frame.pxPerM,
      0,
      0,
      2 * Math.PI,
    );
    context.fill();
  };
  for (const side of [-1, 1]) {
    dot(side * 0.017, 0.002, 0.0075, 0.0045, '#f4efe6');
    dot(side * 0.017, 0.002, 0.0035, 0.0042, paint.hair);
    dot(side * 0.017, -0.008, 0.0095, 0.0018, paint.hair);
  }
  dot(0, 0.016, 0.006, 0.009, paint.skinDark);
  dot(0, 0.033, 0.013, 0.0035, '#8d4a43');
}
