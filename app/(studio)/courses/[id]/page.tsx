import { notFound } from 'next/navigation';
import { readCoursePage } from '@/server/courseViews';
import { readPersonId } from '@/server/personId';
import { CourseHead } from '@/ui/courses/CourseHead';
import { EnrolmentPanel } from '@/ui/courses/EnrolmentPanel';
import { MeetingTable } from '@/ui/courses/MeetingTable';
import { CautionLine, Page } from '@/ui/layout/Page';
import classes from '@/ui/courses/courses.module.css';
import { teacherPage } from '@/server/guarded';

export const metadata = { title: 'Course' };

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
