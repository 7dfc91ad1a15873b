/** The marks and lines of one picture, and the ways they come there. */
import type { Body } from '@/core/body/body';
import { between, radians } from '@/core/posture/geometry';
import type { FigureJoints, Point } from '@/core/posture/joints';
import type { ShapeId } from '@/core/shapes/postures';
import { figureOf } from '@/core/plumb/practice';
import { baseOfShape, usualFigure } from '@/core/plumb/shapeBase';
import type {
  MarkName,
  MarkSet,
  Pixel,
  PixelLine,
  PlumbBase,
  Sheet,
  StillInput,
  Whose,
} from '@/core/plumb/marks';
export type { Sheet, SheetScale, Whose } from '@/core/plumb/marks';
import { segmentOfReading, type ReadMarks } from '@/core/plumb/reader';
import type { MarkedImage } from '@/core/plumb/coco';
import type { PlumbLook } from './look';

/** A mark, or one end of a line. */
export type HandleId =
  | { readonly kind: 'mark'; readonly whose: Whose; readonly name: MarkName }
  | { readonly kind: 'floor' | 'wall' | 'scale'; readonly end: 0 | 1 };

export const handleKey = (id: HandleId): string =>
  id.kind === 'mark' ? `${id.whose}.${id.name}` : `${id.kind}.${id.end}`;

export type View = Sheet['view'];

export interface ImageSize {
  readonly width: number;
  readonly height: number;
}

const noMarks: Sheet['marks'] = { near: {}, far: {}, left: {}, right: {} };

export const emptySheet: Sheet = {
  view: 'side',
  facing: 'right',
  base: 'hands',
  shape: null,
  marks: noMarks,
  floor: null,
  wall: null,
  scale: { kind: 'none' },
};

/** A shape that was chosen, on what carries in it. */
export const lookAt = (shape: ShapeId): Pick<Sheet, 'shape' | 'base'> => ({
  shape,
  base: baseOfShape(shape),
});

/** Does a change say what carries? Whatever puts marks on hands the rest of the sheet back as it was. */
export const saysBase = (change: Partial<Sheet>, { base }: Sheet): boolean =>
  change.base !== undefined && change.base !== base;

/** The sheet that a picture begins with. */
export const openedSheet = ({ shape, base, view }: PlumbLook): Sheet => ({
  ...emptySheet,
  view,
  shape,
  base: base ?? emptySheet.base,
});

const withEnd = (line: PixelLine, end: 0 | 1, to: Pixel): PixelLine =>
  end === 0 ? [to, line[1]] : [line[0], to];

export function moved(sheet: Sheet, id: HandleId, to: Pixel): Sheet {
  switch (id.kind) {
    case 'mark': {
      const set = { ...sheet.marks[id.whose], [id.name]: { x: to[0], y: to[1] } };
      return { ...sheet, marks: { ...sheet.marks, [id.whose]: set } };
    }
    case 'floor':
      return sheet.floor === null ? sheet : { ...sheet, floor: withEnd(sheet.floor, id.end, to) };
    case 'wall':
      return sheet.wall === null ? sheet : { ...sheet, wall: withEnd(sheet.wall, id.end, to) };
    case 'scale': {
      const { scale } = sheet;
      if (scale.kind !== 'points') return sheet;
      return { ...sheet, scale: { ...scale, line: withEnd(scale.line, id.end, to) } };
    }
  }
}

export function removed(sheet: Sheet, id: HandleId): Sheet {
  switch (id.kind) {
    case 'mark': {
      const { [id.name]: _, ...rest } = sheet.marks[id.whose];
      return { ...sheet, marks: { ...sheet.marks, [id.whose]: rest } };
    }
    case 'floor':
      return { ...sheet, floor: null };
    case 'wall':
      return { ...sheet, wall: null };
    case 'scale':
      return { ...sheet, scale: { kind: 'none' } };
  }
}

/** Where a handle is; `null` where there is none. */
export function placeOf(sheet: Sheet, id: HandleId): Pixel | null {
  if (id.kind === 'mark') {
    const mark = sheet.marks[id.whose][id.name];
    return mark === undefined ? null : [mark.x, mark.y];
  }
  const line =
    id.kind === 'scale'
      ? sheet.scale.kind === 'points'
        ? sheet.scale.line
        : null
      : sheet[id.kind];
  return line === null ? null : line[id.end];
}

const sidesOf = (view: View): readonly Whose[] =>
  view === 'side' ? ['near', 'far'] : ['left', 'right'];

/** Every handle of a sheet, marks first. */
export function listHandles(sheet: Sheet): HandleId[] {
  const marks = sidesOf(sheet.view).flatMap((whose) =>
    (Object.keys(sheet.marks[whose]) as MarkName[]).map((name): HandleId => ({
      kind: 'mark',
      whose,
      name,
    })),
  );
  const ends = (['floor', 'wall', 'scale'] as const).flatMap((kind) =>
    ([0, 1] as const).map((end): HandleId => ({ kind, end })),
  );
  return [...marks, ...ends.filter((id) => placeOf(sheet, id) !== null)];
}

/** What the core reads; `null` while nothing is marked. */
export function toStill(
  sheet: Sheet,
  body: StillInput['body'],
  isOverKnuckle: boolean,
): StillInput | null {
  const { view, facing, base, shape, marks, floor, wall, scale } = sheet;
  if (sidesOf(view).every((whose) => Object.keys(marks[whose]).length === 0)) return null;
  const facts = {
    base,
    ...(shape === null ? {} : { shape }),
    ...(floor === null ? {} : { floor }),
    ...(wall === null || view !== 'side' ? {} : { wall }),
    ...(scale.kind === 'points'
      ? { scale: { from: scale.line[0], to: scale.line[1], metres: scale.metres } }
      : scale.kind === 'segment' && body !== undefined
        ? { scale: { segment: scale.segment } }
        : {}),
    ...(body === undefined ? {} : { body }),
    ...(isOverKnuckle ? { isOverKnuckle: true as const } : {}),
  };
  return view === 'side'
    ? {
        ...facts,
        view,
        facing,
        marks: {
          near: marks.near,
          ...(Object.keys(marks.far).length === 0 ? {} : { far: marks.far }),
        },
      }
    : { ...facts, view, marks: { left: marks.left, right: marks.right } };
}

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

/** Marks of a file over a sheet of the same view. */
export function takeMarks(sheet: Sheet, { marks }: MarkedImage): Sheet {
  return 'near' in marks
    ? { ...sheet, marks: { ...sheet.marks, near: marks.near, far: marks.far ?? {} } }
    : { ...sheet, marks: { ...sheet.marks, left: marks.left, right: marks.right } };
}
