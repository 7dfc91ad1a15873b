/** Makes the demo course in a folder that never had a studio; leaves every other one alone. */
import { FolderBusyError, isNewFolder, lockFolder } from '@/db/folder';
import { openDatabase } from '@/db/open';
import { StudioTrouble } from '@/db/trouble';
import { seedDemo } from '@/demo/course';
import { today } from '@/server/clock';
import { databaseFile, dataFolder } from '@/server/database';

try {
  const lock = lockFolder(dataFolder());
  try {
    if (isNewFolder(dataFolder())) {
      const { db, close } = openDatabase(databaseFile());
      // All of it or nothing: a start that is cut off begins anew.
      db.transaction((tx) => seedDemo(tx, today()));
      close();
      console.log('Made the demo course.');
    } else console.log('Kept the data that was there.');
  } finally {
    lock.release();
  }
} catch (error) {
  // A studio that cannot be opened is the page's to explain: it offers the copies.
  const isKnown = error instanceof FolderBusyError || error instanceof StudioTrouble;
  if (!isKnown) throw error;
  console.error(error.message);
  process.exit(error instanceof FolderBusyError ? 1 : 0);
}
