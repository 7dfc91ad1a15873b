import { Title } from '@mantine/core';
import { format, parseISO } from 'date-fns';
import Link from 'next/link';
import { getStage } from '@/core/catalog/stages';
import { profileTable } from '@/core/catalog/profiles';
import { readCourse } from '@/server/views';
import { CautionLine, Page } from '@/ui/layout/Page';
import { ElevationRow } from '@/ui/tonight/ElevationRow';
import { TonightNotes } from '@/ui/tonight/TonightNotes';
import { EmptyCourse } from '@/ui/tonight/EmptyCourse';
import classes from '@/ui/tonight/tonight.module.css';

export const metadata = { title: { absolute: 'Tonight · Levitar' } };

export default function TonightPage() {
  const view = readCourse();
  if (view === null) return <EmptyCourse />;
  const { course, meeting, people, settings } = view;
  return (
    <Page>
      <div className={classes.head}>
        <Title order={1} size="1.9rem">
          {course.name}
        </Title>
        <p className={classes.facts}>
          {format(parseISO(meeting.date), 'EEEE d MMMM')}, {course.startsAt} · week {meeting.week} ·{' '}
          {course.minutes} min · {course.place}
        </p>
        <p className={classes.stage}>
          <strong>{getStage(course.stage).label}</strong>, everyone at one scale ·{' '}
          {profileTable[course.profile].label} · {people.length} people ·{' '}
          <Link href="/cards">everyone’s card to print</Link>
        </p>
      </div>
      <ElevationRow people={people} units={settings.units} />
      <TonightNotes view={view} />
      <CautionLine />
    </Page>
  );
}
