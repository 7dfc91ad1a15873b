'use client';

import { Button, Group } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { closing, showProblems, undoMs } from '@/design/notices';
import { undoRecordAction } from '@/features/person/actions';

/** Recorded, with the way back beside it. */
export function showRecorded(personId: number, recordId: number, label: string): void {
  const id = `record-${recordId}`;
  const undo = async () => {
    const outcome = await undoRecordAction(personId, recordId);
    notifications.hide(id);
    if (!outcome.ok) showProblems(outcome.problems);
  };
  notifications.show({
    ...closing,
    id,
    autoClose: undoMs,
    withCloseButton: true,
    message: (
      <Group justify="space-between" wrap="nowrap">
        <span>{label} recorded</span>
        <Button size="xs" variant="default" onClick={undo}>
          Undo
        </Button>
      </Group>
    ),
  });
}
