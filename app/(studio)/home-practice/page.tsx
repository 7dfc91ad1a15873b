import { readCourse } from '@/server/judging/views';
import { readHome } from '@/features/home/read';
import { HomeBar } from '@/features/home/HomeBar';
import { StripShelf } from '@/design/atlas/StripView';
import { HomeSheet, homeStripPx } from '@/features/home/HomeSheet';
import { Page } from '@/design/Page';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Home practice' };

/** Everybody's page, one to a sheet. */
function HomePracticesPage() {
  const course = readCourse();
  if (course === null) return <EmptyCourse />;
  const views = course.people.flatMap(({ person }) => readHome(person.id) ?? []);
  return (
    <Page>
      <HomeBar calendar={null} back="/floor" text={null} file={null} />
      <StripShelf
        moves={views.flatMap(({ practice }) => practice.items.flatMap(({ move }) => move ?? []))}
        heightPx={homeStripPx}
      />
      {views.map((view) => (
        <HomeSheet key={view.id} view={view} isShelved />
      ))}
    </Page>
  );
}

export default teacherPage(HomePracticesPage);
