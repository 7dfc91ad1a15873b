'use client';

import { answered } from '@/design/answered';
import { sayProblems } from '@/server/result';
import { Button, Select, TextInput } from '@mantine/core';
import { useState, useTransition } from 'react';
import type { Distance, DistanceId } from '@/core/setups/distance';
import { distanceWords } from '@/core/setups/distanceWords';
import type { SetupId } from '@/core/setups/registry';
import { formatLength, parseLength, type LengthUnits } from '@/core/units/length';
import { keepSetupAction } from '@/features/person/actions';
import type { BenchPerson } from '@/server/judging/views';
import { offerUndo } from './offerUndo';
import { showProblem } from '@/design/notices';
import classes from './bench.module.css';

interface KeepDistanceProps {
  readonly person: BenchPerson;
  readonly setup: SetupId;
  readonly distances: readonly Distance[];
  readonly units: LengthUnits;
}

/** A width, a height, a loop or a distance that was found by trying, kept for this person. */
export function KeepDistance({ person, setup, distances, units }: KeepDistanceProps) {
  const kinds = distances.filter(({ id }) => distanceWords[id].mayKeep);
  const [chosen, setChosen] = useState<DistanceId | undefined>(kinds[0]?.id);
  const [typed, setTyped] = useState('');
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [isSaving, startSaving] = useTransition();
  const now = kinds.find(({ id }) => id === chosen) ?? kinds[0];
  if (now === undefined) return null;

  const keep = () => {
    const metres = parseLength(typed, units);
    if (metres === null) {
      setProblem(units === 'cm' ? 'Write a length like 51 or 51.5.' : 'Write a length like 20.');
      return;
    }
    setProblem(null);
    startSaving(async () => {
      const outcome = await answered(
        keepSetupAction(person.id, {
          family: setup,
          values: { [now.id]: metres },
          note,
        }),
      );
      if (!outcome.ok) {
        const words = sayProblems(outcome.problems);
        setProblem(words);
        showProblem(words);
        return;
      }
      setTyped('');
      setNote('');
      offerUndo(person, outcome.value);
    });
  };

  return (
    <details className="no-print">
      <summary>Found another by trying</summary>
      <div className={classes.pair}>
        <Select
          label="What"
          data={kinds.map(({ id, label }) => ({ value: id, label }))}
          value={now.id}
          onChange={(value) => value !== null && setChosen(value as DistanceId)}
          allowDeselect={false}
        />
        <TextInput
          label={`Now (${units})`}
          placeholder={formatLength(now.metres, units)}
          value={typed}
          error={problem}
          onChange={(event) => setTyped(event.currentTarget.value)}
        />
      </div>
      <TextInput
        label="In words"
        placeholder="a little wider felt free"
        maxLength={300}
        value={note}
        onChange={(event) => setNote(event.currentTarget.value)}
      />
      <Button mt="xs" loading={isSaving} onClick={keep}>
        Keep for {person.name}
      </Button>
    </details>
  );
}
