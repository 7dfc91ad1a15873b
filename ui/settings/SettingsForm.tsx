'use client';

import { Button, NumberInput, TextInput } from '@mantine/core';
import { useState, useTransition } from 'react';
import { saveSettingsAction } from '@/server/actions';
import { showProblem, showSaved } from '@/ui/person/notices';

interface SettingsFormProps {
  readonly studio: string;
  readonly breathSeconds: number;
  readonly scaleAddress: string;
}

export function SettingsForm(initial: SettingsFormProps) {
  const [studio, setStudio] = useState(initial.studio);
  const [breath, setBreath] = useState<number | string>(initial.breathSeconds);
  const [scale, setScale] = useState(initial.scaleAddress);
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [isSaving, start] = useTransition();
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        start(async () => {
          const outcome = await saveSettingsAction({
            studio,
            breathSeconds: Number(breath),
            scaleAddress: scale,
          });
          setProblems(outcome.ok ? {} : outcome.problems);
          if (outcome.ok) showSaved('Kept.');
          else if (outcome.problems.form) showProblem(outcome.problems.form);
        });
      }}
    >
      <TextInput
        label="Name of the place"
        value={studio}
        maxLength={60}
        error={problems.studio}
        onChange={({ currentTarget: { value } }) => setStudio(value)}
      />
      <NumberInput
        mt="sm"
        label="Seconds in a breath"
        min={3}
        max={8}
        step={0.5}
        value={breath}
        error={problems.breathSeconds}
        onChange={setBreath}
      />
      <TextInput
        mt="sm"
        label="Load scale on your network"
        description="Address of a scale that streams readings, such as http://192.168.1.40/stream. Empty: only the practice scale that comes with the program."
        value={scale}
        maxLength={200}
        error={problems.scaleAddress}
        onChange={({ currentTarget: { value } }) => setScale(value)}
      />
      <Button type="submit" mt="md" loading={isSaving}>
        Keep
      </Button>
    </form>
  );
}
