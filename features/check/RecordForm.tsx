'use client';

import { answered } from '@/design/answered';
import {
  Button,
  Checkbox,
  Chip,
  Group,
  NativeSelect,
  SegmentedControl,
  Select,
  TextInput,
} from '@mantine/core';
import dynamic from 'next/dynamic';
import { patiently } from '@/design/patiently';
import { Link } from '@/design/Link';
import { plumbAnswers, plumbForCheck, type PlumbWay } from '@/features/plumb/address';
import { useForm } from '@mantine/form';
import { useState, useTransition } from 'react';
import { recordCheckAction } from '@/features/person/actions';
import { keptSide, sideAfter, type AskedSide } from '@/core/catalog/askedSides';
import { faultIds, faultTable, type FaultId } from '@/core/catalog/checks';
import { parseLength, type LengthUnits } from '@/core/units/length';
import { readingFrom, sayReading } from '@/core/units/reading';
import { entriesOf } from '@/core/units/keyed';
import { painPlaces, painPlaceTable } from '@/core/catalog/regions';
import type { RecordForm as RecordFormValues } from '@/server/files/recordForm';
import type { GateRow } from '@/server/judging/gateRows';
import { useUnits } from '@/design/units';
import { showProblem } from '@/design/notices';
import { showRecorded } from './showRecorded';
import classes from './record.module.css';

/** A unit of more than a few signs makes its field wider: about so much for each sign. */
const signPx = 8;
const wideUnitPx = 48;

interface RecordFormProps {
  readonly personId: number;
  readonly row: GateRow;
  readonly today: string;
  readonly breathSeconds: number;
  /** Called when the record is kept, with the side it was of; a check without sides is of both. */
  readonly onRecorded?: (side: AskedSide) => void;
}

/** Drawings come with the form, not with the page. */
const StripView = dynamic(
  patiently(() => import('@/design/atlas/StripView').then((module) => module.StripView)),
);

type Values = Omit<RecordFormValues, 'check' | 'base' | 'side'> & { readonly side: AskedSide };

/** What Plumb offers beside the number. */
const plumbWords: Readonly<Record<PlumbWay, readonly [link: string, what: string]>> = {
  picture: ['From a picture', 'marks on a photo of your own, with their error.'],
  pictures: [
    'From two pictures',
    'from the front, before and after clasping; keep the marks of both, then compare them.',
  ],
  clock: [
    'By the camera’s clock',
    'it starts and stops by itself; a clip of the try does as well.',
  ],
  clip: ['From a clip', 'of the whole try, from before the feet leave to after they are back.'],
};

/** Seen in any shape; offered beside whatever voids the check at hand. */
const generalFaults: readonly FaultId[] = ['breath-held', 'strain-in-face', 'looks-scared'];

/** Faults that void this check first: the ones a teacher looks for are nearest. */
function orderFaults(voidedBy: readonly FaultId[], showsAll: boolean): FaultId[] {
  const near = [...voidedBy, ...generalFaults.filter((fault) => !voidedBy.includes(fault))];
  return showsAll ? [...near, ...faultIds.filter((fault) => !near.includes(fault))] : near;
}

/** A length as typed, also `1 1/2 in` or `4 cm`, in what records are kept in; what is none stays as it is. */
function inCentimetres(typed: string, units: LengthUnits): string {
  const plain = Number(typed.trim().replace(',', '.'));
  if (typed.trim() !== '' && Number.isFinite(plain)) return String(readingFrom(plain, units));
  const metres = parseLength(typed, units);
  return metres === null ? typed : String(Math.round(metres * 1000) / 10);
}

