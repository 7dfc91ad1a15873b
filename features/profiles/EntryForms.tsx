'use client';

import { answered } from '@/design/answered';
import type { EntryKind } from '@/core/catalog/entries';
import {
  Button,
  Group,
  MultiSelect,
  NativeSelect,
  NumberInput,
  SegmentedControl,
  Switch,
  Textarea,
  TextInput,
} from '@mantine/core';
import { PickSome } from '@/design/Picker';
import { useForm, type UseFormReturnType } from '@mantine/form';
import { useState, useTransition } from 'react';
import { cautionColumns, type CautionColumn } from '@/core/catalog/cautionColumns';
import { bodyRegions, bodyRegionTable, type BodyRegion } from '@/core/catalog/regions';
import { getShape, shapeIds } from '@/core/shapes/registry';
import { ladderIds, ladderTable, type LadderId } from '@/core/catalog/stage';
import { stillIds, stillTable } from '@/core/shapes/stills';
import { keepEntryAction } from './actions';
import { showProblems, showSaved } from '@/design/notices';
import { DrawingChoice } from './DrawingChoice';
import {
  keyFor,
  toCheckSpec,
  toDrillSpec,
  toStageSpec,
  type CheckForm,
  type DrillForm,
  type StageForm,
} from './entrySpec';
import classes from './profiles.module.css';

interface Choice {
  readonly value: string;
  readonly label: string;
}

interface EntryFormsProps {
  readonly checks: readonly Choice[];
  readonly branches: readonly Choice[];
  readonly stages: readonly (Choice & { readonly family: LadderId })[];
}

/** A stage, a check, a drill or a branch of the teacher's own. */
export function EntryForms(props: EntryFormsProps) {
  const [kind, setKind] = useState<'stages' | 'checks' | 'drills' | 'branches'>('stages');
  return (
    <div className={classes.form}>
      <SegmentedControl
        aria-label="What to add"
        value={kind}
        data={[
          { value: 'stages', label: 'a stage' },
          { value: 'checks', label: 'a check' },
          { value: 'drills', label: 'a drill' },
          { value: 'branches', label: 'a branch' },
        ]}
        onChange={(value) => setKind(value as typeof kind)}
      />
      {kind === 'stages' && <OwnStage {...props} />}
      {kind === 'checks' && <OwnCheck />}
      {kind === 'drills' && <OwnDrill checks={props.checks} />}
      {kind === 'branches' && <OwnBranch />}
    </div>
  );
}

/** Saves an entry; problems go beside their fields. */
function useKeep<Values extends { readonly label: string }>(
  kind: EntryKind,
  form: UseFormReturnType<Values>,
  toSpec: (values: Values) => unknown,
) {
  const [isSaving, startSaving] = useTransition();
  const keep = form.onSubmit((values) =>
    startSaving(async () => {
      const outcome = await answered(
        keepEntryAction(kind, keyFor(values.label), toSpec(values as Values)),
      );
      if (outcome.ok) {
        showSaved(`${values.label} is on its ladder, or in its list.`);
        form.reset();
        return;
      }
      form.setErrors(outcome.problems);
      showProblems(outcome.problems);
    }),
  );
  return { keep, isSaving };
}

const regionChoices = bodyRegions.map((id) => ({ value: id, label: bodyRegionTable[id].label }));

interface Asks {
  readonly columns: readonly CautionColumn[];
  readonly regions: readonly BodyRegion[];
}

interface AsksOfBodyProps {
  readonly description: string;
  readonly value: Asks;
  readonly onChange: (value: Asks) => void;
}

/** What an entry of one's own asks of a body: the same two questions of every kind of entry. */
function AsksOfBody({ description, value, onChange }: AsksOfBodyProps) {
  return (
    <>
      <MultiSelect
        label="Which cautions look at it"
        description={description}
        data={columns}
        value={[...value.columns]}
        onChange={(chosen) =>
          onChange({ columns: chosen as CautionColumn[], regions: value.regions })
        }
      />
      <MultiSelect
        label="What it loads"
        description="Also what is only strained: pain there closes it."
        data={regionChoices}
        value={[...value.regions]}
        onChange={(chosen) => onChange({ columns: value.columns, regions: chosen as BodyRegion[] })}
      />
    </>
  );
}
const columns = Object.entries(cautionColumns).map(([value, label]) => ({ value, label }));
const shapes = [
  { value: '', label: 'no drawing' },
  ...shapeIds.map((id) => ({ value: `family:${id}`, label: getShape(id).label })),
  ...stillIds.map((id) => ({ value: `still:${id}`, label: stillTable[id].label })),
];

