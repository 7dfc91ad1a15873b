'use client';

import { sayShortDay } from '@/design/days';
import { sayDay } from '@/core/units/day';
import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { getShape } from '@/core/shapes/registry';
import { ladderTable, type LadderId } from '@/core/catalog/stage';
import { getDials } from '@/core/shapes/values';
import { formatLength, type LengthUnits } from '@/core/units/length';
import { changeAttendanceAction } from '@/features/courses/actions';
import { distanceWords } from '@/core/setups/distanceWords';
import { getSetup } from '@/core/setups/registry';
import { isShapeId, keptFromSaved } from '@/core/setups/saved';
import type { SavedSetup } from '@/server/judging/views';
import { showProblems } from '@/design/notices';
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
            {sayShortDay(evening.date)}
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
    if (!outcome.ok) showProblems(outcome.problems);
  };
  return (
    <TextInput
      aria-label={`A line about ${sayDay(evening.date)}`}
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
            {sayShortDay(setup.savedOn)}, {savedLabel(setup)}
          </span>
          <span>
            {savedFigures(setup, units)}
            {setup.note === '' ? '' : ` · ${setup.note}`}
          </span>
        </li>
      ))}
    </ul>
  );
}

const savedLabel = ({ family }: SavedSetup): string =>
  isShapeId(family) ? getShape(family).label : getSetup(family).label;

/** Every figure that was kept, in words. */
function savedFigures({ family, values }: SavedSetup, units: LengthUnits): string {
  if (isShapeId(family)) {
    return getDials(family)
      .flatMap(({ parameter, label, unit }) => {
        const value = values[parameter];
        if (value === undefined) return [];
        const shown =
          unit === 'm' ? formatLength(value, units) : String(Math.round(value * 10) / 10);
        return [`${label.toLowerCase()} ${shown}`];
      })
      .join(', ');
  }
  return keptFromSaved([{ family, values, note: '', savedOn: '' }])
    .map(
      ({ distance, metres }) =>
        `${distanceWords[distance].label.toLowerCase()} ${formatLength(metres, units)}`,
    )
    .join(', ');
}
