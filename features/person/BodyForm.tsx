'use client';

import { answered } from '@/design/answered';
import { Button, Collapse, Group, NativeSelect, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useState, useTransition } from 'react';
import { saveBodyAction } from './actions';
import type { LengthId } from '@/core/body/lengths';
import { isGirth, takenIds, takenTable, type TakenId } from '@/core/body/taken';
import type { LengthUnits } from '@/core/units/length';
import type { BodyForm as Values } from './bodyForm';
import { showProblem, showSaved } from '@/design/notices';
import classes from './person.module.css';

export interface BodyFormProps {
  readonly personId: number;
  readonly units: LengthUnits;
  readonly initial: Values;
  /** What each length comes to now, estimated or measured, in the teacher's units. */
  readonly current: Readonly<Record<LengthId, string>>;
  /** How the hands may lie, each with what it gives this person. */
  readonly hands: readonly { readonly value: Values['forearmHands']; readonly label: string }[];
  /** The lengths this set-up rests on most, the most telling first. */
  readonly telling: readonly LengthId[];
}

/** Height, mass and whatever was measured. An empty length stays estimated from height. */
export function BodyForm({ personId, units, initial, current, hands, telling }: BodyFormProps) {
  const [isSaving, startSaving] = useTransition();
  const rest = takenIds.filter((id) => isGirth(id) || !telling.includes(id));
  const [showsAll, setShowsAll] = useState(rest.some((id) => initial.lengths[id]));
  const form = useForm<Values>({ mode: 'controlled', initialValues: initial });
  // What was stored when this window last knew: a second window must not overwrite unseen changes.
  const [seen, setSeen] = useState<Values>(initial);

  const save = (values: Values) => {
    startSaving(async () => {
      const outcome = await answered(saveBodyAction(personId, values, seen));
      if (outcome.ok) {
        form.resetDirty();
        setSeen(values);
        showSaved('Measures kept; every distance follows.');
        return;
      }
      form.setErrors(outcome.problems);
      if (outcome.now !== undefined) setSeen(outcome.now as Values);
      if (rest.some((id) => outcome.problems[`lengths.${id}`])) setShowsAll(true);
      if (outcome.problems.form) showProblem(outcome.problems.form);
    });
  };

  const lengthInput = (id: TakenId) => (
    <TextInput
      key={id}
      label={takenTable[id].label}
      description={takenTable[id].howTo}
      placeholder={isGirth(id) ? 'taken as usual' : `${current[id]} estimated`}
      {...form.getInputProps(`lengths.${id}`)}
    />
  );

  return (
    <form onSubmit={form.onSubmit(save)} noValidate className={classes.form}>
      <Group grow align="flex-start">
        <TextInput
          label="Height"
          description={units === 'cm' ? 'in cm, or 5\'6"' : 'feet and inches, or cm'}
          {...form.getInputProps('height')}
        />
        <TextInput
          label="Body mass, kg"
          description="optional; shapes the drawing"
          inputMode="decimal"
          {...form.getInputProps('mass')}
        />
      </Group>
      <NativeSelect
        label="Hands in a forearm stand"
        data={[...hands]}
        {...form.getInputProps('forearmHands')}
      />
      {telling.map(lengthInput)}
      <Button
        variant="subtle"
        size="compact-md"
        aria-expanded={showsAll}
        onClick={() => setShowsAll(!showsAll)}
      >
        {showsAll ? 'Fewer measures' : `${rest.length} more measures`}
      </Button>
      <Collapse expanded={showsAll}>
        <div className={classes.form}>{rest.map(lengthInput)}</div>
      </Collapse>
      <Button type="submit" loading={isSaving}>
        Keep measures
      </Button>
    </form>
  );
}
