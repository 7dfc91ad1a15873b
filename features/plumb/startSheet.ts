/** Where marks begin that are put on by hand: the person's own figure, or places that are usual. */
import type { Body } from '@/core/body/body';
import { between } from '@/core/posture/geometry';
import type { FigureJoints, Point } from '@/core/posture/joints';
import type { MarkSet, Pixel, Sheet } from '@/core/plumb/marks';
import { figureOf } from '@/core/plumb/practice';
import type { ShapeId } from '@/core/shapes/postures';
import { lookAt, type ImageSize } from './sheet';

/** How a figure in metres lies in a picture. */
interface Fit {
  readonly pxPerM: number;
  readonly place: (point: Point) => Pixel;
}

function fit(
  points: readonly Point[],
  { width, height }: ImageSize,
  facing: 'left' | 'right',
): Fit {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const top = Math.max(...ys, 0.5);
  const pxPerM = Math.min((height * 0.76) / top, (width * 0.8) / Math.max(0.4, right - left));
  const middle = (left + right) / 2;
  const way = facing === 'left' ? -1 : 1;
  return {
    pxPerM,
    place: ([x, y]) => [
      Math.round(width / 2 + way * (x - middle) * pxPerM),
      Math.round(height * 0.9 - y * pxPerM),
    ],
  };
}

const legNames = ['knee', 'ankle', 'heel', 'toe'] as const;

/** A start for placing marks by hand: the person's own figure in this shape, fitted to the picture. */
export function ghostSheet(sheet: Sheet, body: Body, shape: ShapeId, image: ImageSize): Sheet {
  const { joints, wallX } = figureOf(body, shape);
  const ear = between(joints.shoulder, joints.crown, body.earM / body.lengths.shoulderToCrown);
  const near: Record<string, Point> = {
    wrist: joints.wrist,
    elbow: joints.elbow,
    shoulder: joints.shoulder,
    ear,
    crown: joints.crown,
    hip: joints.hip,
    knee: joints.knee,
    ankle: joints.ankle,
    heel: joints.heel,
    toe: joints.toe,
  };
  const far = joints.otherLeg === undefined ? {} : joints.otherLeg;
  const { place } = fit(
    [...Object.values(near), [wallX ?? joints.wrist[0], 0]],
    image,
    sheet.facing,
  );
  const marksOf = (places: Readonly<Record<string, Point>>): MarkSet => {
    const seen = new Set<string>();
    return Object.fromEntries(
      Object.entries(places).flatMap(([name, point]) => {
        const [x, y] = place(point);
        // On the balls of the feet heel and toe are one place: one mark will do.
        if (seen.has(`${x} ${y}`)) return [];
        seen.add(`${x} ${y}`);
        return [[name, { x, y }]];
      }),
    ) as MarkSet;
  };
  const legs = Object.fromEntries(
    legNames.flatMap((name) => (name in far ? [[name, (far as FigureJoints)[name]]] : [])),
  );
  const floorY = place([0, 0])[1];
  const wallPx = wallX === null ? null : place([wallX, 0])[0];
  return {
    ...sheet,
    view: 'side',
    ...lookAt(shape),
    marks: { ...sheet.marks, near: marksOf(near), far: marksOf(legs) },
    floor: [
      [Math.round(image.width * 0.06), floorY],
      [Math.round(image.width * 0.94), floorY],
    ],
    wall:
      wallPx === null
        ? null
        : [
            [wallPx, floorY],
            [wallPx, Math.round(image.height * 0.12)],
          ],
    scale: sheet.scale.kind === 'none' ? { kind: 'segment', segment: 'trunk' } : sheet.scale,
  };
}

/** A start for somebody who lies on the back, one leg upright and the arms behind the head. */
export function lyingSheet(sheet: Sheet, body: Body, image: ImageSize): Sheet {
  const { trunk, thigh, shank, upperArm, forearm } = body.lengths;
  const lowM = 0.1;
  const hipX = -trunk;
  const near: Record<string, Point> = {
    wrist: [upperArm + forearm, lowM / 2],
    elbow: [upperArm, lowM],
    shoulder: [0, lowM],
    ear: [body.earM, lowM],
    hip: [hipX, lowM],
    knee: [hipX, lowM + thigh],
    ankle: [hipX, lowM + thigh + shank],
  };
  const far: Record<string, Point> = {
    knee: [hipX - thigh, lowM],
    ankle: [hipX - thigh - shank, lowM / 2],
  };
  const { place } = fit([...Object.values(near), ...Object.values(far)], image, sheet.facing);
  const marksOf = (places: Readonly<Record<string, Point>>): MarkSet =>
    Object.fromEntries(
      Object.entries(places).map(([name, point]) => {
        const [x, y] = place(point);
        return [name, { x, y }];
      }),
    );
  const floorY = place([0, 0])[1];
  return {
    ...sheet,
    marks: { ...sheet.marks, near: marksOf(near), far: marksOf(far) },
    floor: [
      [Math.round(image.width * 0.06), floorY],
      [Math.round(image.width * 0.94), floorY],
    ],
    scale: sheet.scale.kind === 'none' ? { kind: 'segment', segment: 'trunk' } : sheet.scale,
  };
}

/** A start for front and back: shoulders, elbows, wrists and hips where they usually are. */
export function facingSheet(sheet: Sheet, body: Body, image: ImageSize): Sheet {
  const { shoulderJointWidth, upperArm, forearm, trunk } = body.lengths;
  const half = shoulderJointWidth / 2;
  const isDown = sheet.base === 'forearms';
  const shoulderY = upperArm + (isDown ? 0.03 : forearm + 0.05);
  const places = (side: 1 | -1): Record<string, Point> => ({
    wrist: [side * half * (isDown ? 0.7 : 1), isDown ? 0.02 : 0.05],
    elbow: isDown ? [side * half, 0.03] : [side * half, forearm + 0.05],
    shoulder: [side * half, shoulderY],
    hip: [side * half * 0.55, shoulderY + trunk],
  });
  const all = [...Object.values(places(1)), ...Object.values(places(-1))];
  const { place } = fit(all, image, 'right');
  const marksOf = (of: Record<string, Point>): MarkSet =>
    Object.fromEntries(
      Object.entries(of).map(([name, point]) => {
        const [x, y] = place(point);
        return [name, { x, y }];
      }),
    ) as MarkSet;
  // Upside down and seen from the back, the person's left is on the right of the picture.
  const leftSide = sheet.view === 'back' ? 1 : -1;
  const floorY = place([0, 0])[1];
  return {
    ...sheet,
    marks: {
      ...sheet.marks,
      left: marksOf(places(leftSide)),
      right: marksOf(places(leftSide === 1 ? -1 : 1)),
    },
    floor: [
      [Math.round(image.width * 0.06), floorY],
      [Math.round(image.width * 0.94), floorY],
    ],
    scale: sheet.scale.kind === 'none' ? { kind: 'segment', segment: 'trunk' } : sheet.scale,
  };
}
