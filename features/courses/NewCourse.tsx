'use client';

import { answered } from '@/design/answered';
import { Button, Group, NativeSelect, NumberInput, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { ProfileChoice } from '@/server/judging/schools';
import { createCourseAction } from './actions';
import { newCourse } from './newCourseForm';
import { showProblem } from '@/design/notices';
import classes from './courses.module.css';

interface NewCourseProps {
  readonly profiles: readonly ProfileChoice[];
  readonly today: string;
  readonly place: string;
}

/** A course with its weekly evenings. */
export function NewCourse({ profiles, today, place }: NewCourseProps) {
  const router = useRouter();
  const [isOpen, setIsOpen] = useState(false);
  const [isSaving, startSaving] = useTransition();
  const form = useForm({
    mode: 'controlled',
    initialValues: newCourse(place, today, profiles),
  });
  if (!isOpen) {
    return (
      <Button variant="default" onClick={() => setIsOpen(true)}>
        A new course
      </Button>
    );
  }
  return (
    <form
      className={classes.newCourse}
      noValidate
      onSubmit={form.onSubmit((values) =>
        startSaving(async () => {
          const outcome = await answered(createCourseAction(values));
          if (outcome.ok) return router.push(`/courses/${outcome.value}`);
          form.setErrors(outcome.problems);
          if (outcome.problems.form) showProblem(outcome.problems.form);
        }),
      )}
    >
      <h2>A new course</h2>
      <Group align="flex-start">
        <TextInput label="Name" w={240} data-autofocus {...form.getInputProps('name')} />
        <TextInput label="Place" w={200} {...form.getInputProps('place')} />
        <TextInput type="date" label="First evening" {...form.getInputProps('startsOn')} />
        <TextInput type="time" label="At" {...form.getInputProps('startsAt')} />
        <NumberInput label="Minutes" w={100} {...form.getInputProps('minutes')} />
        <NumberInput label="Weeks" w={90} {...form.getInputProps('weeks')} />
        <NativeSelect
          label="Profile"
          data={profiles.map(({ key, label }) => ({ value: key, label }))}
          {...form.getInputProps('profile')}
        />
      </Group>
      <Group>
        <Button type="submit" loading={isSaving}>
          Make the course
        </Button>
        <Button variant="subtle" onClick={() => setIsOpen(false)}>
          Let go
        </Button>
      </Group>
    </form>
  );
}
