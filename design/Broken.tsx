'use client';

import { Button } from '@mantine/core';
import { Page } from './Page';
import classes from './page.module.css';
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

/**
 * In the place of a screen that broke. It leads on by a fresh page, and brings as little along as it can:
 * it is fetched with every page, the running class among them. What happened is in the server's log,
 * not on the screen.
 */
export function Broken({ words, again = 'Try again', elsewhere, error, reset }: BrokenProps) {
  // What was not there for a minute is not asked for again by the same page.
  const retry = error instanceof PartMissing ? () => window.location.reload() : reset;
  return (
    <Page>
      <h1 className={classes.plainTitle}>Something went wrong</h1>
      <p role="alert">{words}</p>
      <div className={classes.ways}>
        <Button size="lg" onClick={retry}>
          {again}
        </Button>
        <Button size="lg" variant="default" component="a" href={elsewhere.href}>
          {elsewhere.label}
        </Button>
      </div>
    </Page>
  );
}
