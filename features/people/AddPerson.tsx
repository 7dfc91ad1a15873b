'use client';

import { answered } from '@/design/answered';
import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useTransition } from 'react';
import { createPersonAction } from './actions';
import type { LengthUnits } from '@/core/units/length';
import { showProblem, showSaved } from '@/design/notices';
import classes from './people.module.css';

interface AddPersonProps {
  readonly courses: readonly { readonly id: number; readonly name: string }[];
  readonly units: LengthUnits;
}

/** Two fields; the next name can follow at once. */
export function AddPerson({ courses, units }: AddPersonProps) {
  const [isSaving, startSaving] = useTransition();
  const form = useForm({
    mode: 'controlled',
    initialValues: { name: '', height: '', courseId: String(courses[0]?.id ?? '') },
  });
  const save = (values: typeof form.values) =>
    startSaving(async () => {
      const outcome = await answered(
        createPersonAction({
          name: values.name,
          height: values.height,
          courseId: values.courseId === '' ? null : Number(values.courseId),
        }),
      );
      if (outcome.ok) {
        showSaved(`${values.name.trim()} is here.`);
        form.setValues({ name: '', height: '' });
        form.getInputNode('name')?.focus();
        return;
      }
      form.setErrors(outcome.problems);
      if (outcome.problems.form) showProblem(outcome.problems.form);
    });
  return (
    <form className={classes.add} onSubmit={form.onSubmit(save)} noValidate>
      <TextInput aria-label="Name" placeholder="name" w={190} {...form.getInputProps('name')} />
      <TextInput
        aria-label="Height"
        placeholder={units === 'cm' ? 'height, 168' : 'height, 5\'6"'}
        w={120}
        {...form.getInputProps('height')}
      />
      {courses.length > 0 && (
        <NativeSelect
          aria-label="Course"
          data={[
            ...courses.map(({ id, name }) => ({ value: String(id), label: name })),
            { value: '', label: 'no course' },
          ]}
          {...form.getInputProps('courseId')}
        />
      )}
      <Button type="submit" loading={isSaving}>
        Add
      </Button>
    </form>
  );
}
