'use client';

import { answered } from '@/design/answered';
import { ActionIcon } from '@mantine/core';
import { PickOne } from '@/design/Picker';
import { IconX } from '@tabler/icons-react';
import { Link } from '@/design/Link';
import { useTransition } from 'react';
import { changeEnrolmentAction } from './actions';
import { showProblems, showUndo } from '@/design/notices';
import classes from './courses.module.css';

interface EnrolmentPanelProps {
  readonly courseId: number;
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly others: readonly { readonly id: number; readonly name: string }[];
}

/** Who is enrolled; one person may be in several courses. */
export function EnrolmentPanel({ courseId, people, others }: EnrolmentPanelProps) {
  const [isBusy, startBusy] = useTransition();
  const change = (person: number, isIn: boolean) =>
    startBusy(async () => {
      const name = [...people, ...others].find(({ id }) => id === person)?.name ?? 'Somebody';
      const outcome = await answered(changeEnrolmentAction(courseId, person, isIn));
      if (!outcome.ok) return showProblems(outcome.problems);
      showUndo(isIn ? `${name} is enrolled.` : `${name} is out of the course.`, () =>
        changeEnrolmentAction(courseId, person, !isIn),
      );
    });
  return (
    <section aria-label="Enrolled">
      <h2>Enrolled: {people.length}</h2>
      <PickOne
        aria-label="Enrol"
        placeholder={others.length === 0 ? 'everyone is here' : 'enrol a person'}
        disabled={isBusy || others.length === 0}
        data={others.map(({ id, name }) => ({ value: String(id), label: name }))}
        value={null}
        onChange={(value) => value !== null && change(Number(value), true)}
      />
      <ul className={classes.enrolled}>
        {people.map(({ id, name }) => (
          <li key={id}>
            <Link href={`/people/${id}`} data-alone>
              {name}
            </Link>
            <ActionIcon
              variant="subtle"
              aria-label={`Take ${name} out of the course`}
              disabled={isBusy}
              onClick={() => change(id, false)}
            >
              <IconX size={16} />
            </ActionIcon>
          </li>
        ))}
      </ul>
    </section>
  );
}
