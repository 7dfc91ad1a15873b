'use client';

import { Button, Group, Title } from '@mantine/core';
import Link from 'next/link';
import { Page } from './Page';

interface BrokenProps {
  /** What is still there, and what to do: said before anything else. */
  readonly words: string;
  /** What trying again is called here. */
  readonly again?: string;
  /** Somewhere to go on meanwhile. */
  readonly elsewhere: { readonly href: string; readonly label: string };
  readonly reset: () => void;
}

/** In the place of a screen that broke. What happened is in the server's log, not on the screen. */
export function Broken({ words, again = 'Try again', elsewhere, reset }: BrokenProps) {
  return (
    <Page>
      <Title order={1}>Something went wrong</Title>
      <p role="alert">{words}</p>
      <Group>
        <Button size="lg" onClick={reset}>
          {again}
        </Button>
        <Button size="lg" variant="default" component={Link} href={elsewhere.href}>
          {elsewhere.label}
        </Button>
      </Group>
    </Page>
  );
}
