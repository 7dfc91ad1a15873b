import path from 'node:path';
import { openDatabase, type Db, type OpenDatabase } from '@/db/open';

/** Where everything the teacher enters lives: one file in a folder of its own. */
export function databaseFile(): string {
  const folder = process.env.LEVITAR_DATA ?? path.join(process.cwd(), 'levitar-data');
  return path.join(folder, 'levitar.sqlite');
}

// Kept on the global object, because the development server reloads modules and would otherwise
// open the file again and again.
const holder = globalThis as { levitarDatabase?: OpenDatabase };

export function database(): Db {
  holder.levitarDatabase ??= openDatabase(databaseFile());
  return holder.levitarDatabase.db;
}
