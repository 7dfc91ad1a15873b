'use client';

import { answered } from '@/design/answered';
import { Button, Group, Radio, TextInput } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import Link from 'next/link';
import { useState, useTransition } from 'react';
import { verdictKinds, type VerdictKind } from '@/core/ladder/verdictKinds';
import { VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { showProblem } from '@/design/notices';
import { Said } from '@/design/units';
import { keepReviewAction } from './actions';
import type { ReviewForm, ReviewPerson } from './review';
import classes from './review.module.css';

interface PersonReviewProps {
  readonly uid: string;
  readonly person: ReviewPerson;
  /** The keys are for the one that is next. */
  readonly isFirst: boolean;
  readonly onDone: () => void;
}

/** One evening by itself: seen, suggested, agreed or not, a line. */
export function PersonReview({ uid, person, isFirst, onDone }: PersonReviewProps) {
  const { next } = person;
  const [note, setNote] = useState(person.note);
  const [differs, setDiffers] = useState(false);
  const [decided, setDecided] = useState<VerdictKind>(next?.kind ?? 'stay');
  const [reason, setReason] = useState('');
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [isSaving, start] = useTransition();
  const keep = (decision: ReviewForm['decision']) =>
    start(async () => {
      const outcome = await answered(keepReviewAction(uid, person.id, { note, decision }));
      if (outcome.ok) {
        onDone();
        return;
      }
      setProblems(outcome.problems);
      if (outcome.problems.form) showProblem(outcome.problems.form);
    });
  const agree = () =>
    keep(
      next === null || !person.came ? null : { stage: next.stage, decided: next.kind, reason: '' },
    );
  const differ = () => next !== null && keep({ stage: next.stage, decided, reason });
  // Also from within the line that is being written. One press, one answer.
  useHotkeys(
    [
      [
        'mod+Enter',
        ({ repeat }) => {
          if (!isFirst || isSaving || repeat) return;
          if (differs) differ();
          else agree();
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
          {next === null ? (
            <p>Nothing above this rung.</p>
          ) : (
            <>
              <p className={classes.verdict}>
                <VerdictMark kind={next.kind} sizePx={30} />
                <span>
                  {next.label}: <strong>{verdictWords[next.kind]}</strong>
                </span>
              </p>
              <ul className={classes.list}>
                {next.reasons.map((line) => (
                  <li key={line}>
                    <Said>{line}</Said>
                  </li>
                ))}
              </ul>
            </>
          )}
          {person.came &&
            person.besides.map(({ ladder, label, kind }) => (
              <p key={ladder} className={classes.mark}>
                <VerdictMark kind={kind} sizePx={22} />
                <span>
                  {ladder}, {label}: {verdictWords[kind]},{' '}
                  <Link href={`/people/${person.id}#ladders`}>decide there</Link>
                </span>
              </p>
            ))}
        </div>
      </div>
      <TextInput
        label="A line about the evening"
        maxLength={200}
        value={note}
        error={problems.note}
        onChange={({ currentTarget: { value } }) => setNote(value)}
      />
      {differs && next !== null && (
        <div className={classes.differ}>
          <Radio.Group
            label="You decide"
            value={decided}
            error={problems.decided}
            onChange={(value) => setDecided(value as VerdictKind)}
          >
            <Group gap="md" mt={6}>
              {verdictKinds.map((kind) => (
                <Radio key={kind} value={kind} label={verdictWords[kind]} />
              ))}
            </Group>
          </Radio.Group>
          <TextInput
            label="Why you differ"
            maxLength={300}
            value={reason}
            error={problems.reason}
            onChange={({ currentTarget: { value } }) => setReason(value)}
          />
        </div>
      )}
      <Group mt="md">
        {differs && next !== null ? (
          <>
            <Button size="lg" loading={isSaving} onClick={differ}>
              Keep, and on
            </Button>
            <Button size="lg" variant="default" onClick={() => setDiffers(false)}>
              As suggested after all
            </Button>
          </>
        ) : (
          <>
            <Button size="lg" loading={isSaving} onClick={agree}>
              {next === null || !person.came ? 'Done, and on' : 'Agree, and on'}
            </Button>
            {next !== null && person.came && next.kind !== 'stop' && (
              <Button size="lg" variant="default" onClick={() => setDiffers(true)}>
                Differ
              </Button>
            )}
          </>
        )}
        <Button size="lg" variant="subtle" onClick={onDone}>
          Later
        </Button>
      </Group>
    </section>
  );
}
