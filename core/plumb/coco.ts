/**
 * Marks as COCO keypoints, in and out: an open format that other readers write and read. The side
 * view writes its limbs by the names near and far; what comes in may also name left and right.
 */
import { z } from 'zod';
import { InputProblem } from '../problem';
import {
  markNames,
  type FacingMarks,
  type Mark,
  type MarkName,
  type MarkSet,
  type SideMarks,
} from './marks';

/** COCO's own: not labelled, labelled but hidden, seen. */
const visibility = { none: 0, hidden: 1, seen: 2 } as const;

const cocoFile = z.object({
  images: z
    .array(
      z.object({
        id: z.number(),
        width: z.number().positive(),
        height: z.number().positive(),
        file_name: z.string().optional(),
      }),
    )
    .min(1),
  annotations: z
    .array(
      z.object({
        id: z.number(),
        image_id: z.number(),
        category_id: z.number(),
        keypoints: z.array(z.number()),
        num_keypoints: z.number().optional(),
      }),
    )
    .min(1),
  categories: z
    .array(z.object({ id: z.number(), name: z.string(), keypoints: z.array(z.string()).min(1) }))
    .min(1),
});
export type CocoFile = z.infer<typeof cocoFile>;

export interface MarkedImage {
  readonly width: number;
  readonly height: number;
  readonly marks: SideMarks | FacingMarks;
}

const sidesOf = (marks: SideMarks | FacingMarks): readonly (readonly [string, MarkSet])[] =>
  'near' in marks
    ? [
        ['near', marks.near],
        ['far', marks.far ?? {}],
      ]
    : [
        ['left', marks.left],
        ['right', marks.right],
      ];

/** One picture and one person as a COCO file. */
export function writeCoco({ width, height, marks }: MarkedImage): CocoFile {
  const sides = sidesOf(marks);
  const keypoints: number[] = [];
  const names: string[] = [];
  let count = 0;
  for (const [side, set] of sides) {
    for (const name of markNames) {
      const mark: Mark | undefined = set[name];
      names.push(`${side}_${name}`);
      if (mark === undefined) keypoints.push(0, 0, visibility.none);
      else {
        count += 1;
        keypoints.push(mark.x, mark.y, side === 'far' ? visibility.hidden : visibility.seen);
      }
    }
  }
  return {
    images: [{ id: 1, width, height }],
    annotations: [{ id: 1, image_id: 1, category_id: 1, keypoints, num_keypoints: count }],
    categories: [{ id: 1, name: 'person', keypoints: names }],
  };
}

type Sides = Record<'near' | 'far' | 'left' | 'right', Partial<Record<MarkName, Mark>>>;

const splitName = /^(near|far|left|right)[_ ](.+)$/;

/** The keypoints of the first person, by side. */
function readSides(file: CocoFile): {
  readonly sides: Sides;
  readonly seen: Readonly<Record<string, number>>;
} {
  const [annotation] = file.annotations;
  const category = file.categories.find(({ id }) => id === annotation!.category_id);
  if (category === undefined) {
    throw new InputProblem('invalid', 'The keypoints have no names here.', ['categories']);
  }
  if (annotation!.keypoints.length !== category.keypoints.length * 3) {
    throw new InputProblem('invalid', 'There are not three numbers for each keypoint.', [
      'annotations',
      0,
      'keypoints',
    ]);
  }
  const sides: Sides = { near: {}, far: {}, left: {}, right: {} };
  const seen: Record<string, number> = {};
  category.keypoints.forEach((full, index) => {
    const parts = splitName.exec(full);
    const name = markNames.find((one) => one === parts?.[2]);
    const [x, y, flag] = annotation!.keypoints.slice(index * 3, index * 3 + 3);
    if (parts === null || name === undefined || flag === visibility.none) return;
    const side = parts[1] as keyof Sides;
    sides[side][name] = { x: x!, y: y! };
    if (flag === visibility.seen) seen[side] = (seen[side] ?? 0) + 1;
  });
  return { sides, seen };
}

const isEmpty = (set: MarkSet) => Object.keys(set).length === 0;

/**
 * Marks from a COCO file. For the side view the person's left and right become near and far: the side
 * with more points that are seen is near.
 *
 * @throws InputProblem where the file has no names, or no point that is known here
 */
export function readCoco(value: unknown, view: 'side' | 'front' | 'back'): MarkedImage {
  const parsed = cocoFile.safeParse(value);
  if (!parsed.success) {
    throw new InputProblem('invalid', 'This is no COCO file with keypoints.', [
      ...((parsed.error.issues[0]?.path ?? []) as (string | number)[]),
    ]);
  }
  const { sides, seen } = readSides(parsed.data);
  const image =
    parsed.data.images.find(({ id }) => id === parsed.data.annotations[0]!.image_id) ??
    parsed.data.images[0]!;
  const { width, height } = image;
  const none = () =>
    new InputProblem('invalid', 'None of its points is known here.', [
      'categories',
      0,
      'keypoints',
    ]);
  if (view !== 'side') {
    if (isEmpty(sides.left) && isEmpty(sides.right)) throw none();
    return { width, height, marks: { left: sides.left, right: sides.right } };
  }
  if (!isEmpty(sides.near) || !isEmpty(sides.far)) {
    return { width, height, marks: sideOf(sides.near, sides.far) };
  }
  if (isEmpty(sides.left) && isEmpty(sides.right)) throw none();
  const isLeftNear = (seen['left'] ?? 0) > (seen['right'] ?? 0);
  return {
    width,
    height,
    marks: isLeftNear ? sideOf(sides.left, sides.right) : sideOf(sides.right, sides.left),
  };
}

const sideOf = (near: MarkSet, far: MarkSet): SideMarks =>
  isEmpty(far) ? { near } : { near, far };
