'use client';

import { Button } from '@mantine/core';
import { useState } from 'react';
import type { GateRow } from '@/server/judging/gateRows';
import { Dialog } from '@/design/Dialog';
import { RecordForm } from './laterForm';
import classes from './record.module.css';

/** Whose check is to be recorded, and which. */
export interface ToRecord {
  /** One after the other, without closing in between. */
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly row: GateRow;
  readonly today: string;
  readonly breathSeconds: number;
}

interface RecordDialogProps extends ToRecord {
  readonly isOpen: boolean;
  readonly onClose: () => void;
}

/** Two taps and a number; the next person follows by themselves. */
export function RecordDialog(props: RecordDialogProps) {
  const { people, row, today, breathSeconds, isOpen, onClose } = props;
  const [at, setAt] = useState(0);
  const person = people[at];
  if (person === undefined) return null;
  const base = row.base === null ? '' : ` (${row.base})`;
  const goOn = () => setAt((now) => (now + 1 < people.length ? now + 1 : now));
  return (
    <Dialog
      opened={isOpen}
      onClose={onClose}
      size="lg"
      title={
        <span className={classes.title}>
          {person.name} · {row.label}
          {base}
        </span>
      }
    >
      {people.length > 1 && (
        <ol className={classes.queue} aria-label="Whose turn">
          {people.map(({ id, name }, index) => (
            <li key={id}>
              <button
                type="button"
                aria-current={index === at ? 'step' : undefined}
                onClick={() => setAt(index)}
              >
                {name}
              </button>
            </li>
          ))}
        </ol>
      )}
      <RecordForm
        key={person.id}
        personId={person.id}
        row={row}
        today={today}
        breathSeconds={breathSeconds}
        // After one side comes the other one of the same person.
        onRecorded={(side) => side === 'both' && goOn()}
      />
      {people.length > 1 && row.sides.length > 0 && (
        <Button variant="subtle" mt="sm" onClick={goOn} disabled={at + 1 >= people.length}>
          Next: {people[at + 1]?.name ?? 'nobody left'}
        </Button>
      )}
    </Dialog>
  );
}
