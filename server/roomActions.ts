'use server';

import { changeCupboard, changeRoom, dropOwnPiece, keepOwnPiece } from './roomChanges';
import type { Outcome } from './result';
import { run } from './run';

export async function changeCupboardAction(course: number, form: unknown): Promise<Outcome> {
  return run(() => changeCupboard(course, form));
}

export async function changeRoomAction(course: number, form: unknown): Promise<Outcome> {
  return run(() => changeRoom(course, form));
}

export async function keepOwnPieceAction(form: unknown, piece?: string): Promise<Outcome<string>> {
  return run(() => keepOwnPiece(form, piece));
}

export async function dropOwnPieceAction(piece: string): Promise<Outcome> {
  return run(() => dropOwnPiece(piece));
}
