'use client';

/**
 * A painted person in a painted room, from the posture model's own joints, to practise on: skin,
 * hair, cloth, a floor, a wall and a metre of tape. Nobody real.
 */
import type { Body } from '@/core/body/body';
import { radians } from '@/core/posture/geometry';
import {
  plainPractice,
  practiceScene,
  practiceSize,
  type PracticeWish,
} from '@/core/plumb/practice';
import { clipLines, clipSize, kickAt, type KickWish } from '@/core/plumb/practiceClip';
import { paintDusk, paintPerson, paintRoom, paintTape, paintWindow } from './paint';

/** Paints the picture on a fresh canvas. */
export function paintPractice(body: Body, wish: PracticeWish): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = practiceSize.width;
  canvas.height = practiceSize.height;
  const context = canvas.getContext('2d');
  if (context === null) return canvas;
  const { joints, wallX, wallSide, front, ...lies } = practiceScene(body, wish);
  const layout = { ...practiceSize, ...lies };
  const { tiltDeg, light } = { ...plainPractice, ...wish };
  context.translate(canvas.width / 2, canvas.height / 2);
  context.rotate(radians(tiltDeg));
  context.translate(-canvas.width / 2, -canvas.height / 2);
  paintRoom(
    context,
    layout,
    wallX === null ? null : { atPx: layout.originPx + wallX * layout.pxPerM, side: wallSide },
  );
  paintWindow(context, layout, light);
  paintTape(context, layout, layout.originPx - 0.75 * layout.pxPerM);
  paintPerson(context, layout, body, joints, { light, front });
  paintDusk(context, layout, light);
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
