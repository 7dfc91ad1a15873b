import { newestEnded } from '@/db/floor';
import { database } from '@/server/database';

/** The class that ended last, by its name in addresses; `null`: none was. */
export const findLastClass = (): string | null => newestEnded(database())?.uid ?? null;
