'use client';

import { sayOnAxis, sayShortDay } from '@/design/days';
import { SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import type { FloorDay } from './read';
import { EveningChart, tryBars } from './EveningChart';
import { FigureTable } from './FigureTable';
import classes from './record.module.css';

const share = (part: number, whole: number) =>
  whole === 0 ? null : Math.round((100 * part) / whole);
const words = (value: number | null) => (value === null ? '–' : `${value} %`);

/** One person on the floor: minutes upside down, tries, landings, one leg against the other. */
export function FloorDays({
  days,
  csv,
}: {
  readonly days: readonly FloorDay[];
  readonly csv: string;
}) {
  const [shown, setShown] = useState('chart');
  if (days.length === 0) {
    return <p>Nothing from the floor yet: tries and timed holds of a class come to stand here.</p>;
  }
  const sum = (of: (day: FloorDay) => number) => days.reduce((total, day) => total + of(day), 0);
  const left = sum((day) => day.left);
  const right = sum((day) => day.right);
  const leftShare = share(
    sum((day) => day.leftReached),
    left,
  );
  const rightShare = share(
    sum((day) => day.rightReached),
    right,
  );
  const rows = days.map((day) => ({
    day: sayOnAxis(day.date),
    minutes: Math.round(day.upsideSeconds / 6) / 10,
    reached: day.reached,
    missed: day.tries - day.reached,
  }));
  return (
    <>
      <div className={classes.blockHead}>
        <p className={classes.sums}>
          {Math.round(sum((day) => day.upsideSeconds) / 60)} min upside down, timed ·{' '}
          {sum((day) => day.tries)} tries, {sum((day) => day.reached)} reached · soft landings{' '}
          {words(
            share(
              sum((day) => day.soft),
              sum((day) => day.soft + day.heavy),
            ),
          )}{' '}
          {sum((day) => day.timed) > 0 &&
            `· ${sum((day) => day.asSlow)} of ${sum((day) => day.timed)} timed came down as slowly as up `}
          · left leg {left} ({words(leftShare)} reached), right {right} ({words(rightShare)})
        </p>
        <SegmentedControl
          size="sm"
          aria-label="Floor: chart or figures"
          value={shown}
          data={['chart', 'figures']}
          onChange={setShown}
        />
        <a href={csv} data-alone>
          CSV
        </a>
      </div>
      {shown === 'chart' ? (
        <EveningChart
          label="Minutes upside down and tries by evening"
          rows={rows}
          bars={tryBars}
          line={{ key: 'minutes', name: 'minutes upside down', unit: ' min' }}
          height={230}
        />
      ) : (
        <FigureTable
          of="evenings on the floor"
          head={[
            'evening',
            'minutes',
            'tries',
            'reached',
            'left',
            'right',
            'soft',
            'heavy',
            'timed',
            'as slow down',
          ]}
          rows={days.map((day) => [
            sayShortDay(day.date),
            (day.upsideSeconds / 60).toFixed(1),
            ...[day.tries, day.reached, day.left, day.right, day.soft, day.heavy].map(String),
            String(day.timed),
            String(day.asSlow),
          ])}
        />
      )}
    </>
  );
}
