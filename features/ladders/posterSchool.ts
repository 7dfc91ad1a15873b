import type { School } from '@/core/catalog/school';
import { listCourses } from '@/db/courses';
import { database } from '@/server/database';
import { readSchool } from '@/server/judging/schools';

/** The school of the first course; without one, as props lead. */
export function readPosterSchool(): School {
  const db = database();
  return readSchool(db, listCourses(db)[0]?.profile ?? 'prop-led');
}
