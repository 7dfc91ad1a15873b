'use client';

import { NativeSelect } from '@mantine/core';
import { usePathname, useRouter, useSearchParams } from 'next/navigation';

interface CoursePickerProps {
  readonly courses: readonly { readonly id: number; readonly name: string }[];
  /** `null`: everyone. */
  readonly chosen: number | null;
}

/** Whose ladders: one course, or the whole studio. */
export function CoursePicker({ courses, chosen }: CoursePickerProps) {
  const router = useRouter();
  const path = usePathname();
  const params = useSearchParams();
  return (
    <NativeSelect
      aria-label="Whose"
      data={[
        ...courses.map(({ id, name }) => ({ value: String(id), label: name })),
        { value: 'all', label: 'everyone' },
      ]}
      value={chosen === null ? 'all' : String(chosen)}
      onChange={(event) => {
        const next = new URLSearchParams(params);
        next.set('course', event.currentTarget.value);
        router.push(`${path}?${next.toString()}`);
      }}
    />
  );
}
