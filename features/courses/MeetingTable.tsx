'use client';

import { answered } from '@/design/answered';
import { sayMeetingDay } from '@/design/days';
import { Button, Chip, Group, NativeSelect, TextInput } from '@mantine/core';
import { NumberField } from '@/design/NumberField';
import { useState, useTransition } from 'react';
import { ladderIds, ladderTable, type LadderId } from '@/core/catalog/stage';
import { addDays } from '@/core/units/day';
import type { CoursePageView, MeetingView } from './read';
import {
  bringMeetingBackAction,
  changeAttendanceAction,
  changeMeetingAction,
  createMeetingAction,
  dropMeetingAction,
} from './actions';
import { showProblem, showProblems, showSaved, showUndo } from '@/design/notices';
import classes from './courses.module.css';

/** The arc of the course: each evening with its family and peak, and who came. */
export function MeetingTable({ view }: { readonly view: CoursePageView }) {
  const { course, meetings, suggestions, today } = view;
  const [open, setOpen] = useState<number | null>(
    meetings.find(({ date }) => date >= today)?.id ?? null,
  );
  const [isBusy, startBusy] = useTransition();
  const add = () =>
    startBusy(async () => {
      const last = meetings.at(-1);
      const outcome = await answered(
        createMeetingAction(course.id, {
          date: last === undefined ? course.startsOn : addDays(last.date, 7),
          startsAt: last?.startsAt ?? course.startsAt,
          minutes: last?.minutes ?? course.minutes,
          room: last?.room ?? '',
          family: null,
          peak: null,
        }),
      );
      if (!outcome.ok) return showProblems(outcome.problems);
      setOpen(outcome.value);
    });
  return (
    <section aria-label="Evenings">
      <h2>Evenings</h2>
      {suggestions.length > 0 && (
        <div className={classes.suggestions}>
          <p>From where the group stands:</p>
          <ul>
            {suggestions.slice(0, 3).map(({ family, peakLabel, why }) => (
              <li key={family}>
                <strong>{ladderTable[family].label}</strong>, {peakLabel}: {why}
              </li>
            ))}
          </ul>
        </div>
      )}
      <ol className={classes.meetings}>
        {meetings.map((meeting, index) => (
          <li key={meeting.id} data-past={meeting.date < today || undefined}>
            <button
              type="button"
              className={classes.meetingLine}
              aria-expanded={open === meeting.id}
              onClick={() => setOpen(open === meeting.id ? null : meeting.id)}
            >
              <span>{index + 1}</span>
              <span>{sayMeetingDay(meeting.date)}</span>
              <span>
                {meeting.family === null ? 'open' : ladderTable[meeting.family].label}
                {meeting.peakLabel ? `: ${meeting.peakLabel}` : ''}
              </span>
              <span>{meeting.came.length > 0 ? `${meeting.came.length} came` : ''}</span>
            </button>
            {open === meeting.id && <MeetingForm key={meeting.id} meeting={meeting} view={view} />}
          </li>
        ))}
      </ol>
      <Button variant="default" loading={isBusy} onClick={add}>
        One more week
      </Button>
    </section>
  );
}

interface MeetingFormProps {
  readonly meeting: MeetingView;
  readonly view: CoursePageView;
}

function MeetingForm({ meeting, view }: MeetingFormProps) {
  const { stages, suggestions, people, course } = view;
  const [values, setValues] = useState({
    date: meeting.date,
    startsAt: meeting.startsAt,
    minutes: meeting.minutes,
    room: meeting.room,
    family: meeting.family,
    peak: meeting.peak,
  });
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [isBusy, startBusy] = useTransition();
  const set = (part: Partial<typeof values>) => setValues({ ...values, ...part });
  const save = (next = values) =>
    startBusy(async () => {
      const outcome = await answered(changeMeetingAction(meeting.id, next));
      setProblems(outcome.ok ? {} : outcome.problems);
      if (outcome.ok) showSaved('Kept.');
      else if (outcome.problems.form) showProblem(outcome.problems.form);
    });
  const [best] = suggestions;
  return (
    <div className={classes.meetingForm}>
      <Group align="flex-start">
        <TextInput
          type="date"
          label="Date"
          value={values.date}
          error={problems.date}
          onChange={(event) => set({ date: event.currentTarget.value })}
        />
        <TextInput
          type="time"
          label="At"
          value={values.startsAt}
          error={problems.startsAt}
          onChange={(event) => set({ startsAt: event.currentTarget.value })}
        />
        <NumberField
          label="Minutes"
          w={90}
          value={values.minutes}
          error={problems.minutes}
          onNumber={(minutes) => set({ minutes })}
        />
        <TextInput
          label="Room"
          w={150}
          placeholder={course.place}
          value={values.room}
          error={problems.room}
          onChange={(event) => set({ room: event.currentTarget.value })}
        />
        <NativeSelect
          label="Family"
          data={[
            { value: '', label: 'open' },
            ...ladderIds.map((id) => ({ value: id, label: ladderTable[id].label })),
          ]}
          value={values.family ?? ''}
          onChange={(event) =>
            set({ family: (event.currentTarget.value || null) as LadderId | null, peak: null })
          }
        />
        <NativeSelect
          label="Peak"
          disabled={values.family === null}
          data={[
            { value: '', label: 'from the group' },
            ...stages
              .filter(({ family }) => family === values.family)
              .map(({ stage, label }) => ({ value: stage, label })),
          ]}
          value={values.peak ?? ''}
          error={problems.peak}
          onChange={({ currentTarget: { value } }) =>
            set({ peak: stages.find(({ stage }) => stage === value)?.stage ?? null })
          }
        />
      </Group>
      <Group>
        <Button size="sm" loading={isBusy} onClick={() => save()}>
          Keep this evening
        </Button>
        {best && (
          <Button
            size="sm"
            variant="default"
            // The longest of the names takes two lines on a phone.
            h="auto"
            mih="var(--button-height)"
            py={8}
            maw="100%"
            styles={{ label: { whiteSpace: 'normal', lineHeight: 1.25 } }}
            onClick={() => {
              const next = { ...values, family: best.family, peak: best.peak };
              setValues(next);
              save(next);
            }}
          >
            Take the suggestion: {best.peakLabel}
          </Button>
        )}
        <Button
          size="sm"
          variant="subtle"
          onClick={() =>
            startBusy(async () => {
              const outcome = await answered(dropMeetingAction(meeting.id));
              if (!outcome.ok) return showProblems(outcome.problems);
              showUndo(`The evening of ${sayMeetingDay(meeting.date)} is dropped.`, () =>
                bringMeetingBackAction(course.id, outcome.value),
              );
            })
          }
        >
          Drop this evening
        </Button>
      </Group>
      <div role="group" aria-label="Who came" className={classes.came}>
        <span>Who came</span>
        {people.map(({ id, name }) => (
          <Chip
            key={id}
            size="sm"
            variant="outline"
            checked={meeting.came.includes(id)}
            disabled={isBusy}
            onChange={(came) =>
              startBusy(async () => {
                const outcome = await answered(changeAttendanceAction(meeting.id, id, { came }));
                if (!outcome.ok) showProblems(outcome.problems);
              })
            }
          >
            {name}
          </Chip>
        ))}
      </div>
    </div>
  );
}
