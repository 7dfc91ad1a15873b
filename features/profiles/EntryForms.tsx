'use client';

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
import { useForm } from '@mantine/form';
import { useState } from 'react';
import type { CautionColumn } from '@/core/catalog/cautionColumns';
import type { FaultId } from '@/core/catalog/faults';
import { tryKinds, type TryKind } from '@/core/catalog/tries';
import type { BodyRegion } from '@/core/catalog/regions';
import { wayUpIds, wayUpTable, type WayUpId } from '@/core/catalog/waysUp';
import { getShape, shapeIds } from '@/core/shapes/registry';
import { ladderIds, ladderTable, type LadderId } from '@/core/catalog/stage';
import { stillIds, stillTable } from '@/core/shapes/stills';
import { OwnCheck } from './OwnCheck';
import { AsksOfBody, faults, useKeep } from './entryParts';
import { DrawingChoice } from './DrawingChoice';
import { mayHaveWays, toDrillSpec, toStageSpec, type DrillForm, type StageForm } from './entrySpec';
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

const shapes = [
  { value: '', label: 'no drawing' },
  ...shapeIds.map((id) => ({ value: `family:${id}`, label: getShape(id).label })),
  ...stillIds.map((id) => ({ value: `still:${id}`, label: stillTable[id].label })),
];

const waysUp = wayUpIds.map((value) => ({ value, label: wayUpTable[value].label }));

const triedWords: Readonly<Record<TryKind, string>> = {
  hop: 'tried, by hops',
  kick: 'tried, by kicks',
  lift: 'tried, by drawing the legs up',
};

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
      tried: '',
      waysUp: [],
      faults: [],
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
      <Group grow align="flex-start">
        <NativeSelect
          label="It is"
          description="A try asks for the student’s own word, and is counted on the Floor."
          data={[
            { value: '', label: 'held' },
            ...tryKinds.map((value) => ({ value, label: triedWords[value] })),
          ]}
          {...form.getInputProps('tried')}
        />
        <MultiSelect
          label="Watch for"
          description="Said on the card, and tapped on the Floor."
          data={faults}
          value={[...form.values.faults]}
          onChange={(chosen) => form.setFieldValue('faults', chosen as FaultId[])}
        />
      </Group>
      <Group>
        <NativeSelect label="Nearest drawing" data={shapes} {...form.getInputProps('shape')} />
        <Switch label="at a wall" {...form.getInputProps('needsWall', { type: 'checkbox' })} />
        <Switch label="free of support" {...form.getInputProps('isFree', { type: 'checkbox' })} />
      </Group>
      {mayHaveWays(form.values) && (
        <MultiSelect
          label="Ways up"
          description="Each with its own lane and count; which it was is tapped with the try. None: there is one."
          data={waysUp}
          value={[...form.values.waysUp]}
          onChange={(chosen) => form.setFieldValue('waysUp', chosen as WayUpId[])}
        />
      )}
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
