'use client';

import { answered } from '@/design/answered';
import { Button } from '@mantine/core';
import { useTransition } from 'react';
import { notePainGoneAction, undoPainGoneAction } from './actions';
import { showProblems, showUndo } from '@/design/notices';

/** One tap when the student says, at a later class, that earlier pain is gone. */
export function PainGone({ personId }: { readonly personId: number }) {
  const [isSaving, startSaving] = useTransition();
  const note = () => {
    startSaving(async () => {
      const outcome = await answered(notePainGoneAction(personId));
      if (outcome.ok) {
        showUndo('Noted, with today’s date.', () =>
          undoPainGoneAction(personId, { was: outcome.value }),
        );
      } else showProblems(outcome.problems);
    });
  };
  return (
    <Button variant="default" loading={isSaving} onClick={note}>
      They say it is gone: note it
    </Button>
  );
}
