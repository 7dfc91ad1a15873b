import { notFound } from 'next/navigation';
import { readHome } from '@/server/homePractice';
import { readPersonId } from '@/server/personId';
import { HomeBar } from '@/ui/home/HomeBar';
import { HomeSheet } from '@/ui/home/HomeSheet';
import { Page } from '@/ui/layout/Page';
import { teacherPage } from '@/server/guarded';

export const metadata = { title: 'Home practice' };

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
        text={`/people/${view.id}/home/text`}
      />
      <HomeSheet view={view} />
    </Page>
  );
}

export default teacherPage(HomePracticePage);
