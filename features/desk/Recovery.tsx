'use client';

import { Button, Group } from '@mantine/core';
import classes from './desk.module.css';

/** The code, shown this once. */
export function Recovery({ code, onDone }: { readonly code: string; readonly onDone: () => void }) {
  return (
    <div className={classes.recovery} role="status" data-print-alone>
      <p>
        Should the passphrase be forgotten, this code opens the desk once. It is shown only now:
        print it or write it down, and keep it where you keep keys.
      </p>
      <strong>{code}</strong>
      <Group mt="md" className="no-print">
        <Button onClick={onDone}>I have it</Button>
        <Button variant="default" onClick={() => window.print()}>
          Print
        </Button>
      </Group>
    </div>
  );
}
