import { Title } from '@mantine/core';
import { readPeople } from '@/server/ladderViews';
import { CautionLine, Page } from '@/ui/layout/Page';
import { ImportWizard } from '@/ui/people/ImportWizard';

export const metadata = { title: 'People from a table' };

export default function ImportPage() {
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
