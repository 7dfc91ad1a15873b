'use client';

import { answered } from '@/design/answered';
import { Button } from '@mantine/core';
import { Link } from '@/design/Link';
import { useRouter } from 'next/navigation';
import { useTransition } from 'react';
import { beginClassAction } from './actions';
import { showProblems } from '@/design/notices';
import classes from './list.module.css';

interface BeginClassProps {
  readonly course: number;
  /** Today's class, where it was begun. */
  readonly running: { readonly uid: string; readonly hasEnded: boolean } | null;
  /** It was planned for another day. */
  readonly isOther: boolean;
  readonly isTeacher: boolean;
  readonly isEmpty: boolean;
}

export function BeginClass({ course, running, isOther, isTeacher, isEmpty }: BeginClassProps) {
  const router = useRouter();
  const [isBusy, start] = useTransition();
  if (running !== null) {
    return (
      <div className={classes.side}>
        <Button size="lg" component={Link} href={`/floor/${running.uid}`}>
          {running.hasEnded ? 'Look at today’s class' : 'Go on with today’s class'}
        </Button>
        {running.hasEnded && isTeacher && (
          <Button size="lg" variant="default" component={Link} href={`/review/${running.uid}`}>
            Review
          </Button>
        )}
      </div>
    );
  }
  if (!isTeacher) return <p className={classes.quiet}>The teacher begins the class.</p>;
  return (
    <div className={classes.side}>
      {isOther && (
        <p className={classes.quiet}>Planned for another day; begun now, it is today’s.</p>
      )}
      {isEmpty ? (
        <Button size="lg" variant="default" component={Link} href={`/courses/${course}`}>
          Enrol people first
        </Button>
      ) : (
        <Button
          size="lg"
          loading={isBusy}
          onClick={() =>
            start(async () => {
              const outcome = await answered(beginClassAction(course));
              if (outcome.ok) router.push(`/floor/${outcome.value}`);
              else showProblems(outcome.problems);
            })
          }
        >
          Begin the class
        </Button>
      )}
    </div>
  );
}
