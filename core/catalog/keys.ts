/**
 * How a key is read from outside: one that ships, or one that looks like a teacher's own. Whether an own
 * key exists in this studio is for the catalog it is laid over to say.
 */
import { z } from 'zod';
import { checkIds, type CheckKey } from './checks';
import { drillIds } from './drills';
import { ownPieceId } from './ownPiece';
import { pieceIds } from './pieces';
import { type BranchKey, type StageKey } from './stage';
import { stageIds } from './stages';

const longest = 60;

export const ownKey = z
  .templateLiteral(['own-', z.string().regex(/^[a-z0-9]+(-[a-z0-9]+)*$/)], {
    error: 'Own keys look like own-wall-walk.',
  })
  .refine((key) => key.length <= longest, `Own keys have at most ${longest} letters.`);

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

/**
 * In what is laid over a catalog, gates, bars and ways: every name there is looked up by `validate.ts`, which
 * says where it stands and what is wrong with it.
 */
const named = <Key extends string>() =>
  z.string().min(1).max(longest) as unknown as z.ZodType<Key, Key>;
export const namedCheck = named<CheckKey>();
export const namedStage = named<StageKey>();
export const namedBranch = named<BranchKey>();

/** What an assistant's device calls a check that is the teacher's alone: it does not say which. */
export const hiddenCheck = z.templateLiteral([
  'ask the teacher',
  z.string().regex(/^( \d{1,3})?$/),
]);
export type HiddenCheck = z.infer<typeof hiddenCheck>;

/** The first questions, asked at the door of whoever was never asked: no check, and answered like one. */
export const screeningKey = 'screening';

/** What can be answered or taken in a class, as its devices call it. */
export const checkInClass = z.union(
  [checkKey, z.literal(screeningKey), hiddenCheck],
  'This check is in no list.',
);
export type CheckInClass = z.infer<typeof checkInClass>;
