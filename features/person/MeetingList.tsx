'use client';

import { answered } from '@/design/answered';
import { sayShortDay } from '@/design/days';
import { sayDay } from '@/core/units/day';
import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { ladderTable, type LadderId } from '@/core/catalog/stage';
import { changeAttendanceAction } from '@/features/courses/actions';
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
    const outcome = await answered(changeAttendanceAction(evening.meetingId, personId, { note }));
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
