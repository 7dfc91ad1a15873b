import { Group, Title } from '@mantine/core';
import type { Metadata } from 'next';
import { readCourse } from '@/server/views';
import { PrintButton } from '@/ui/card/PrintButton';
import { SetupCard } from '@/ui/card/SetupCard';
import { Page } from '@/ui/layout/Page';
import { EmptyCourse } from '@/ui/tonight/EmptyCourse';
import classes from '@/ui/card/card.module.css';
import { teacherPage } from '@/server/guarded';

export const metadata: Metadata = { title: 'Set-up cards' };

/** Everyone's card, one after the other; on paper one to a page. */
function CardsPage() {
  const view = readCourse();
  if (view === null) return <EmptyCourse />;
  return (
    <Page>
      <Group justify="space-between" className="no-print" mb="sm">
        <Title order={1} size="1.6rem">
          Cards for {view.people.length} people
        </Title>
        <PrintButton />
      </Group>
      <div className={classes.sheet}>
        {view.people.map((judgement) => (
          <SetupCard
            key={judgement.person.id}
            judgement={judgement}
            date={view.meeting.date}
            units={view.settings.units}
          />
        ))}
      </div>
    </Page>
  );
}

export default teacherPage(CardsPage);
