/** Marks that are put on one by one: what a reader has left out, and what only a hand can show. */
import { markNames, type MarkName, type MarkSet, type Pixel, type Whose } from '@/core/plumb/marks';
import type { HandleId, ImageSize, Sheet } from './sheet';

type MarkId = Extract<HandleId, { readonly kind: 'mark' }>;

/** What is shown of the far side, and of front and back. */
const farNames = ['knee', 'ankle', 'heel', 'toe'] as const satisfies readonly MarkName[];
const facingNames = ['shoulder', 'elbow', 'wrist', 'hip'] as const satisfies readonly MarkName[];

/** Marks that are not there yet, of both sides that this view shows. */
export function missingMarks({ view, marks }: Sheet): MarkId[] {
  const of = (whose: Whose, names: readonly MarkName[]): MarkId[] =>
    names
      .filter((name) => marks[whose][name] === undefined)
      .map((name) => ({ kind: 'mark', whose, name }));
  return view === 'side'
    ? [...of('near', markNames), ...of('far', farNames)]
    : [...of('left', facingNames), ...of('right', facingNames)];
}

/** What a mark is put beside, the best first; between the first two that are there. */
const neighbours: Readonly<Record<MarkName, readonly MarkName[]>> = {
  knuckle: ['wrist'],
  wrist: ['elbow', 'knuckle'],
  elbow: ['shoulder', 'wrist'],
  shoulder: ['elbow', 'hip'],
  ear: ['shoulder'],
  crown: ['ear', 'shoulder'],
  hip: ['shoulder', 'knee'],
  knee: ['hip', 'ankle'],
  ankle: ['knee', 'heel'],
  heel: ['ankle', 'toe'],
  toe: ['ankle', 'heel'],
  rib: ['shoulder', 'hip'],
  pelvisFront: ['hip'],
};

/** Beside another mark, so far that a finger tells the two apart: a share of the picture. */
const asideShare = 0.03;

/** Where a mark begins that is then drawn to its place: near what it belongs to, on nothing else. */
export function placeFor({ whose, name }: MarkId, { marks }: Sheet, image: ImageSize): Pixel {
  const set: MarkSet = marks[whose];
  const beside = neighbours[name].flatMap((one) => set[one] ?? []).slice(0, 2);
  const middle = (axis: 'x' | 'y', length: number) =>
    beside.length === 0
      ? length / 2
      : beside.reduce((sum, mark) => sum + mark[axis], 0) / beside.length;
  const aside = Math.max(1, Math.round(asideShare * image.width));
  let x = Math.round(middle('x', image.width)) + aside;
  const y = Math.round(middle('y', image.height));
  const isTaken = () =>
    Object.values(set).some((mark) => Math.hypot(mark.x - x, mark.y - y) < aside / 2);
  while (isTaken()) x += aside;
  return [x, y];
}
