/** Pieces of one's own, taken out and back. */
import { listCupboard, listOwnPieces } from '@/db/cupboards';
import { dropCourse } from '@/features/courses/change';
import { addCourse, must, withThrowawayStudio } from '@/features/testing/studio';
import { database } from '@/server/database';
import { bringPieceBack, changeCupboard, dropOwnPiece, keepOwnPiece } from './change';

withThrowawayStudio();

const board = {
  label: 'Cork board',
  kind: 'pad',
  lengthM: 0.4,
  widthM: 0.3,
  thicknessM: 0.03,
  loadedM: 0.03,
  isFirm: true,
  stacks: true,
} as const;

function takeOut() {
  const courses = [addCourse(), addCourse()] as const;
  const piece = must(keepOwnPiece(board));
  must(changeCupboard(courses[0], [{ piece, count: 4, worn: 1 }] as never));
  must(changeCupboard(courses[1], [{ piece, count: 2 }] as never));
  return { courses, piece, dropped: must(dropOwnPiece(piece)) };
}

const shelf = (course: number) =>
  listCupboard(database(), course).map(({ piece, count, worn }) => [piece, count, worn]);

it('comes back under its own name, in every cupboard it was counted in', () => {
  const { courses, piece, dropped } = takeOut();
  expect(listOwnPieces(database())).toEqual([]);
  expect(shelf(courses[0])).toEqual([]);
  must(bringPieceBack(dropped));
  expect(listOwnPieces(database())).toMatchObject([{ piece, spec: board }]);
  expect(shelf(courses[0])).toEqual([[piece, 4, 1]]);
  expect(shelf(courses[1])).toEqual([[piece, 2, 0]]);
});

it('comes back once, and not to a course that is gone', () => {
  const { courses, piece, dropped } = takeOut();
  must(dropCourse(courses[1]));
  must(bringPieceBack(dropped));
  expect(bringPieceBack(dropped)).toMatchObject({ ok: false });
  expect(shelf(courses[0])).toEqual([[piece, 4, 1]]);
  expect(listOwnPieces(database())).toHaveLength(1);
});

it('never gives its name to another piece', () => {
  const { piece, dropped } = takeOut();
  const other = must(keepOwnPiece({ ...board, label: 'Foam board', loadedM: 0.02 }));
  expect(other).not.toBe(piece);
  must(bringPieceBack(dropped));
  expect(listOwnPieces(database()).map(({ spec: { label } }) => label)).toEqual([
    'Cork board',
    'Foam board',
  ]);
});
