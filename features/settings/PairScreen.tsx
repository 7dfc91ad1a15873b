'use client';

import { Button, TextInput, Title } from '@mantine/core';
import { useEffect, useState } from 'react';
import { listUnsent, wipeDevice } from '@/features/floor/store';
import { LeftBehind, type Unsent } from './LeftBehind';

/** A tablet asks to be let in. The code may come with the address, behind the hash. */
export function PairScreen() {
  const [code, setCode] = useState('');
  const [name, setName] = useState('');
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [isBusy, setBusy] = useState(false);
  const [unsent, setUnsent] = useState<readonly Unsent[]>([]);
  const forget = async () => {
    await wipeDevice().catch(() => undefined);
    setUnsent([]);
  };
  // Whoever is not let in, or no longer: nothing of the studio stays on the device.
  useEffect(() => {
    let isOver = false;
    const look = async () => {
      const { status } = await fetch('/pair/here', { cache: 'no-store' });
      if (status !== 401 || isOver) return;
      const found = await listUnsent().catch(() => []);
      if (found.length > 0) setUnsent(found);
      else await wipeDevice();
    };
    void look().catch(() => undefined);
    return () => {
      isOver = true;
    };
  }, []);
  const join = async () => {
    setBusy(true);
    const typed = code.trim() === '' ? window.location.hash.slice(1) : code;
    try {
      const response = await fetch('/pair/join', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ code: typed, name }),
      });
      const outcome = (await response.json()) as { ok: boolean; problems?: Record<string, string> };
      if (outcome.ok) {
        window.location.replace('/floor');
        return;
      }
      setProblems(outcome.problems ?? {});
    } catch {
      setProblems({ code: 'The studio’s computer did not answer. Try again.' });
    }
    setBusy(false);
  };
  return (
    <main>
      <form
        style={{ maxWidth: 420, margin: '12vh auto', padding: '0 20px' }}
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void join();
        }}
      >
        <Title order={1} size="1.9rem">
          Join the class
        </Title>
        {unsent.length > 0 && <LeftBehind unsent={unsent} onForget={() => void forget()} />}
        <p>Ask the teacher for a code. With the picture scanned, the code is already here.</p>
        <TextInput
          size="lg"
          label="Name of this tablet"
          value={name}
          maxLength={40}
          error={problems.name}
          onChange={({ currentTarget: { value } }) => setName(value)}
        />
        <TextInput
          size="lg"
          mt="md"
          label="Code"
          inputMode="numeric"
          autoComplete="one-time-code"
          value={code}
          error={problems.code ?? problems.form}
          onChange={({ currentTarget: { value } }) => setCode(value)}
        />
        <Button
          type="submit"
          size="lg"
          mt="lg"
          fullWidth
          loading={isBusy}
          disabled={unsent.length > 0}
        >
          Join
        </Button>
      </form>
    </main>
  );
}