function OwnStage({ checks, branches, stages }: EntryFormsProps) {
  const form = useForm<StageForm>({
    mode: 'controlled',
    initialValues: {
      label: '',
      family: 'handstand',
      after: '',
      branch: '',
      how: '',
      dose: '',
      stepDown: '',
      exit: '',
      columns: ['light', 'wrists'] as CautionColumn[],
      regions: ['shoulder'] as BodyRegion[],
      checks: [],
      shape: '',
      move: '',
      leave: '',
      isFree: false,
      needsWall: false,
    },
  });
  const { keep, isSaving } = useKeep('stages', form, toStageSpec);
  const { family } = form.values;
  return (
    <form className={classes.form} onSubmit={keep} noValidate>
      <TextInput label="Name" maxLength={60} {...form.getInputProps('label')} />
      <Group grow>
        <NativeSelect
          label="Ladder"
          data={ladderIds.map((id) => ({ value: id, label: ladderTable[id].label }))}
          {...form.getInputProps('family')}
        />
        <NativeSelect
          label="Comes after"
          data={[
            { value: '', label: 'the floor' },
            ...stages.filter((stage) => stage.family === family),
          ].map(({ value, label }) => ({ value, label }))}
          {...form.getInputProps('after')}
        />
        <NativeSelect
          label="Branch"
          data={[{ value: '', label: 'none' }, ...branches]}
          {...form.getInputProps('branch')}
        />
      </Group>
      <Textarea label="What to do" maxLength={200} autosize {...form.getInputProps('how')} />
      <Group grow>
        <TextInput label="Dose" maxLength={140} {...form.getInputProps('dose')} />
        <TextInput label="Step down" maxLength={140} {...form.getInputProps('stepDown')} />
        <TextInput label="Way out" maxLength={140} {...form.getInputProps('exit')} />
      </Group>
      <PickSome
        label="Opens with, each at its bar"
        data={[...checks]}
        value={[...form.values.checks]}
        onChange={(value) => form.setFieldValue('checks', value)}
      />
      <AsksOfBody
        description="Everything a doctor might mind: head below heart, load on the neck, weight on the wrists."
        value={form.values}
        onChange={(value) => form.setValues(value)}
      />
      <Group>
        <NativeSelect label="Nearest drawing" data={shapes} {...form.getInputProps('shape')} />
        <Switch label="at a wall" {...form.getInputProps('needsWall', { type: 'checkbox' })} />
        <Switch label="free of support" {...form.getInputProps('isFree', { type: 'checkbox' })} />
      </Group>
      <Group grow align="flex-start">
        <DrawingChoice
          label="How it is come into"
          value={form.values.move}
          onChange={(move) => form.setFieldValue('move', move)}
        />
        <DrawingChoice
          label="How it is left"
          value={form.values.leave}
          onChange={(leave) => form.setFieldValue('leave', leave)}
        />
      </Group>
      <Button type="submit" loading={isSaving}>
        Put it on the ladder
      </Button>
    </form>
  );
}

function OwnCheck() {
  const form = useForm<CheckForm>({
    mode: 'controlled',
    initialValues: {
      label: '',
      kind: 'hold',
      bar: 20,
      validDays: 28,
      hasSides: false,
      isPrivate: false,
      move: '',
      columns: [],
      regions: [],
    },
  });
  const { keep, isSaving } = useKeep('checks', form, toCheckSpec);
  return (
    <form className={classes.form} onSubmit={keep} noValidate>
      <TextInput label="Name" maxLength={60} {...form.getInputProps('label')} />
      <Group grow>
        <NativeSelect
          label="Kind"
          data={[
            { value: 'hold', label: 'a hold, seconds' },
            { value: 'reps', label: 'repetitions' },
            { value: 'pass', label: 'passed or not' },
            { value: 'measure', label: 'a measure, cm' },
          ]}
          {...form.getInputProps('kind')}
        />
        <NumberInput label="Opens at" min={1} {...form.getInputProps('bar')} />
        <NumberInput label="Good for, days" min={1} {...form.getInputProps('validDays')} />
      </Group>
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

function OwnDrill({ checks }: Pick<EntryFormsProps, 'checks'>) {
  const form = useForm<DrillForm>({
    mode: 'controlled',
    initialValues: {
      label: '',
      how: '',
      dose: '',
      minutes: 3,
      sets: 3,
      seconds: 20,
      purpose: 'strengthens',
      isClassOnly: false,
      serves: [],
      move: '',
      regions: [],
      columns: [],
    },
  });
  const { keep, isSaving } = useKeep('drills', form, toDrillSpec);
  return (
    <form className={classes.form} onSubmit={keep} noValidate>
      <TextInput label="Name" maxLength={60} {...form.getInputProps('label')} />
      <Textarea label="What to do" maxLength={200} autosize {...form.getInputProps('how')} />
      <Group grow>
        <TextInput label="Dose" maxLength={140} {...form.getInputProps('dose')} />
        <NumberInput label="Minutes" min={1} max={60} {...form.getInputProps('minutes')} />
      </Group>
      <Group grow>
        <NativeSelect
          label="It"
          data={[
            { value: 'warms', label: 'warms' },
            { value: 'strengthens', label: 'strengthens' },
            { value: 'teaches', label: 'teaches' },
          ]}
          {...form.getInputProps('purpose')}
        />
        <NumberInput label="Sets" min={1} max={20} {...form.getInputProps('sets')} />
        <NumberInput label="Seconds each" min={1} max={300} {...form.getInputProps('seconds')} />
      </Group>
      <Switch
        label="stays in the room: never sent home"
        {...form.getInputProps('isClassOnly', { type: 'checkbox' })}
      />
      <PickSome
        label="Serves"
        data={[...checks]}
        value={[...form.values.serves]}
        onChange={(value) => form.setFieldValue('serves', value)}
      />
      <AsksOfBody
        description="Whoever it is closed to sits it out."
        value={form.values}
        onChange={(value) => form.setValues(value)}
      />
      <DrawingChoice
        label="Drawing"
        value={form.values.move}
        onChange={(move) => form.setFieldValue('move', move)}
      />
      <Button type="submit" loading={isSaving}>
        Add the drill
      </Button>
    </form>
  );
}

function OwnBranch() {
  const form = useForm({ mode: 'controlled', initialValues: { label: '' } });
  const { keep, isSaving } = useKeep('branches', form, (values) => values);
  return (
    <form className={classes.form} onSubmit={keep} noValidate>
      <TextInput label="Name" maxLength={60} {...form.getInputProps('label')} />
      <Button type="submit" loading={isSaving}>
        Add the branch
      </Button>
    </form>
  );
}
