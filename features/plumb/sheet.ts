/** The marks and lines of one picture, and the ways they come there. */
import type { MarkedImage } from '@/core/plumb/coco';
import type { MarkName, Pixel, PixelLine, Sheet, StillInput, Whose } from '@/core/plumb/marks';
import { baseOfShape } from '@/core/plumb/shapeBase';
import type { ShapeId } from '@/core/shapes/postures';
import type { PlumbLook } from './look';

export type { Sheet, SheetScale, Whose } from '@/core/plumb/marks';

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

/** Marks of a file over a sheet of the same view. */
export function takeMarks(sheet: Sheet, { marks }: MarkedImage): Sheet {
  return 'near' in marks
    ? { ...sheet, marks: { ...sheet.marks, near: marks.near, far: marks.far ?? {} } }
    : { ...sheet, marks: { ...sheet.marks, left: marks.left, right: marks.right } };
}
