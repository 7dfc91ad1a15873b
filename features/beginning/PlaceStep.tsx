'use client';

import { answered } from '@/design/answered';
import { Button, NativeSelect, NumberInput, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useRouter } from 'next/navigation';
import { useTransition } from 'react';
import { ladderIds, ladderTable, type LadderId } from '@/core/catalog/stage';
import { createCourseAction } from '@/features/courses/actions';
import { newCourse } from '@/features/courses/newCourseForm';
import type { ProfileChoice } from '@/server/judging/schools';
import { LinkButton } from '@/design/LinkButton';
import { showProblem } from '@/design/notices';
import { stepHref } from './steps';
import classes from './beginning.module.css';

interface PlaceStepProps {
  readonly profiles: readonly ProfileChoice[];
  readonly today: string;
  readonly place: string;
  /** Begun already. */
  readonly course?: { readonly id: number; readonly name: string; readonly place: string };
}

/** A course with its evenings: the least that a class can hang on. */
export function PlaceStep({ profiles, today, place, course }: PlaceStepProps) {
  const router = useRouter();
  const [isSaving, startSaving] = useTransition();
  const form = useForm({
    mode: 'controlled',
    initialValues: { ...newCourse(place, today, profiles), family: 'forearm-stand' as LadderId },
  });
  if (course !== undefined) {
    return (
      <>
        <p>
          <strong>{course.name}</strong>
          {course.place === '' ? '' : `, ${course.place}`} stands. Day and time of each evening are
          with the course.
        </p>
        <LinkButton href={stepHref('people', course.id)}>On to the people</LinkButton>{' '}
        <LinkButton href={`/courses/${course.id}`} variant="default">
          The course
        </LinkButton>
      </>
    );
  }
  return (
    <form
      className={classes.form}
      noValidate
      onSubmit={form.onSubmit((values) =>
        startSaving(async () => {
          const outcome = await answered(createCourseAction(values));
          if (outcome.ok) return router.push(stepHref('people', outcome.value));
          form.setErrors(outcome.problems);
          if (outcome.problems.form) showProblem(outcome.problems.form);
        }),
      )}
    >
      <TextInput label="What you call it" size="md" autoFocus {...form.getInputProps('name')} />
      <TextInput label="Place" size="md" {...form.getInputProps('place')} />
      <div className={classes.together}>
        <TextInput type="date" label="First evening" {...form.getInputProps('startsOn')} />
        <TextInput type="time" label="At" {...form.getInputProps('startsAt')} />
        <NumberInput label="Minutes" w={100} {...form.getInputProps('minutes')} />
        <NumberInput label="Weeks" w={90} {...form.getInputProps('weeks')} />
      </div>
      <div className={classes.together}>
        <NativeSelect
          label="What the evenings are about"
          data={ladderIds.map((value) => ({ value, label: ladderTable[value].label }))}
          {...form.getInputProps('family')}
        />
        <NativeSelect
          label="How you teach"
          data={profiles.map(({ key, label }) => ({ value: key, label }))}
          {...form.getInputProps('profile')}
        />
      </div>
      <Button type="submit" size="md" loading={isSaving}>
        Keep, and on to the people
      </Button>
    </form>
  );
}
