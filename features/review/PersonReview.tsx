'use client';

import { answered } from '@/design/answered';
import { Button, Group, TextInput } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { useState, useTransition } from 'react';
import type { LadderId } from '@/core/catalog/stage';
import { showProblem } from '@/design/notices';
import { keepReviewAction } from './actions';
import type { ReviewPerson } from './review';
import { SuggestedPart, type Differing } from './SuggestedPart';
import classes from './review.module.css';

interface PersonReviewProps {
  readonly uid: string;
  readonly person: ReviewPerson;
  /** The keys are for the one that is next. */
  readonly isFirst: boolean;
  readonly onDone: () => void;
}

const fieldOf = (at: number, field: keyof Differing) => `decisions.${at}.${field}`;
const isField = (name: string, at: number) =>
  name === fieldOf(at, 'decided') || name === fieldOf(at, 'reason');

/** One evening by itself: seen, suggested, agreed or not, a line. */
export function PersonReview({ uid, person, isFirst, onDone }: PersonReviewProps) {
  const suggested = person.came ? person.suggested : [];
  const [note, setNote] = useState(person.note);
  const [differing, setDiffering] = useState<Readonly<Partial<Record<LadderId, Differing | null>>>>(
    {},
  );
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [isSaving, start] = useTransition();
  const differs = suggested.some(({ family }) => (differing[family] ?? null) !== null);
  const keep = () =>
    start(async () => {
      const decisions = suggested.map(({ family, stage, kind }) => ({
        stage,
        ...(differing[family] ?? { decided: kind, reason: '' }),
      }));
      const outcome = await answered(keepReviewAction(uid, person.id, { note, decisions }));
      if (outcome.ok) {
        onDone();
        return;
      }
      setProblems(outcome.problems);
      // What is not by a field of what is differed on has no other place.
      const { note: _, ...others } = outcome.problems;
      const unseen = Object.entries(others).filter(
        ([name]) => !suggested.some((one, at) => isField(name, at) && differing[one.family]),
      );
      if (unseen.length > 0) showProblem(unseen.map(([, words]) => words).join(' '));
    });
  // Also from within the line that is being written. One press, one answer.
  useHotkeys(
    [
      [
        'mod+Enter',
        ({ repeat }) => {
          if (isFirst && !isSaving && !repeat) keep();
        },
      ],
    ],
    [],
  );
  useHotkeys([['n', () => (isFirst && !isSaving ? onDone() : undefined)]]);
  return (
    <section className={classes.card} aria-label={person.name}>
      <h2>
        {person.name}
        {person.exception !== null && <small className={classes.why}> {person.exception}</small>}
      </h2>
      <div className={classes.two}>
        <div>
          <h3>Seen</h3>
          {person.came ? (
            <ul className={classes.list}>
              {person.seen.map((line, index) => (
                <li key={index}>{line}</li>
              ))}
              {person.seen.length === 0 && <li>Nothing was recorded.</li>}
              {person.upsideSeconds > 0 && (
                <li>{Math.round(person.upsideSeconds / 6) / 10} min upside down, timed</li>
              )}
            </ul>
          ) : (
            <p>Was away.</p>
          )}
        </div>
        <div>
          <h3>Suggested</h3>
          {suggested.length === 0 && <p>Nothing above this rung.</p>}
          <div className={classes.ladders}>
            {suggested.map((one, at) => (
              <SuggestedPart
                key={one.family}
                suggested={one}
                isOneOfSeveral={suggested.length > 1}
                differing={differing[one.family] ?? null}
                problemOf={(field) => problems[fieldOf(at, field)]}
                onDiffer={(given) => setDiffering({ ...differing, [one.family]: given })}
              />
            ))}
          </div>
        </div>
      </div>
      <TextInput
        label="A line about the evening"
        maxLength={200}
        value={note}
        error={problems.note}
        onChange={({ currentTarget: { value } }) => setNote(value)}
      />
      <Group mt="md">
        <Button size="lg" loading={isSaving} onClick={keep}>
          {suggested.length === 0 ? 'Done, and on' : differs ? 'Keep, and on' : 'Agree, and on'}
        </Button>
        <Button size="lg" variant="subtle" onClick={onDone}>
          Later
        </Button>
      </Group>
    </section>
  );
}
