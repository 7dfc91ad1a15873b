'use client';

import { answered } from '@/design/answered';
import { Button, Group } from '@mantine/core';
import { useTransition } from 'react';
import { changeCourseAction } from '@/features/courses/actions';
import { showProblems, showUndo } from '@/design/notices';
import type { CourseProfile } from './read';
import classes from './profiles.module.css';

interface UseForProps {
  readonly profileKey: string;
  readonly label: string;
  readonly courses: readonly CourseProfile[];
}

/** Which courses are judged with this profile, and one tap for those that are not yet. */
export function UseFor({ profileKey, label, courses }: UseForProps) {
  const [isBusy, start] = useTransition();
  const use = ({ id, name, place, profile }: CourseProfile) =>
    start(async () => {
      const outcome = await answered(changeCourseAction(id, { name, place, profile: profileKey }));
      if (!outcome.ok) return showProblems(outcome.problems);
      showUndo(`${name} is judged with ${label} from now on.`, () =>
        changeCourseAction(id, { name, place, profile }),
      );
    });
  if (courses.length === 0) return null;
  const using = courses.filter(({ profile }) => profile === profileKey);
  const others = courses.filter(({ profile }) => profile !== profileKey);
  return (
    <section aria-label="Courses" className={classes.useFor}>
      <p>
        {using.length === 0
          ? 'No course is judged with it.'
          : `Judged with it: ${using.map(({ name }) => name).join(', ')}.`}
      </p>
      <Group gap="xs">
        {others.map((course) => (
          <Button
            key={course.id}
            size="sm"
            variant="default"
            loading={isBusy}
            onClick={() => use(course)}
          >
            Use for {course.name}
          </Button>
        ))}
      </Group>
    </section>
  );
}
