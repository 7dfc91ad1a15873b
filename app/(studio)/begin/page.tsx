import { redirect } from 'next/navigation';
import { findNextCourse } from '@/server/judging/views';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { readBeginning } from '@/features/beginning/read';
import { firstOpenStep, stepHref } from '@/features/beginning/steps';
import { teacherPage } from '@/server/network/guarded';

/** Goes on where the beginning was left. */
function ResumePage() {
  const course = findNextCourse(database(), today());
  const { done } = readBeginning(course?.id ?? null);
  redirect(stepHref(firstOpenStep(done), course?.id ?? null));
}

export default teacherPage(ResumePage);
