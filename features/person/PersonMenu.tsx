'use client';

import { answered } from '@/design/answered';
import { Button } from '@mantine/core';
import { IconChevronDown } from '@tabler/icons-react';
import { useState, useTransition } from 'react';
import { archivePeopleAction } from '@/features/people/actions';
import { LazyMenu, type MenuEntry } from '@/design/LazyMenu';
import { showProblems, showUndo } from '@/design/notices';
import { PersonDialogs } from './later';
import type { Asked } from './PersonDialogs';

export interface PersonMenuProps {
  readonly personId: number;
  readonly name: string;
  readonly isArchived: boolean;
  readonly others: readonly { readonly id: number; readonly name: string }[];
}

/** Rename, put away, merge, take everything out, delete. */
export function PersonMenu({ personId, name, isArchived, others }: PersonMenuProps) {
  const [isBusy, startBusy] = useTransition();
  const [asked, setAsked] = useState<Asked | null>(null);
  // Once opened it stays, so that the focus goes back to where it came from.
  const [wasAsked, setWasAsked] = useState(false);
  const ask = (what: Asked) => () => {
    setWasAsked(true);
    setAsked(what);
  };

  const putAway = (isAway: boolean) =>
    startBusy(async () => {
      const outcome = await answered(archivePeopleAction([personId], isAway));
      if (outcome.ok) {
        showUndo(isAway ? 'Put away; the records stay.' : 'Back among the people.', () =>
          archivePeopleAction([personId], !isAway),
        );
      } else showProblems(outcome.problems);
    });

  const entries = (): MenuEntry[] => [
    { kind: 'do', label: 'Rename', onClick: ask('rename') },
    {
      kind: 'file',
      label: 'Take everything out as a file',
      href: `/people/${personId}/export`,
    },
    ...(others.length === 0
      ? []
      : [{ kind: 'do', label: 'Merge with another entry', onClick: ask('merge') } as const]),
    {
      kind: 'do',
      label: isArchived ? 'Bring back' : 'Put away',
      onClick: () => putAway(!isArchived),
    },
    { kind: 'do', label: 'Delete for good', onClick: ask('delete') },
  ];

  return (
    <>
      <LazyMenu
        entries={entries}
        target={(given) => (
          <Button
            {...given}
            variant="default"
            rightSection={<IconChevronDown size={16} />}
            loading={isBusy}
          >
            This entry
          </Button>
        )}
      />
      {wasAsked && (
        <PersonDialogs
          asked={asked}
          personId={personId}
          name={name}
          others={others}
          onClose={() => setAsked(null)}
        />
      )}
    </>
  );
}
