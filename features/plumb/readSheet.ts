/** The sheet of a picture that was read: its marks, and the lines that are guessed with them. */
import { radians } from '@/core/posture/geometry';
import type { MarkName, MarkSet, Pixel, PlumbBase, Sheet } from '@/core/plumb/marks';
import { segmentOfReading, type ReadMarks } from '@/core/plumb/reader';
import { usualFigure } from '@/core/plumb/shapeBase';
import type { ShapeId } from '@/core/shapes/postures';
import type { ImageSize } from './sheet';

/** Where the wall is that the feet of this shape rest on: ahead, behind, or nowhere. */
function wallOf(shape: ShapeId): 1 | -1 | null {
  const { joints, wallX } = usualFigure(shape);
  return wallX === null ? null : wallX > joints.wrist[0] ? 1 : -1;
}

/** Is what carries the weight in the picture? Without it, what lies lowest lies on no floor. */
function showsBase(near: MarkSet, base: PlumbBase): boolean {
  const shown: Readonly<Record<PlumbBase, readonly MarkName[]>> = {
    hands: ['wrist', 'knuckle'],
    forearms: ['elbow', 'wrist'],
    head: ['ear', 'crown', 'elbow', 'wrist'],
    feet: ['ankle', 'heel', 'toe', 'hip'],
  };
  return shown[base].some((name) => near[name] !== undefined);
}

/** What a reader has found: marks, a floor under what carries the weight, the scale of the trunk. */
export function readSheet(sheet: Sheet, read: ReadMarks, image: ImageSize): Sheet {
  const { near, far, left, right, facing } = read;
  const isGrounded = sheet.view !== 'side' || showsBase(near, sheet.base);
  const marks =
    sheet.view === 'side' ? { ...sheet.marks, near, far } : { ...sheet.marks, left, right };
  const slope = Math.tan(radians(read.tiltDeg ?? 0));
  /** How low a level line through a place would be in the middle of the picture. */
  const middleOf = ({ x, y }: { readonly x: number; readonly y: number }) =>
    y - (x - image.width / 2) * slope;
  const lowest = Math.max(
    ...Object.values(sheet.view === 'side' ? near : { ...left, ...right }).map(middleOf),
  );
  const floorAt = (x: number): Pixel => [
    Math.round(x),
    Math.round(Math.min(image.height, lowest + (x - image.width / 2) * slope)),
  ];
  const isWallAsked = sheet.view === 'side' && isGrounded;
  const wall = isWallAsked && sheet.shape !== null ? wallOf(sheet.shape) : null;
  const way = ((facing ?? sheet.facing) === 'left' ? -1 : 1) * (wall ?? 1);
  // An upright through each place of the foot, where it meets the floor: the furthest is the wall's.
  const feet = (['heel', 'toe', 'ankle'] as const).flatMap((name) => {
    const foot = near[name];
    return foot === undefined ? [] : [foot.x - slope * (lowest - foot.y)];
  });
  const wallX =
    wall === null || feet.length === 0 ? null : way * Math.max(...feet.map((x) => way * x));
  return {
    ...sheet,
    // Whoever is seen from the front points towards the eye or away from it.
    facing: sheet.view === 'side' ? (facing ?? sheet.facing) : sheet.facing,
    // A guess as well: where feet rest on a wall, it is where they reach furthest.
    wall:
      sheet.wall ??
      (wallX === null
        ? null
        : [
            floorAt(wallX),
            [
              Math.round(wallX + slope * (floorAt(wallX)[1] - image.height * 0.12)),
              Math.round(image.height * 0.12),
            ],
          ]),
    marks,
    // A guess: what lies lowest is on the floor, and the floor runs as the picture's level edges do.
    floor:
      sheet.floor ??
      (isGrounded ? [floorAt(image.width * 0.06), floorAt(image.width * 0.94)] : null),
    scale:
      sheet.scale.kind !== 'none'
        ? sheet.scale
        : { kind: 'segment', segment: sheet.view === 'side' ? segmentOfReading(near) : 'trunk' },
  };
}
