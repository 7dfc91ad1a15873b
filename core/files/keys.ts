/** What files call things by: those that ship by name, a teacher's own by their kind of key. */
import { z } from 'zod';
import { checkIds } from '../catalog/checks';
import { drillIds } from '../catalog/drills';
import { ownKey } from '../catalog/entries';
import { ownPieceId } from '../catalog/ownPiece';
import { pieceIds } from '../catalog/pieces';

export const drillKey = z.union([z.enum(drillIds), ownKey], 'This drill is in no list.');
export const checkKey = z.union([z.enum(checkIds), ownKey], 'This check is in no list.');
export const pieceKey = z.union([z.enum(pieceIds), ownPieceId], 'This piece is in no list.');
