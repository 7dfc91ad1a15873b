'use client';

import { answered } from '@/design/answered';
import { Button, TextInput } from '@mantine/core';
import { useState, useTransition } from 'react';
import type { ShapeId } from '@/core/shapes/postures';
import type { DialValues } from '@/core/shapes/dials';
import { getDials } from '@/core/shapes/values';
import { formatLength, sayIn, type LengthUnits } from '@/core/units/length';
import { keepSetupAction } from '@/features/person/actions';
import type { BenchPerson } from '@/server/judging/views';
import { sayDay } from '@/core/units/day';
import { showProblems } from '@/design/notices';
import { offerUndo } from './offerUndo';
import classes from './bench.module.css';

interface SavedSetupsProps {
  readonly person: BenchPerson;
  readonly shape: ShapeId;
  readonly values: DialValues;
  readonly units: LengthUnits;
  readonly onUse: (values: DialValues) => void;
}

/** What was tried and kept for this person in this shape; the newest is what the cards use. */
export function SavedSetups({ person, shape, values, units, onUse }: SavedSetupsProps) {
  const [note, setNote] = useState('');
  const [isSaving, startSaving] = useTransition();
  const own = person.setups.filter((setup) => setup.family === shape);

  const keep = () => {
    startSaving(async () => {
      const outcome = await answered(keepSetupAction(person.id, { family: shape, values, note }));
      if (!outcome.ok) {
        showProblems(outcome.problems);
        return;
      }
      setNote('');
      offerUndo(person, outcome.value);
    });
  };
  const say = (kept: DialValues) =>
    getDials(shape)
      .filter(({ unit, parameter }) => unit === 'm' && kept[parameter] !== undefined)
      .map(
        ({ label, parameter }) => `${label.toLowerCase()} ${formatLength(kept[parameter]!, units)}`,
      )
      .join(', ');

  return (
    <section className={`${classes.saved} no-print`} aria-label="Set-ups by experience">
      <TextInput
        label={`Keep this for ${person.name}`}
        placeholder={`${sayIn('5 cm', units)} closer felt better`}
        maxLength={300}
        value={note}
        onChange={(event) => setNote(event.currentTarget.value)}
      />
      <Button loading={isSaving} onClick={keep}>
        Keep this set-up
      </Button>
      {own.length > 0 && (
        <ol className={classes.history}>
          {[...own].reverse().map((setup) => (
            <li key={setup.id}>
              <button type="button" onClick={() => onUse(setup.values)}>
                {sayDay(setup.savedOn)}: {say(setup.values) || 'as drawn'}
              </button>
              {setup.note && <span> {setup.note}</span>}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
