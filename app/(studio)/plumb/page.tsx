import type { Metadata } from 'next';
import { readPersonId } from '@/server/personId';
import { CautionLine, Page } from '@/design/Page';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import { PlumbScreen } from '@/features/plumb/PlumbScreen';
import { readLook } from '@/features/plumb/look';
import { readPlumb } from '@/features/plumb/read';
import { teacherPage } from '@/server/network/guarded';

export const metadata: Metadata = { title: 'Plumb' };

interface PlumbPageProps {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

async function PlumbPage({ searchParams }: PlumbPageProps) {
  const { person, ...asked } = await searchParams;
  const view = readPlumb(typeof person === 'string' ? readPersonId(person) : null);
  if (view === null) return <EmptyCourse />;
  return (
    <Page>
      <PlumbScreen
        key={view.isWhoSaid ? view.person.id : 'nobody'}
        view={view}
        opened={readLook(asked)}
      />
      <CautionLine />
    </Page>
  );
}

export default teacherPage(PlumbPage);
