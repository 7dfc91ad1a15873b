'use client';

import { memo, useState } from 'react';
import { Group, SegmentedControl } from '@mantine/core';
import { NumberField } from '@/design/NumberField';
import type { Body } from '@/core/body/body';
import { getMeasure, stillMeasureIds } from '@/core/plumb/measureTable';
import {
  canLean,
  hasWallDistance,
  plainPractice,
  practiceLights,
  practiceRanges,
  practiceTruth,
  type PracticeChoices,
  type PracticeLight,
  type PracticeWish,
} from '@/core/plumb/practice';
import { readStill, type StillReading } from '@/core/plumb/still';
import { sayValue } from '@/core/plumb/words';
import type { LengthUnits } from '@/core/units/length';
import { firstUp } from '@/core/units/words';
import classes from './plumb.module.css';

interface PracticeCameraProps {
  readonly body: Body;
  readonly wish: PracticeWish;
  readonly onChange: (wish: PracticeWish) => void;
}

type Dialled = keyof typeof practiceRanges;

/** What is turned on the camera, in words and in the unit it is read in. */
const dials = {
  archDeg: { label: 'Arch', unit: '°', per: 1, step: 2 },
  pastDeg: { label: 'Leans past base', unit: '°', per: 1, step: 1 },
  kneeDeg: { label: 'Near knee bent', unit: '°', per: 1, step: 5 },
  apartM: { label: 'Wider than shoulders', unit: ' cm', per: 100, step: 1 },
  wallMoreM: { label: 'Further from wall', unit: ' cm', per: 100, step: 1 },
  tiltDeg: { label: 'Camera tilted', unit: '°', per: 1, step: 1 },
  cameraM: { label: 'Camera high', unit: ' cm', per: 100, step: 10 },
  distanceM: { label: 'Camera away', unit: ' cm', per: 100, step: 20 },
} as const satisfies Record<
  Dialled,
  { readonly label: string; readonly unit: string; readonly per: number; readonly step: number }
>;

const cameraDials = ['cameraM', 'distanceM', 'tiltDeg'] as const satisfies readonly Dialled[];

const lightWords: Readonly<Record<PracticeLight, string>> = {
  day: 'Day',
  evening: 'One lamp',
  window: 'Against a window',
};

/** What can be wrong in this picture: what the shape does not allow is not offered. */
function faultDials(body: Body, { shape, view = 'side' }: PracticeWish): readonly Dialled[] {
  if (view === 'front') return ['apartM'];
  return [
    ...(canLean(body, shape) ? (['archDeg', 'pastDeg', 'kneeDeg'] as const) : []),
    ...(hasWallDistance(shape) ? (['wallMoreM'] as const) : []),
  ];
}

/** The stand-in for a camera: somebody painted as they are asked for, from where they are looked at. */
export const PracticeCamera = memo(function PracticeCamera({
  body,
  wish,
  onChange,
}: PracticeCameraProps) {
  const chosen: PracticeChoices = { ...plainPractice, ...wish };
  const dial = (name: Dialled) => {
    const { label, unit, per, step } = dials[name];
    const [low, high] = practiceRanges[name];
    const [least, most] = [Math.round(low * per), Math.round(high * per)];
    const value = Math.round(chosen[name] * per);
    return (
      <NumberField
        key={name}
        label={label}
        size="sm"
        suffix={unit}
        min={least}
        max={most}
        step={step}
        value={value}
        onNumber={(next) => {
          // The 1 of a 15 is on its way to a figure.
          if (next >= least && next <= most) onChange({ ...wish, [name]: next / per });
        }}
      />
    );
  };
  const faults = faultDials(body, wish);
  return (
    <details className={classes.camera} aria-label="Practice camera">
      <summary>How it is painted: from where, in what light, with what wrong</summary>
      <Group gap="md">
        <SegmentedControl
          aria-label="Painted from"
          value={chosen.view}
          data={[
            { value: 'side', label: 'From the side' },
            { value: 'front', label: 'From the front' },
          ]}
          onChange={(view) => onChange({ ...wish, view: view as PracticeChoices['view'] })}
        />
        <SegmentedControl
          aria-label="Light"
          value={chosen.light}
          data={practiceLights.map((value) => ({ value, label: lightWords[value] }))}
          onChange={(light) => onChange({ ...wish, light: light as PracticeLight })}
        />
      </Group>
      <div className={classes.dials}>
        {faults.map(dial)}
        {cameraDials.map(dial)}
      </div>
    </details>
  );
});

interface PaintedProps {
  readonly body: Body;
  readonly wish: PracticeWish;
  readonly reading: StillReading;
  readonly units: LengthUnits;
}

/** What was painted, for whoever asks: how far the eye, or the reader, was off. */
export function Painted(props: PaintedProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details
      className={classes.painted}
      open={isOpen}
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary>What was painted</summary>
      {isOpen && <PaintedTable {...props} />}
    </details>
  );
}

function PaintedTable({ body, wish, reading, units }: PaintedProps) {
  const truth = readStill({ ...practiceTruth(body, wish), shape: wish.shape });
  const rows = stillMeasureIds.flatMap((id) => {
    const [is, said] = [truth.measures[id], reading.measures[id]];
    return is === undefined || said === undefined ? [] : [{ id, is, said }];
  });
  const held = rows.filter(({ is, said }) => said.low <= is.value && is.value <= said.high).length;
  return (
    <>
      <table>
        <thead>
          <tr>
            <th scope="col">Measure</th>
            <th scope="col">painted</th>
            <th scope="col">read</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, is, said }) => (
            <tr key={id}>
              <th scope="row">{firstUp(getMeasure(id).label)}</th>
              <td>{sayValue(is, units)}</td>
              <td>{sayValue(said, units)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p>
        {held} of {rows.length} lie within what the reading gives or takes; two in three are to be
        expected.
      </p>
    </>
  );
}
