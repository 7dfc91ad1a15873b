'use client';

import { answered } from '@/design/answered';
import { sayEvening } from '@/design/days';
import { Button, Group, Title } from '@mantine/core';
import { Link } from '@/design/Link';
import { useState, useTransition } from 'react';
import { VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { showProblems } from '@/design/notices';
import { agreeWithRestAction, reopenReviewAction, reopenReviewsAction } from './actions';
import { PersonReview } from './PersonReview';
import type { ReviewPerson, ReviewView } from './review';
import { shownOf } from './shown';
import classes from './review.module.css';

/** Everybody's evening in one table; what wants looking at stands open, the rest takes one tap. */
export function ReviewScreen({ view }: { readonly view: ReviewView }) {
  const open = view.people.filter(({ isDone }) => !isDone);
  const rest = open.filter(({ exception }) => exception === null);
  const [unfolded, setUnfolded] = useState<ReadonlySet<number>>(
    () => new Set(open.flatMap(({ id, exception }) => (exception === null ? [] : [id]))),
  );
  const [agreed, setAgreed] = useState<readonly number[]>([]);
  const [isSaving, start] = useTransition();
  const fold = (id: number, isOpen: boolean) =>
    setUnfolded((before) => {
      const after = new Set(before);
      if (isOpen) after.add(id);
      else after.delete(id);
      return after;
    });
  const first = view.people.find(({ id, isDone }) => !isDone && unfolded.has(id))?.id;
  const agreeWithAll = () =>
    start(async () => {
      const asked = rest.map((person) => ({ id: person.id, shown: shownOf(person) }));
      const outcome = await answered(agreeWithRestAction(view.uid, asked));
      if (outcome.ok) setAgreed(asked.map(({ id }) => id));
      else showProblems(outcome.problems);
    });
  const takeBack = () =>
    start(async () => {
      const outcome = await answered(reopenReviewsAction(view.uid, [...agreed]));
      if (outcome.ok) setAgreed([]);
      else showProblems(outcome.problems);
    });
  return (
    <>
      <Title order={1} size="1.8rem">
        {view.course}
      </Title>
      <p className={classes.facts}>
        {sayEvening(view.day)} · {view.people.length - open.length} of {view.people.length} looked
        through
        {view.hasEnded ? '' : ' · the class has not been ended yet'}
        {view.unsettled > 0 && ` · ${view.unsettled} holds wait for your word on the Floor screen`}
      </p>
      <Group mb="md">
        {rest.length > 0 && (
          <Button size="lg" loading={isSaving} onClick={agreeWithAll}>
            {`Agree with ${rest.length === open.length ? 'all' : 'the rest:'} ${rest.length}`}
          </Button>
        )}
        {agreed.length > 0 && (
          <Button size="lg" variant="default" loading={isSaving} onClick={takeBack}>
            {`Take back all ${agreed.length}`}
          </Button>
        )}
        {open.length === 0 && (
          <>
            <Button component={Link} href="/home-practice" size="lg">
              Home practice
            </Button>
            <Button component={Link} href="/record" size="lg" variant="default">
              The weeks
            </Button>
          </>
        )}
      </Group>
      <table className={classes.table}>
        <thead>
          <tr>
            <th scope="col">Who</th>
            <th scope="col">Seen</th>
            <th scope="col">Suggested</th>
            <th scope="col">Decided</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {view.people.map((person) =>
            !person.isDone && unfolded.has(person.id) ? (
              <tr key={person.id} data-open>
                <td colSpan={5}>
                  <PersonReview
                    uid={view.uid}
                    person={person}
                    isFirst={person.id === first}
                    onDone={() => fold(person.id, false)}
                  />
                </td>
              </tr>
            ) : (
              <PersonRow
                key={person.id}
                uid={view.uid}
                person={person}
                onOpen={() => fold(person.id, true)}
              />
            ),
          )}
        </tbody>
      </table>
    </>
  );
}

/** What was decided on each ladder, in the order of what was suggested. */
function Decided({ suggested }: Pick<ReviewPerson, 'suggested'>) {
  if (suggested.every(({ decided }) => decided === null)) return 'looked through';
  return suggested.map(({ family, decided }) => (
    <span key={family} className={classes.decided}>
      {decided === null ? 'nothing' : verdictWords[decided]}
    </span>
  ));
}

interface PersonRowProps {
  readonly uid: string;
  readonly person: ReviewPerson;
  readonly onOpen: () => void;
}

const seenWords = ({ came, seen, upsideSeconds }: ReviewPerson): string => {
  if (!came) return 'away';
  const timed = upsideSeconds > 0 ? [`${Math.round(upsideSeconds / 6) / 10} min upside down`] : [];
  return [...seen, ...timed].join(' · ') || 'nothing recorded';
};

function PersonRow({ uid, person, onOpen }: PersonRowProps) {
  const { id, name, came, suggested, isDone, note, exception } = person;
  const [isSaving, start] = useTransition();
  const lookAgain = () =>
    start(async () => {
      const outcome = await answered(reopenReviewAction(uid, id));
      if (outcome.ok) onOpen();
      else showProblems(outcome.problems);
    });
  return (
    <tr data-done={isDone}>
      <th scope="row">
        <Link href={`/people/${id}`}>{name}</Link>
        {came && (
          <Link
            className={classes.home}
            href={`/people/${id}/home`}
            aria-label={`Home practice of ${name}`}
          >
            home practice
          </Link>
        )}
      </th>
      <td>
        {seenWords(person)}
        {note !== '' && <em> “{note}”</em>}
      </td>
      <td>
        {came &&
          suggested.map(({ family, kind, label }) => (
            <span key={family} className={classes.mark}>
              <VerdictMark kind={kind} sizePx={22} />
              <span>
                {verdictWords[kind]}
                <small className={classes.quiet}> {label}</small>
              </span>
            </span>
          ))}
        {came && suggested.length === 0 && (
          <span className={classes.quiet}>nothing above this rung</span>
        )}
      </td>
      <td>{isDone ? <Decided suggested={suggested} /> : exception}</td>
      <td>
        {isDone ? (
          <Button
            size="md"
            variant="subtle"
            loading={isSaving}
            aria-label={`Look again: ${name}`}
            onClick={lookAgain}
          >
            Look again
          </Button>
        ) : (
          <Button size="md" variant="default" aria-label={`Look at ${name}`} onClick={onOpen}>
            Look
          </Button>
        )}
      </td>
    </tr>
  );
}
