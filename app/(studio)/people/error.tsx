'use client';

import { Broken } from '@/design/Broken';

export default function PeopleBroke({ reset }: { readonly reset: () => void }) {
  return (
    <Broken
      words="Nothing was lost that had been kept."
      elsewhere={{ href: '/', label: 'To Tonight' }}
      reset={reset}
    />
  );
}
