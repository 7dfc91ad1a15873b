'use client';

import { Broken } from '@/design/Broken';

export default function PlumbBroke({ reset }: { readonly reset: () => void }) {
  return (
    <Broken
      words="The picture never left this device, and nothing of it was kept. Choose it again."
      elsewhere={{ href: '/people', label: 'To the people' }}
      reset={reset}
    />
  );
}
