'use client';

import { Broken, type BoundaryProps } from '@/design/Broken';

export default function StudioBroke({ error, reset }: BoundaryProps) {
  return (
    <Broken
      words="Nothing was lost that had been kept. Try again; if it stays, restart the server."
      elsewhere={{ href: '/', label: 'To Tonight' }}
      error={error}
      reset={reset}
    />
  );
}
