'use client';

import { Button, Group, Title } from '@mantine/core';
import Link from 'next/link';
import { Page } from './Page';
import { PartMissing } from './patiently';

/** What a boundary is handed. */
export interface BoundaryProps {
  readonly error: Error;
  readonly reset: () => void;
}

interface BrokenProps extends BoundaryProps {
  /** What is still there, and what to do: said before anything else. */
  readonly words: string;
  /** What trying again is called here. */
  readonly again?: string;
  /** Somewhere to go on meanwhile. */
  readonly elsewhere: { readonly href: string; readonly label: string };
}

/** In the place of a screen that broke. What happened is in the server's log, not on the screen. */
export function Broken({ words, again = 'Try again', elsewhere, error, reset }: BrokenProps) {
  // What was not there for a minute is not asked for again by the same page.
  const retry = error instanceof PartMissing ? () => window.location.reload() : reset;
  return (
    <Page>
      <Title order={1}>Something went wrong</Title>
      <p role="alert">{words}</p>
      <Group>
        <Button size="lg" onClick={retry}>
          {again}
        </Button>
        <Button size="lg" variant="default" component={Link} href={elsewhere.href}>
          {elsewhere.label}
        </Button>
      </Group>
    </Page>
  );
}
