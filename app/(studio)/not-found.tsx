import { Title } from '@mantine/core';
import { Link } from '@/design/Link';
import { Page } from '@/design/Page';

export const metadata = { title: 'Not found' };

export default function NotFound() {
  return (
    <Page>
      <Title order={1}>Nothing here</Title>
      <p>
        This address leads nowhere. <Link href="/">Back to tonight</Link>, or to{' '}
        <Link href="/people">the people</Link>.
      </p>
    </Page>
  );
}
