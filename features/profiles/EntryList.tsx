'use client';

import { answered } from '@/design/answered';
import { entriesOf } from '@/core/units/keyed';
import type { OwnKey } from '@/core/catalog/ownKey';
import { sayDose } from '@/core/catalog/dose';
import { Button } from '@mantine/core';
import { useTransition } from 'react';
import type { EntryKind, OwnEntries } from '@/core/catalog/entries';
import { ladderTable } from '@/core/catalog/stage';
import { dropEntryAction, keepEntryAction } from './actions';
import { showProblems, showUndo } from '@/design/notices';
import classes from './profiles.module.css';

const kindWords: Record<EntryKind, string> = {
  stages: 'stage',
  branches: 'branch',
  drills: 'drill',
  checks: 'check',
};

interface Line {
  readonly kind: EntryKind;
  readonly key: OwnKey;
  readonly label: string;
  readonly more: string;
}

function listLines({ stages, branches, drills, checks }: OwnEntries): Line[] {
  return [
    ...entriesOf(stages).map(([key, { label, family }]): Line => ({
      kind: 'stages',
      key,
      label,
      more: ladderTable[family].label,
    })),
    ...entriesOf(checks).map(([key, { label, scoring }]): Line => ({
      kind: 'checks',
      key,
      label,
      more: scoring.kind,
    })),
    ...entriesOf(drills).map(([key, { label, dose }]): Line => ({
      kind: 'drills',
      key,
      label,
      more: sayDose(dose),
    })),
    ...entriesOf(branches).map(([key, { label }]): Line => ({
      kind: 'branches',
      key,
      label,
      more: '',
    })),
  ];
}

export function EntryList({ entries }: { readonly entries: OwnEntries }) {
  const [isBusy, startBusy] = useTransition();
  const lines = listLines(entries);
  if (lines.length === 0) {
    return <p>None yet. Begin with a check if your stage needs one that is not in the list.</p>;
  }
  return (
    <ul className={classes.lines} style={{ maxHeight: 'none' }}>
      {lines.map(({ kind, key, label, more }) => (
        <li key={key}>
          <strong>{label}</strong>
          <span>
            {kindWords[kind]}
            {more === '' ? '' : ` · ${more}`} · <code className={classes.entry}>{key}</code>{' '}
            <Button
              size="compact-xs"
              variant="subtle"
              loading={isBusy}
              onClick={() =>
                startBusy(async () => {
                  const outcome = await answered(dropEntryAction(kind, key));
                  if (!outcome.ok) return showProblems(outcome.problems);
                  const spec = (entries[kind] as Readonly<Record<string, unknown>>)[key];
                  showUndo(`${label} is gone.`, () => keepEntryAction(kind, key, spec));
                })
              }
            >
              Take out
            </Button>
          </span>
        </li>
      ))}
    </ul>
  );
}
