'use client';

import { TextInput } from '@mantine/core';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { getShape } from '@/core/catalog/shapes';
import { ladderTable, type LadderId } from '@/core/catalog/stage';
import { getDials } from '@/core/posture/handles';
import { formatLength, type LengthUnits } from '@/core/units/length';
import { changeAttendanceAction } from '@/server/studioActions';
import type { SavedSetup } from '@/server/views';
import { showProblem } from './notices';
import classes from './person.module.css';

interface Evening {
  readonly meetingId: number;
  readonly date: string;
  readonly course: string;
  readonly family: LadderId | null;
  readonly came: boolean;
  readonly note: string;
}

interface MeetingListProps {
  readonly personId: number;
  readonly meetings: readonly Evening[];
}

/** One line for each evening; a tap changes it. */
export function MeetingList({ personId, meetings }: MeetingListProps) {
  if (meetings.length === 0) return <p>No evening noted yet.</p>;
  return (
    <ul className={classes.evenings}>
      {meetings.map((evening) => (
        <li key={evening.meetingId}>
          <span className={evening.came ? undefined : classes.away}>
            {format(parseISO(evening.date), 'd MMM')}
            {evening.family === null ? '' : `, ${ladderTable[evening.family].label.toLowerCase()}`}
            {evening.came ? '' : ': away'}
          </span>
          <NoteLine personId={personId} evening={evening} />
        </li>
      ))}
    </ul>
  );
}

function NoteLine({ personId, evening }: { personId: number; evening: Evening }) {
  const [note, setNote] = useState(evening.note);
  const save = async () => {
    if (note === evening.note) return;
    const outcome = await changeAttendanceAction(evening.meetingId, personId, { note });
    if (!outcome.ok) showProblem(Object.values(outcome.problems).join(' '));
  };
  return (
    <TextInput
      aria-label={`A line about ${format(parseISO(evening.date), 'd MMMM')}`}
      placeholder="a line"
      size="xs"
      variant="unstyled"
      maxLength={200}
      value={note}
      onChange={(event) => setNote(event.currentTarget.value)}
      onBlur={() => void save()}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
      }}
    />
  );
}

interface SetupListProps {
  readonly setups: readonly SavedSetup[];
  readonly units: LengthUnits;
}

export function SetupList({ setups, units }: SetupListProps) {
  if (setups.length === 0) return <p>None kept yet. Try one on the bench and keep it there.</p>;
  return (
    <ul className={classes.evenings}>
      {[...setups].reverse().map((setup) => (
        <li key={setup.id}>
          <span>
            {format(parseISO(setup.savedOn), 'd MMM')}, {getShape(setup.family).label}
          </span>
          <span>
            {getDials(setup.family)
              .map(({ parameter, label }) => {
                const value = setup.values[parameter];
                const shown = parameter.endsWith('M')
                  ? formatLength(value, units)
                  : String(Math.round(value * 10) / 10);
                return `${label.toLowerCase()} ${shown}`;
              })
              .join(', ')}
            {setup.note === '' ? '' : ` · ${setup.note}`}
          </span>
        </li>
      ))}
    </ul>
  );
}
