import { Title } from '@mantine/core';
import { readPeople } from '@/features/ladders/read';
import { LinkButton } from '@/design/LinkButton';
import { CautionLine, Page } from '@/design/Page';
import { AddPerson, PeopleTable } from '@/features/people/later';
import { PlainPeople } from '@/features/people/PlainPeople';
import classes from '@/features/people/people.module.css';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'People' };

function PeoplePage() {
  const { rows, courses, settings } = readPeople();
  const here = rows.filter(({ isArchived }) => !isArchived).length;
  return (
    <Page>
      <div className={classes.head}>
        <div>
          <Title order={1} size="1.8rem">
            People
          </Title>
          <p className={classes.sub}>
            {here === 0 ? 'Nobody yet: a name and a height are enough to begin.' : `${here} people`}
          </p>
        </div>
        <AddPerson courses={courses} units={settings.units} />
        <LinkButton href="/people/import" variant="default" size="sm">
          From a table
        </LinkButton>
      </div>
      {rows.length > 0 && (
        <PeopleTable
          rows={rows}
          courses={courses}
          units={settings.units}
          plain={<PlainPeople rows={rows} units={settings.units} />}
        />
      )}
      <CautionLine />
    </Page>
  );
}

export default teacherPage(PeoplePage);
