import { Title } from '@mantine/core';
import { IconCheck } from '@tabler/icons-react';
import { Link } from '@/design/Link';
import { CautionLine, Page } from '@/design/Page';
import { LinkButton } from '@/design/LinkButton';
import { readClass, findKeptPlan } from '@/server/judging/classViews';
import { readCourses } from '@/features/courses/read';
import { KeepPlan } from '@/features/plan/KeepPlan';
import { toKeep } from '@/features/plan/toKeep';
import { readRoomView } from '@/features/room/read';
import { CupboardStep } from './CupboardStep';
import { FirstClass } from './FirstClass';
import { PeopleStep } from './PeopleStep';
import { PlaceStep } from './PlaceStep';
import { PlacingStep } from './PlacingStep';
import { readBeginning, readPlacing, type BeginView } from './read';
import { RoomStep } from './RoomStep';
import { beginStepIds, beginSteps, nextStep, stepHref, type BeginStep } from './steps';
import classes from './beginning.module.css';

interface BeginPageProps {
  readonly step: BeginStep;
  readonly courseId: number | null;
}

/** One step of the guided beginning, with the way through all of them above it. */
export function BeginPage({ step: asked, courseId }: BeginPageProps) {
  const view = readBeginning(courseId);
  // Where there is no course yet, its place comes before everything else.
  const step = view.course === null ? 'place' : asked;
  const next = nextStep(step);
  const id = view.course?.id ?? null;
  const at = beginStepIds.indexOf(step);
  return (
    <Page>
      <ol className={classes.way} aria-label="Steps of the beginning">
        {beginStepIds.map((one, index) => (
          <li key={one} data-done={view.done[one]} data-here={one === step}>
            {id === null && one !== 'place' ? (
              <span>
                <b>{index + 1}</b> {beginSteps[one].label}
              </span>
            ) : (
              <Link href={stepHref(one, id)} aria-current={one === step ? 'step' : undefined}>
                <b>{view.done[one] && one !== step ? <IconCheck size={15} /> : index + 1}</b>{' '}
                {beginSteps[one].label}
              </Link>
            )}
          </li>
        ))}
      </ol>
      <div className={classes.head}>
        <Title order={1} size="1.8rem">
          {beginSteps[step].asks}
        </Title>
        <div>
          {next !== null && id !== null && (
            <LinkButton href={stepHref(next, id)} variant="subtle">
              {view.done[step]
                ? `On to ${beginSteps[next].label.toLowerCase()}`
                : 'Leave this for later'}
            </LinkButton>
          )}
          <LinkButton href="/" variant="subtle">
            Stop here
          </LinkButton>
        </div>
      </div>
      <StepBody step={step} view={view} key={step} />
      {at === beginStepIds.length - 1 && <CautionLine />}
    </Page>
  );
}

function StepBody({ step, view }: { readonly step: BeginStep; readonly view: BeginView }) {
  const { course } = view;
  if (step === 'place' || course === null) {
    const { studio, profiles, today } = readCourses();
    return (
      <PlaceStep
        profiles={profiles}
        today={today}
        place={studio}
        {...(course === null ? {} : { course })}
      />
    );
  }
  switch (step) {
    case 'people':
      return <PeopleStep courseId={course.id} units={view.units} people={view.people} />;
    case 'room': {
      const room = readRoomView(course.id);
      return room === null ? null : <RoomStep view={room} />;
    }
    case 'cupboard': {
      const room = readRoomView(course.id);
      return room === null ? null : <CupboardStep view={room} />;
    }
    case 'placing': {
      const placing = readPlacing(course.id);
      return placing === null ? null : <PlacingStep view={placing} courseId={course.id} />;
    }
    case 'class': {
      const coming = readClass(course.id);
      if (coming === null || coming.prepared.people.length === 0) {
        return (
          <p>
            A class needs people:{' '}
            <Link href={stepHref('people', course.id)}>give their names first</Link>.
          </p>
        );
      }
      const plan = findKeptPlan(coming);
      return plan === null ? (
        <KeepPlan {...toKeep(coming)} />
      ) : (
        <FirstClass view={coming} plan={plan} />
      );
    }
  }
}
