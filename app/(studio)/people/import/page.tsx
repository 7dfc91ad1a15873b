import { Title } from '@mantine/core';
import { readPeople } from '@/features/ladders/read';
import { CautionLine, Page } from '@/design/Page';
import { ImportWizard } from '@/features/people/ImportWizard';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'People from a table' };

function ImportPage() {
  const { courses } = readPeople();
  return (
    <Page>
      <Title order={1} size="1.8rem">
        People from a table
      </Title>
      <ImportWizard courses={courses} />
      <CautionLine />
    </Page>
  );
}

export default teacherPage(ImportPage);
