'use client';

import { Broken, type BoundaryProps } from '@/design/Broken';

export default function PlumbBroke({ error, reset }: BoundaryProps) {
  return (
    <Broken
      words="The picture never left this device, and nothing of it was kept. Choose it again."
      elsewhere={{ href: '/people', label: 'To the people' }}
      error={error}
      reset={reset}
    />
  );
}
