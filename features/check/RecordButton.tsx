'use client';

import { Button } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { IconPencilPlus } from '@tabler/icons-react';
import { useRecordDesk } from './RecordDesk';
import { RecordDialog, type ToRecord } from './RecordDialog';

interface RecordButtonProps extends ToRecord {
  readonly label?: string;
  /** Asked for from elsewhere: open from the first. */
  readonly isAsked?: boolean;
  readonly onClose?: () => void;
}

/** Opens the form that records a check, for one person or for several in turn. */
export function RecordButton({
  label,
  isAsked = false,
  onClose,
  people,
  row,
  today,
  breathSeconds,
}: RecordButtonProps) {
  const desk = useRecordDesk();
  const [isOpen, { open, close }] = useDisclosure(
    isAsked,
    onClose === undefined ? {} : { onClose },
  );
  const [person] = people;
  if (row.check === null || person === undefined) return null;
  const asked = { people, row, today, breathSeconds };
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
        onClick={() => (desk === null ? open() : desk(asked))}
      >
        {label ?? 'Record'}
      </Button>
      {desk === null && <RecordDialog {...asked} isOpen={isOpen} onClose={close} />}
    </>
  );
}
