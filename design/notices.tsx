'use client';

import { notifications } from '@mantine/notifications';
import { sayProblems, type Problems } from '@/server/result';

/** How long there is time to take something back. */
export const undoMs = 12_000;

/** The closing cross has no words of its own. */
export const closing = { closeButtonProps: { 'aria-label': 'Close this message' } };

export function showProblem(message: string): void {
  notifications.show({ ...closing, message, color: 'dark', autoClose: undoMs });
}

/** What was refused, whatever fields it was about: where no field stands to say it beside. */
export const showProblems = (problems: Problems): void => showProblem(sayProblems(problems));

export function showSaved(message: string): void {
  notifications.show({ ...closing, message, autoClose: 4000 });
}
