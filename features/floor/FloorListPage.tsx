import { sayEvening } from '@/design/days';
import { sayDay } from '@/core/units/day';
import { Title } from '@mantine/core';
import { Link } from '@/design/Link';
import { readFloorLines } from './read';
import { askerOf } from '@/server/network/guarded';
import { classRole } from '@/server/running/floorRole';
import { BeginClass } from './BeginClass';
import { CautionLine, Page } from '@/design/Page';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import { startDemoAction } from '@/features/beginning/actions';
import classes from './list.module.css';

export async function FloorListPage() {
  const isTeacher = classRole(await askerOf('class')) === 'teacher';
  const { lines, today } = readFloorLines();
  if (lines.length === 0)
    return isTeacher ? <EmptyCourse startDemo={startDemoAction} /> : <EmptyCourse />;
  return (
    <Page>
      <Title order={1} size="1.8rem">
        On the floor
      </Title>
      <p>
        Begin a class here and run it on a tablet: one clock for holds, breath, tries, a stop within
        reach. Every tap is kept on the device first.
        {isTeacher && (
          <>
            {' '}
            A helper’s tablet joins under <Link href="/devices">Devices</Link>.
          </>
        )}
      </p>
      <ul className={classes.lines}>
        {lines.map(({ course, people, coming, classes: begun }) => {
          const running = begun.find(({ isToday }) => isToday);
          return (
            <li key={course.id} className={classes.line}>
              <div>
                <h2>{course.name}</h2>
                <p>
                  {people} people
                  {coming !== null &&
                    ` · ${coming.date === today ? 'today' : sayEvening(coming.date)}, ${coming.startsAt}`}
                </p>
                {begun
                  .filter(({ uid }) => uid !== running?.uid)
                  .map(({ uid, day, reviewed }) => (
                    <p key={uid}>
                      {sayDay(day)}:{' '}
                      {isTeacher && (
                        <Link href={`/review/${uid}`}>
                          {reviewed === 0 ? 'review' : `review, ${reviewed} done`}
                        </Link>
                      )}
                    </p>
                  ))}
              </div>
              <BeginClass
                course={course.id}
                running={running ?? null}
                isOther={coming !== null && coming.date !== today}
                isTeacher={isTeacher}
                isEmpty={people === 0}
              />
            </li>
          );
        })}
      </ul>
      <CautionLine />
    </Page>
  );
}
