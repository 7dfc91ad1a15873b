'use client';

import { Button } from '@mantine/core';
import { useTransition } from 'react';
import type { Outcome } from '@/server/result';
import { showProblems } from '@/design/notices';

export function StartDemo({ startDemo }: { readonly startDemo: () => Promise<Outcome> }) {
  const [isBusy, startBusy] = useTransition();
  return (
    <Button
      variant="default"
      loading={isBusy}
      onClick={() =>
        startBusy(async () => {
          const outcome = await startDemo();
          if (!outcome.ok) showProblems(outcome.problems);
        })
      }
    >
      Look around in the made-up studio
    </Button>
  );
}
