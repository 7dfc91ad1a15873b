/** Use cases that change the room, the cupboard and pieces of one's own. */
import { z } from 'zod';
import { ownPieceId, pieceSpec } from '@/core/catalog/ownPiece';
import { isOwnPiece, pieceIds, type PieceId, type PieceSpec } from '@/core/catalog/pieces';
import { InputProblem } from '@/core/problem';
import { assertRoom } from '@/core/room/room';
import { roomFile } from '@/core/room/roomFile';
import { findCourse } from '@/db/courses';
import type { Db } from '@/db/open';
import {
  addOwnPiece,
  addShelf,
  listOwnPieces,
  listShelves,
  removeOwnPiece,
  saveOwnPiece,
  savePieces,
  saveRoom,
} from '@/db/cupboards';
import { done, refuse, type Outcome } from '@/server/result';
import { aCourse, change } from '@/server/useCase';

const gonePiece = { form: 'This piece is no longer here.' };

const cupboardForm = z.array(
  z
    .strictObject({
      piece: z.union([z.enum(pieceIds), ownPieceId], 'This piece is in no list.'),
      count: z.int('Whole pieces only.').min(0).max(200, 'At most 200.'),
      worn: z.int('Whole pieces only.').min(0).default(0),
    })
    .refine(({ count, worn }) => worn <= count, {
      message: 'Not more than there are.',
      path: ['worn'],
    }),
);

export const changeCupboard = change([aCourse, cupboardForm], ({ db }, course, form): Outcome => {
  const own = new Set<PieceId>(listOwnPieces(db).map(({ piece }) => piece));
  const lines = form.map((line) => ({ ...line, piece: line.piece as PieceId }));
  if (lines.some(({ piece }) => isOwnPiece(piece) && !own.has(piece))) return refuse(gonePiece);
  savePieces(db, course.id, lines);
  return done(undefined);
});

const findOwn = (db: Db, piece: string) => listOwnPieces(db).find((one) => one.piece === piece);

/** The piece is absent for a new one. @returns the id of the piece */
export const keepOwnPiece = change(
  [pieceSpec, z.string(gonePiece.form).optional()],
  ({ db }, form, piece): Outcome<string> => {
    const spec = form as PieceSpec;
    if (piece === undefined) return done(addOwnPiece(db, spec));
    const known = findOwn(db, piece);
    if (known === undefined) return refuse(gonePiece);
    saveOwnPiece(db, known.id, spec);
    return done(known.piece);
  },
);

const droppedPiece = z.strictObject({
  // The numbers to come go on from the highest there was.
  id: z.int().positive().max(1_000_000),
  spec: pieceSpec,
  shelves: z
    .array(
      z.strictObject({
        courseId: z.int().positive(),
        count: z.int().min(0).max(200),
        worn: z.int().min(0).max(200),
      }),
    )
    .max(1000),
});

/** A piece that was taken out, as it is needed to bring it back. */
export type DroppedPiece = z.input<typeof droppedPiece>;

/** @returns what it takes to bring it back: its counts go with it, in every cupboard */
export const dropOwnPiece = change(
  [z.string(gonePiece.form)],
  ({ db }, piece): Outcome<DroppedPiece> => {
    const known = findOwn(db, piece);
    if (known === undefined) return refuse(gonePiece);
    const { id, spec } = known;
    const shelves = listShelves(db, id);
    removeOwnPiece(db, id);
    return done({ id, spec, shelves });
  },
);

/** A piece that was taken out, back under its own name and on the shelves it stood on. */
export const bringPieceBack = change([droppedPiece], ({ db }, { id, spec, shelves }): Outcome => {
  if (listOwnPieces(db).some((one) => one.id === id)) {
    return refuse({ form: 'This piece is in the list again already.' });
  }
  addOwnPiece(db, spec as PieceSpec, id);
  for (const shelf of shelves) if (findCourse(db, shelf.courseId)) addShelf(db, id, shelf);
  return done(undefined);
});

export const changeRoom = change([aCourse, roomFile], ({ db }, course, room): Outcome => {
  try {
    assertRoom(room);
  } catch (error) {
    if (error instanceof InputProblem) {
      return refuse({ [error.path.join('.')]: error.message });
    }
    throw error;
  }
  saveRoom(db, course.id, room);
  return done(undefined);
});
