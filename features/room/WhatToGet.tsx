'use client';

import { shortNames } from '@/features/evening/names';
import { answered } from '@/design/answered';
import { Button, Progress } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { purchaseWords, type Purchase } from '@/core/compose/shopping';
import { rowLabel } from '@/core/pieces/rows';
import { listCourseClassesAction } from '@/features/plan/actions';
import { showProblem, showProblems } from '@/design/notices';
import { beginComposer, type Composer } from '@/features/evening/composer';
import type { ComposeQuestion } from '@/workers/compose.worker';
import classes from './room.module.css';

interface WhatToGetProps {
  readonly courseId: number;
  readonly people: readonly { readonly id: string; readonly name: string }[];
}

/** What the weeks to come are short of, found by composing each of them again with more. */
export function WhatToGet({ courseId, people }: WhatToGetProps) {
  const [found, setFound] = useState<readonly Purchase[] | null>(null);
  const [step, setStep] = useState<number | null>(null);
  const composer = useRef<Composer | null>(null);
  useEffect(
    () => () => {
      composer.current?.end();
      composer.current = null;
    },
    [],
  );
  const names = shortNames(people);
  const nameOf = (id: string) => names.get(id) ?? id;
  const ask = async () => {
    const own = beginComposer();
    composer.current = own;
    setStep(0);
    const outcome = await answered(listCourseClassesAction(courseId));
    // Stopped, left, or begun anew while the classes were on their way.
    if (composer.current !== own) return;
    if (!outcome.ok) {
      setStep(null);
      showProblems(outcome.problems);
      return;
    }
    const question: ComposeQuestion = { kind: 'shop', classes: outcome.value };
    own.ask(question, (answer) => {
      if (answer.kind === 'binding') setStep((100 * answer.done) / answer.of);
      if (answer.kind === 'bought') setFound(answer.purchases);
      if (answer.kind === 'failed') showProblem(answer.words);
      if (answer.kind !== 'bought' && answer.kind !== 'failed') return;
      setStep(null);
      own.end();
    });
  };
  const stop = () => {
    composer.current?.end();
    composer.current = null;
    setStep(null);
  };
  return (
    <section aria-label="What to get" className={classes.get}>
      <h2>What to get</h2>
      <p>Composes every kind of evening this course still has, again and again with more pieces.</p>
      {step === null ? (
        <Button variant="default" onClick={ask}>
          Work it out
        </Button>
      ) : (
        <div className={classes.working}>
          <Progress value={step} aria-label="Working it out" />
          <Button size="compact-sm" variant="default" onClick={stop}>
            Stop
          </Button>
        </div>
      )}
      {found !== null && (
        <>
          <p role="status">
            <strong>{purchaseWords(found)}</strong>
          </p>
          <ul>
            {found.map(({ row, label, count, serves, weeks }) => (
              <li key={row}>
                {rowLabel(row, count, label)}: {weeks} {weeks === 1 ? 'week' : 'weeks'} gain
                {serves.length > 0 ? `; ${serves.map(nameOf).join(', ')}` : ''}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
