import { sayEvening } from '@/design/days';
import { IconPlayerPlay, IconPrinter } from '@tabler/icons-react';
import type { PlanFile } from '@/core/files/planFile';
import type { ClassView } from '@/server/judging/classViews';
import { LinkButton } from '@/design/LinkButton';
import { clockAt } from '@/features/evening/marks';
import { ChecksList } from '@/features/evening/ChecksList';
import { Gained } from '@/features/evening/Gained';
import { StationRow } from '@/features/evening/StationRow';
import classes from './beginning.module.css';

interface FirstClassProps {
  readonly view: ClassView;
  readonly plan: PlanFile;
}

/** The first class as it is kept: what happens when, and everybody in each round. */
export function FirstClass({ view, plan }: FirstClassProps) {
  const { course, meeting, prepared, members, school, settings } = view;
  return (
    <>
      <p>
        {sayEvening(meeting.date)}, {meeting.startsAt}, {plan.wishes.minutes} min.{' '}
        {prepared.isLooking &&
          'Little is known yet: checks that are work as well come first, and the rounds follow what they show.'}
      </p>
      <p>
        <LinkButton
          href={`/plan/print?course=${course.id}`}
          size="md"
          leftSection={<IconPrinter size={18} />}
        >
          Print the first class
        </LinkButton>{' '}
        <LinkButton href={`/plan?course=${course.id}`} size="md" variant="default">
          Change the plan
        </LinkButton>{' '}
        <LinkButton
          href="/floor"
          size="md"
          variant="default"
          leftSection={<IconPlayerPlay size={18} />}
        >
          Floor
        </LinkButton>
      </p>
      <Gained courseId={course.id} gained={view.gained} />
      <div className={classes.two}>
        <ol className={classes.order}>
          {plan.timeline.map(({ id, label, startsAt, minutes, dose }) => (
            <li key={id}>
              <b>{clockAt(meeting.startsAt, startsAt)}</b>
              <span>
                {label}
                {dose === undefined ? '' : `, ${dose}`}
              </span>
              <span>{minutes} min</span>
            </li>
          ))}
        </ol>
        <div>
          {plan.checks.length > 0 && (
            <>
              <h2>Looked at</h2>
              <ChecksList {...{ plan, members }} />
            </>
          )}
          {plan.rounds.map(({ round }, at) => (
            <section key={round}>
              <h2>Round {round}</h2>
              <StationRow
                plan={plan}
                round={at}
                context={{ prepared, members, school, units: settings.units }}
                pxPerM={48}
                wraps
              />
            </section>
          ))}
        </div>
      </div>
    </>
  );
}
