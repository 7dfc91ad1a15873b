import { sayMeetingDay } from '@/design/days';
import { Title } from '@mantine/core';
import { Link } from '@/design/Link';
import { readCourses } from './read';
import { NewCourse } from './NewCourse';
import { StudioPanel } from './StudioPanel';
import { CautionLine, Page } from '@/design/Page';
import { clearStudioAction, startDemoAction } from '@/features/beginning/actions';
import classes from './courses.module.css';

export function CoursesPage() {
  const { studio, lines, profiles, people, today } = readCourses();
  return (
    <Page>
      <Title order={1} size="1.8rem">
        {studio === '' ? 'Studio and courses' : studio}
      </Title>
      <ul className={classes.courses}>
        {lines.map(({ course, enrolled, meetings, next }) => (
          <li key={course.id}>
            <h2>
              <Link href={`/courses/${course.id}`}>{course.name}</Link>
            </h2>
            <p>
              {enrolled} enrolled · {meetings} evenings ·{' '}
              {next === null ? 'nothing ahead' : `next ${sayMeetingDay(next)}`} · {course.minutes}{' '}
              min · {course.place}
            </p>
          </li>
        ))}
      </ul>
      {lines.length === 0 && <p>No course yet. Give the first one a name and a day.</p>}
      <NewCourse profiles={profiles} today={today} place={studio} />
      <StudioPanel
        studio={studio}
        people={people}
        courses={lines.length}
        startDemo={startDemoAction}
        clear={clearStudioAction}
      />
      <CautionLine />
    </Page>
  );
}
