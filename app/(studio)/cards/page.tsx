import { Group, Title } from '@mantine/core';
import type { Metadata } from 'next';
import { readCourse } from '@/server/judging/views';
import { PrintButton } from '@/design/PrintButton';
import { SetupCard } from '@/features/card/SetupCard';
import { Page } from '@/design/Page';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import classes from '@/features/card/card.module.css';
import { teacherPage } from '@/server/network/guarded';

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
