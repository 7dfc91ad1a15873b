'use client';

import { Button, Title } from '@mantine/core';
import { Page } from '@/design/Page';

/** What happened stays in the server's log; the browser gets a way on. */
export default function ErrorPage({ reset }: { readonly reset: () => void }) {
  return (
    <Page>
      <Title order={1}>Something went wrong</Title>
      <p>Nothing was lost that had been kept. Try again; if it stays, restart the server.</p>
      <Button onClick={reset}>Try again</Button>
    </Page>
  );
}
