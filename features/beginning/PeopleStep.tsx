'use client';

import { answered } from '@/design/answered';
import { Button, Textarea } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { createRosterAction } from '@/features/people/actions';
import { LinkButton } from '@/design/LinkButton';
import { showProblems } from '@/design/notices';
import type { LengthUnits } from '@/core/units/length';
import { isNoHeight, readRoster, sayHeight } from './roster';
import { stepHref } from './steps';
import classes from './beginning.module.css';

interface PeopleStepProps {
  readonly courseId: number;
  readonly units: LengthUnits;
  readonly people: readonly { readonly name: string; readonly hasHeight: boolean }[];
}

/** A list of names as it was copied from somewhere; heights where they are known. */
export function PeopleStep({ courseId, units, people }: PeopleStepProps) {
  const router = useRouter();
  const [text, setText] = useState('');
  const [isSaving, startSaving] = useTransition();
  const lines = readRoster(text);
  const without = lines.filter(({ height }) => height === '').length;
  const keep = () =>
    startSaving(async () => {
      const outcome = await answered(createRosterAction({ courseId, lines }));
      if (outcome.ok) router.push(stepHref('room', courseId));
      else showProblems(outcome.problems);
    });
  return (
    <div className={classes.two}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (lines.length > 0) keep();
        }}
      >
        <Textarea
          label="A name a line; behind it the height, where you know it"
          description="Like: Ada Wren, 172. Half of them without is fine: they are taken as usual, and every distance says so until somebody has asked."
          autosize
          minRows={10}
          maxRows={18}
          size="md"
          autoFocus
          value={text}
          onChange={({ currentTarget: { value } }) => setText(value)}
        />
        <Button type="submit" size="md" mt="md" disabled={lines.length === 0} loading={isSaving}>
          {lines.length === 0
            ? 'Keep, and on to the room'
            : `Keep ${lines.length === 1 ? 'one person' : `${lines.length} people`}, and on to the room`}
        </Button>
      </form>
      <div>
        {lines.length > 0 && (
          <>
            <h2>As it is read</h2>
            <ul className={classes.names}>
              {lines.map(({ name, height }) => (
                <li key={name}>
                  {name}{' '}
                  <span data-wrong={isNoHeight(height, units)}>{sayHeight(height, units)}</span>
                </li>
              ))}
            </ul>
            {without > 0 && (
              <p className={classes.quiet}>
                {without} without a height: ask at the door, it takes a minute.
              </p>
            )}
          </>
        )}
        {people.length > 0 && (
          <>
            <h2>Here already</h2>
            <ul className={classes.names}>
              {people.map(({ name, hasHeight }) => (
                <li key={name}>
                  {name} <span>{hasHeight ? '' : 'height not known yet'}</span>
                </li>
              ))}
            </ul>
            <LinkButton href={stepHref('room', courseId)} variant="default">
              On to the room
            </LinkButton>
          </>
        )}
      </div>
    </div>
  );
}
