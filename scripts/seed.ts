/** Fills an empty database with the demo course; leaves one that already holds a course alone. */
import { today } from '@/server/clock';
import { databaseFile } from '@/server/database';
import { findFirstCourse } from '@/db/courses';
import { NewerDatabaseError, openDatabase } from '@/db/open';
import { seedDemo } from '@/demo/course';

try {
  const { db, close } = openDatabase(databaseFile());
  if (findFirstCourse(db) === null) {
    seedDemo(db, today());
    console.log('Made the demo course.');
  } else {
    console.log('Kept the data that was there.');
  }
  close();
} catch (error) {
  if (!(error instanceof NewerDatabaseError)) throw error;
  console.error(error.message);
  process.exit(1);
}
