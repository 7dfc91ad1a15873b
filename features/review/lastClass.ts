import { newestClass } from '@/db/floor';
import { database } from '@/server/database';

/** The class that was held last, by its name in addresses; `null`: none was. */
export const findLastClass = (): string | null => newestClass(database())?.uid ?? null;
