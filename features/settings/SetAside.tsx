'use client';

import { answered } from '@/design/answered';
import { Button, Group, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { dropAsideAction, takeBackAction } from './actions';
import { showProblem, showSaved } from '@/design/notices';
import classes from './settings.module.css';

interface Line {
  readonly id: number;
  readonly place: string;
  readonly words: string;
  readonly isPerson: boolean;
}

/** Rows that could not be read, with a way back for people and a way out for each. */
export function SetAside({ lines }: { readonly lines: readonly Line[] }) {
  return (
    <ul className={classes.aside}>
      {lines.map((line) => (
        <AsideLine key={line.id} line={line} />
      ))}
    </ul>
  );
}

function AsideLine({ line: { id, place, words, isPerson } }: { readonly line: Line }) {
  const router = useRouter();
  const [height, setHeight] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [isDropping, setDropping] = useState(false);
  const [isBusy, setBusy] = useState(false);
  const back = async () => {
    setBusy(true);
    const outcome = await answered(takeBackAction({ id, height }));
    setBusy(false);
    setProblem(outcome.ok ? null : (outcome.problems.height ?? null));
    if (!outcome.ok && outcome.problems.form) showProblem(outcome.problems.form);
    if (!outcome.ok) return;
    showSaved(`${outcome.value} is back.`);
    router.refresh();
  };
  const drop = async () => {
    setBusy(true);
    const outcome = await answered(dropAsideAction(id));
    setBusy(false);
    if (outcome.ok) router.refresh();
    else showProblem(outcome.problems.form ?? 'That did not work.');
  };
  return (
    <li>
      <p>
        {place}: {words}
      </p>
      {isPerson && (
        <form
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void back();
          }}
        >
          <Group align="flex-end" gap="xs">
            <TextInput
              label="Height, as it should be"
              value={height}
              error={problem}
              onChange={({ currentTarget: { value } }) => setHeight(value)}
            />
            <Button type="submit" loading={isBusy}>
              Take back
            </Button>
          </Group>
        </form>
      )}
      <Button
        variant="subtle"
        size="compact-sm"
        {...(isDropping ? { color: 'var(--lv-stop)' } : {})}
        loading={isBusy}
        onClick={() => (isDropping ? void drop() : setDropping(true))}
      >
        {isDropping ? 'Drop it for good' : 'Drop it'}
      </Button>
    </li>
  );
}
