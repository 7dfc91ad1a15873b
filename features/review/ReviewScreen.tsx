'use client';

import { Button, Group, Radio, TextInput, Title } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { IconCheck } from '@tabler/icons-react';
import { format, parseISO } from 'date-fns';
import Link from 'next/link';
import { useState, useTransition } from 'react';
import { verdictKinds, type VerdictKind } from '@/core/ladder/verdict';
import { keepReviewAction, reopenReviewAction } from './actions';
import type { ReviewForm, ReviewPerson, ReviewView } from './review';
import { VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { showProblem, showProblems } from '@/design/notices';
import classes from './review.module.css';

/** Everybody's evening in a row: seen, suggested, agreed or not, a line, the next one. */
export function ReviewScreen({ view }: { readonly view: ReviewView }) {
  const open = view.people.filter(({ isDone }) => !isDone);
  const [chosen, setChosen] = useState<number | null>(open[0]?.id ?? null);
  const person = view.people.find(({ id }) => id === chosen) ?? null;
  const after = (id: number) => {
    const at = view.people.findIndex((one) => one.id === id);
    const order = [...view.people.slice(at + 1), ...view.people.slice(0, at)];
    setChosen(order.find(({ isDone }) => !isDone)?.id ?? null);
  };
  return (
    <>
      <Title order={1} size="1.8rem">
        {view.course}
      </Title>
      <p className={classes.facts}>
        {format(parseISO(view.day), 'EEEE d MMMM')} · {view.people.length - open.length} of{' '}
        {view.people.length} looked through
        {view.hasEnded ? '' : ' · the class has not been ended yet'}
        {view.unsettled > 0 && ` · ${view.unsettled} holds wait for your word on the Floor screen`}
      </p>
      <div className={classes.columns}>
        <ol className={classes.people} aria-label="People">
          {view.people.map(({ id, name, isDone, decided, came }) => (
            <li key={id}>
              <button
                type="button"
                aria-current={id === chosen}
                onClick={() => setChosen(id)}
                className={classes.person}
              >
                {isDone ? <IconCheck size={18} aria-label="done" /> : <span />}
                <span>{name}</span>
                <span className={classes.quiet}>
                  {came ? (decided === null ? '' : verdictWords[decided]) : 'away'}
                </span>
              </button>
            </li>
          ))}
        </ol>
        {person === null ? (
          <section className={classes.card}>
            <h2>Everybody is looked through.</h2>
            <Group>
              <Button component={Link} href="/home-practice" size="md">
                Home practice
              </Button>
              <Button component={Link} href="/record" size="md" variant="default">
                The weeks
              </Button>
            </Group>
          </section>
        ) : (
          <PersonReview
            key={`${person.id}-${person.isDone}`}
            uid={view.uid}
            person={person}
            onDone={() => after(person.id)}
          />
        )}
      </div>
    </>
  );
}

interface PersonReviewProps {
  readonly uid: string;
  readonly person: ReviewPerson;
  readonly onDone: () => void;
}

function PersonReview({ uid, person, onDone }: PersonReviewProps) {
  const { next } = person;
  const [note, setNote] = useState(person.note);
  const [differs, setDiffers] = useState(false);
  const [decided, setDecided] = useState<VerdictKind>(next?.kind ?? 'stay');
  const [reason, setReason] = useState('');
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [isSaving, start] = useTransition();
  const keep = (decision: ReviewForm['decision']) =>
    start(async () => {
      const outcome = await keepReviewAction(uid, person.id, { note, decision });
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
  useHotkeys([
    ['mod+Enter', () => (differs ? undefined : agree())],
    ['n', onDone],
  ]);
  if (person.isDone) {
    return (
      <section className={classes.card}>
        <h2>{person.name}</h2>
        <p>
          Done{person.decided === null ? '' : `: ${verdictWords[person.decided]}`}.{' '}
          {person.note !== '' && `“${person.note}”`}
        </p>
        <Group>
          <Button
            variant="default"
            loading={isSaving}
            onClick={() =>
              start(async () => {
                const outcome = await reopenReviewAction(uid, person.id);
                if (!outcome.ok) showProblems(outcome.problems);
              })
            }
          >
            Look again
          </Button>
          <Button component={Link} href={`/people/${person.id}`} variant="default">
            To {person.name.split(' ')[0]}
          </Button>
        </Group>
      </section>
    );
  }
  return (
    <section className={classes.card} aria-label={person.name}>
      <h2>{person.name}</h2>
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
                  <li key={line}>{line}</li>
                ))}
              </ul>
            </>
          )}
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
            <Button
              size="lg"
              loading={isSaving}
              onClick={() => keep({ stage: next.stage, decided, reason })}
            >
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
