/** Puts the studio of a folder aside, whole, so that the next start begins anew. */
import path from 'node:path';
import { FolderBusyError } from '@/db/folder';
import { putAside } from '@/db/putAside';
import { databaseFile, dataFolder } from '@/server/database';

try {
  const copy = putAside(dataFolder(), databaseFile());
  console.log(
    copy === null ? 'There was no studio yet.' : `Put the studio aside as ${path.basename(copy)}.`,
  );
} catch (error) {
  if (!(error instanceof FolderBusyError)) throw error;
  console.error(error.message);
  process.exit(1);
}
