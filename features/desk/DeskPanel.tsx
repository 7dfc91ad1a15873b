'use client';

import { answered } from '@/design/answered';
import { Button, Group, PasswordInput, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { dropPassphraseAction } from './actions';
import type { Outcome, Problems } from '@/server/result';
import { showProblem, showSaved } from '@/design/notices';
import classes from './desk.module.css';
import { postDesk } from './post';
import { Recovery } from './Recovery';

interface DeskPanelProps {
  readonly isSet: boolean;
  readonly name: string;
}

/** Sets, changes and drops the passphrase of the desk. */
export function DeskPanel({ isSet, name: usual }: DeskPanelProps) {
  const router = useRouter();
  const [present, setPresent] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const [name, setName] = useState(usual);
  const [given, setGiven] = useState<string | null>(null);
  const [problems, setProblems] = useState<Problems>({});
  const [isBusy, setBusy] = useState(false);
  const settle = (outcome: Outcome<unknown>) => {
    setBusy(false);
    setProblems(outcome.ok ? {} : outcome.problems);
    if (!outcome.ok && outcome.problems.form) showProblem(outcome.problems.form);
    if (outcome.ok) {
      setPresent('');
      setPassphrase('');
      router.refresh();
    }
  };
  const keep = async () => {
    setBusy(true);
    const outcome = await postDesk<{ recovery: string }>('/desk/change', {
      present,
      passphrase,
      name,
    });
    settle(outcome);
    if (outcome.ok) setGiven(outcome.value.recovery);
  };
  const drop = async () => {
    setBusy(true);
    const outcome = await answered(dropPassphraseAction(present));
    settle(outcome);
    if (outcome.ok) showSaved('The desk asks for nothing any more.');
  };
  if (given !== null) return <Recovery code={given} onDone={() => setGiven(null)} />;
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      {isSet && (
        <PasswordInput
          label="Present passphrase"
          autoComplete="current-password"
          value={present}
          error={problems.present}
          onChange={({ currentTarget: { value } }) => setPresent(value)}
        />
      )}
      <PasswordInput
        mt="sm"
        label={isSet ? 'New passphrase' : 'Passphrase or PIN'}
        description="At least six signs. A few words are easier to type than they are to guess."
        autoComplete="new-password"
        value={passphrase}
        error={problems.passphrase}
        onChange={({ currentTarget: { value } }) => setPassphrase(value)}
      />
      <TextInput
        mt="sm"
        label="Who is teaching"
        description="Stands beside decisions and in the diary."
        maxLength={40}
        value={name}
        error={problems.name}
        onChange={({ currentTarget: { value } }) => setName(value)}
      />
      <Group mt="md">
        <Button type="submit" loading={isBusy}>
          {isSet ? 'Change it' : 'Set it'}
        </Button>
        {isSet && (
          <Button variant="default" loading={isBusy} onClick={() => void drop()}>
            Ask for nothing
          </Button>
        )}
      </Group>
      {isSet && (
        <p className={classes.quiet}>
          Lock it with Alt, Shift and L, or with the lock above. It also locks itself.
        </p>
      )}
    </form>
  );
}
