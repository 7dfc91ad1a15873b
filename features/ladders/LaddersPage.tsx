import { counted } from '@/core/units/words';
import { Title } from '@mantine/core';
import { readCourseParam } from '@/server/courseParam';
import { readLadders } from './read';
import { Bottlenecks } from './Bottlenecks';
import { RecordDesk } from '@/features/check/RecordDesk';
import { CoursePicker } from './CoursePicker';
import { FiveLadders } from './FiveLadders';
import { LinkButton } from '@/design/LinkButton';
import { CautionLine, Page } from '@/design/Page';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import classes from './ladders.module.css';

interface LaddersPageProps {
  readonly searchParams: Promise<{ readonly course?: string | string[] }>;
}

export async function LaddersPage({ searchParams }: LaddersPageProps) {
  const view = readLadders(readCourseParam((await searchParams).course));
  if (view.count === 0 && view.courses.length === 0) return <EmptyCourse />;
  return (
    <Page>
      <div className={classes.head}>
        <Title order={1} size="1.8rem">
          Ladders
        </Title>
        <CoursePicker courses={view.courses} chosen={view.course?.id ?? null} />
        <p className={classes.sub}>
          {counted(view.count, 'person', 'people')} · profile {view.school.profile.label}, version{' '}
          {view.school.profile.version}
        </p>
        <LinkButton href="/ladders/poster" variant="default" size="sm">
          As posters
        </LinkButton>
        <LinkButton href={`/profiles/${view.school.profile.key}`} variant="default" size="sm">
          Change bars and gates
        </LinkButton>
      </div>
      <RecordDesk>
        <FiveLadders
          ladders={view.ladders}
          today={view.today}
          breathSeconds={view.settings.breathSeconds}
        />
        <Bottlenecks
          bottlenecks={view.bottlenecks}
          count={view.count}
          school={view.school.checks}
          today={view.today}
          breathSeconds={view.settings.breathSeconds}
        />
      </RecordDesk>
      <CautionLine />
    </Page>
  );
}
