'use client';

import { Anchor, Button, PasswordInput, TextInput, Title } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import type { Problems } from '@/server/result';
import classes from './desk.module.css';
import { postDesk } from './post';
import { Recovery } from './Recovery';

const enter = () => window.location.assign('/');

interface SignInProps {
  readonly name: string;
  /** This browser was signed in and locked: the running class is still its to tap in. */
  readonly isFloorOpen: boolean;
}

/** Before anything else at a desk with a passphrase. */
export function SignIn({ name: usual, isFloorOpen }: SignInProps) {
  const [isRecovering, setRecovering] = useState(false);
  const [name, setName] = useState(usual);
  const [passphrase, setPassphrase] = useState('');
  const [recovery, setRecovery] = useState('');
  const [given, setGiven] = useState<string | null>(null);
  const [problems, setProblems] = useState<Problems>({});
  const [isBusy, setBusy] = useState(false);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    const outcome = isRecovering
      ? await postDesk<{ recovery: string }>('/desk/recover', { recovery, passphrase, name })
      : await postDesk<object>('/desk/in', { passphrase, name });
    setBusy(false);
    if (!outcome.ok) {
      setProblems(outcome.problems);
      setPassphrase('');
    } else if ('recovery' in outcome.value) setGiven(String(outcome.value.recovery));
    else enter();
  };
  if (given !== null) {
    return (
      <main id="main" className={classes.narrow}>
        <Title order={1} size="1.9rem">
          A new code
        </Title>
        <Recovery code={given} onDone={enter} />
      </main>
    );
  }
  return (
    <main id="main" className={classes.narrow}>
      <form noValidate onSubmit={(event) => void submit(event)}>
        <Title order={1} size="1.9rem">
          {isRecovering ? 'With the printed code' : 'This desk is locked'}
        </Title>
        <p>
          A class that runs goes on meanwhile: its tablets keep every tap and deliver it as usual.
          {isFloorOpen && (
            <>
              {' '}
              <Anchor href="/floor" c="inherit" td="underline">
                To the class on the floor
              </Anchor>
            </>
          )}
        </p>
        {isRecovering && (
          <TextInput
            size="lg"
            label="Recovery code"
            value={recovery}
            error={problems.recovery}
            onChange={({ currentTarget: { value } }) => setRecovery(value)}
          />
        )}
        <PasswordInput
          size="lg"
          mt="md"
          label={isRecovering ? 'New passphrase' : 'Passphrase'}
          autoFocus
          autoComplete={isRecovering ? 'new-password' : 'current-password'}
          value={passphrase}
          error={problems.passphrase ?? problems.form}
          onChange={({ currentTarget: { value } }) => setPassphrase(value)}
        />
        <TextInput
          size="lg"
          mt="md"
          label="Who is teaching"
          description="Stands beside decisions; may be empty."
          value={name}
          maxLength={40}
          error={problems.name}
          onChange={({ currentTarget: { value } }) => setName(value)}
        />
        <Button type="submit" size="lg" mt="lg" fullWidth loading={isBusy}>
          {isRecovering ? 'Open and set it' : 'Sign in'}
        </Button>
        <Anchor
          component="button"
          type="button"
          mt="md"
          c="inherit"
          td="underline"
          onClick={() => {
            setRecovering(!isRecovering);
            setProblems({});
          }}
        >
          {isRecovering ? 'Back to the passphrase' : 'The passphrase is forgotten'}
        </Anchor>
      </form>
    </main>
  );
}
