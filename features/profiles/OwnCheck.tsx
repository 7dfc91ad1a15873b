'use client';

import {
  Button,
  Group,
  MultiSelect,
  NativeSelect,
  NumberInput,
  Switch,
  Textarea,
  TextInput,
} from '@mantine/core';
import { useForm } from '@mantine/form';
import type { FaultId } from '@/core/catalog/faults';
import { checkViews, instrumentIds, instrumentTable, viewTable } from '@/core/catalog/taking';
import type { LengthUnits } from '@/core/units/length';
import { readingFrom } from '@/core/units/reading';
import { useUnits } from '@/design/units';
import { DrawingChoice } from './DrawingChoice';
import { AsksOfBody, faults, useKeep } from './entryParts';
import { toCheckSpec, type CheckForm, type ownCheckKinds } from './entrySpec';
import classes from './profiles.module.css';

const kindsIn = (
  units: LengthUnits,
): { readonly value: (typeof ownCheckKinds)[number]; readonly label: string }[] => [
  { value: 'hold', label: 'a hold, seconds' },
  { value: 'reps', label: 'repetitions' },
  { value: 'pass', label: 'passed or not' },
  { value: 'measure', label: `a measure, ${units}` },
  { value: 'angle', label: 'an angle, degrees' },
  { value: 'level', label: 'levels with names' },
];

/** What each kind begins with: a bar of its own size, read off what gives such a value. */
const usualIn: Readonly<Record<CheckForm['kind'], Pick<CheckForm, 'bar' | 'instrument'>>> = {
  hold: { bar: 20, instrument: 'clock' },
  reps: { bar: 5, instrument: 'count' },
  pass: { bar: 2, instrument: 'eye' },
  measure: { bar: 5, instrument: 'tape' },
  angle: { bar: 70, instrument: 'angle' },
  level: { bar: 1, instrument: 'eye' },
};

const named = <Id extends string>(ids: readonly Id[], table: Readonly<Record<Id, string>>) =>
  ids.map((value) => ({ value, label: table[value] }));
const views = named(checkViews, viewTable);
const instruments = named(instrumentIds, instrumentTable);

/** A check of the teacher's own, with how it is taken. */
export function OwnCheck() {
  const form = useForm<CheckForm>({
    mode: 'controlled',
    initialValues: {
      label: '',
      kind: 'hold',
      bar: usualIn.hold.bar,
      validDays: 28,
      hasSides: false,
      isPrivate: false,
      view: 'side',
      instrument: usualIn.hold.instrument,
      method: '',
      levels: '',
      voidedBy: [],
      move: '',
      columns: [],
      regions: [],
    },
  });
  const units = useUnits();
  // A length is typed as the studio measures, and kept in centimetres.
  const { keep, isSaving } = useKeep('checks', form, (values: CheckForm) =>
    toCheckSpec(
      values.kind === 'measure' ? { ...values, bar: readingFrom(values.bar, units) } : values,
    ),
  );
  return (
    <form className={classes.form} onSubmit={keep} noValidate>
      <TextInput label="Name" maxLength={60} {...form.getInputProps('label')} />
      <Group grow align="flex-start">
        <NativeSelect
          label="Kind"
          data={kindsIn(units)}
          value={form.values.kind}
          onChange={({ currentTarget: { value } }) => {
            const kind = value as CheckForm['kind'];
            form.setValues({ kind, ...usualIn[kind] });
          }}
        />
        <NumberInput
          label={form.values.kind === 'level' ? 'Opens at level' : 'Opens at'}
          min={1}
          {...form.getInputProps('bar')}
        />
        <NumberInput label="Good for, days" min={1} {...form.getInputProps('validDays')} />
      </Group>
      {form.values.kind === 'level' && (
        <Textarea
          label="What the levels are called"
          description="One a line, the first is level 0."
          autosize
          minRows={3}
          {...form.getInputProps('levels')}
        />
      )}
      <Group grow>
        <NativeSelect label="Looked at" data={views} {...form.getInputProps('view')} />
        <NativeSelect label="Read off" data={instruments} {...form.getInputProps('instrument')} />
      </Group>
      <Textarea
        label="How it is taken"
        description="What is done, and what ends it."
        maxLength={300}
        autosize
        {...form.getInputProps('method')}
      />
      <MultiSelect
        label="Does not count with"
        data={faults}
        value={[...form.values.voidedBy]}
        onChange={(chosen) => form.setFieldValue('voidedBy', chosen as FaultId[])}
      />
      <Switch label="each side" {...form.getInputProps('hasSides', { type: 'checkbox' })} />
      <Switch
        label="mine alone: assistants do not see it"
        {...form.getInputProps('isPrivate', { type: 'checkbox' })}
      />
      <AsksOfBody
        description="Nobody is asked to show what is closed to them."
        value={form.values}
        onChange={(value) => form.setValues(value)}
      />
      <DrawingChoice
        label="How it is taken, drawn"
        value={form.values.move}
        onChange={(move) => form.setFieldValue('move', move)}
      />
      <Button type="submit" loading={isSaving}>
        Add the check
      </Button>
    </form>
  );
}
