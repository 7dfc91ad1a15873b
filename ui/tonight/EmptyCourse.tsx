import { Title } from '@mantine/core';
import { CautionLine, Page } from '@/ui/layout/Page';

/** Shown when the database holds no course. */
export function EmptyCourse() {
  return (
    <Page>
      <Title order={1}>No course yet</Title>
      <p>
        Stop the server and start it with <code>npm run demo -- --reset</code> to begin with the
        made-up Thursday course.
      </p>
      <CautionLine />
    </Page>
  );
}
