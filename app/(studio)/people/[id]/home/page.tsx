import { notFound } from 'next/navigation';
import { readHome } from '@/features/home/read';
import { readPersonId } from '@/server/personId';
import { HomeBar } from '@/features/home/HomeBar';
import { HomeSheet } from '@/features/home/HomeSheet';
import { Page } from '@/design/Page';
import { initialsOf, teacherPage, teacherTitle } from '@/server/network/guarded';
import { database } from '@/server/database';
import { findPerson } from '@/db/people';

export const generateMetadata = teacherTitle<{ id: string }>('Home practice', ({ id }) => {
  const found = findPerson(database(), readPersonId(id) ?? 0);
  return found === null ? null : `Home practice, ${initialsOf(found.name)}`;
});

interface HomePageProps {
  readonly params: Promise<{ readonly id: string }>;
}

async function HomePracticePage({ params }: HomePageProps) {
  const id = readPersonId((await params).id);
  const view = id === null ? null : readHome(id);
  if (view === null) notFound();
  return (
    <Page>
      <HomeBar
        calendar={`/people/${view.id}/home/calendar`}
        back={`/people/${view.id}`}
        file={`/people/${view.id}/home/file`}
        text={`/people/${view.id}/home/text`}
      />
      <HomeSheet view={view} />
    </Page>
  );
}

export default teacherPage(HomePracticePage);
