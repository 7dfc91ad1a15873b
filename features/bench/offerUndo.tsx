'use client';

import { Button } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { dropSetupAction } from '@/features/person/actions';
import { showProblems } from '@/design/notices';

/** Says that something was kept, with the way back. */
export function offerUndo(
  person: { readonly id: number; readonly name: string },
  setupId: number,
): void {
  const undo = async () => {
    const outcome = await dropSetupAction(person.id, setupId);
    notifications.hide(`setup-${setupId}`);
    if (!outcome.ok) showProblems(outcome.problems);
  };
  notifications.show({
    id: `setup-${setupId}`,
    autoClose: 12_000,
    closeButtonProps: { 'aria-label': 'Close this message' },
    message: (
      <span>
        Kept for {person.name}.{' '}
        <Button size="xs" variant="default" onClick={undo}>
          Undo
        </Button>
      </span>
    ),
  });
}
