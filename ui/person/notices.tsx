'use client';

import { Button, Group } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { undoRecordAction } from '@/server/actions';
import { sayProblems, type Problems } from '@/server/result';

const undoMs = 12_000;

/** The closing cross has no words of its own. */
const closing = { closeButtonProps: { 'aria-label': 'Close this message' } };

export function showProblem(message: string): void {
  notifications.show({ ...closing, message, color: 'dark', autoClose: undoMs });
}

/** What was refused, whatever fields it was about: where no field stands to say it beside. */
export const showProblems = (problems: Problems): void => showProblem(sayProblems(problems));

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

export function showSaved(message: string): void {
  notifications.show({ ...closing, message, autoClose: 4000 });
}
