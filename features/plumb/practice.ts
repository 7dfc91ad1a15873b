'use client';

/**
 * A painted person in a painted room, from the posture model's own joints, to practise on: skin,
 * hair, cloth, a floor, a wall and a metre of tape. Nobody real.
 */
import type { Body } from '@/core/body/body';
import { between, radians } from '@/core/posture/geometry';
import type { FigureJoints } from '@/core/posture/joints';
import { drawFigure } from '@/core/drawing/figure';
import { makeFrame } from '@/core/drawing/scene';
import { practiceScene, practiceSize, type PracticeWish } from '@/core/plumb/practice';

const { pxPerM, floorPx, ...size } = practiceSize;

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

/** Which cloth each part of the drawn figure wears, in the order it is drawn. */
const wears = [
  paint.skin,
  paint.top,
  paint.legs,
  paint.legs,
  paint.skinDark,
  paint.skin,
  paint.skin,
  paint.skin,
  paint.skin,
] as const;

function room(context: CanvasRenderingContext2D, wallPx: number | null, side: 1 | -1): void {
  context.fillStyle = paint.wall;
  context.fillRect(-400, -400, size.width + 800, floorPx + 400);
  context.fillStyle = paint.floor;
  context.fillRect(-400, floorPx, size.width + 800, 700);
  context.strokeStyle = paint.board;
  for (let x = -400; x < size.width + 400; x += 90) {
    context.beginPath();
    context.moveTo(x, floorPx);
    context.lineTo(x - 60, size.height + 400);
    context.stroke();
  }
  context.fillStyle = paint.skirting;
  context.fillRect(-400, floorPx - 26, size.width + 800, 20);
  if (wallPx === null) return;
  context.fillStyle = paint.wallSide;
  const wide = size.width + 800;
  context.fillRect(side === 1 ? wallPx : wallPx - wide, -400, wide, floorPx + 400);
}

function tape(context: CanvasRenderingContext2D, fromPx: number): void {
  context.fillStyle = paint.tape;
  context.fillRect(fromPx, floorPx + 26, pxPerM, 12);
  context.fillStyle = paint.ink;
  context.font = '18px sans-serif';
  for (let tenth = 0; tenth <= 10; tenth += 1) {
    context.fillRect(
      fromPx + (tenth * pxPerM) / 10 - 1,
      floorPx + 26,
      2,
      tenth % 5 === 0 ? 20 : 12,
    );
  }
  context.fillText('1 m', fromPx + pxPerM + 10, floorPx + 42);
}

/** Paints the picture on a fresh canvas. */
export function paintPractice(body: Body, wish: PracticeWish): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = size.width;
  canvas.height = size.height;
  const context = canvas.getContext('2d');
  if (context === null) return canvas;
  const { joints: figure, wallX, wallSide, originPx } = practiceScene(body, wish);
  context.translate(size.width / 2, size.height / 2);
  context.rotate(radians(wish.tiltDeg));
  context.translate(-size.width / 2, -size.height / 2);
  room(context, wallX === null ? null : originPx + wallX * pxPerM, wallSide);
  tape(context, originPx - 0.75 * pxPerM);
  const frame = makeFrame(pxPerM, originPx, floorPx);
  // A soft shadow on the floor.
  context.fillStyle = 'rgba(40, 30, 20, 0.25)';
  context.beginPath();
  context.ellipse(frame.x(figure.wrist[0] + 0.05), floorPx + 8, 130, 14, 0, 0, 2 * Math.PI);
  context.fill();
  drawFigure('ghost', frame, body, figure).forEach((part, index) => {
    if (part.kind !== 'path') return;
    const path = new Path2D(part.d);
    context.fillStyle = wears[index] ?? paint.skin;
    context.fill(path);
    context.strokeStyle = 'rgba(20, 15, 10, 0.35)';
    context.lineWidth = 2;
    context.stroke(path);
  });
  hair(context, frame, figure);
  return canvas;
}

function hair(
  context: CanvasRenderingContext2D,
  frame: ReturnType<typeof makeFrame>,
  { shoulder, crown }: FigureJoints,
): void {
  const [x, y] = between(shoulder, crown, 0.86);
  context.fillStyle = paint.hair;
  context.beginPath();
  context.arc(frame.x(x), frame.y(y), 30, 0, 2 * Math.PI);
  context.fill();
}
