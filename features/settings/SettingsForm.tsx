'use client';

import { answered } from '@/design/answered';
import { Button, NativeSelect, NumberInput, TextInput } from '@mantine/core';
import { useState, useTransition } from 'react';
import type { PaperInk } from '@/core/drawing/palette';
import { saveSettingsAction } from './actions';
import { inkWords } from './inkWords';
import { showProblem, showSaved } from '@/design/notices';

interface SettingsFormProps {
  readonly studio: string;
  readonly breathSeconds: number;
  readonly paperInk: PaperInk;
  readonly scaleAddress: string;
  readonly deskIdleMinutes: number;
  readonly deviceIdleDays: number;
}

export function SettingsForm(initial: SettingsFormProps) {
  const [studio, setStudio] = useState(initial.studio);
  const [breath, setBreath] = useState<number | string>(initial.breathSeconds);
  const [ink, setInk] = useState(initial.paperInk);
  const [scale, setScale] = useState(initial.scaleAddress);
  const [minutes, setMinutes] = useState<number | string>(initial.deskIdleMinutes);
  const [days, setDays] = useState<number | string>(initial.deviceIdleDays);
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [isSaving, start] = useTransition();
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        start(async () => {
          const outcome = await answered(
            saveSettingsAction({
              studio,
              breathSeconds: Number(breath),
              paperInk: ink,
              scaleAddress: scale,
              deskIdleMinutes: Number(minutes),
              deviceIdleDays: Number(days),
            }),
          );
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
      <NativeSelect
        mt="sm"
        label="Drawings on paper"
        value={ink}
        data={Object.entries(inkWords).map(([value, label]) => ({ value, label }))}
        onChange={({ currentTarget: { value } }) => setInk(value as PaperInk)}
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
      <NumberInput
        mt="sm"
        label="Minutes until the desk locks itself"
        description="Only where a passphrase is set."
        min={1}
        max={240}
        value={minutes}
        error={problems.deskIdleMinutes}
        onChange={setMinutes}
      />
      <NumberInput
        mt="sm"
        label="Days until a device that was not heard of is put out"
        min={1}
        max={400}
        value={days}
        error={problems.deviceIdleDays}
        onChange={setDays}
      />
      <Button type="submit" mt="md" loading={isSaving}>
        Keep
      </Button>
    </form>
  );
}
