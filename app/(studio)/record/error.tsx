'use client';

import { Broken, type BoundaryProps } from '@/design/Broken';

export default function RecordBroke({ error, reset }: BoundaryProps) {
  return (
    <Broken
      words="The record itself is untouched: this is the picture of it alone."
      elsewhere={{ href: '/', label: 'To Tonight' }}
      error={error}
      reset={reset}
    />
  );
}
