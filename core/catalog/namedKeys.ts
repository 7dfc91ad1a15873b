/** How keys are read where the table they stand in is not needed for it. */
import { z } from 'zod';
import type { CheckKey } from './checks';
import type { BranchKey, StageKey } from './stage';

const longest = 60;

export const ownKey = z
  .templateLiteral(['own-', z.string().regex(/^[a-z0-9]+(-[a-z0-9]+)*$/)], {
    error: 'Own keys look like own-wall-walk.',
  })
  .refine((key) => key.length <= longest, `Own keys have at most ${longest} letters.`);

/**
 * In what is laid over a catalog, gates, bars and ways: every name there is looked up by `validate.ts`, which
 * says where it stands and what is wrong with it.
 */
const named = <Key extends string>() =>
  z.string().min(1).max(longest) as unknown as z.ZodType<Key, Key>;
export const namedCheck = named<CheckKey>();
export const namedStage = named<StageKey>();
export const namedBranch = named<BranchKey>();
