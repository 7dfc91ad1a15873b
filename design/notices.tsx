'use client';

import { Button, Group } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import type { ReactNode } from 'react';
import { sayProblems, type Outcome, type Problems } from '@/server/result';

/** How long there is time to take something back. */
const undoMs = 12_000;

/** The closing cross has no words of its own. */
export const closing = { closeButtonProps: { 'aria-label': 'Close this message' } };

export function showProblem(message: string): void {
  notifications.show({ ...closing, message, color: 'dark', autoClose: undoMs });
}

/** What was refused, whatever fields it was about: where no field stands to say it beside. */
export const showProblems = (problems: Problems): void => showProblem(sayProblems(problems));

/**
 * Says what was done, with the way back beside it.
 *
 * @param undo takes it back; what it is refused with is shown
 */
export function showUndo(message: ReactNode, undo: () => Promise<Outcome<unknown>>): void {
  const id = notifications.show({
    ...closing,
    autoClose: undoMs,
    message: (
      <Group justify="space-between" wrap="nowrap">
        <span>{message}</span>
        <Button
          size="xs"
          variant="default"
          onClick={() => {
            notifications.hide(id);
            void undo().then(
              (outcome) => outcome.ok || showProblems(outcome.problems),
              () => showProblem('It could not be taken back. Try again where it was done.'),
            );
          }}
        >
          Undo
        </Button>
      </Group>
    ),
  });
}

export function showSaved(message: string): void {
  notifications.show({ ...closing, message, autoClose: 4000 });
}
