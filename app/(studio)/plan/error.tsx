'use client';

import { Broken, type BoundaryProps } from '@/design/Broken';

export default function PlanBroke({ error, reset }: BoundaryProps) {
  return (
    <Broken
      words="The plan that was kept is still kept, and Floor and paper go by it."
      elsewhere={{ href: '/', label: 'To Tonight' }}
      error={error}
      reset={reset}
    />
  );
}
