/** Pieces, cupboards and rooms. */
import { asc, eq } from 'drizzle-orm';
import {
  isOwnPiece,
  type OwnPieceId,
  type PieceCount,
  type PieceSpec,
} from '@/core/catalog/pieces';
import { whileUnwritten } from './changes';
import type { Db } from './open';
import { cupboard, ownPiece, room } from './schema';

export interface CupboardLine extends PieceCount {
  /** Of the count, not fit for use just now. */
  readonly worn: number;
}

export interface OwnPiece {
  readonly id: number;
  readonly piece: OwnPieceId;
  readonly spec: PieceSpec;
}

/** How many of a piece a course has. */
export interface Shelf {
  readonly courseId: number;
  readonly count: number;
  readonly worn: number;
}

const keyOf = (id: number): OwnPieceId => `own-${id}`;

export const listOwnPieces = whileUnwritten((db): readonly OwnPiece[] =>
  db
    .select()
    .from(ownPiece)
    .orderBy(asc(ownPiece.id))
    .all()
    .map(({ id, standsOnEdge, refolds, stacks, ...spec }) => ({
      id,
      piece: keyOf(id),
      spec: {
        ...spec,
        ...(standsOnEdge ? { standsOnEdge: true as const } : {}),
        ...(refolds ? { refolds: true as const } : {}),
        ...(stacks ? { stacks: true as const } : {}),
      },
    })),
);

const toRow = ({ standsOnEdge, refolds, stacks, ...spec }: PieceSpec) => ({
  ...spec,
  standsOnEdge: standsOnEdge === true,
  refolds: refolds === true,
  stacks: stacks === true,
});

/**
 * @param id of one that was here before
 * @returns the name of the new piece
 */
export function addOwnPiece(db: Db, spec: PieceSpec, id?: number): OwnPieceId {
  const row = { ...toRow(spec), ...(id === undefined ? {} : { id }) };
  return keyOf(db.insert(ownPiece).values(row).returning({ id: ownPiece.id }).get().id);
}

/** Where a piece of the teacher's own is counted. */
export const listShelves = (db: Db, id: number): Shelf[] =>
  db
    .select({ courseId: cupboard.courseId, count: cupboard.count, worn: cupboard.worn })
    .from(cupboard)
    .where(eq(cupboard.piece, keyOf(id)))
    .all();

export function addShelf(db: Db, id: number, shelf: Shelf): void {
  db.insert(cupboard)
    .values({ ...shelf, piece: keyOf(id) })
    .onConflictDoNothing()
    .run();
}

export function saveOwnPiece(db: Db, id: number, spec: PieceSpec): void {
  db.update(ownPiece).set(toRow(spec)).where(eq(ownPiece.id, id)).run();
}

export function removeOwnPiece(db: Db, id: number): void {
  db.delete(ownPiece).where(eq(ownPiece.id, id)).run();
  db.delete(cupboard)
    .where(eq(cupboard.piece, keyOf(id)))
    .run();
}

/** Everything on the shelves of a course, own pieces with their faces. */
export const listCupboard = whileUnwritten((db, courseId: number): readonly CupboardLine[] => {
  const own = new Map(listOwnPieces(db).map(({ piece, spec }) => [piece, spec]));
  return db
    .select({ piece: cupboard.piece, count: cupboard.count, worn: cupboard.worn })
    .from(cupboard)
    .where(eq(cupboard.courseId, courseId))
    .all()
    .flatMap((line): CupboardLine[] => {
      if (!isOwnPiece(line.piece)) return [line];
      const spec = own.get(line.piece);
      return spec === undefined ? [] : [{ ...line, own: spec }];
    });
});

/** What can be used tonight: counted, less what is worn. */
export function listPieces(db: Db, courseId: number): PieceCount[] {
  return listCupboard(db, courseId).map(({ worn, count, ...one }) => ({
    ...one,
    count: Math.max(0, count - worn),
  }));
}

export function savePieces(
  db: Db,
  courseId: number,
  pieces: readonly (PieceCount & { readonly worn?: number })[],
): void {
  db.delete(cupboard).where(eq(cupboard.courseId, courseId)).run();
  const rows = pieces.map(({ piece, count, worn = 0 }) => ({ courseId, piece, count, worn }));
  if (rows.length > 0) db.insert(cupboard).values(rows).run();
}

/** The room as it was stored; whoever reads it checks it. */
export const readRoom = whileUnwritten(
  (db, courseId: number): unknown =>
    db.select().from(room).where(eq(room.courseId, courseId)).get()?.file ?? null,
);

export function saveRoom(db: Db, courseId: number, file: unknown): void {
  db.insert(room)
    .values({ courseId, file })
    .onConflictDoUpdate({ target: room.courseId, set: { file } })
    .run();
}
