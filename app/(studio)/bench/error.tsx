'use client';

import { Broken, type BoundaryProps } from '@/design/Broken';

export default function BenchBroke({ error, reset }: BoundaryProps) {
  return (
    <Broken
      words="Set-ups that were kept are still kept."
      elsewhere={{ href: '/', label: 'To Tonight' }}
      error={error}
      reset={reset}
    />
  );
}
