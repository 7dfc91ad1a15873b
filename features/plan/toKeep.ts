import type { ClassView } from '@/server/judging/classViews';

/** What composing and keeping the plan of an evening begins with. */
export const toKeep = ({ course, meeting, wishes, revision, kept, outdated }: ClassView) => ({
  courseId: course.id,
  day: meeting.date,
  wishes,
  revision,
  ...(kept === null ? {} : { stale: kept }),
  changes: outdated,
});
