/** Pieces as files and forms give them: the shipped ones by name, own ones with their faces. */
import { z } from 'zod';
import { pieceKinds } from './pieceKinds';
import { lineOf } from '../units/text';
import { isOwnPiece, pieceIds, type PieceCount, type PieceSpec } from './pieces';

const side = z
  .number('Write a length.')
  .min(0.001, 'Too small to be a piece.')
  .max(5, 'Longer than a room.');

/** A teacher's own piece: longest, middle and shortest side, and its height under load. */
export const pieceSpec = z
  .strictObject({
    label: z.string().overwrite(lineOf).min(1, 'Give it a name.').max(60),
    kind: z.enum(pieceKinds),
    lengthM: side,
    widthM: side,
    thicknessM: side,
    loadedM: side,
    isFirm: z.boolean(),
    standsOnEdge: z.literal(true).optional(),
    refolds: z.literal(true).optional(),
    stacks: z.literal(true).optional(),
  })
  .refine(({ lengthM, widthM }) => lengthM >= widthM, {
    message: 'The length is the longest side.',
    path: ['lengthM'],
  })
  .refine(({ widthM, thicknessM }) => widthM >= thicknessM, {
    message: 'The thickness is the shortest side.',
    path: ['thicknessM'],
  })
  .refine(({ thicknessM, loadedM }) => loadedM <= thicknessM, {
    message: 'Under load a piece is not thicker than without.',
    path: ['loadedM'],
  });

export const ownPieceId = z
  .templateLiteral(['own-', z.string().regex(/^[a-z0-9-]{1,40}$/)])
  .meta({ description: 'A piece of one’s own; its faces are given beside it.' });

/** So many of a piece; an own one with its faces. */
export const pieceCount = z
  .strictObject({
    piece: z.union([z.enum(pieceIds), ownPieceId], 'This piece is in no list.'),
    count: z.int().min(0).max(500),
    own: pieceSpec
      .optional()
      .meta({ description: 'Faces of a piece named own-…; only for those.' }),
  })
  .refine(({ piece, own }) => isOwnPiece(piece) === (own !== undefined), {
    message: 'A piece of one’s own comes with its faces, a shipped one without.',
    path: ['own'],
  })
  .transform(({ piece, count, own }): PieceCount => {
    const name = piece as PieceCount['piece'];
    return own === undefined
      ? { piece: name, count }
      : { piece: name, count, own: own as PieceSpec };
  });
