'use client';

/**
 * A painted person in a painted room, from the posture model's own joints, to practise on: skin,
 * hair, cloth, a floor, a wall and a metre of tape. Nobody real.
 */
import type { Body } from '@/core/body/body';
import { radians } from '@/core/posture/geometry';
import { practiceScene, practiceSize, type PracticeWish } from '@/core/plumb/practice';
import { clipLines, clipSize, kickAt, type KickWish } from '@/core/plumb/practiceClip';
import { paintPerson, paintRoom, paintTape } from './paint';

/** Paints the picture on a fresh canvas. */
export function paintPractice(body: Body, wish: PracticeWish): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = practiceSize.width;
  canvas.height = practiceSize.height;
  const context = canvas.getContext('2d');
  if (context === null) return canvas;
  const { joints, wallX, wallSide, originPx } = practiceScene(body, wish);
  const layout = { ...practiceSize, originPx };
  context.translate(canvas.width / 2, canvas.height / 2);
  context.rotate(radians(wish.tiltDeg));
  context.translate(-canvas.width / 2, -canvas.height / 2);
  paintRoom(
    context,
    layout,
    wallX === null ? null : { atPx: originPx + wallX * layout.pxPerM, side: wallSide },
  );
  paintTape(context, layout, originPx - 0.75 * layout.pxPerM);
  paintPerson(context, layout, body, joints);
  return canvas;
}

/** Paints one moment of a kick to the wall, seconds from its beginning. */
export function paintKick(canvas: HTMLCanvasElement, body: Body, wish: KickWish, atS: number) {
  canvas.width = clipSize.width;
  canvas.height = clipSize.height;
  const context = canvas.getContext('2d');
  if (context === null) return;
  paintRoom(context, clipSize, { atPx: clipLines.wall[0][0], side: 1 });
  paintTape(context, clipSize, clipLines.scale.from[0]);
  paintPerson(context, clipSize, body, kickAt(body, wish, atS));
}
