import { Title } from '@mantine/core';
import { readPeople } from '@/server/ladderViews';
import { CautionLine, Page } from '@/ui/layout/Page';
import { ImportWizard } from '@/ui/people/ImportWizard';
import { teacherPage } from '@/server/guarded';

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
