'use client';

import { Broken, type BoundaryProps } from '@/design/Broken';

export default function PeopleBroke({ error, reset }: BoundaryProps) {
  return (
    <Broken
      words="Nothing was lost that had been kept."
      elsewhere={{ href: '/', label: 'To Tonight' }}
      error={error}
      reset={reset}
    />
  );
}
