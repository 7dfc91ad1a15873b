/** Use cases that change the room, the cupboard and pieces of one's own. */
import { z } from 'zod';
import { ownPieceId, pieceSpec } from '@/core/catalog/ownPiece';
import { isOwnPiece, pieceIds, type PieceId, type PieceSpec } from '@/core/catalog/pieces';
import { InputProblem } from '@/core/problem';
import { assertRoom, roomFile } from '@/core/room/room';
import { findCourse } from '@/db/courses';
import {
  addOwnPiece,
  listOwnPieces,
  removeOwnPiece,
  saveOwnPiece,
  savePieces,
  saveRoom,
} from '@/db/cupboards';
import { database } from './database';
import { done, refuse, toProblems, type Outcome } from './result';

const id = z.int().positive();
const goneCourse = { form: 'This course is no longer here.' };
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

export function changeCupboard(course: unknown, input: unknown): Outcome {
  const parsed = cupboardForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  return database().transaction((tx) => {
    const which = id.safeParse(course);
    if (!which.success || findCourse(tx, which.data) === null) return refuse(goneCourse);
    const own = new Set<PieceId>(listOwnPieces(tx).map(({ piece }) => piece));
    const lines = parsed.data.map((line) => ({ ...line, piece: line.piece as PieceId }));
    if (lines.some(({ piece }) => isOwnPiece(piece) && !own.has(piece))) return refuse(gonePiece);
    savePieces(tx, which.data, lines);
    return done(undefined);
  });
}

/** @param piece absent: a new one; @returns the id of the piece */
export function keepOwnPiece(input: unknown, piece?: unknown): Outcome<string> {
  const parsed = pieceSpec.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  return database().transaction((tx) => {
    const spec = parsed.data as PieceSpec;
    if (piece === undefined) return done(addOwnPiece(tx, spec));
    const known = listOwnPieces(tx).find((one) => one.piece === piece);
    if (known === undefined) return refuse(gonePiece);
    saveOwnPiece(tx, known.id, spec);
    return done(known.piece);
  });
}

export function dropOwnPiece(piece: unknown): Outcome {
  return database().transaction((tx) => {
    const known = listOwnPieces(tx).find((one) => one.piece === piece);
    if (known === undefined) return refuse(gonePiece);
    removeOwnPiece(tx, known.id);
    return done(undefined);
  });
}

export function changeRoom(course: unknown, input: unknown): Outcome {
  const parsed = roomFile.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  try {
    assertRoom(parsed.data);
  } catch (error) {
    if (error instanceof InputProblem) {
      return refuse({ [error.path.join('.')]: error.message });
    }
    throw error;
  }
  return database().transaction((tx) => {
    const which = id.safeParse(course);
    if (!which.success || findCourse(tx, which.data) === null) return refuse(goneCourse);
    saveRoom(tx, which.data, parsed.data);
    return done(undefined);
  });
}
