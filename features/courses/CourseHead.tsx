'use client';

import { answered } from '@/design/answered';
import { Button, NativeSelect, TextInput, Title } from '@mantine/core';
import { IconCalendarDown } from '@tabler/icons-react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { CourseRow } from './read';
import type { ProfileChoice } from '@/server/judging/schools';
import { changeCourseAction, dropCourseAction } from './actions';
import { showProblems, showSaved } from '@/design/notices';
import classes from './courses.module.css';

interface CourseHeadProps {
  readonly course: CourseRow;
  readonly profiles: readonly ProfileChoice[];
}

/** Name, place and profile of a course; its calendar; its end. */
export function CourseHead({ course, profiles }: CourseHeadProps) {
  const router = useRouter();
  const [isBusy, startBusy] = useTransition();
  const [asksDrop, setAsksDrop] = useState(false);
  const [values, setValues] = useState({
    name: course.name,
    place: course.place,
    profile: course.profile,
  });
  const isChanged =
    values.name !== course.name ||
    values.place !== course.place ||
    values.profile !== course.profile;
  const save = () =>
    startBusy(async () => {
      const outcome = await answered(changeCourseAction(course.id, values));
      if (outcome.ok) showSaved('Kept; everyone is judged anew.');
      else showProblems(outcome.problems);
    });
  return (
    <>
      <Title order={1} size="1.8rem">
        {course.name}
      </Title>
      <div className={classes.courseHead}>
        <TextInput
          label="Name"
          value={values.name}
          onChange={(event) => setValues({ ...values, name: event.currentTarget.value })}
        />
        <TextInput
          label="Place"
          value={values.place}
          onChange={(event) => setValues({ ...values, place: event.currentTarget.value })}
        />
        <NativeSelect
          label="Profile"
          data={profiles.map(({ key, label }) => ({ value: key, label }))}
          value={values.profile}
          onChange={(event) => setValues({ ...values, profile: event.currentTarget.value })}
        />
        <Button disabled={!isChanged} loading={isBusy} onClick={save}>
          Keep
        </Button>
        <Button
          component="a"
          href={`/courses/${course.id}/calendar`}
          variant="default"
          leftSection={<IconCalendarDown size={18} />}
        >
          Calendar file
        </Button>
        {asksDrop ? (
          <Button
            variant="default"
            loading={isBusy}
            onClick={() =>
              startBusy(async () => {
                const outcome = await answered(dropCourseAction(course.id));
                if (outcome.ok) router.push('/courses');
                else showProblems(outcome.problems);
              })
            }
          >
            Yes, the course and its evenings go; people stay
          </Button>
        ) : (
          <Button variant="subtle" onClick={() => setAsksDrop(true)}>
            Remove
          </Button>
        )}
      </div>
    </>
  );
}
