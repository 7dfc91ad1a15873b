/**
 * How a key is read from outside: one that ships, or one that looks like a teacher's own. Whether an own
 * key exists in this studio is for the catalog it is laid over to say.
 */
import { z } from 'zod';
import { checkIds } from './checks';
import { drillIds } from './drills';
import { askedAside, hiddenNumber, hiddenWords } from './hiddenCheck';
import { ownKey } from './namedKeys';
import { ownPieceId } from './ownPiece';
import { pieceIds } from './pieces';
import { stageIds } from './stages';

export const checkKey = z
  .union([z.enum(checkIds), ownKey], 'This check is in no list.')
  .meta({ id: 'check' });
export const stageKey = z
  .union([z.enum(stageIds), ownKey], 'This rung is in no list.')
  .meta({ id: 'stage' });
export const drillKey = z
  .union([z.enum(drillIds), ownKey], 'This drill is in no list.')
  .meta({ id: 'drill' });
export const pieceKey = z.union([z.enum(pieceIds), ownPieceId], 'This piece is in no list.');

/** The same, as a file has it. */
const hiddenCheck = z.templateLiteral([hiddenWords, z.string().regex(hiddenNumber)]);

/** What can be answered or taken in a class, as its devices call it. */
export const checkInClass = z.union(
  [checkKey, z.enum(askedAside), hiddenCheck],
  'This check is in no list.',
);
export type CheckInClass = z.infer<typeof checkInClass>;
