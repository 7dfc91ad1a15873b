import { notFound } from 'next/navigation';
import { readCoursePage } from '@/features/courses/read';
import { readPersonId } from '@/server/personId';
import { CourseHead } from '@/features/courses/CourseHead';
import { EnrolmentPanel } from '@/features/courses/EnrolmentPanel';
import { MeetingTable } from '@/features/courses/MeetingTable';
import { CautionLine, Page } from '@/design/Page';
import classes from '@/features/courses/courses.module.css';
import { teacherPage, teacherTitle } from '@/server/network/guarded';
import { database } from '@/server/database';
import { findCourse } from '@/db/courses';

export const generateMetadata = teacherTitle<{ id: string }>('Course', ({ id }) => {
  return findCourse(database(), readPersonId(id) ?? 0)?.name ?? null;
});

interface CoursePageProps {
  readonly params: Promise<{ readonly id: string }>;
}

async function CoursePage({ params }: CoursePageProps) {
  const id = readPersonId((await params).id);
  const view = id === null ? null : readCoursePage(id);
  if (view === null) notFound();
  return (
    <Page>
      <CourseHead course={view.course} profiles={view.profiles} />
      <div className={classes.columns}>
        <MeetingTable view={view} />
        <EnrolmentPanel courseId={view.course.id} people={view.people} others={view.others} />
      </div>
      <CautionLine />
    </Page>
  );
}

export default teacherPage(CoursePage);
