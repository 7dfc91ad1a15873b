'use client';

import { Button, Group } from '@mantine/core';
import type { Tap } from '@/core/running/tap';
import { saveFile } from '@/design/saveFile';
import classes from './settings.module.css';

export interface Unsent {
  readonly uid: string;
  readonly taps: readonly Tap[];
}

/** Hands the taps out as a file; nothing in its name says whose they are. */
const saveAsFile = (unsent: readonly Unsent[]): void =>
  saveFile(
    'taps.json',
    'application/json',
    JSON.stringify({ format: 'levitar-taps', version: 1, classes: unsent }, null, 1),
  );

/** A device that was put out still holds taps that nobody else has. */
export function LeftBehind({
  unsent,
  onForget,
}: {
  readonly unsent: readonly Unsent[];
  readonly onForget: () => void;
}) {
  const count = unsent.reduce((sum, { taps }) => sum + taps.length, 0);
  return (
    <div className={classes.look} role="alert">
      <p>
        This device was put out. <strong>{count}</strong> {count === 1 ? 'tap' : 'taps'} on it never
        reached the studio’s computer. Save them as a file for the teacher first; then everything of
        the studio is wiped from this device.
      </p>
      <Group>
        <Button onClick={() => saveAsFile(unsent)}>Save them as a file</Button>
        <Button variant="default" onClick={onForget}>
          Wipe this device
        </Button>
      </Group>
    </div>
  );
}
