'use client';

import { Button } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { IconPencilPlus } from '@tabler/icons-react';
import { useState } from 'react';
import type { GateRow } from '@/server/judging/gateRows';
import { Dialog } from '@/design/Dialog';
import { RecordForm } from './laterForm';
import classes from './record.module.css';

interface RecordButtonProps {
  /** One after the other, without closing in between. */
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly row: GateRow;
  readonly today: string;
  readonly breathSeconds: number;
  readonly label?: string;
  /** Asked for from elsewhere: open from the first. */
  readonly isAsked?: boolean;
  readonly onClose?: () => void;
}

/** Two taps and a number; the next person follows by themselves. */
export function RecordButton(props: RecordButtonProps) {
  const { people, row, today, breathSeconds, label, isAsked = false, onClose } = props;
  const [isOpen, { open, close }] = useDisclosure(
    isAsked,
    onClose === undefined ? {} : { onClose },
  );
  const [at, setAt] = useState(0);
  const person = people[Math.min(at, people.length - 1)];
  if (row.check === null || person === undefined) return null;
  const base = row.base === null ? '' : ` (${row.base})`;
  const goOn = () => setAt((now) => (now + 1 < people.length ? now + 1 : now));
  return (
    <>
      <Button
        size="xs"
        variant="default"
        leftSection={<IconPencilPlus size={16} />}
        aria-label={
          people.length === 1
            ? `Record ${row.label} for ${person.name}`
            : `Record ${row.label} one after the other`
        }
        onClick={() => {
          setAt(0);
          open();
        }}
      >
        {label ?? 'Record'}
      </Button>
      <Dialog
        opened={isOpen}
        onClose={close}
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
          // A check with two sides stays for the second one.
          {...(people.length > 1 && !row.hasSides ? { onRecorded: goOn } : {})}
        />
        {people.length > 1 && row.hasSides && (
          <Button variant="subtle" mt="sm" onClick={goOn} disabled={at + 1 >= people.length}>
            Next: {people[at + 1]?.name ?? 'nobody left'}
          </Button>
        )}
      </Dialog>
    </>
  );
}
