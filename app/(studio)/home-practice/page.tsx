import { readCourse } from '@/server/views';
import { readHome } from '@/server/homePractice';
import { HomeBar } from '@/ui/home/HomeBar';
import { HomeSheet } from '@/ui/home/HomeSheet';
import { Page } from '@/ui/layout/Page';
import { EmptyCourse } from '@/ui/tonight/EmptyCourse';
import { teacherPage } from '@/server/guarded';

export const metadata = { title: 'Home practice' };

/** Everybody's page, one to a sheet. */
function HomePracticesPage() {
  const course = readCourse();
  if (course === null) return <EmptyCourse />;
  const views = course.people.flatMap(({ person }) => readHome(person.id) ?? []);
  return (
    <Page>
      <HomeBar calendar={null} back="/floor" text={null} />
      {views.map((view) => (
        <HomeSheet key={view.id} view={view} />
      ))}
    </Page>
  );
}

export default teacherPage(HomePracticesPage);