export function RecordForm(props: RecordFormProps) {
  const { personId, row, today, breathSeconds, onRecorded } = props;
  const [isSaving, startSaving] = useTransition();
  const form = useForm<Values>({
    mode: 'controlled',
    initialValues: {
      value: row.valueKind === 'pass' ? '1' : '',
      unit: 'plain',
      date: today,
      stoppedByTeacher: false,
      faults: [],
      pain: false,
      painPlace: null,
      side: row.sides[0] ?? 'both',
    },
  });
  const [showsAll, setShowsAll] = useState(false);
  const units = useUnits();
  const isHold = row.valueKind === 'seconds';
  const plumb = plumbAnswers(row.check ?? '');
  const unitLabel = row.isLength ? units : row.unitLabel;
  const unitPx = isHold ? 0 : unitLabel.length * signPx;

  const save = (values: Values) => {
    const { check } = row;
    if (check === null) return;
    startSaving(async () => {
      const outcome = await answered(
        recordCheckAction(personId, {
          ...values,
          value: row.isLength ? inCentimetres(values.value, units) : values.value,
          side: keptSide(values.side),
          check,
          base: row.base,
        }),
      );
      if (!outcome.ok) {
        const said = entriesOf(outcome.problems).map(([field, words]) => [
          field,
          sayReading(words, units),
        ]);
        form.setErrors(Object.fromEntries(said));
        if (outcome.problems.form) showProblem(outcome.problems.form);
        return;
      }
      showRecorded(personId, outcome.value, row.label);
      onRecorded?.(values.side);
      form.setValues({
        value: row.valueKind === 'pass' ? '1' : '',
        faults: [],
        pain: false,
        painPlace: null,
      });
      form.setFieldValue('stoppedByTeacher', false);
      // The other side comes next, as often as not.
      form.setFieldValue('side', sideAfter(values.side));
      form.getInputNode('value')?.focus();
    });
  };

  return (
    <form className={classes.record} onSubmit={form.onSubmit(save)} noValidate>
      {row.move && (
        <StripView move={row.move} label={`How it is taken: ${row.label}`} heightPx={84} />
      )}
      {row.method && <p className={classes.hint}>{row.method}</p>}
      {plumb !== null && row.check !== null && (
        <p className={classes.hint}>
          <Link href={plumbForCheck(personId, row.check, row.base)}>{plumbWords[plumb][0]}</Link>:{' '}
          {plumbWords[plumb][1]}
        </p>
      )}
      <Group align="flex-start" gap="md">
        {row.valueKind === 'pass' ? (
          <SegmentedControl
            aria-label={row.label}
            data={[
              { value: '1', label: 'passed' },
              { value: '0', label: 'not' },
            ]}
            {...form.getInputProps('value')}
          />
        ) : row.levels ? (
          <NativeSelect
            label="Which level"
            data-autofocus
            autoFocus
            data={[
              { value: '', label: 'choose' },
              ...row.levels.map((words, level) => ({
                value: String(level),
                label: `${level} ${words}`,
              })),
            ]}
            {...form.getInputProps('value')}
          />
        ) : (
          <TextInput
            label={isHold ? 'How long' : 'How much'}
            inputMode="decimal"
            data-autofocus
            autoFocus
            w={unitPx > wideUnitPx ? 104 + unitPx : 120}
            rightSectionWidth={Math.max(wideUnitPx, unitPx)}
            rightSection={<span className={classes.unit}>{isHold ? '' : unitLabel}</span>}
            {...form.getInputProps('value')}
          />
        )}
        {isHold && (
          <div>
            <span className={classes.label} id={`unit-${row.check}`}>
              Counted in
            </span>
            <SegmentedControl
              aria-labelledby={`unit-${row.check}`}
              data={[
                { value: 'plain', label: 'seconds' },
                { value: 'breaths', label: `breaths of ${breathSeconds} s` },
              ]}
              {...form.getInputProps('unit')}
            />
          </div>
        )}
        {row.sides.length > 0 && (
          <div>
            <span className={classes.label} id={`side-${row.check}`}>
              Side
            </span>
            <SegmentedControl
              aria-labelledby={`side-${row.check}`}
              data={[...row.sides]}
              {...form.getInputProps('side')}
            />
          </div>
        )}
        <TextInput label="Seen on" type="date" max={today} {...form.getInputProps('date')} />
      </Group>
      <Group gap="lg" mt="sm">
        {isHold && (
          <Checkbox
            label="I stopped it: it was at least this long"
            {...form.getInputProps('stoppedByTeacher', { type: 'checkbox' })}
          />
        )}
        <Checkbox label="Pain" {...form.getInputProps('pain', { type: 'checkbox' })} />
        {form.values.pain && (
          <Select
            aria-label="Where it hurts"
            placeholder="where it hurts"
            data={painPlaces.map((id) => ({ value: id, label: painPlaceTable[id].label }))}
            clearable
            w={190}
            {...form.getInputProps('painPlace')}
          />
        )}
      </Group>
      <div role="group" aria-label="Faults seen" className={classes.faults}>
        <Chip.Group multiple {...form.getInputProps('faults')}>
          {orderFaults(row.voidedBy, showsAll).map((fault) => (
            <Chip key={fault} value={fault} size="sm" variant="outline">
              {faultTable[fault].label}
            </Chip>
          ))}
        </Chip.Group>
        {!showsAll && (
          <Button variant="subtle" size="compact-sm" onClick={() => setShowsAll(true)}>
            More faults
          </Button>
        )}
      </div>
      <Group mt="sm" gap="md">
        <Button type="submit" loading={isSaving}>
          Keep this record
        </Button>
        {row.voidedBy.length > 0 && (
          <span className={classes.hint}>
            {row.voidedBy.map((fault) => faultTable[fault].label).join(', ')}: counts against only
          </span>
        )}
      </Group>
    </form>
  );
}
