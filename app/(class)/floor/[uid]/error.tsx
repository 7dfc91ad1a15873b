'use client';

import { Broken, type BoundaryProps } from '@/design/Broken';

export default function FloorBroke({ error, reset }: BoundaryProps) {
  return (
    <Broken
      words="The class goes on: every tap and the clock are kept on this device and at the studio. Open it again where it was."
      again="Back to the class"
      elsewhere={{ href: '/floor', label: 'To the classes' }}
      error={error}
      reset={reset}
    />
  );
}
