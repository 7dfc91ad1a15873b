'use client';

import { answered } from '@/design/answered';
import { sayProblems } from '@/server/result';
import { Button, Popover, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { copyProfileAction, importEntriesAction, importProfileAction } from './actions';
import { counted } from '@/core/units/words';
import { FileChoice } from '@/design/FileChoice';
import { showProblem, showSaved } from '@/design/notices';
import classes from './profiles.module.css';

interface CopyProfileProps {
  readonly from: string;
  /** A name that no profile has yet. */
  readonly name: string;
}

/** A copy under a name of its own; it keeps the link to where it came from. */
export function CopyProfile({ from, name: free }: CopyProfileProps) {
  const router = useRouter();
  const [name, setName] = useState(free);
  const [problem, setProblem] = useState<string | null>(null);
  const [isBusy, startBusy] = useTransition();
  const copy = () =>
    startBusy(async () => {
      const outcome = await answered(copyProfileAction(from, name));
      if (outcome.ok) router.push(`/profiles/${outcome.value}`);
      else setProblem(sayProblems(outcome.problems));
    });
  return (
    <Popover trapFocus position="bottom-end" withArrow>
      <Popover.Target>
        <Button variant="default" size="sm">
          Copy
        </Button>
      </Popover.Target>
      <Popover.Dropdown>
        <form
          className={classes.copy}
          onSubmit={(event) => {
            event.preventDefault();
            copy();
          }}
        >
          <TextInput
            label="Name of the copy"
            maxLength={60}
            value={name}
            error={problem}
            onChange={(event) => setName(event.currentTarget.value)}
          />
          <Button type="submit" size="sm" loading={isBusy}>
            Make the copy
          </Button>
        </form>
      </Popover.Dropdown>
    </Popover>
  );
}

/** A colleague's file: all of it or nothing. */
export function ImportFile({ what }: { readonly what: 'profile' | 'entries' }) {
  const router = useRouter();
  const [isBusy, startBusy] = useTransition();
  const open = (file: File) => {
    startBusy(async () => {
      const text = await file.text();
      const outcome =
        what === 'profile'
          ? await answered(importProfileAction(text))
          : await answered(importEntriesAction(text));
      if (!outcome.ok) {
        showProblem(`Nothing was stored. ${sayProblems(outcome.problems)}`);
        return;
      }
      if (what === 'profile') router.push(`/profiles/${outcome.value}`);
      else showSaved(`Here now: ${counted(Number(outcome.value), 'entry', 'entries')}.`);
    });
  };
  return (
    <FileChoice onFile={open} accept="application/json,.json">
      {(props) => (
        <Button {...props} variant="default" size="sm" loading={isBusy}>
          From a file
        </Button>
      )}
    </FileChoice>
  );
}
