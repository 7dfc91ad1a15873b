'use client';

import { Button } from '@mantine/core';
import type { ComponentType } from 'react';
import { PartMissing, patiently } from '@/design/patiently';
import classes from './floor.module.css';

/** In the place of a part that never came: the class round it, and its stop, go on. */
function NotHere() {
  return (
    <div className={classes.missing} role="alert">
      <p>This part did not come. The class goes on; taps and clock are kept.</p>
      <Button size="lg" variant="default" onClick={() => window.location.reload()}>
        Load the page anew
      </Button>
    </div>
  );
}

/** A part of the class that comes later. What does not come in a minute breaks nothing else. */
export function part<Props>(load: () => Promise<ComponentType<Props>>) {
  const ask = patiently(load);
  return (): Promise<ComponentType<Props>> =>
    ask().catch((error: unknown): ComponentType<Props> => {
      if (error instanceof PartMissing) return NotHere;
      throw error;
    });
}
